/** The reader's part of the bench: what it gets right of the recipes beside it, and how long a long recipe takes against reading its lines alone. */
import { readFileSync } from 'node:fs';
import { readLine, splitLine } from '../src/core/measures/line';
import { readRecipe } from '../src/core/reading/read';
import { checkRecipe, readCorpus } from '../src/testing/reading-corpus';
import { CONTEXT } from '../src/testing/sample';

type Row = (name: string, ...cells: string[]) => void;
type Timed = (runs: number, call: (i: number) => unknown) => number[];
const at = (sorted: readonly number[], q: number): number => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
const ROWS = 60;

export function reading(row: Row, timed: Timed): void {
  const corpus = readCorpus();
  const checks = corpus.flatMap((r) => checkRecipe(r));
  for (const category of new Set(checks.map((c) => c.category))) {
    const of = checks.filter((c) => c.category === category);
    row(
      `reading: ${category}`,
      `${of.filter((c) => c.holds).length} of ${of.length}`,
      `${((100 * of.filter((c) => c.holds).length) / of.length).toFixed(1)} %`,
    );
  }
  const long = readFileSync('src/testing/long-recipe.txt', 'utf8');
  const one = timed(120, () => readRecipe(long, CONTEXT));
  row(`reading one recipe of ${long.trim().split('\n').length} rows, p50 p95 (ms here)`, at(one, 0.5).toFixed(1), at(one, 0.95).toFixed(1));
  // Lists and methods of several recipes, one under the other, to sixty rows.
  const rows = corpus.flatMap((r) => r.text.split('\n').filter((t) => t.trim() !== ''));
  const text = (i: number): string => [...rows.slice((7 * i) % 200, ((7 * i) % 200) + ROWS - 1), `Serves ${i + 2}.`].join('\n');
  const whole = timed(120, (i) => readRecipe(text(i), CONTEXT));
  const alone = timed(120, (i) =>
    text(i)
      .split('\n')
      .map((t) => readLine(t, CONTEXT.larder.get('cream-36')!, CONTEXT.measures)),
  );
  row(
    `reading ${ROWS} rows, p50 p95 (ms here; times amounts alone)`,
    at(whole, 0.5).toFixed(1),
    at(whole, 0.95).toFixed(1),
    (at(whole, 0.5) / at(alone, 0.5)).toFixed(1),
  );
  // Eight times the text: 8 where the time grows with the length, 64 where with its square.
  const [short, eightfold] = [400, 3200].map((n) => '1 (2 cup + 3 - '.repeat(n));
  const quickest = (t: string): number => timed(9, () => splitLine(t))[0]!;
  row('splitting a line eight times as long (times the shorter)', (quickest(eightfold!) / quickest(short!)).toFixed(1));
}
