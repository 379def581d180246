'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type Plugin } from 'chart.js';
import { useEffect, useRef } from 'react';
import { inShownUnits } from '../core/measures/shown';
import { unitsHere } from '../core/measures/shown-here';
import { pageTokens, type PageTokens } from './page-tokens';
import { axisIn } from './units/axis';

Chart.register(LineController, LineElement, PointElement, LinearScale);

export interface ChartPoint {
  readonly x: number;
  readonly y: number | null;
}

interface LineChartProps {
  readonly points: readonly ChartPoint[];
  readonly xName: string;
  readonly yName: string;
  /** What is right on the upright axis. */
  readonly band?: readonly [low: number, high: number] | null;
  /** How far the curve may be off, point by point: shaded. */
  readonly spread?: readonly { readonly x: number; readonly low: number; readonly high: number }[] | null;
  /** A stretch of the lying axis, with a word for it. */
  readonly span?: { readonly from: number; readonly to: number; readonly says: string } | null;
  /** Where it stands now. */
  readonly now?: ChartPoint | null;
  /** Each point is an answer of its own, shown as a dot. */
  readonly dots?: boolean;
  readonly says: string;
  readonly onPoint?: (x: number) => void;
}

type Drawn = Required<Pick<LineChartProps, 'points' | 'xName' | 'yName' | 'band' | 'span' | 'now' | 'spread'>>;

function onShownAxes({ points, xName, yName, band, span, now, spread }: Drawn): Drawn {
  const [x, y] = [axisIn(xName), axisIn(yName)];
  const at = (p: ChartPoint): ChartPoint => ({ x: x.out(p.x), y: p.y === null ? null : y.out(p.y) });
  return {
    points: points.map(at),
    xName: x.name,
    yName: y.name,
    band: band && [y.out(band[0]), y.out(band[1])],
    span: span && { from: x.out(span.from), to: x.out(span.to), says: inShownUnits(span.says, unitsHere()) },
    now: now && at(now),
    spread: spread && spread.map((p) => ({ x: x.out(p.x), low: y.out(p.low), high: y.out(p.high) })),
  };
}

interface Marks {
  readonly band: LineChartProps['band'];
  readonly span: LineChartProps['span'];
  readonly now: LineChartProps['now'];
  readonly spread: Drawn['spread'];
}

/** One curve over a plain field: its band shaded, the present point marked. Its axes are in the kitchen's units. */
export function LineChart({ points, xName, yName, band = null, span = null, now = null, spread = null, dots = false, says, onPoint }: LineChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', { x: number; y: number | null }[]> | null>(null);
  const marks = useRef<Marks>({ band: null, span: null, now: null, spread: null });

  useEffect(() => {
    if (!canvas.current) return;
    const c = pageTokens();
    const font = { family: 'Figtree Variable', size: 13 };
    const axis = (name: string) => ({
      type: 'linear' as const,
      title: { display: true, text: name, color: c.soft, font },
      ticks: { color: c.soft, font, maxTicksLimit: 7, includeBounds: false },
      grid: { color: c.steel },
      border: { color: c.steel },
    });
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [{ data: [], borderColor: c.ink, borderWidth: 2.5, pointRadius: 0, spanGaps: false }] },
      options: {
        animation: false,
        maintainAspectRatio: false,
        responsive: true,
        events: [],
        scales: { x: axis(''), y: axis('') },
        plugins: { legend: { display: false }, tooltip: { enabled: false } },
      },
      plugins: [drawMarks(marks, c)],
    });
    chart.current = made;
    void document.fonts.ready.then(() => made.update('none'));
    return () => made.destroy();
  }, []);

  useEffect(() => {
    const made = chart.current;
    if (!made) return;
    const shown = onShownAxes({ points, xName, yName, band, span, now, spread });
    marks.current = shown;
    const set = made.data.datasets[0]!;
    set.data = shown.points.map((p) => ({ x: p.x, y: p.y }));
    set.pointRadius = dots ? 3.5 : 0;
    set.pointBackgroundColor = set.borderColor as string;
    const { x, y } = made.options.scales as { x: ScaleOptions; y: ScaleOptions };
    x.title.text = shown.xName;
    y.title.text = shown.yName;
    const xs = shown.points.map((p) => p.x);
    if (xs.length > 1) [x.min, x.max] = [Math.min(...xs), Math.max(...xs)];
    const ys = [...shown.points.flatMap((p) => (p.y === null ? [] : [p.y])), ...(shown.spread ?? []).flatMap((p) => [p.low, p.high])];
    if (ys.length > 0) {
      const [low, high] = [Math.min(...ys, ...(shown.now?.y == null ? [] : [shown.now.y])), Math.max(...ys, ...(shown.now?.y == null ? [] : [shown.now.y]))];
      const room = 0.08 * (high - low || Math.abs(high) || 1);
      [y.min, y.max] = [low >= 0 && low - room < 0 ? 0 : low - room, high + room];
    }
    made.update('none');
  }, [points, xName, yName, band, span, now, spread, dots]);

  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={says}
      className={onPoint ? 'cursor-crosshair touch-pan-y' : 'touch-pan-y'}
      onPointerDown={(e) => {
        const made = chart.current;
        if (!onPoint || !made || !canvas.current) return;
        onPoint(axisIn(xName).in(made.scales.x!.getValueForPixel(e.clientX - canvas.current.getBoundingClientRect().left) ?? 0));
      }}
    />
  );
}

interface ScaleOptions {
  title: { text: string };
  min?: number;
  max?: number;
}

/** The band, the span and the present point, on the chart's own scales. */
function drawMarks(marks: { readonly current: Marks }, c: PageTokens): Plugin<'line'> {
  return {
    id: 'marks',
    beforeDatasetsDraw(chart) {
      const { ctx, chartArea: area, scales } = chart;
      const { band, span, spread } = marks.current;
      ctx.save();
      ctx.beginPath();
      ctx.rect(area.left, area.top, area.right - area.left, area.bottom - area.top);
      ctx.clip();
      ctx.globalAlpha = 0.16;
      ctx.fillStyle = c.fern;
      if (band) {
        const [top, bottom] = [scales.y!.getPixelForValue(band[1]), scales.y!.getPixelForValue(band[0])];
        ctx.fillRect(area.left, top, area.right - area.left, bottom - top);
      }
      if (spread && spread.length > 1) {
        const at = (p: { readonly x: number }, v: number): readonly [number, number] => [scales.x!.getPixelForValue(p.x), scales.y!.getPixelForValue(v)];
        ctx.globalAlpha = 0.12;
        ctx.fillStyle = c.ink;
        ctx.beginPath();
        for (const p of spread) ctx.lineTo(...at(p, p.high));
        for (const p of spread.toReversed()) ctx.lineTo(...at(p, p.low));
        ctx.closePath();
        ctx.fill();
        ctx.globalAlpha = 0.16;
        ctx.fillStyle = c.fern;
      }
      if (span) {
        const [left, right] = [scales.x!.getPixelForValue(span.from), scales.x!.getPixelForValue(span.to)].sort((a, b) => a - b) as [number, number];
        ctx.fillRect(left, area.top, right - left, area.bottom - area.top);
        ctx.globalAlpha = 1;
        ctx.fillStyle = c.fernInk;
        ctx.font = "13px 'Figtree Variable'";
        ctx.textAlign = 'center';
        ctx.fillText(span.says, (left + right) / 2, area.bottom - 10);
      }
      ctx.restore();
    },
    afterDatasetsDraw(chart) {
      const { ctx, chartArea: area, scales } = chart;
      const { now } = marks.current;
      if (!now || now.y === null) return;
      const [x, y] = [scales.x!.getPixelForValue(now.x), scales.y!.getPixelForValue(now.y)];
      if (x < area.left - 1 || x > area.right + 1) return;
      ctx.save();
      ctx.strokeStyle = c.ink;
      ctx.setLineDash([3, 4]);
      ctx.beginPath();
      ctx.moveTo(x, area.bottom);
      ctx.lineTo(x, y);
      ctx.lineTo(area.left, y);
      ctx.stroke();
      ctx.setLineDash([]);
      ctx.fillStyle = c.yolk;
      ctx.lineWidth = 2;
      ctx.beginPath();
      ctx.arc(x, y, 6.5, 0, 2 * Math.PI);
      ctx.fill();
      ctx.stroke();
      ctx.restore();
    },
  };
}
