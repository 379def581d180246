/**
 * Which numbers of a room could be a tenth larger without any test seeing it. Usage: npm run tenths ROOM or FILE [-- --sample 30 --seed 7 --near].
 * Every number in a constant at the top of a file (named in capitals, tables included) is made a tenth larger in turn, in memory only, and the
 * room's own tests are run, then, unless --near is said, all that reach the file. Survivors are listed with their place; below the least share ends with 1.
 */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import ts from 'typescript';
import { startVitest } from 'vitest/node';
import { ROOT } from './prepare.mjs';

/** Least share of numbers that tests must see, %. */
const LEAST = 80;
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { sample: { type: 'string' }, seed: { type: 'string', default: '7' }, near: { type: 'boolean', default: false } },
});
const room = positionals[0] ?? '';
const path = `src/core/${room}`.replace(/\/$/, '');
if (room === '' || !existsSync(`${ROOT}/${path}`)) {
  console.error(room === '' ? 'Which room? npm run tenths cold' : `There is no ${path}.`);
  process.exit(2);
}
const folder = statSync(`${ROOT}/${path}`).isDirectory() ? path : path.slice(0, path.lastIndexOf('/'));
const files =
  folder === path
    ? readdirSync(`${ROOT}/${path}`, { recursive: true, encoding: 'utf8' })
        .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
        .map((f) => `${path}/${f}`)
    : [path];

/** The numbers of one file's constants. */
function numbersOf(file) {
  const source = ts.createSourceFile(file, readFileSync(`${ROOT}/${file}`, 'utf8'), ts.ScriptTarget.Latest, true);
  const found = [];
  const walk = (node, name) => {
    if (ts.isNumericLiteral(node) && Number(node.text) !== 0)
      found.push({
        file,
        name,
        at: node.getStart(),
        end: node.getEnd(),
        value: Number(node.text),
        line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
      });
    // What a function of the table does is no number of it.
    else if (!ts.isFunctionLike(node) && !ts.isTypeNode(node)) ts.forEachChild(node, (n) => walk(n, name));
  };
  for (const s of source.statements)
    if (ts.isVariableStatement(s))
      for (const d of s.declarationList.declarations)
        if (d.initializer && ts.isIdentifier(d.name) && /^[A-Z][A-Z0-9_]*$/.test(d.name.text)) walk(d.initializer, d.name.text);
  return found;
}

let all = files.flatMap(numbersOf);
if (values.sample) {
  // A small generator of its own: the same seed takes the same numbers.
  let state = Number(values.seed);
  const next = () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;
  all = all
    .map((n) => [next(), n])
    .sort(([a], [b]) => a - b)
    .slice(0, Number(values.sample))
    .map(([, n]) => n);
}

/** Whether a test fails with one number a tenth larger. */
async function isSeen(n, filters, related) {
  const vitest = await startVitest(
    'test',
    filters,
    { watch: false, bail: 1, reporters: [{}], ...(related ? { related: [`${ROOT}/${n.file}`], passWithNoTests: true } : {}) },
    {
      plugins: [
        {
          name: 'a-tenth-larger',
          enforce: 'pre',
          transform(code, id) {
            return id.split('?')[0] === `${ROOT}/${n.file}` ? { code: `${code.slice(0, n.at)}${String(n.value * 1.1)}${code.slice(n.end)}`, map: null } : null;
          },
        },
      ],
    },
  );
  const failed =
    vitest.state.getCountOfFailedTests() > 0 || vitest.state.getUnhandledErrors().length > 0 || vitest.state.getFiles().some((f) => f.result?.state === 'fail');
  await vitest.close();
  process.exitCode = 0;
  return failed;
}

const lived = [];
for (const n of all) {
  const seen = (await isSeen(n, [`${folder}/`], false)) || (!values.near && (await isSeen(n, [], true)));
  if (!seen) {
    lived.push(n);
    console.log(`${n.file}:${n.line} ${n.name}: ${n.value} could be ${n.value * 1.1}`);
  }
}
const share = (100 * (all.length - lived.length)) / Math.max(1, all.length);
console.log(`\n${path}: ${all.length - lived.length} of ${all.length} seen, ${share.toFixed(1)} %`);
process.exit(share >= LEAST ? 0 : 1);
