/**
 * Which changed programs the tests let through. Usage: npm run mutate [ROOM or FILE] — a room of src/core ('cold', 'heat/solver'), or one
 * file of it; each of its lines is changed in every usual way, and the tests that touch it are run. Survivors are listed with their place;
 * a room below its least share of kills ends with 1.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { ROOT } from './prepare.mjs';

/** Least share of mutants that tests must kill, %. */
const LEAST = 80;

const room = process.argv[2] ?? '';
const path = `src/core/${room}`.replace(/\/$/, '');
if (room === '' || !existsSync(`${ROOT}/${path}`)) {
  console.error(room === '' ? 'Which room? npm run mutate cold' : `There is no ${path}.`);
  process.exit(2);
}
const files = statSync(`${ROOT}/${path}`).isDirectory() ? [`${path}/**/*.ts`, `!${path}/**/*.test.ts`] : [path];
const out = `${ROOT}/test-results/mutants`;
mkdirSync(out, { recursive: true });
const config = `${out}/config.json`;
writeFileSync(
  config,
  JSON.stringify({
    testRunner: 'vitest',
    vitest: { related: true },
    coverageAnalysis: 'perTest',
    mutate: files,
    // A word of a sentence that is changed is no other program.
    mutator: { excludedMutations: ['StringLiteral', 'Regex'] },
    ignoreStatic: true,
    concurrency: 2,
    timeoutMS: 20_000,
    reporters: ['json', 'progress'],
    jsonReporter: { fileName: `${out}/report.json` },
    tempDirName: `${out}/work`,
  }),
);
const run = spawnSync('node', ['node_modules/@stryker-mutator/core/bin/stryker.js', 'run', config], { cwd: ROOT, stdio: 'inherit' });
if (run.status !== 0) process.exit(run.status ?? 1);

const report = JSON.parse(readFileSync(`${out}/report.json`, 'utf8'));
let [killed, lived] = [0, 0];
for (const [file, { mutants, source }] of Object.entries(report.files)) {
  const rows = source.split('\n');
  for (const m of mutants) {
    if (m.status === 'Killed' || m.status === 'Timeout') killed++;
    else if (m.status === 'Survived' || m.status === 'NoCoverage') {
      lived++;
      console.log(
        `${file}:${m.location.start.line} ${m.mutatorName}${m.status === 'NoCoverage' ? ', never run' : ''}\n  ${rows[m.location.start.line - 1].trim().slice(0, 120)}\n  → ${(m.replacement ?? '').replace(/\s+/g, ' ').slice(0, 100)}`,
      );
    }
  }
}
const share = (100 * killed) / Math.max(1, killed + lived);
console.log(`\n${path}: ${killed} of ${killed + lived} killed, ${share.toFixed(1)} %`);
process.exit(share >= LEAST ? 0 : 1);
