import type { Ingredient } from '../composition/ingredient';
import { BOWL_TOUCHED, CUSTARD_OFF_HOB_C, RICH_IN_SUGAR, RICH_WHOLE_EGG, STEAM_STOP_C, SWEET_YOLK, SWISS_STOPS } from '../heat/house';
import { eggVerdict, readCurve, TWO_MINUTES, whiskedCurve, type EggKind, type EggRule, type EggVerdict, type Reading } from '../heat/lethality';
import { mixingC } from '../heat/meeting';
import { ok, type Result } from '../result';
import { optionOf, questionNamed } from '../schools/questions';
import type { Part, Step } from '../document/schema';
import type { OwnHeat } from './analysed';
import { syrupGuests, type EggBowl } from './warmth';

const wayOf = (part: Part, key: string): string => optionOf(questionNamed(key)!, part.ways[key]).id;

/** No mix is cooked below this: 'cool to 25 °C' is no cooking, °C. */
const WARMED_FROM_C = 45;
/** An oven below this only dries, °C. */
const BAKES_FROM_C = 80;

/** What the cook's own steps heat a part to, and whether they bake it. */
export function ownHeatOf(partId: string, steps: readonly Step[]): OwnHeat {
  const own = steps.filter((s) => s.key === null && s.partId === partId);
  const temps = own.flatMap((s) => (s.tempC !== null && s.tempC >= WARMED_FROM_C ? [s.tempC] : []));
  return { tempC: temps.length > 0 ? Math.max(...temps) : null, baked: own.some((s) => s.ovenC !== null && s.ovenC >= BAKES_FROM_C) };
}

/** Whether egg so treated counts as heated: from a pasteurised carton, baked, or judged to reach the usual figure. */
export const eggHeated = (e: EggReading): boolean => e.way === 'carton' || e.way === 'baked' || (e.verdict?.ok === true && e.verdict.value.reaches);

export interface EggReading {
  readonly kind: EggKind;
  /** How the egg is treated. */
  readonly way: 'carton' | 'raw' | 'heated' | 'baked';
  /** Where the curve is from. */
  readonly from: 'typed' | 'computed' | 'planned';
  readonly curve: Result<readonly Reading[]>;
  readonly verdict: Result<EggVerdict> | null;
  readonly richInSugar: boolean;
  /** A school of Swiss meringue that stops below a kill step. */
  readonly notKillStep: boolean;
}

const EGG_ROLES = ['yolk', 'white', 'egg'] as const;

/** How the egg of a part fares; null for a part without egg of its own. */
export function eggOf(a: EggBowl): EggReading | null {
  const eggs = a.reading.lines.filter((l) => l.read && l.ingredient && (EGG_ROLES as readonly string[]).includes(l.role ?? ''));
  if (eggs.length === 0) return null;
  const has = (role: (typeof EGG_ROLES)[number]): boolean => eggs.some((l) => l.role === role);
  const massG = a.reading.mixture.massG;
  const sugarShare = massG > 0 ? a.reading.addedSugarG / massG : 0;
  const kind: EggKind = has('egg')
    ? sugarShare >= SWEET_YOLK
      ? 'sweet-whole'
      : 'whole'
    : has('yolk')
      ? sugarShare >= SWEET_YOLK
        ? 'sweet-yolk'
        : 'yolk'
      : 'white';
  const richInSugar = sugarShare > (has('egg') ? RICH_WHOLE_EGG : RICH_IN_SUGAR);
  const base = { kind, richInSugar, notKillStep: false };
  const judged = (from: EggReading['from'], curve: Result<readonly Reading[]>, notKillStep = false): EggReading => ({
    ...base,
    way: 'heated',
    from,
    curve,
    verdict: curve.ok ? eggVerdict(kind, heldFor(curve.value, a.eggRule, from), richInSugar, a.eggRule) : null,
    notKillStep,
  });
  if (eggs.every((l) => isCarton(l.ingredient!))) return { ...base, way: 'carton', from: 'planned', curve: ok([]), verdict: null };
  if (a.part.heat.curve.trim() !== '') return judged('typed', readCurve(a.part.heat.curve));
  const syrup = syrupGuests(a, BOWL_TOUCHED.verdict);
  if (syrup) {
    const mixed = mixingC(syrup.guests);
    return judged('computed', mixed.ok ? ok(whiskedCurve(mixed.value, a.part.heat.cools)) : mixed);
  }
  const stop = plannedStop(a, kind);
  if (stop !== null) return judged('planned', ok([[0, stop]]), stop < STEAM_STOP_C);
  return { ...base, way: a.part.kind === 'meringue' || a.ownHeat.baked ? 'baked' : 'raw', from: 'planned', curve: ok([]), verdict: null };
}

/** A planned stop is one moment: where the authority asks for two minutes, the method holds it so long. */
const heldFor = (curve: readonly Reading[], rule: EggRule, from: EggReading['from']): readonly Reading[] =>
  rule === 'two-minutes' && from === 'planned' && curve.length === 1 ? [curve[0]!, [curve[0]![0] + TWO_MINUTES.min, curve[0]![1]]] : curve;

const isCarton = (i: Ingredient): boolean => i.flags.includes('pasteurised');

/** To which the method takes it, °C; null where it is not heated. */
function plannedStop(a: EggBowl, kind: EggKind): number | null {
  const { part, ownHeat } = a;
  if (ownHeat.tempC !== null) return ownHeat.tempC;
  if (part.kind === 'custard') return CUSTARD_OFF_HOB_C;
  if (part.kind === 'egg-foam' && kind !== 'white') return wayOf(part, 'eggs') === 'steam' ? STEAM_STOP_C : null;
  const whites = part.ways.whites;
  return whites === 'swiss-50' || whites === 'swiss-71' ? SWISS_STOPS[whites] : null;
}
