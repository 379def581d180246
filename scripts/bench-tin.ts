/** Tin's part of the bench: what packings come to against the best known, how long laying and choosing take. */
import type { Page } from '@playwright/test';
import { chooseVessels } from '../src/core/tin/choose';
import type { LayAsk } from '../src/core/tin/biscuits';
import { laidAs } from '../src/core/tin/laid-as';
import { BEST_KNOWN_RATIO } from '../src/core/vessel/packing/best-known';
import { hexInRound, ringsInRound, roundsInRound } from '../src/core/vessel/packing/rounds-in-round';
import { KITCHEN } from '../src/testing/sample';

type Row = (name: string, ...cells: string[]) => void;
type Timed = (runs: number, call: (i: number) => unknown) => number[];
const at = (sorted: readonly number[], q: number): number => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

/** Rounds found at the ratio of the best known number, n = 1 … 100. */
export function packing(row: Row): void {
  console.log('\nRounds in a round: found where the best known is n (a lattice alone, rings alone, in brackets)');
  let worst = 0;
  for (let from = 1; from <= 100; from += 10) {
    const cells: string[] = [];
    for (let n = from; n < from + 10; n++) {
      const ratio = BEST_KNOWN_RATIO[n - 1]! * (1 + 1e-6);
      const found = roundsInRound(ratio, 1).length;
      worst = Math.max(worst, n - found);
      cells.push(`${found}(${hexInRound(ratio, 1, 0, 0).length},${ringsInRound(ratio, 1).length})`);
    }
    console.log(`  n ${String(from).padStart(2)}–${from + 9}: ${cells.join(' ')}`);
  }
  row('furthest below the best known (2 allowed)', String(worst));
}

export function laying(row: Row, timed: Timed): void {
  const ask = (change: Partial<LayAsk>): LayAsk => ({
    floor: { kind: 'round', radiusMm: 11.1 * 19 },
    shape: 'round',
    widthMm: 38,
    lengthMm: 38,
    pattern: 'tight',
    cutting: true,
    turned: true,
    ...change,
  });
  console.log('\nA layer laid, gaps broken into, turned against the one below');
  row('', 'median ms', 'p95 ms', 'of allowed');
  const cases: readonly (readonly [string, LayAsk, number])[] = [
    ['100 rounds in a round', ask({}), 15],
    ['100 fingers in a tray', ask({ floor: { kind: 'rect', lengthMm: 640, widthMm: 440, cornerMm: 20 }, shape: 'rect', widthMm: 25, lengthMm: 110 }), 15],
    ['400 rounds in a tray', ask({ floor: { kind: 'rect', lengthMm: 800, widthMm: 700, cornerMm: 20 } }), 80],
    ['400 rounds in a round', ask({ floor: { kind: 'round', radiusMm: 420 } }), 80],
    ['370 rectangles in a tray', ask({ floor: { kind: 'rect', lengthMm: 950, widthMm: 900, cornerMm: 0 }, shape: 'rect', widthMm: 35, lengthMm: 65 }), 80],
    [
      'a steel tray of fingers (27 and 4 cut)',
      ask({ floor: { kind: 'rect', lengthMm: 315, widthMm: 255, cornerMm: 0 }, shape: 'rect', widthMm: 25, lengthMm: 110 }),
      15,
    ],
  ];
  for (const [name, one, allowed] of cases) {
    const times = timed(40, () => laidAs(one));
    row(name, at(times, 0.5).toFixed(1), at(times, 0.95).toFixed(1), (at(times, 0.95) / allowed).toFixed(2));
  }
}

export function choosing(row: Row, timed: Timed): void {
  const shelf = Array.from({ length: 30 }, (_, i) => ({
    id: `v${i}`,
    count: 24,
    vessel: { ...KITCHEN.vessels[i % KITCHEN.vessels.length]!.vessel, name: `v${i}`, heightMm: 50 + 3 * i },
  }));
  const times = timed(100, (i) => chooseVessels(3000 + 40 * i, 12 + (i % 20), 'spoon', shelf));
  console.log('\nVessels chosen for a batch among 30 kinds of 24 each');
  row('median ms, p95 ms, p95 as a share of the 50 ms allowed', at(times, 0.5).toFixed(1), at(times, 0.95).toFixed(1), (at(times, 0.95) / 50).toFixed(2));
}

/** A boundary of the cut dragged up and down for three seconds, the processor four times as slow. */
export async function dragging(page: Page, row: Row): Promise<void> {
  await page.goto('http://127.0.0.1:4397/sheet/pear-icebox/tin', { waitUntil: 'networkidle' });
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.waitForTimeout(1500);
  // As text: what the bench's own build adds to functions is not known in the page. The moves are made in the page, one before each frame.
  const drag = `new Promise((done) => {
    const g = document.querySelector('[role="slider"][aria-label^="Top of Tea cream, layer 3"]');
    const box = g.querySelector('rect').getBoundingClientRect();
    const x = box.left + box.width / 2, y = box.top + box.height / 2;
    const send = (type, dy) => g.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: x, clientY: y + dy, buttons: 1 }));
    g.setPointerCapture = () => {};
    send('pointerdown', 0);
    const from = performance.now(); let frames = 0;
    const step = () => {
      const t = performance.now() - from;
      if (t > 3000) { send('pointerup', 0); done(frames / (t / 1000)); return; }
      frames++;
      send('pointermove', 30 * Math.sin(t / 150));
      requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  })`;
  const still = await page.evaluate<number>(drag.replace("send('pointermove', 30 * Math.sin(t / 150));", ''));
  const dragged = await page.evaluate<number>(drag);
  console.log('\nA boundary of the cut dragged, processor four times as slow');
  row('frames a second, held still and dragged', still.toFixed(1), dragged.toFixed(1));
  row('share of 60 frames a second that never came', `${(100 * Math.max(0, 1 - dragged / 60)).toFixed(1)} %`);
}
