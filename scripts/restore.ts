/**
 * Goes back to a copy of the kitchen. Usage: npm run restore -- NAME [--yes]
 * Without --yes it says what differs and changes nothing. The server must be stopped; what stands there now is kept aside.
 */
import { existsSync } from 'node:fs';
import { basename, join } from 'node:path';
import { copiesFolder, goBackTo, holdingsOf, listCopies } from '../src/data/copies';
import { dataFilePath } from '../src/data/data-file-path';

const [wanted, ...flags] = process.argv.slice(2);
const folder = copiesFolder();
const copies = listCopies(folder);
if (!wanted) {
  console.log(
    copies.length === 0
      ? `There is no copy in ${folder}.`
      : `Copies in ${folder}:\n${copies.map((c) => `  ${c.name}`).join('\n')}\nUsage: npm run restore -- NAME [--yes]`,
  );
  process.exit(1);
}
const copy = existsSync(wanted) ? wanted : join(folder, basename(wanted));
if (!existsSync(copy)) {
  console.error(`There is no copy ${wanted} in ${folder}.`);
  process.exit(1);
}
const port = process.env.SOFT_PEAK_PORT ?? '4310';
if (
  await fetch(`http://127.0.0.1:${port}/api/due`).then(
    () => true,
    () => false,
  )
) {
  console.error(`A server answers on port ${port}: stop it first, or it would go on writing into a file that is no longer there.`);
  process.exit(1);
}
const path = dataFilePath();
const then = holdingsOf(copy);
const now = existsSync(path) ? holdingsOf(path) : null;
for (const what of ['sheets', 'batches', 'ingredients', 'services'] as const)
  console.log(`${what.padEnd(12)} ${String(then[what]).padStart(8)} in the copy ${now ? `${String(now[what]).padStart(8)} now` : ''}`);
if (!flags.includes('--yes')) {
  console.log('Nothing was changed. Add --yes to go back to it.');
  process.exit(0);
}
const aside = goBackTo(copy, path, Date.now());
console.log(`${path} is now the kitchen of ${basename(copy)}.${aside ? ` What stood there is ${aside}.` : ''}`);
