import { solve, type Coefficients, type Constraint } from 'yalps';
import { MAX_DAIRY_FAT_PCT } from '../composition/cream';
import { fail, ok, within, type Result } from '../result';

export interface FatSource {
  readonly name: string;
  readonly fatPct: number;
  /** g that there is; null for any amount. */
  readonly onHandG: number | null;
  readonly pricePerKg: number | null;
}

/**
 * Several sources blended to a fat % (physics), within what is on hand; of all blends the cheapest, and the fewest sources where prices are
 * alike.
 * @returns g of each, in their order; a fault on `targetPct` when they cannot, on `onHandG` when there is not enough.
 */
export function blendSources(targetPct: number, totalG: number, sources: readonly FatSource[]): Result<readonly number[]> {
  const fault =
    within('targetPct', 'The wished fat', targetPct, 0, MAX_DAIRY_FAT_PCT, '%') ?? within('totalG', 'The amount to make', totalG, 1, 1_000_000, 'g');
  if (fault) return { ok: false, fault };
  for (const s of sources) {
    const wrong = within('fatPct', `The fat of ${s.name}`, s.fatPct, 0, MAX_DAIRY_FAT_PCT, '%');
    if (wrong) return { ok: false, fault: wrong };
    if (s.onHandG !== null && s.onHandG < 0) return fail('onHandG', 'negative', `${s.name}: there cannot be less than 0\u00a0g of it.`);
  }
  const fats = sources.map((s) => s.fatPct);
  if (targetPct < Math.min(...fats) || targetPct > Math.max(...fats))
    return fail(
      'targetPct',
      'outside-sources',
      `No blend of ${Math.min(...fats)} to ${Math.max(...fats)}\u00a0% gives ${targetPct}\u00a0%: the wish must lie between the leanest and the richest.`,
    );
  const answer = solve({
    direction: 'minimize',
    objective: 'cost',
    constraints: new Map<string, Constraint>([
      ['total', { equal: totalG }],
      ['fat', { equal: targetPct * totalG }],
      ...sources.map((s, i): [string, Constraint] => [`s${i}`, { max: s.onHandG ?? totalG }]),
    ]),
    variables: new Map(
      sources.map((s, i): [string, Coefficients] => [
        `x${i}`,
        [
          ['total', 1],
          ['fat', s.fatPct],
          [`s${i}`, 1],
          ['cost', s.pricePerKg ?? 1],
        ],
      ]),
    ),
  });
  if (answer.status !== 'optimal')
    return fail('onHandG', 'not-enough', `There is not enough on hand for ${Math.round(totalG)}\u00a0g of ${targetPct}\u00a0%: make less, or fetch more.`);
  const found = new Map(answer.variables);
  return ok(sources.map((_, i) => Math.max(0, found.get(`x${i}`) ?? 0)));
}
