import { WHISK_WARMS } from './house';
import type { WhiskInput } from './inputs';
import { overrunAtStage, stopWindow, whip, type Whip } from './whisk';

/** The same cream done another way: what each choice costs and buys. */
export interface WhiskChoice {
  readonly key: 'planned' | 'slow' | 'sugar' | 'bowl' | 'cream' | 'room';
  readonly name: string;
  /** Null where the stage is never reached so. */
  readonly opensS: number | null;
  /** Null where it goes no further. */
  readonly widthS: number | null;
  readonly overrunPct: number | null;
  /** Cream with its bowl at the start, °C. */
  readonly creamC: number;
}

export interface ChoiceContext {
  /** What the log has corrected: times and air are multiplied by it. */
  readonly correct: (w: Whip) => Whip;
  /** Cream with a bowl from the room instead of the cold, °C. */
  readonly roomBowlC: number;
  readonly warmRoomC: number;
  readonly warmCreamC: number;
}

/** How much a cream warms under the whisk, °C (house): 0.03·(room − T) a minute. */
export const whiskingWarmsC = (creamC: number, roomC: number, seconds: number): number => (WHISK_WARMS * (roomC - creamC) * seconds) / 60;

/** The plan and its usual alternatives. A warm room counts with half of what it warms the cream until the stage. */
export function whiskChoices(input: WhiskInput, context: ChoiceContext): readonly WhiskChoice[] {
  const row = (key: WhiskChoice['key'], name: string, change: Partial<WhiskInput>): WhiskChoice => {
    const changed = { ...input, ...change };
    const made = whip(changed);
    const w = made.ok ? context.correct(made.value) : null;
    const window = w && stopWindow(w, changed.target);
    return {
      key,
      name,
      opensS: window?.opensS ?? null,
      widthS: window?.closesS == null ? null : window.closesS - window.opensS,
      overrunPct: w && overrunAtStage(w, changed.target),
      creamC: changed.creamC,
    };
  };
  const planned = row('planned', 'as planned', {});
  const choices: WhiskChoice[] = [planned];
  if (input.mixer === 'planetary' && input.speed !== 'slow' && input.target !== 'soft')
    choices.push(row('slow', input.slowFromSoft ? 'without dropping to slow' : 'dropped to slow at soft peak', { slowFromSoft: !input.slowFromSoft }));
  if (input.sugarPer100 > 0)
    choices.push(
      row('sugar', input.sugarAt === 'start' ? 'sugar at soft peak' : 'sugar at the start', { sugarAt: input.sugarAt === 'start' ? 'soft-peak' : 'start' }),
    );
  choices.push(row('bowl', 'bowl not chilled', { creamC: Math.min(20, context.roomBowlC) }));
  choices.push(row('cream', `cream at ${context.warmCreamC}\u00a0°C`, { creamC: context.warmCreamC }));
  const warmed = input.creamC + whiskingWarmsC(input.creamC, context.warmRoomC, planned.opensS ?? 300) / 2;
  choices.push(row('room', `room at ${context.warmRoomC}\u00a0°C`, { creamC: Math.min(20, warmed) }));
  return choices;
}
