/**
 * Everything that must hold: types, lint, the code's form, unit tests, a short torture of the server, end-to-end stories in Chromium. Installs what is missing on a fresh
 * clone. Ends with one plain line of totals; exits 1 when anything failed.
 */
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { ensureBuild, ensureChromium, ensurePackages, ENV, ROOT, run } from './prepare.mjs';

ensurePackages();

let passed = 0;
let failed = 0;

function check(name, args) {
  console.log(`\n${name}`);
  const good = run('node', args) === 0;
  if (good) passed++;
  else failed++;
  console.log(`${name}: ${good ? 'holds' : 'does not hold'}`);
}

/** Runs a test runner with its output shown as it comes, and counts what it says in JSON. */
function count(name, args, file, totals) {
  console.log(`\n${name}`);
  rmSync(file.path, { force: true });
  const report = spawnSync('node', args, { cwd: ROOT, env: { ...ENV, ...file.env }, stdio: ['ignore', 'inherit', 'inherit'] });
  try {
    const [good, bad] = totals(JSON.parse(readFileSync(file.path, 'utf8')));
    passed += good;
    failed += bad;
    if (report.status !== 0 && bad === 0) failed++;
  } catch {
    console.error(`${name} ended without a report (exit ${report.status}).`);
    failed++;
  }
}

check('Types', ['node_modules/typescript/bin/tsc', '--noEmit']);
check('Lint', ['node_modules/eslint/bin/eslint.js', '.']);
check('Form', ['node_modules/prettier/bin/prettier.cjs', '--check', '.']);
count(
  'Unit tests',
  ['node_modules/vitest/vitest.mjs', 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  { path: `${ROOT}/test-results/unit.json`, env: {} },
  (r) => [r.numPassedTests, r.numFailedTests + r.testResults.filter((t) => t.status === 'failed' && t.assertionResults.length === 0).length],
);
ensureChromium();
ensureBuild();
check('Torture, short', ['node_modules/tsx/dist/cli.mjs', 'scripts/torture.ts', '--short']);
count(
  'End-to-end stories',
  ['node_modules/@playwright/test/cli.js', 'test', '--reporter=list,json'],
  { path: `${ROOT}/test-results-stories.json`, env: { PLAYWRIGHT_JSON_OUTPUT_NAME: `${ROOT}/test-results-stories.json` } },
  (r) => {
    if (r.stats.flaky > 0) console.log(`${r.stats.flaky} of the stories passed only at their second run`);
    return [r.stats.expected + r.stats.flaky, r.stats.unexpected];
  },
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
