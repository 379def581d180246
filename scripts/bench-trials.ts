import { seededNumbers } from '../src/core/random';
import { learntOf, nextTrial } from '../src/core/trials/next-trial';
import { missAfter, scored, someTasters } from '../src/core/trials/proving/tasters';

type Row = (name: string, ...cells: string[]) => void;
type Timed = (runs: number, call: (i: number) => unknown) => number[];
const middle = (sorted: readonly number[]): number => sorted[Math.floor(sorted.length / 2)]!;
const RUNS = 40;
const BY_CHANCE = 200;

/** How often the best point of synthetic tasters is found, and what that costs. */
export function trials(row: Row, timed: Timed): void {
  console.log('\nTrials: the best point found within a tenth of every range, five tasters that stray by 0.8 points');
  row('', 'proposed', 'at random');
  for (const [axes, many] of [
    [1, 9],
    [2, 9],
    [3, 9],
    [3, 12],
  ] as const) {
    const share = (how: 'proposed' | 'random', runs: number): string => {
      const hits = Array.from({ length: runs }, (_, r) => missAfter(someTasters(axes, 700 + r), many, r + 1, how)).filter((m) => m <= 0.1).length;
      return `${Math.round((100 * hits) / runs)} %`;
    };
    row(`${axes} varied, ${many} trials`, share('proposed', RUNS), share('random', BY_CHANCE));
  }
  const random = seededNumbers(3);
  const points = Array.from({ length: 9 }, () => [random(), random()]);
  const said = { sittings: scored(someTasters(2, 3), points, random), pairs: [] };
  const [next, learnt] = [middle(timed(20, () => nextTrial(points, said, 2))), middle(timed(20, () => learntOf(points, said)))];
  row('the next of nine, median ms', next.toFixed(1));
  row('all that was learnt of nine, median ms', learnt.toFixed(1));
  row('ratio', (learnt / next).toFixed(1));
}
