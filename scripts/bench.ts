/**
 * Speed, printed as ratios within one run: absolute times of one machine say little about another.
 * Usage: npm run bench
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { COMPONENTS } from '../src/core/composition/components';
import { analyseSheet } from '../src/core/sheet/analyse';
import { newLine, setLineText } from '../src/core/sheet/edits';
import { matcherFor } from '../src/core/measures/match';
import type { Part, Sheet } from '../src/core/sheet/schema';
import { startingPart } from '../src/core/sheet/starting';
import { settleMethod } from '../src/core/ways/settle';
import { sheetTells } from '../src/core/tells/sheet-tells';
import { CONTEXT, KITCHEN, LARDER, sheetOf } from '../src/testing/sample';

const quantile = (sorted: readonly number[], q: number): number => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

/** Times each of `runs` calls after a warm-up; ms, rising. */
function timed(runs: number, call: (i: number) => unknown): number[] {
  for (let i = 0; i < Math.min(200, runs); i++) call(i);
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    call(i);
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b);
}

const row = (name: string, ...cells: string[]): void => console.log(name.padEnd(58), ...cells.map((c) => c.padStart(14)));

function keystroke(): void {
  const names = LARDER.filter((i) => i.piece === null && (i.densityGPerMl !== null || i.gramsPerUsCup !== null)).slice(0, 19).map((i) => i.name);
  const sheet = sheetOf(['600 g cream 36 %', ...names.map((n, i) => (i % 2 ? `${i + 5} g ${n}` : `1 ${i % 3 ? '1/2 ' : ''}tbsp ${n}`))]);
  const texts = ['600 g cream 36 %', '6', '60', '600', '600 ', '600 g', '600 g c', '600 g cr', '600 g cre', '600 g cream', '600 g cream 4', '600 g cream 40 %'];
  const whole = timed(3000, (i) => {
    const typed = setLineText(sheet, 'cream', 'l1', texts[i % texts.length]!, CONTEXT);
    return sheetTells(analyseSheet(typed, KITCHEN), KITCHEN);
  });
  // The same sums and nothing else: grams times composition, added up in one flat array.
  const flat = Float64Array.from(LARDER.slice(0, 20).flatMap((i) => COMPONENTS.map((c) => i.composition[c])));
  const masses = Float64Array.from({ length: 20 }, (_, i) => 10 + i);
  const out = new Float64Array(COMPONENTS.length);
  const bare = timed(3000, () => {
    out.fill(0);
    for (let i = 0; i < 20; i++) for (let c = 0; c < out.length; c++) out[c]! += (masses[i]! * flat[i * out.length + c]!) / 100;
    return out;
  });
  console.log('\nA keystroke in a sheet of 20 lines: text read, every figure, every tell and its working');
  row('', 'median ms', 'p95 ms');
  row('the whole of it', quantile(whole, 0.5).toFixed(3), quantile(whole, 0.95).toFixed(3));
  row('the same sums in a bare loop', quantile(bare, 0.5).toFixed(4), quantile(bare, 0.95).toFixed(4));
  row('ratio', (quantile(whole, 0.5) / quantile(bare, 0.5)).toFixed(0), (quantile(whole, 0.95) / quantile(bare, 0.95)).toFixed(0));
  row('p95 as a share of the 4 ms allowed', '', (quantile(whole, 0.95) / 4).toFixed(2));
}

/** A dessert of twelve parts and 120 lines, each part taking from the one before. */
function largeSheet(): Sheet {
  const names = LARDER.filter((i) => i.piece === null && (i.densityGPerMl !== null || i.gramsPerUsCup !== null)).map((i) => i.name);
  const kinds = ['whipped-cream', 'custard', 'set-filling', 'cheese-cream', 'fruit-base', 'chocolate-base', 'egg-foam', 'soak', 'pressed-base', 'meringue', 'topping', 'crown'] as const;
  const parts: Part[] = [];
  kinds.forEach((kind, n) => {
    const part = { ...startingPart(`p${n}`, kind, 'planetary'), name: `Part ${n + 1}` };
    const lines = Array.from({ length: 10 }, (_, i) => (i === 9 && n > 0 ? `1/4 of the part ${n}` : i === 0 ? '300 g cream 36 %' : `${i % 2 ? `${i + 7} g` : '1 1/2 tbsp'} ${names[(n * 9 + i) % names.length]!}`));
    parts.push({ ...part, lines: lines.map((text, i) => newLine(`p${n}-${i}`, text, CONTEXT, { parts, partId: part.id })) });
  });
  return settleMethod({ ...sheetOf([]), steps: [], family: 'pudding', parts }, KITCHEN.larder);
}

function largeKeystroke(): void {
  const sheet = largeSheet();
  const texts = ['300 g cream 36 %', '3', '30', '300', '300 ', '300 g', '300 g m', '300 g ma', '300 g mascarp', '300 g mascarpone', '310 g mascarpone', '300 g cream 40 %'];
  const whole = timed(1200, (i) => {
    const typed = setLineText(sheet, 'p0', 'p0-0', texts[i % texts.length]!, CONTEXT);
    return sheetTells(analyseSheet(typed, KITCHEN), KITCHEN);
  });
  const afresh = timed(200, () => {
    // Every line a new object: nothing that was read before is of use.
    const fresh = { ...sheet, parts: sheet.parts.map((p) => ({ ...p, lines: p.lines.map((l) => ({ ...l })) })) };
    return sheetTells(analyseSheet(fresh, KITCHEN), KITCHEN);
  });
  console.log('\nA keystroke in a sheet of 12 parts and 120 lines that take from each other');
  row('', 'median ms', 'p95 ms');
  row('the whole of it: text, method, figures, tells', quantile(whole, 0.5).toFixed(3), quantile(whole, 0.95).toFixed(3));
  row('the same with every line read afresh', quantile(afresh, 0.5).toFixed(3), quantile(afresh, 0.95).toFixed(3));
  row('ratio of afresh to a keystroke', (quantile(afresh, 0.5) / quantile(whole, 0.5)).toFixed(1));
  row('p95 of a keystroke as a share of the 4 ms allowed', '', (quantile(whole, 0.95) / 4).toFixed(2));
}

function search(): void {
  const many = Array.from({ length: 5000 }, (_, i) => {
    const of = LARDER[i % LARDER.length]!;
    return { ...of, id: `${of.id}-${i}`, name: i < LARDER.length ? of.name : `${of.name} number ${i}`, aliases: i < LARDER.length ? of.aliases : [] };
  });
  const queries = ['heavy cream', 'mascarpnoe', 'confectioners sugar', 'gelatine', 'chocolate 70', 'strong brewed coffee', 'dubble creem', 'quux'];
  const matcher = matcherFor(many);
  const fast = timed(400, (i) => matcher.find(queries[i % queries.length]!, 20));
  const plain = timed(400, (i) => many.filter((x) => x.name.toLowerCase().includes(queries[i % queries.length]!)));
  console.log('\nA search over 5 000 ingredients');
  row('', 'median ms', 'p95 ms');
  row('forgiving, ranked', quantile(fast, 0.5).toFixed(3), quantile(fast, 0.95).toFixed(3));
  row('plain containing text, for comparison', quantile(plain, 0.5).toFixed(3), quantile(plain, 0.95).toFixed(3));
  row('p95 as a share of the 20 ms allowed', '', (quantile(fast, 0.95) / 20).toFixed(2));
}

async function serverAndPages(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-bench-'));
  const env = { ...process.env, SOFT_PEAK_PORT: '4397', SOFT_PEAK_DATA: join(folder, 'kitchen.db') };
  spawnSync('node', ['-e', "import('./scripts/prepare.mjs').then((p) => { p.ensureChromium(); p.ensureBuild(); })"], { stdio: 'inherit' });
  spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env });
  const from = performance.now();
  const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  try {
    while (!(await fetch('http://127.0.0.1:4397/sheet/bay-leaf-chantilly/bench').then((r) => r.ok, () => false))) await new Promise((done) => setTimeout(done, 20));
    const started = performance.now() - from;
    console.log('\nFrom starting the server to Bench answered');
    row('ms, and as a share of the 2 s allowed', started.toFixed(0), (started / 2000).toFixed(2));

    console.log('\nScript that a first load brings, gzip');
    row('', 'kB', 'of 250 kB');
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
    for (const path of ['/', '/sheet/bay-leaf-chantilly/bench', '/sheet/bay-leaf-chantilly/whisk', '/log', '/paste', '/larder']) {
      const page = await browser.newPage();
      const scripts: Promise<number>[] = [];
      page.on('response', (r) => {
        if (/\.js(\?|$)/.test(r.url())) scripts.push(r.body().then((b) => gzipSync(b, { level: 6 }).length, () => 0));
      });
      await page.goto(`http://127.0.0.1:4397${path}`, { waitUntil: 'networkidle' });
      const bytes = (await Promise.all(scripts)).reduce((a, b) => a + b, 0);
      row(path, (bytes / 1000).toFixed(1), (bytes / 250_000).toFixed(3));
      await page.close();
    }
    await browser.close();
  } finally {
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}

const { cpus } = await import('node:os');
console.log(`Soft Peak bench: ${cpus().length} × ${cpus()[0]?.model}, Node ${process.version}`);
keystroke();
largeKeystroke();
search();
await serverAndPages();
