import { fail, ok, type Result } from '../result';
import { volumeBelowMl } from './profile';
import type { ProfileMark, RoundVessel } from './schema';

/** Shapes that a glass or cup starts from; each is then given its rim, waist, foot and height. */
export const GLASS_SHAPES = ['straight', 'tapered', 'cone', 'saucer', 'bellied', 'waisted'] as const;
export type GlassShape = (typeof GLASS_SHAPES)[number];

export const GLASS_SHAPE_NAMES: Readonly<Record<GlassShape, string>> = {
  straight: 'straight',
  tapered: 'tapered to the foot',
  cone: 'cone',
  saucer: 'wide saucer',
  bellied: 'bellied, closing to the rim',
  waisted: 'waisted',
};

/** A glass by the sizes that a cook can measure with a rule, mm: inside across the rim, at half height, at the foot; inner height. */
export interface GlassSizes {
  readonly rimMm: number;
  readonly waistMm: number;
  readonly footMm: number;
  readonly heightMm: number;
}

/** Sizes that each shape starts with. */
export const GLASS_STARTS: Readonly<Record<GlassShape, GlassSizes>> = {
  straight: { rimMm: 70, waistMm: 70, footMm: 70, heightMm: 80 },
  tapered: { rimMm: 80, waistMm: 70, footMm: 58, heightMm: 90 },
  cone: { rimMm: 96, waistMm: 52, footMm: 8, heightMm: 70 },
  saucer: { rimMm: 104, waistMm: 92, footMm: 30, heightMm: 48 },
  bellied: { rimMm: 62, waistMm: 82, footMm: 34, heightMm: 92 },
  waisted: { rimMm: 80, waistMm: 56, footMm: 62, heightMm: 110 },
};

const STEPS = 16;

/**
 * The profile of a glass through its foot, waist (at half height) and rim: the parabola through the three diameters, cut into 16 straight
 * steps; a straight, tapered or conical glass is drawn straight between them.
 *
 * @returns a fault on the size at fault when the wall would close (a diameter below 2 mm anywhere).
 */
export function glassProfile(shape: GlassShape, s: GlassSizes): Result<readonly ProfileMark[]> {
  if (!(s.heightMm >= 5)) return fail('heightMm', 'flat', 'A glass is at least 5\u00a0mm high.');
  const straight = shape === 'straight' || shape === 'tapered' || shape === 'cone';
  const across = (t: number): number =>
    straight
      ? t < 0.5
        ? s.footMm + (s.waistMm - s.footMm) * 2 * t
        : s.waistMm + (s.rimMm - s.waistMm) * (2 * t - 1)
      : s.footMm * (1 - 2 * t) * (1 - t) + s.waistMm * 4 * t * (1 - t) + s.rimMm * t * (2 * t - 1);
  const steps = straight ? 2 : STEPS;
  const marks = Array.from({ length: steps + 1 }, (_, i) => ({ zMm: (s.heightMm * i) / steps, acrossMm: across(i / steps) }));
  return readProfile(marks);
}

/**
 * Checks a profile: heights rise from 0, no diameter below 2 mm.
 *
 * @returns the profile, or a fault that says where it crosses itself or closes; `nearestProfile` gives one that works.
 */
export function readProfile(marks: readonly ProfileMark[]): Result<readonly ProfileMark[]> {
  if (marks.length < 2) return fail('profile', 'too-few', 'A profile needs two heights at least: the foot and the rim.');
  if (marks[0]!.zMm !== 0) return fail('profile', 'no-foot', 'A profile begins at the foot, at height 0\u00a0mm.');
  for (let i = 1; i < marks.length; i++) {
    if (!(marks[i]!.zMm > marks[i - 1]!.zMm))
      return fail(
        'profile',
        'crosses',
        `The profile crosses itself: ${marks[i]!.zMm}\u00a0mm comes after ${marks[i - 1]!.zMm}\u00a0mm. Heights go up from the foot, each once.`,
      );
  }
  const closed = marks.find((m) => !(m.acrossMm >= 2));
  if (closed)
    return fail(
      'profile',
      'closes',
      `The wall closes at ${Math.round(closed.zMm)}\u00a0mm: no diameter may be below 2\u00a0mm. Make the waist or the foot wider.`,
    );
  return ok(marks);
}

/** The nearest profile that works: heights in order, each once (the last word counts), the lowest at 0, no diameter below 2 mm. */
export function nearestProfile(marks: readonly ProfileMark[]): readonly ProfileMark[] {
  const byHeight = new Map(
    marks.filter((m) => Number.isFinite(m.zMm) && Number.isFinite(m.acrossMm)).map((m) => [Math.max(0, m.zMm), Math.max(2, m.acrossMm)]),
  );
  const sorted = [...byHeight].sort((a, b) => a[0] - b[0]).map(([zMm, acrossMm]) => ({ zMm, acrossMm }));
  if (sorted.length === 0)
    return [
      { zMm: 0, acrossMm: 60 },
      { zMm: 80, acrossMm: 60 },
    ];
  const fromFoot = sorted[0]!.zMm === 0 ? sorted : [{ zMm: 0, acrossMm: sorted[0]!.acrossMm }, ...sorted];
  return fromFoot.length > 1 ? fromFoot : [...fromFoot, { zMm: 80, acrossMm: fromFoot[0]!.acrossMm }];
}

/** A glass of a profile: its rim, foot and height are the profile's. */
export function glassOf(name: string, profile: readonly ProfileMark[]): RoundVessel {
  const foot = profile[0]!;
  const rim = profile.at(-1)!;
  return { kind: 'glass', name, topMm: Math.max(20, rim.acrossMm), baseMm: Math.max(5, foot.acrossMm), heightMm: rim.zMm, profile };
}

/** How much water stood in the glass when it reached a height. */
export interface WaterMark {
  readonly zMm: number;
  readonly ml: number;
}

/**
 * The same glass made wider or narrower all over, so that it holds so much to a height: 'holds 180 mL to here'.
 * Exact: volume goes with the square of the width.
 */
export function scaledToHold(glass: RoundVessel, mark: WaterMark): Result<RoundVessel> {
  if (!(mark.zMm > 0) || mark.zMm > glass.heightMm) return fail('zMm', 'outside', `Measure to a height between 0 and ${Math.round(glass.heightMm)}\u00a0mm.`);
  if (!(mark.ml > 0)) return fail('ml', 'negative', 'The water must be more than 0\u00a0mL.');
  const k = Math.sqrt(mark.ml / volumeBelowMl(glass, mark.zMm));
  const profile = glass.profile?.map((m) => ({ ...m, acrossMm: m.acrossMm * k }));
  return ok({ ...glass, topMm: glass.topMm * k, baseMm: glass.baseMm * k, ...(profile ? { profile } : {}) });
}

/**
 * The profile of a glass from water alone: how much stands in it at several heights. Between two marks the wall is straight, and each band
 * holds exactly what was poured in. The one freedom, the width of the foot, is taken so that the wall bends least.
 *
 * @param marks at least two, heights and volumes rising.
 * @returns a fault when they do not rise, or when no wall of straight bands holds what was poured.
 */
export function profileByWater(marks: readonly WaterMark[]): Result<readonly ProfileMark[]> {
  if (marks.length < 2) return fail('marks', 'too-few', 'Pour in at least two steps and note the height each time.');
  for (let i = 0; i < marks.length; i++) {
    const before = marks[i - 1] ?? { zMm: 0, ml: 0 };
    if (!(marks[i]!.zMm > before.zMm && marks[i]!.ml > before.ml))
      return fail(
        'marks',
        'not-rising',
        `Heights and volumes must both rise: ${marks[i]!.ml}\u00a0mL at ${marks[i]!.zMm}\u00a0mm does not lie above ${before.ml}\u00a0mL at ${before.zMm}\u00a0mm.`,
      );
  }
  const radiiFrom = (footMm: number): number[] | null => {
    const radii = [footMm];
    for (let i = 0; i < marks.length; i++) {
      const before = marks[i - 1] ?? { zMm: 0, ml: 0 };
      // π·h/3·(a² + a·b + b²) = V, solved for b.
      const a = radii[i]!;
      const q = (3000 * (marks[i]!.ml - before.ml)) / (Math.PI * (marks[i]!.zMm - before.zMm));
      const inner = 4 * q - 3 * a * a;
      if (inner < 0) return null;
      const b = (Math.sqrt(inner) - a) / 2;
      if (!(b >= 1)) return null;
      radii.push(b);
    }
    return radii;
  };
  const bend = (radii: readonly number[]): number => {
    let sum = 0;
    const z = [0, ...marks.map((m) => m.zMm)];
    for (let i = 1; i + 1 < radii.length; i++)
      sum += ((radii[i + 1]! - radii[i]!) / (z[i + 1]! - z[i]!) - (radii[i]! - radii[i - 1]!) / (z[i]! - z[i - 1]!)) ** 2;
    return sum;
  };
  const mean = Math.sqrt((1000 * marks[0]!.ml) / (Math.PI * marks[0]!.zMm));
  let best: { radii: number[]; bend: number } | null = null;
  for (let i = 1; i <= 800; i++) {
    const radii = radiiFrom((mean * 1.7321 * i) / 800);
    if (radii && (best === null || bend(radii) < best.bend)) best = { radii, bend: bend(radii) };
  }
  if (!best) return fail('marks', 'no-wall', 'No wall that is straight between the marks holds that: measure in smaller steps, and each step again.');
  return ok(best.radii.map((r, i) => ({ zMm: i === 0 ? 0 : marks[i - 1]!.zMm, acrossMm: 2 * r })));
}
