import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** A recipe that the reader had not seen when it was written: its bowls were set down by hand, then the reader was mended by meaning. */
export type ToldRecipe = readonly [title: string, text: string, bowls: readonly string[]];

const FOLDER = join(process.cwd(), 'src/core/reading/told');
const RULE = '\n----\n';

/** Each stands in a file of its own: what it is, a row of four dashes, the text, another such row, and a row for each bowl. */
export const TOLD: readonly ToldRecipe[] = readdirSync(FOLDER)
  .filter((f) => f.endsWith('.txt'))
  .sort()
  .map((f): ToldRecipe => {
    const [title, text, bowls, ...more] = readFileSync(join(FOLDER, f), 'utf8').split(RULE);
    if (title === undefined || text === undefined || bowls === undefined || more.length > 0)
      throw new Error(`${f}: what it is, the text, and its bowls, with rows of four dashes between`);
    return [title, text, bowls.trimEnd().split('\n')];
  });
