'use client';

import { Chart, Filler, LinearScale, LineController, LineElement, PointElement, type ChartOptions, type Plugin } from 'chart.js';
import { useEffect, useMemo, useRef } from 'react';
import { clockFace, showSecondsRange } from '../../../../core/figure';
import { STAGE_X } from '../../../../core/foam/house';
import { pageTokens, type PageTokens } from '../../../../ui/page-tokens';
import { networkAt, overrunAt, type StopWindow, type Whip } from '../../../../core/foam/whisk';
import { STAGES } from '../../../../core/foam/kinds';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

interface StageChartProps {
  readonly whip: Whip;
  readonly window: StopWindow | null;
  readonly endS: number;
  readonly cursorS: number;
  readonly onCursor: (seconds: number) => void;
  readonly says: string;
  /** The early and late end of its times, as shares of the middle. */
  readonly range: readonly [early: number, late: number];
  /** Where the clock's line lies in the canvas, px, so that the slider below can match it. */
  readonly onClockLine: (left: number, right: number) => void;
}

const POINTS = 160;

/** The network's curve with its house spread, the air, the stop window and the cursor, over the clock. */
export function StageChart({ range: [early, late], whip, window: stop, endS, cursorS, onCursor, says, onClockLine }: StageChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', { x: number; y: number | null }[]> | null>(null);
  const marks = useRef<Marks>({ stop, cursorS, onClockLine, range: [early, late] });

  const series = useMemo(() => {
    const times = Array.from({ length: POINTS + 1 }, (_, i) => (endS * i) / POINTS);
    const curve = (stretch: number) => times.map((t) => ({ x: t, y: 100 * networkAt(whip, t * stretch) }));
    const air = times.map((t) => ({ x: t, y: overrunAt(whip, t) }));
    return { middle: curve(1), early: curve(1 / early), late: curve(1 / late), air };
  }, [whip, endS, early, late]);

  useEffect(() => {
    if (!canvas.current) return;
    const c = pageTokens();
    const made = new Chart(canvas.current, {
      type: 'line',
      data: {
        datasets: [
          { data: [], borderColor: c.ink, borderWidth: 2.5, pointRadius: 0, yAxisID: 'y' },
          { data: [], borderWidth: 0, pointRadius: 0, fill: '+1', backgroundColor: 'oklch(0.26 0.045 255 / 0.10)', yAxisID: 'y' },
          { data: [], borderWidth: 0, pointRadius: 0, yAxisID: 'y' },
          { data: [], borderColor: c.frost, borderWidth: 2, borderDash: [5, 4], pointRadius: 0, yAxisID: 'air' },
        ],
      },
      options: optionsOf(c),
      plugins: [drawMarks(marks, c)],
    });
    chart.current = made;
    // A canvas does not redraw itself when its font arrives.
    void document.fonts.ready.then(() => made.update('none'));
    return () => made.destroy();
  }, []);

  useEffect(() => {
    const made = chart.current;
    if (!made) return;
    const [middle, early, late, air] = made.data.datasets;
    middle!.data = series.middle;
    early!.data = series.early;
    late!.data = series.late;
    air!.data = series.air;
    made.options.scales!.x!.max = endS;
    made.update('none');
  }, [series, endS]);

  useEffect(() => {
    marks.current = { stop, cursorS, onClockLine, range: [early, late] };
    chart.current?.draw();
  }, [cursorS, stop, onClockLine, early, late]);

  const toCursor = (clientX: number) => {
    const made = chart.current;
    if (!made || !canvas.current) return;
    const x = clientX - canvas.current.getBoundingClientRect().left;
    const s = made.scales.x!.getValueForPixel(x) ?? 0;
    onCursor(Math.min(endS, Math.max(0, s)));
  };
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={says}
      className="touch-pan-y"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        toCursor(e.clientX);
      }}
      onPointerMove={(e) => (e.buttons > 0 || e.pointerType === 'mouse') && toCursor(e.clientX)}
    />
  );
}

function optionsOf(c: PageTokens): ChartOptions<'line'> {
  const font = { family: 'Figtree Variable', size: 13 };
  return {
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    parsing: false,
    events: [],
    layout: { padding: { top: 26 } },
    scales: {
      x: {
        type: 'linear',
        min: 0,
        grid: { display: false },
        border: { color: c.soft },
        ticks: { color: c.soft, font, maxTicksLimit: 9, callback: (v) => clockFace(Number(v)) },
        title: { display: true, text: 'minutes under the whisk', color: c.soft, font },
      },
      y: {
        min: 0,
        max: 100,
        grid: { color: c.steel },
        border: { display: false },
        afterBuildTicks: (axis) => {
          axis.ticks = STAGES.map((s) => ({ value: 100 * STAGE_X[s] }));
        },
        ticks: { color: c.ink, font, autoSkip: false, callback: (v) => STAGES.find((s) => Math.abs(100 * STAGE_X[s] - Number(v)) < 0.01) ?? '' },
      },
      air: {
        position: 'right',
        min: 0,
        suggestedMax: 120,
        grid: { display: false },
        border: { display: false },
        ticks: { color: c.frost, font, maxTicksLimit: 5, callback: (v) => `${v}\u00a0%` },
        title: { display: true, text: 'air', color: c.frost, font },
      },
    },
  };
}

interface Marks extends Pick<StageChartProps, 'cursorS' | 'onClockLine' | 'range'> {
  readonly stop: StopWindow | null;
}

function drawMarks(marks: { current: Marks }, c: PageTokens): Plugin<'line'> {
  return {
    id: 'marks',
    afterLayout: ({ chartArea: a, width }) => marks.current.onClockLine(a.left, width - a.right),
    beforeDatasetsDraw: ({ ctx, chartArea: a, scales }) => {
      const { stop, range } = marks.current;
      if (!stop) return;
      const from = scales.x!.getPixelForValue(stop.opensS);
      const to = Math.min(a.right, stop.closesS === null ? a.right : scales.x!.getPixelForValue(stop.closesS));
      ctx.save();
      ctx.fillStyle = c.yolk;
      ctx.globalAlpha = 0.32;
      ctx.fillRect(from, a.top, to - from, a.bottom - a.top);
      ctx.globalAlpha = 1;
      ctx.fillRect(from, a.top - 4, to - from, 4);
      ctx.fillStyle = c.ink;
      ctx.font = '600 13px "Figtree Variable"';
      ctx.textAlign = 'center';
      const words =
        stop.closesS === null
          ? 'stop from here'
          : `stop: ${showSecondsRange(range[0] * (stop.closesS - stop.opensS), range[1] * (stop.closesS - stop.opensS))}`;
      const half = ctx.measureText(words).width / 2;
      ctx.fillText(words, Math.min(a.right - half, Math.max(a.left + half, (from + to) / 2)), a.top - 10);
      ctx.restore();
    },
    afterDatasetsDraw: ({ ctx, chartArea: a, scales }) => {
      const x = scales.x!.getPixelForValue(marks.current.cursorS);
      ctx.save();
      ctx.strokeStyle = c.ink;
      ctx.lineWidth = 1.5;
      ctx.beginPath();
      ctx.moveTo(x, a.top);
      ctx.lineTo(x, a.bottom);
      ctx.stroke();
      ctx.restore();
    },
  };
}
