import { ok, type Result } from '../result';
import { equivalentMinutes, type Reading } from './lethality';

/** The usual two-stage rules for cooling a cooked base, as presets: never law, the local code decides. */
export interface CoolingRule {
  readonly key: string;
  readonly name: string;
  readonly fromC: number;
  /** Each: down to so many °C within so many minutes of `fromC`. */
  readonly stages: readonly (readonly [toC: number, withinMin: number])[];
}

export const COOLING_RULES: readonly CoolingRule[] = [
  {
    key: 'two-stage',
    name: '57 to 21 °C in 2 h, to 5 °C in 6 h',
    fromC: 57,
    stages: [
      [21, 120],
      [5, 360],
    ],
  },
  { key: 'one-stage', name: '63 to 8 °C in 90 min', fromC: 63, stages: [[8, 90]] },
  { key: 'two-hours', name: '63 to 10 °C in 2 h', fromC: 63, stages: [[10, 120]] },
  {
    key: 'two-stage-60',
    name: '60 to 21 °C in 2 h, to 5 °C in 6 h',
    fromC: 60,
    stages: [
      [21, 120],
      [5, 360],
    ],
  },
];

/** A kitchen's own figures as a rule; the usual presets where it has none. */
export function coolingRulesOf(
  own: { readonly fromC: number; readonly firstC: number; readonly firstMin: number; readonly secondC: number; readonly secondMin: number } | null,
): readonly CoolingRule[] {
  if (!own) return COOLING_RULES;
  return [
    {
      key: 'own',
      name: `the kitchen’s own: ${own.fromC} to ${own.firstC} °C in ${own.firstMin} min, to ${own.secondC} °C in ${own.secondMin} min`,
      fromC: own.fromC,
      stages: [
        [own.firstC, own.firstMin],
        [own.secondC, own.secondMin],
      ],
    },
    ...COOLING_RULES,
  ];
}

export interface CoolingStage {
  readonly toC: number;
  readonly withinMin: number;
  /** Minutes that it took; null while it is not there. */
  readonly tookMin: number | null;
  readonly state: 'met' | 'late' | 'running';
}

export interface CoolingVerdict {
  /** Minute at which the rule's clock starts; null while it was never above. */
  readonly startMin: number | null;
  readonly stages: readonly CoolingStage[];
}

/** Minute at which a curve falls through a temperature after a minute, straight between readings: the first time, or for good; null where it does not. */
function fallsThrough(curve: readonly Reading[], tC: number, afterMin: number, which: 'first' | 'last'): number | null {
  let found: number | null = null;
  for (let i = 0; i < curve.length; i++) {
    const [min, c] = curve[i]!;
    if (min < afterMin) continue;
    if (c > tC) {
      if (which === 'last') found = null;
      continue;
    }
    if (found !== null) continue;
    const before = curve[i - 1];
    found = !before || before[1] <= tC ? Math.max(min, afterMin) : Math.max(afterMin, before[0] + ((min - before[0]) * (before[1] - tC)) / (before[1] - c));
    if (which === 'first') return found;
  }
  return found;
}

/**
 * How a cooling curve stands against a usual rule.
 * @param curve readings, minutes rising. @returns 'met', 'late' or 'running' for each stage, never 'safe'; a fault on `curve` when it is empty or does not rise.
 */
export function coolingVerdict(curve: readonly Reading[], rule: CoolingRule): Result<CoolingVerdict> {
  const checked = equivalentMinutes(curve, 60);
  if (!checked.ok) return checked;
  const hot = curve.findIndex(([, c]) => c >= rule.fromC);
  const startMin = hot < 0 ? null : fallsThrough(curve, rule.fromC, curve[hot]![0], 'first');
  const lastMin = curve.at(-1)![0];
  if (startMin === null) return ok({ startMin, stages: rule.stages.map(([toC, withinMin]) => ({ toC, withinMin, tookMin: null, state: 'running' })) });
  return ok({
    startMin,
    stages: rule.stages.map(([toC, withinMin]) => {
      // What warms again has not arrived: only the last fall counts.
      const there = fallsThrough(curve, toC, startMin, 'last');
      const tookMin = there === null ? null : there - startMin;
      return { toC, withinMin, tookMin, state: (tookMin ?? lastMin - startMin) > withinMin ? 'late' : tookMin === null ? 'running' : 'met' };
    }),
  });
}
