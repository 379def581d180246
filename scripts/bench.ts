/**
 * Speed, printed as ratios within one run: absolute times of one machine say little about another.
 * Usage: npm run bench
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser } from '@playwright/test';
import { COMPONENTS } from '../src/core/composition/components';
import { analyseSheet } from '../src/core/analysis/analyse';
import { newLine, setLineText } from '../src/core/editing/edits';
import { matcherFor } from '../src/core/measures/match';
import type { Part, Sheet } from '../src/core/document/schema';
import { startingPart } from '../src/core/editing/starting';
import { settleMethod } from '../src/core/ways/settle';
import { sheetTells } from '../src/core/tells/sheet-tells';
import { goalForm } from '../src/core/balance/figures';
import type { BalanceGoal, BalanceLine, BalanceProblem } from '../src/core/balance/inputs';
import { solveBalance } from '../src/core/balance/solve';
import { sweep } from '../src/core/rewrite/sweep';
import { learningCoverage, liveCalls } from './bench-kitchens';
import { planning, scheduling } from './bench-clock';
import { cold } from './bench-cold';
import { yearsOfLog } from './bench-log';
import { reading } from './bench-reading';
import { trials } from './bench-trials';
import { choosing, dragging, laying, packing } from './bench-tin';
import { CONTEXT, ingredient, KITCHEN, LARDER, sheetOf } from '../src/testing/sample';

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
  const names = LARDER.filter((i) => i.piece === null && (i.densityGPerMl !== null || i.gramsPerUsCup !== null))
    .slice(0, 19)
    .map((i) => i.name);
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
  const kinds = [
    'whipped-cream',
    'custard',
    'set-filling',
    'cheese-cream',
    'fruit-base',
    'chocolate-base',
    'egg-foam',
    'soak',
    'pressed-base',
    'meringue',
    'topping',
    'crown',
  ] as const;
  const parts: Part[] = [];
  kinds.forEach((kind, n) => {
    const part = { ...startingPart(`p${n}`, kind, 'planetary'), name: `Part ${n + 1}` };
    const lines = Array.from({ length: 10 }, (_, i) =>
      i === 9 && n > 0 ? `1/4 of the part ${n}` : i === 0 ? '300 g cream 36 %' : `${i % 2 ? `${i + 7} g` : '1 1/2 tbsp'} ${names[(n * 9 + i) % names.length]!}`,
    );
    parts.push({ ...part, lines: lines.map((text, i) => newLine(`p${n}-${i}`, text, CONTEXT, { parts, partId: part.id })) });
  });
  return settleMethod({ ...sheetOf([]), steps: [], family: 'pudding', parts }, KITCHEN.larder);
}

function largeKeystroke(): void {
  const sheet = largeSheet();
  const texts = [
    '300 g cream 36 %',
    '3',
    '30',
    '300',
    '300 ',
    '300 g',
    '300 g m',
    '300 g ma',
    '300 g mascarp',
    '300 g mascarpone',
    '310 g mascarpone',
    '300 g cream 40 %',
  ];
  const whole = timed(1200, (i) => {
    const typed = setLineText(sheet, 'p0', 'p0-0', texts[i % texts.length]!, CONTEXT);
    return sheetTells(analyseSheet(typed, KITCHEN), KITCHEN);
  });
  const typed = texts.map((text) => setLineText(sheet, 'p0', 'p0-0', text, CONTEXT));
  const figures = timed(1200, (i) => analyseSheet({ ...typed[i % typed.length]! }, KITCHEN));
  const afresh = timed(200, () => {
    // Every line a new object: nothing that was read before is of use.
    const fresh = { ...sheet, parts: sheet.parts.map((p) => ({ ...p, lines: p.lines.map((l) => ({ ...l })) })) };
    return sheetTells(analyseSheet(fresh, KITCHEN), KITCHEN);
  });
  console.log('\nA keystroke in a sheet of 12 parts and 120 lines that take from each other');
  row('', 'median ms', 'p95 ms');
  row('the whole of it: text, method, figures, tells', quantile(whole, 0.5).toFixed(3), quantile(whole, 0.95).toFixed(3));
  row('every figure alone', quantile(figures, 0.5).toFixed(3), quantile(figures, 0.95).toFixed(3));
  row('p95 of every figure as a share of the 4 ms allowed', '', (quantile(figures, 0.95) / 4).toFixed(2));
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

/** Twenty lines, six wishes, whole eggs and half leaves. */
function largeProblem(): BalanceProblem {
  const ids = [
    'cream-36',
    'milk-whole',
    'sugar-caster',
    'egg-yolk',
    'egg-white',
    'mascarpone',
    'gelatin-leaf-gold',
    'chocolate-dark-70',
    'rum-40',
    'honey',
    'butter-82',
    'cream-48',
    'dextrose',
    'egg-whole',
    'water',
    'raspberry',
    'skimmed-milk-powder',
    'corn-starch',
    'glucose-syrup-42',
    'cream-cheese-block',
  ];
  const lines = ids.map((id) => {
    const i = ingredient(id);
    const piece = i.category === 'egg' ? i.piece!.grams : id === 'gelatin-leaf-gold' ? i.piece!.grams / 2 : null;
    return balanceLine(id, piece === null ? 100 : 4 * piece, { stepG: piece, maxG: 400 });
  });
  const wish = (figure: BalanceGoal['figure'], low: number, high: number): BalanceGoal => ({
    figure,
    name: figure,
    low,
    high,
    weight: 1,
    airPct: 80,
    freezerC: -18,
  });
  return {
    lines,
    goals: [wish('fat', 22, 24), wish('sweetness', 15, 17), wish('solids', 40, 42), wish('gelatin', 5, 6), wish('abv', 1, 1.5), wish('ice', 0.2, 0.22)],
    totalG: lines.reduce((sum, l) => sum + l.nowG, 0),
  };
}

const balanceLine = (id: string, nowG: number, rest: Partial<BalanceLine>): BalanceLine => {
  const i = ingredient(id);
  return {
    name: i.name,
    nowG,
    per100: i.composition,
    ownSweetness: i.ownSweetness,
    ownFreezing: i.ownFreezing,
    bloom: i.bloom,
    soakPerG: 0,
    plantCream: false,
    pricePerKg: i.pricePerKg,
    locked: false,
    minG: 0,
    maxG: null,
    stepG: null,
    ...rest,
  };
};

function solving(): void {
  const large = largeProblem();
  const solve = timed(40, () => solveBalance(large));
  // A small case that a grid can search whole.
  const lines = [
    balanceLine('cream-36', 500, { minG: 400, maxG: 600 }),
    balanceLine('mascarpone', 100, { maxG: 200 }),
    balanceLine('sugar-caster', 60, { maxG: 120 }),
  ];
  const goals: BalanceGoal[] = [
    { figure: 'fat', name: 'fat', low: 37, high: 39, weight: 1, airPct: 0, freezerC: -18 },
    { figure: 'sweetness', name: 'sweetness', low: 8, high: 10, weight: 1, airPct: 0, freezerC: -18 },
    { figure: 'cost', name: 'cost', low: 5, high: 5.4, weight: 1, airPct: 0, freezerC: -18 },
  ];
  const small = timed(200, () => solveBalance({ lines, goals, totalG: null }));
  const forms = goals.map((g) => goalForm(g, lines));
  let nearest = Infinity;
  const grid = timed(3, () => {
    nearest = Infinity;
    const x = new Float64Array(3);
    for (let a = 400; a <= 600; a += 2) {
      for (let m = 0; m <= 200; m += 2) {
        for (let s = 0; s <= 120; s += 2) {
          x.set([a, m, s]);
          nearest = Math.min(
            nearest,
            goals.reduce((sum, g, i) => sum + Math.abs(forms[i]!.valueAt(x) - (g.low + g.high) / 2) / ((g.high - g.low) / 2), 0),
          );
        }
      }
    }
    return nearest;
  });
  const found = solveBalance({ lines, goals, totalG: null });
  console.log('\nSolving for what is wished');
  row('', 'median ms', 'p95 ms');
  row('20 lines, 6 wishes, whole eggs and half leaves', quantile(solve, 0.5).toFixed(1), quantile(solve, 0.95).toFixed(1));
  row('p95 as a share of the 100 ms allowed', '', (quantile(solve, 0.95) / 100).toFixed(2));
  row('3 lines, 3 wishes', quantile(small, 0.5).toFixed(2), quantile(small, 0.95).toFixed(2));
  row('a grid of 2 g over the same', quantile(grid, 0.5).toFixed(0), quantile(grid, 0.95).toFixed(0));
  row('ratio of grid to solver', (quantile(grid, 0.5) / quantile(small, 0.5)).toFixed(0));
  row('half-widths from the wishes: solver, grid', found.ok ? found.value.cost.toFixed(3) : '–', nearest.toFixed(3));
}

function sweeping(): void {
  const sheet = sheetOf(
    ['600 g cream 36 %', '150 g mascarpone', '80 g caster sugar', '3 leaves gelatin', '40 g espresso', '20 g rum', '1 tsp vanilla extract'],
    {},
    { use: 'pipe' },
  );
  const swept = timed(60, (i) => sweep(sheet, KITCHEN, { kind: 'line', lineId: 'l1' }, 1 + (i % 3), 900, 200, 'hold'));
  const plain = timed(2000, (i) => {
    let sum = 0;
    for (let k = 0; k < 200; k++) sum += ((k + i) * 36) / (600 + k);
    return sum;
  });
  console.log('\nA sweep of 200 points, every point the whole sheet anew');
  row('', 'median ms', 'p95 ms');
  row('hold against cream, 7 lines', quantile(swept, 0.5).toFixed(1), quantile(swept, 0.95).toFixed(1));
  row('p95 as a share of the 60 ms allowed', '', (quantile(swept, 0.95) / 60).toFixed(2));
  row('ratio to 200 plain sums', (quantile(swept, 0.5) / quantile(plain, 0.5)).toFixed(0));
}

/** The peak while a practice run is whisked, the processor four times as slow: which share of 60 frames a second never came. */
async function animation(browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto('http://127.0.0.1:4397/practise?run=7', { waitUntil: 'networkidle' });
  const client = await page.context().newCDPSession(page);
  // As text: what the bench's own build adds to functions is not known in the page.
  const counting =
    'new Promise((done) => { const from = performance.now(); let n = 0; const count = () => { if (performance.now() - from < 3000) { n++; requestAnimationFrame(count); } else done(n / ((performance.now() - from) / 1000)); }; requestAnimationFrame(count); })';
  const frames = (): Promise<number> => page.evaluate<number>(counting);
  await client.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await client.send('Performance.enable');
  const worked = async (): Promise<number> => (await client.send('Performance.getMetrics')).metrics.find((m) => m.name === 'TaskDuration')!.value * 1000;
  await page.waitForTimeout(3000);
  const still = await frames();
  await page.keyboard.press('Space');
  await page.locator('[data-phase="whisking"]').waitFor();
  const before = await worked();
  const whisking = await frames();
  const perFrame = ((await worked()) - before) / (3 * whisking);
  console.log('\nThe whisk drawn while it runs, processor four times as slow');
  row('frames a second, standing still (the browser’s own most) and whisking', still.toFixed(1), whisking.toFixed(1));
  row('work of a frame, ms, and as a share of the 16.7 ms of 60 a second', perFrame.toFixed(1), (perFrame / 16.7).toFixed(2));
  row('share of 60 frames a second that never came', `${(100 * Math.max(0, 1 - whisking / 60)).toFixed(1)} %`);
  await page.close();
}

async function serverAndPages(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-bench-'));
  const env = { ...process.env, SOFT_PEAK_PORT: '4397', SOFT_PEAK_DATA: join(folder, 'kitchen.db') };
  spawnSync('node', ['-e', "import('./scripts/prepare.mjs').then((p) => { p.ensureChromium(); p.ensureBuild(); })"], { stdio: 'inherit' });
  spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env });
  const from = performance.now();
  const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  try {
    while (
      !(await fetch('http://127.0.0.1:4397/sheet/bay-leaf-chantilly/bench').then(
        (r) => r.ok,
        () => false,
      ))
    )
      await new Promise((done) => setTimeout(done, 20));
    const started = performance.now() - from;
    console.log('\nFrom starting the server to Bench answered');
    row('ms, and as a share of the 2 s allowed', started.toFixed(0), (started / 2000).toFixed(2));

    console.log('\nScript that a first load brings, gzip');
    row('', 'kB', 'of 250 kB');
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
    for (const path of [
      '/',
      '/sheet/bay-leaf-chantilly/bench',
      '/sheet/bay-leaf-chantilly/whisk',
      '/sheet/bay-leaf-chantilly/whisk/live',
      '/sheet/prune-mousse/whisk/fold',
      '/sheet/pear-icebox/tin',
      '/sheet/pear-icebox/tin/above',
      '/sheet/plum-cheesecake/cold',
      '/clock/harbour-dinner',
      '/clock/harbour-dinner/list',
      '/log',
      '/log/learnt',
      '/pass/sample-10',
      '/paste',
      '/larder',
    ]) {
      const page = await browser.newPage();
      const scripts: Promise<number>[] = [];
      page.on('response', (r) => {
        if (/\.js(\?|$)/.test(r.url()))
          scripts.push(
            r.body().then(
              (b) => gzipSync(b, { level: 6 }).length,
              () => 0,
            ),
          );
      });
      await page.goto(`http://127.0.0.1:4397${path}`, { waitUntil: 'load' });
      await page.waitForTimeout(1500);
      const bytes = (await Promise.all(scripts)).reduce((a, b) => a + b, 0);
      row(path, (bytes / 1000).toFixed(1), (bytes / 250_000).toFixed(3));
      await page.close();
    }
    await animation(browser);
    const tin = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await dragging(tin, row);
    await tin.close();
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
solving();
sweeping();
reading(row, timed);
packing(row);
laying(row, timed);
choosing(row, timed);
cold(row, timed);
scheduling(row);
planning(row, timed);
learningCoverage();
trials(row, timed);
liveCalls();
yearsOfLog();
await serverAndPages();
