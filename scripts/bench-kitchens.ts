/** What the log's learning and the live call are worth, over simulated kitchens and runs; part of `npm run bench`. */
import { LEARNABLE, learn, type Observation } from '../src/core/learning/correction';
import { liveView, startLive, takeSample } from '../src/core/foam/live';
import { practiceRun } from '../src/core/foam/practice';
import { secondsTo, stopWindow } from '../src/core/foam/whisk';
import { STAGE_X } from '../src/core/foam/house';
import { LOAD_HZ, loadSample, usualBench } from '../src/instruments/whisk-load';
import { normalDraw, seededNumbers } from '../src/core/random';

const KITCHENS = 2000;
const RUNS = 1000;

const row = (name: string, ...cells: string[]): void => console.log(name.padEnd(58), ...cells.map((c) => c.padStart(14)));
const share = (n: number, of: number): string => `${((100 * n) / of).toFixed(1)} %`;

/** Kitchens with a true factor of their own and 3–30 noisy batches: how often the stated four in five hold. */
export function learningCoverage(): void {
  console.log(`\nCorrected forecasts over ${KITCHENS} simulated kitchens, 3–30 batches each: how often the 80 % band holds (75–85 % is right)`);
  row('', 'next batch', 'true factor', 'asked about');
  for (const [key, { spread, noise, name }] of Object.entries(LEARNABLE)) {
    const next = seededNumbers(key.length * 7919);
    let [batch, truth, asked, outcomes] = [0, 0, 0, 0];
    for (let k = 0; k < KITCHENS; k++) {
      const own = Math.exp(Math.log(1 + spread) * normalDraw(next));
      const noisy = (): number => own * Math.exp(Math.log(1 + noise) * normalDraw(next));
      const n = 3 + Math.floor(28 * next());
      const seen: Observation[] = Array.from({ length: n }, (_, i) => ({ ratio: noisy(), at: i, batchId: `b${i}`, answer: null }));
      const l = learn(seen, spread, noise);
      const came = noisy();
      if (came >= l.low && came <= l.high) batch++;
      if (own >= l.truth[0] && own <= l.truth[1]) truth++;
      asked += l.asked.length;
      outcomes += n;
    }
    row(name, share(batch, KITCHENS), share(truth, KITCHENS), share(asked, outcomes));
  }
}

/** Simulated whisks with noise, drop-outs, knocks and a lying zero: when the call comes, and how well firm is foreseen. */
export function liveCalls(): void {
  let [before, inside] = [0, 0];
  const errors: number[] = [];
  const byClock: number[] = [];
  const leads: number[] = [];
  const from = performance.now();
  let samples = 0;
  for (let i = 0; i < RUNS; i++) {
    const run = practiceRun(20_000 + i);
    const whip = { ...run.whip, lateRatePerS: run.whip.ratePerS };
    const window = stopWindow(whip, run.input.target)!;
    const pace = Math.exp(Math.log(1.18) * normalDraw(seededNumbers(31 * i + 5)));
    const bench = usualBench(whip, pace, 60_000 + i);
    const f = startLive(whip, run.input.target);
    const [opensS, closesS, firmS] = [window.opensS / pace, window.closesS! / pace, secondsTo(whip, STAGE_X.firm)! / pace];
    let [called, stopped, foreseen]: [number | null, number | null, number | null] = [null, null, null];
    for (let n = 0; n / LOAD_HZ <= Math.max(closesS, firmS); n++) {
      const sample = loadSample(bench, n);
      if (sample) takeSample(f, sample);
      samples++;
      if (n % LOAD_HZ !== 0) continue;
      const t = n / LOAD_HZ;
      const view = liveView(f, t);
      if (called === null && view.phase !== 'whisking') called = t;
      if (stopped === null && view.phase === 'stop') stopped = t;
      if (foreseen === null && t >= (2 / 3) * firmS) foreseen = secondsTo(whip, STAGE_X.firm)! / view.pace.mid;
    }
    if (called !== null && called <= opensS) before++;
    if (stopped !== null && stopped >= opensS && stopped <= closesS) inside++;
    leads.push(opensS - (called ?? Infinity));
    errors.push(Math.abs(foreseen! / firmS - 1));
    byClock.push(Math.abs(pace - 1));
  }
  const ms = performance.now() - from;
  const median = (values: number[]): number => values.toSorted((a, b) => a - b)[values.length >> 1]!;
  console.log(`\nThe live call over ${RUNS} simulated whisks (noise, drop-outs, knocks, a lying zero)`);
  row('the call comes before the window (95 % is asked)', share(before, RUNS));
  row('so long before it, median s', median(leads).toFixed(0));
  row('‘stop’ is said inside the window', share(inside, RUNS));
  row('error of the firm time two thirds in, median (5 % is asked)', `${(100 * median(errors)).toFixed(1)} %`);
  row('the same by the clock alone', `${(100 * median(byClock)).toFixed(1)} %`);
  row('ratio of the two errors', (median(errors) / median(byClock)).toFixed(2));
  row('a sample and its share of a view, as a share of its 250 ms', (ms / samples / (1000 / LOAD_HZ)).toFixed(5));
}
