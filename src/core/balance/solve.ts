import { solve as solveLinear, type Coefficients, type Constraint } from 'yalps';
import { fail, ok, readable, type Result } from '../result';
import { goalForm, type GoalForm } from './figures';
import type { BalanceGoal, BalanceLine, BalanceProblem } from './inputs';

/** One goal after solving. */
export interface GoalOutcome {
  readonly before: number;
  readonly after: number;
  /** How far from its wish (the middle of the band), in half-widths of the band: up to 1 is inside. */
  readonly off: number;
  readonly met: boolean;
}

export interface Balance {
  /** g of each line. */
  readonly amountsG: readonly number[];
  readonly goals: readonly GoalOutcome[];
  /** Goals that cannot both be met, by number; `with` is null where locks and bounds stand in the way, not another goal. */
  readonly fights: readonly { readonly goal: number; readonly with: number | null }[];
  /** Weighted sum of the deviations, half-widths. */
  readonly cost: number;
}

/**
 * What a move costs, in half-widths of a band, so that what need not move stays: by its share of the whole, and a little by its share of
 * the line, so that sugar is moved before cream, and cream before ten times the vanilla.
 */
const STILLNESS = { ofWhole: 0.02, ofLine: 0.002 } as const;
/** Rounds of straightening what is bent, and of bringing a ratio's denominator up to date. */
const ROUNDS = 9;
/** Enough to see whether two goals fight. */
const FEW_ROUNDS = 3;
const IN_BAND = 1 + 1e-6;

/**
 * The amounts that come nearest to the goals (goal programming: weighted deviations from the middle of each band, counted in half-widths;
 * linear program, whole steps by branch and bound). For a fixed whole it is the nearest; where the whole may change, ratios are bent and
 * it is the nearest around what is there, never worse than that. Never breaks a lock, a bound or a step.
 *
 * @returns a fault that names the field or the pair in conflict: a lower bound above the upper one, a total that the bounds cannot
 * make, a band that is upside down.
 */
export function solveBalance(problem: BalanceProblem): Result<Balance> {
  const fault = faultOf(problem);
  if (fault) return fault;
  const forms = problem.goals.map((g) => goalForm(g, problem.lines));
  // What is met already stays as it is.
  const now = Float64Array.from(problem.lines, (l) => l.nowG);
  const here = keepsAll(problem, now) ? outcome(problem, forms, now, now) : null;
  if (here?.goals.every((g) => g.met)) return ok({ ...here, fights: [] });
  const best = nearest(problem, forms);
  if (!best.ok) return best;
  return ok({ ...best.value, fights: fightsOf(problem, forms, best.value) });
}

const halfWidth = (g: BalanceGoal): number => (g.high - g.low) / 2;
const wishOf = (g: BalanceGoal): number => (g.high + g.low) / 2;
const number = (v: number): string => `${Math.round(10 * v) / 10}`;
/** '20 to 80 g', 'at least 1000 g'. */
const bounds = (min: number, max: number): string => (Number.isFinite(max) ? `${number(min)} to ${number(max)}\u00a0g` : `at least ${number(min)}\u00a0g`);

function faultOf({ lines, goals, totalG }: BalanceProblem): Result<never> | null {
  for (const l of lines) {
    if (l.minG < 0) return fail('minG', 'negative', `${l.name}: the least is ${number(l.minG)}\u00a0g; it cannot be below 0\u00a0g.`);
    const max = l.maxG ?? Infinity;
    if (max < l.minG) return fail('maxG', 'upside-down', `${l.name}: the least, ${number(l.minG)}\u00a0g, is more than the most, ${number(max)}\u00a0g.`);
    if (l.locked && (l.nowG < l.minG - 1e-9 || l.nowG > max + 1e-9))
      return fail('locked', 'lock-against-bound', `${l.name} is locked at ${number(l.nowG)}\u00a0g, outside its own bounds of ${bounds(l.minG, max)}.`);
    if (!l.locked && l.stepG !== null && Math.ceil(l.minG / l.stepG - 1e-9) * l.stepG > max + 1e-9)
      return fail('stepG', 'no-step', `${l.name} comes in steps of ${number(l.stepG)}\u00a0g: none lies between ${number(l.minG)} and ${number(max)}\u00a0g.`);
  }
  for (const g of goals) {
    if (!(g.high > g.low) || !Number.isFinite(g.low) || !Number.isFinite(g.high))
      return fail('goals', 'no-band', `${g.name || g.figure}: its band must go from less to more; it goes from ${readable(g.low)} to ${readable(g.high)}.`);
    if (g.figure === 'use-up' && (g.line === undefined || g.line >= lines.length)) return fail('goals', 'no-line', 'Use up: say which line.');
  }
  if (lines.every((l) => l.nowG === 0)) return fail('lines', 'empty', 'There is nothing in these lines yet: a balance starts from what is there.');
  if (totalG !== null) {
    const least = lines.reduce((sum, l) => sum + (l.locked ? l.nowG : l.minG), 0);
    const most = lines.reduce((sum, l) => sum + (l.locked ? l.nowG : (l.maxG ?? Infinity)), 0);
    if (least > totalG + 1e-6)
      return fail(
        'totalG',
        'locks-too-heavy',
        `What is locked or bounded weighs at least ${number(least)}\u00a0g; the whole is to be ${number(totalG)}\u00a0g. Free a line or raise the whole.`,
      );
    if (most < totalG - 1e-6)
      return fail(
        'totalG',
        'bounds-too-light',
        `The bounds allow at most ${number(most)}\u00a0g; the whole is to be ${number(totalG)}\u00a0g. Raise a bound or lower the whole.`,
      );
  }
  return null;
}

type Solved = Omit<Balance, 'fights'>;

/**
 * Linear programs, one after another: ratios are straight only near a point, so each starts from the best so far, and when a step did not
 * help, the next one is held to half the way.
 */
function nearest(problem: BalanceProblem, forms: readonly GoalForm[], rounds = ROUNDS): Result<Solved> {
  const now = Float64Array.from(problem.lines, (l) => l.nowG);
  const costOf = (x: Float64Array): { solved: Solved; cost: number } => {
    const solved = outcome(problem, forms, now, x);
    return { solved, cost: solved.cost + stillness(problem.lines, x) };
  };
  let at: Float64Array = now;
  let best = keepsAll(problem, now) ? costOf(now) : null;
  let reach = Infinity;
  for (let round = 0; round < rounds; round++) {
    const x = linearStep(problem, forms, at, reach);
    if (x === null && reach === Infinity)
      return best ? ok(best.solved) : fail('lines', 'infeasible', 'No amounts keep all locks, bounds and whole pieces at once: free one of them.');
    const there = x && keepsAll(problem, x) ? costOf(x) : null;
    if (x && there && (!best || there.cost < best.cost - 1e-7)) {
      const little = best !== null && best.cost - there.cost < 1e-4;
      best = there;
      at = x;
      if (little && reach < Infinity) break;
    } else {
      if (best && x && !best.solved.goals.some((g) => g.off > 1e-6)) break;
      reach = reach === Infinity ? FIRST_REACH : reach / 2;
      if (reach < LEAST_REACH) break;
    }
  }
  return best ? ok(best.solved) : fail('goals', 'no-figure', 'These goals have no figure for what is in the lines.');
}

/** How far a line may go in one round, share of itself, once a whole step has not helped. */
const FIRST_REACH = 0.5;
const LEAST_REACH = 0.01;

/** Whether amounts keep every lock, bound and step, and the total. */
function keepsAll({ lines, totalG }: BalanceProblem, x: Float64Array): boolean {
  const each = lines.every((l, i) => {
    const g = x[i]!;
    if (l.locked) return Math.abs(g - l.nowG) < 1e-9;
    if (g < l.minG - 1e-9 || g > (l.maxG ?? Infinity) + 1e-9) return false;
    return l.stepG === null || Math.abs(g / l.stepG - Math.round(g / l.stepG)) < 1e-6;
  });
  return each && (totalG === null || Math.abs(x.reduce((a, b) => a + b, 0) - totalG) < 1e-4 * totalG);
}

const stillness = (lines: readonly BalanceLine[], x: Float64Array): number =>
  lines.reduce((sum, l, i) => sum + Math.abs(x[i]! - l.nowG) * priceOfMoving(lines, l), 0);

/** Per g. */
function priceOfMoving(lines: readonly BalanceLine[], l: BalanceLine): number {
  const wholeG = lines.reduce((sum, k) => sum + k.nowG, 0);
  return STILLNESS.ofWhole / wholeG + STILLNESS.ofLine / Math.max(l.nowG, 0.001 * wholeG);
}

function outcome(problem: BalanceProblem, forms: readonly GoalForm[], now: Float64Array, x: Float64Array): Solved {
  let cost = 0;
  const goals = problem.goals.map((g, i): GoalOutcome => {
    const after = forms[i]!.valueAt(x);
    const off = Number.isFinite(after) ? Math.abs(after - wishOf(g)) / halfWidth(g) : Infinity;
    cost += g.weight * off;
    return { before: forms[i]!.valueAt(now), after, off, met: off <= IN_BAND };
  });
  return { amountsG: [...x], goals, cost };
}

/** One linear program around a point; null when it has no answer. */
function linearStep(problem: BalanceProblem, forms: readonly GoalForm[], at: Float64Array, reach: number): Float64Array | null {
  const { lines, goals, totalG } = problem;
  const constraints = new Map<string, Constraint>();
  const variables = new Map<string, [string, number][]>();
  const integers: string[] = [];
  const unit = lines.map((l) => (l.locked ? 0 : (l.stepG ?? 1)));
  const wholeG = lines.reduce((sum, l) => sum + l.nowG, 0);
  lines.forEach((l, i) => {
    if (l.locked) return;
    const u = unit[i]!;
    const row: [string, number][] = [
      [`x${i}`, u],
      [`s${i}`, u],
    ];
    constraints.set(`x${i}`, rangeOf(l, at[i]!, reach, wholeG));
    constraints.set(`s${i}`, { equal: l.nowG });
    const price = priceOfMoving(lines, l);
    variables.set(`up${i}`, [
      [`s${i}`, -1],
      ['cost', price],
    ]);
    variables.set(`down${i}`, [
      [`s${i}`, 1],
      ['cost', price],
    ]);
    if (totalG !== null) row.push(['total', u]);
    variables.set(`v${i}`, row);
    if (l.stepG !== null) integers.push(`v${i}`);
  });
  const lockedG = lines.reduce((sum, l) => sum + (l.locked ? l.nowG : 0), 0);
  if (totalG !== null) constraints.set('total', { equal: totalG - lockedG });
  goals.forEach((g, k) => {
    const r = forms[k]!.linearAt(at);
    const wish = wishOf(g);
    let d = r.d0;
    for (let i = 0; i < at.length; i++) d += r.d[i]! * at[i]!;
    if (!(Math.abs(d) > 1e-12)) return;
    let constant = r.scale * r.n0 - wish * r.d0;
    lines.forEach((l, i) => {
      const c = (r.scale * r.n[i]! - wish * r.d[i]!) / d;
      if (l.locked) constant += c * d * l.nowG;
      else if (c !== 0) variables.get(`v${i}`)!.push([`g${k}`, (c * unit[i]!) / halfWidth(g)]);
    });
    constraints.set(`g${k}`, { equal: -constant / d / halfWidth(g) });
    variables.set(`over${k}`, [
      [`g${k}`, -1],
      ['cost', g.weight],
    ]);
    variables.set(`under${k}`, [
      [`g${k}`, 1],
      ['cost', g.weight],
    ]);
  });
  const solution = solveLinear(
    { direction: 'minimize', objective: 'cost', constraints, variables: variables as Map<string, Coefficients>, integers },
    { precision: 1e-9, tolerance: integers.length > 0 ? 1e-3 : 0, timeout: 2000, maxIterations: 20_000 },
  );
  if (solution.status !== 'optimal' && solution.status !== 'timedout') return null;
  if (!Number.isFinite(solution.result)) return null;
  const found = new Map(solution.variables);
  return Float64Array.from(lines, (l, i) => (l.locked ? l.nowG : settled(l, (found.get(`v${i}`) ?? 0) * unit[i]!)));
}

/** The bounds of a line in one round: its own, and no further from where it is than the reach. */
function rangeOf(l: BalanceLine, atG: number, reach: number, wholeG: number): Constraint {
  if (reach === Infinity) return { min: l.minG, ...(l.maxG === null ? {} : { max: l.maxG }) };
  const step = Math.max(reach * Math.max(atG, 0.02 * wholeG), l.stepG ?? 0);
  return { min: Math.max(l.minG, Math.min(atG - step, l.maxG ?? Infinity)), max: Math.min(l.maxG ?? Infinity, Math.max(atG + step, l.minG)) };
}

/** Takes rounding dust of the linear program off: exactly on a bound or a step where it stands there. */
function settled(l: BalanceLine, g: number): number {
  const stepped = l.stepG === null ? g : Math.round(g / l.stepG) * l.stepG;
  return Math.max(l.minG, Math.min(l.maxG ?? Infinity, stepped));
}

/** Which goals stand in each other's way: a missed one is met when the other is let go. */
function fightsOf(whole: BalanceProblem, forms: readonly GoalForm[], solved: Solved): Balance['fights'] {
  // Whole pieces are let go here: they decide an amount, hardly ever whether two wishes agree.
  const problem = { ...whole, lines: whole.lines.map((l) => ({ ...l, stepG: null })) };
  const fights: { goal: number; with: number | null }[] = [];
  solved.goals.forEach((o, g) => {
    if (o.met) return;
    const others = problem.goals.flatMap((other, k) => {
      if (k === g || other.weight === 0) return [];
      const without = nearest({ ...problem, goals: problem.goals.map((x, n) => (n === k ? { ...x, weight: 0 } : x)) }, forms, FEW_ROUNDS);
      return without.ok && without.value.goals[g]!.off < Math.min(o.off - 0.25, 1.5) ? [k] : [];
    });
    if (others.length === 0) fights.push({ goal: g, with: null });
    for (const k of others) if (!fights.some((f) => f.goal === k && f.with === g)) fights.push({ goal: g, with: k });
  });
  return fights;
}

/** A point of a trade-off: what one goal comes to when the other is held at a value. */
export interface TradePoint {
  readonly a: number;
  readonly b: number;
  readonly amountsG: readonly number[];
}

/** A goal that is held fast, against the others' weights. */
const HELD = 200;

/**
 * The nearest answers along the conflict of two goals: one is held at values from where the other is met to its own wish, and what the
 * other then comes to is read.
 * @param points at least 2.
 */
export function tradeOff(problem: BalanceProblem, a: number, b: number, points = 9): Result<readonly TradePoint[]> {
  const fault = faultOf(problem);
  if (fault) return fault;
  const goalA = problem.goals[a];
  if (!goalA || !problem.goals[b]) return fail('goals', 'no-goal', 'A trade-off is between two of the goals.');
  const forms = problem.goals.map((g) => goalForm(g, problem.lines));
  const without = (k: number) => nearest({ ...problem, goals: problem.goals.map((x, n) => (n === k ? { ...x, weight: 0 } : x)) }, forms);
  const [own, others] = [without(b), without(a)];
  if (!own.ok) return own;
  if (!others.ok) return others;
  const [from, to] = [others.value.goals[a]!.after, own.value.goals[a]!.after];
  const half = halfWidth(goalA);
  const found: TradePoint[] = [];
  for (let i = 0; i < points; i++) {
    const hold = from + ((to - from) * i) / (points - 1);
    const at = nearest(
      { ...problem, goals: problem.goals.map((x, n) => (n === a ? { ...x, low: hold - half / 4, high: hold + half / 4, weight: HELD } : x)) },
      forms,
    );
    if (at.ok) found.push({ a: at.value.goals[a]!.after, b: at.value.goals[b]!.after, amountsG: at.value.amountsG });
  }
  return ok(found);
}
