import { showHours, plainNumber, withUnit } from '../figure';
import { COOLING_RULES, coolingVerdict, type CoolingRule } from '../heat/cooling';
import { knifeWindow, temperatureOfFrozenShare, type KnifeWindow } from '../heat/freezing';
import { KNIFE_ICE } from '../heat/house';
import { SET_NEEDS, type SetNeed } from '../setting/house';
import { hoursToSet } from '../setting/set';
import { servedFoam, type SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { frozenMixOf } from '../analysis/frozen';
import { soaksOf } from '../tin/sheet-soak';
import { COLD_ENOUGH_C, DANGER_BAND, FOLD_ON_C, LID_OVER_AIR_K, NEAR_AIR_K, SETS_UNDER_C, SOFTENING_Q10 } from './house';
import { hourAt, type ColdRun } from './run';

/** One thing that must happen, as a bar: from when it runs, and when it is done; null where it never is. */
export interface Happening {
  readonly key: string;
  readonly name: string;
  readonly fromH: number;
  readonly toH: number | null;
  /** Why it never happens, or what it waits for. */
  readonly says: string;
}

/** When it is ready for what: the latest of what must happen for it. */
export interface Ready {
  readonly key: 'glass' | 'slice' | 'turn-out' | 'fold' | 'lid' | 'frozen' | 'cold';
  readonly name: string;
  readonly atH: number | null;
  readonly waitsFor: readonly string[];
  readonly says: string;
}

/** A limit that a run breaks, the first that is broken first. */
export interface Broken {
  readonly key: string;
  readonly atH: number;
  readonly says: string;
}

export interface ColdAnswers {
  readonly happenings: readonly Happening[];
  readonly ready: readonly Ready[];
  readonly broken: readonly Broken[];
  /** Minutes that the warmest point is between 60 and 5 °C. */
  readonly bandMin: number;
  readonly window: KnifeWindow | null;
}

const degrees = (tC: number): string => withUnit(plainNumber(tC, Math.abs(tC - Math.round(tC)) < 0.05 ? 0 : 1), '°C');

/** Why a temperature is never reached, with the nearest that is. */
export const neverSays = (run: ColdRun, wantedC: number): string =>
  run.warming
    ? `At ${degrees(run.body.airC)} round it, it never warms to ${degrees(wantedC)}: ask for ${degrees(run.body.airC - 1)} or less.`
    : `At ${degrees(run.body.airC)} round it, its core never comes to ${degrees(wantedC)}: ask for ${degrees(run.body.airC + 1)}, or take a colder place.`;

/** Everything that must happen in a run, when it is ready for what, and what it breaks. */
export function coldAnswers(s: SheetAnalysis, kitchen: Kitchen, run: ColdRun, rule: CoolingRule = COOLING_RULES[0]!): ColdAnswers {
  const { curves, body } = run;
  const at = (tC: number): number | null => (run.warming ? null : hourAt(curves.h, curves.core, tC));
  const happenings: Happening[] = [];
  const freezing = body.airC < -1;
  const add = (key: string, name: string, fromH: number, toH: number | null, says = ''): Happening => {
    const made = { key, name, fromH, toH, says };
    happenings.push(made);
    return made;
  };
  const coldC = COLD_ENOUGH_C;
  const cold = freezing ? null : add('core', `core at ${degrees(coldC)}`, 0, at(coldC), at(coldC) === null ? neverSays(run, coldC) : '');
  const window = freezing ? windowOf(s, body.airC) : null;
  const need: SetNeed = s.sheet.use === 'slice' ? 'slice' : s.sheet.use === 'turn-out' ? 'turn-out' : 'glass';
  const gelatin = s.parts.some((a) => a.leftShare > 0.3 && a.reading.gelatin225G > 0 && a.gelatin.ok && !a.gelatin.value.verdict.startsWith('no-set'));
  const setFrom = at(SETS_UNDER_C);
  const set =
    gelatin && !freezing
      ? add(
          'set',
          `set ${SET_NEEDS[need].name}`,
          setFrom ?? 0,
          setFrom === null ? null : setFrom + hoursToSet(need),
          setFrom === null ? neverSays(run, SETS_UNDER_C) : `gelatin counts from a core under ${SETS_UNDER_C}\u00a0°C`,
        )
      : null;
  const soft = freezing ? null : softening(s, run, add);
  const ready: Ready[] = [];
  const push = (key: Ready['key'], name: string, needs: readonly (Happening | null)[]): void => {
    const list = needs.filter((n): n is Happening => n !== null);
    const never = list.find((n) => n.toH === null);
    const latest = never ? null : Math.max(...list.map((n) => n.toH!));
    const last = list.filter((n) => n.toH === latest);
    ready.push({
      key,
      name,
      atH: latest,
      waitsFor: list.map((n) => n.name),
      says: never ? never.says || `never: ${never.name}` : last[0] ? `last: ${last[0].name}` : '',
    });
  };
  if (freezing) {
    // As much ice as the knife window ends with; where the mix never holds so much, close to the air.
    const through = frozenThroughC(s) ?? body.airC + NEAR_AIR_K;
    const frozen = add('frozen', `core at ${degrees(through)}`, 0, at(through), at(through) === null ? neverSays(run, through) : '');
    push('frozen', 'frozen through', [frozen]);
  } else {
    const use = s.sheet.use;
    if (use === 'slice') push('slice', 'to slice', [cold, set, soft]);
    else if (use === 'turn-out') push('turn-out', 'to turn out', [cold, set, soft]);
    else push(use === 'glass' || use === 'spoon' ? 'glass' : 'cold', use === 'pipe' ? 'cold to pipe' : 'to serve', [cold, set, soft]);
    const custard = s.parts.find((a) => a.part.kind === 'custard');
    if (custard && Math.max(...run.body.grid.startC) > FOLD_ON_C)
      push('fold', `to fold on, ${degrees(FOLD_ON_C)}`, [
        add('fold', `core at ${degrees(FOLD_ON_C)}`, 0, at(FOLD_ON_C), at(FOLD_ON_C) === null ? neverSays(run, FOLD_ON_C) : ''),
      ]);
  }
  const lidC = body.airC + LID_OVER_AIR_K;
  const lidAt = run.warming ? null : hourAt(curves.h, curves.mean, lidC);
  push('lid', 'lid on, no sweat under it', [add('lid', `mean at ${degrees(lidC)}`, 0, lidAt, lidAt === null ? neverSays(run, lidC) : '')]);
  return { happenings, ready, broken: brokenBy(s, kitchen, run, rule), bandMin: bandMinutes(run), window };
}

function windowOf(s: SheetAnalysis, airC: number): KnifeWindow | null {
  const mix = frozenMixOf(s);
  const window = mix ? knifeWindow(mix.mixture, mix.solution, mix.overrunPct, Math.max(-45, airC)) : null;
  return window?.ok ? window.value : null;
}

/** At which core it counts as frozen through, °C: the cold end of the knife window by its ice; null where it never holds so much. */
function frozenThroughC(s: SheetAnalysis): number | null {
  const mix = frozenMixOf(s);
  return mix ? temperatureOfFrozenShare(mix.solution, KNIFE_ICE.high) : null;
}

/** Biscuits soften by the mean temperature of the run: the integral of their pace comes to one. */
function softening(
  s: SheetAnalysis,
  run: ColdRun,
  add: (key: string, name: string, fromH: number, toH: number | null, says?: string) => Happening,
): Happening | null {
  const slow = soaksOf(s)
    .flatMap((x) => (x.softening.ok && x.softening.value.softH > 0 ? [{ name: x.name, softH: x.softening.value.softH }] : []))
    .sort((a, b) => b.softH - a.softH)[0];
  if (!slow) return null;
  const { h, mean } = run.curves;
  let done = 0;
  const pace = (tC: number): number => (tC < 0 ? 0 : SOFTENING_Q10 ** ((Math.min(25, tC) - 4) / 10));
  for (let i = 1; i < h.length; i++) {
    const step = ((h[i]! - h[i - 1]!) * (pace(mean[i]!) + pace(mean[i - 1]!))) / 2;
    if (done + step >= slow.softH) return add('soft', `${slow.name.toLowerCase()} soft`, 0, h[i - 1]! + ((h[i]! - h[i - 1]!) * (slow.softH - done)) / step);
    done += step;
  }
  // Past the end of the run it goes on at the air's pace.
  const last = pace(run.body.airC);
  return add(
    'soft',
    `${slow.name.toLowerCase()} soft`,
    0,
    last > 0 ? h.at(-1)! + (slow.softH - done) / last : null,
    last > 0 ? '' : 'frozen biscuits do not soften',
  );
}

function brokenBy(s: SheetAnalysis, kitchen: Kitchen, run: ColdRun, rule: CoolingRule): readonly Broken[] {
  const out: Broken[] = [];
  const { h, core } = run.curves;
  const verdict =
    Math.max(...core) >= rule.fromC
      ? coolingVerdict(
          h.map((x, i) => [60 * x, core[i]!] as const),
          rule,
        )
      : null;
  if (verdict?.ok) {
    for (const stage of verdict.value.stages) {
      const start = verdict.value.startMin ?? 0;
      const late = stage.state === 'late' || (stage.state === 'running' && h.at(-1)! * 60 > start + stage.withinMin);
      if (late)
        out.push({
          key: `cooling:${stage.toC}`,
          atH: (start + stage.withinMin) / 60,
          says: `The usual rule wants ${stage.toC}\u00a0°C within ${showHours(stage.withinMin / 60)}; ${stage.tookMin === null ? 'it is not there by then' : `it takes ${showHours(stage.tookMin / 60)}`}. Your local code decides.`,
        });
    }
  }
  const main = servedFoam(s)[0];
  if (main?.holdFridge.ok && run.body.airC > -1 && run.body.airC <= kitchen.rules.fridgeC + 4) {
    const hold = main.holdFridge.value.shownH;
    const servedAt = s.sheet.servedAfterH;
    if (servedAt > hold) out.push({ key: 'hold', atH: hold, says: `It holds ${showHours(hold)} and is served after ${showHours(servedAt)}.` });
  }
  return out.sort((a, b) => a.atH - b.atH);
}

/** Minutes that the warmest point spends between 60 and 5 °C. */
function bandMinutes(run: ColdRun): number {
  if (run.warming) return 0;
  const { h, core } = run.curves;
  const below60 = hourAt(h, core, DANGER_BAND.fromC) ?? h.at(-1)!;
  const below5 = hourAt(h, core, DANGER_BAND.toC);
  return 60 * Math.max(0, (below5 ?? h.at(-1)!) - below60);
}
