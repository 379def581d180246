'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type Plugin } from 'chart.js';
import { useEffect, useRef } from 'react';
import type { ColdCurves } from '../../../../core/cold/run';
import { pageTokens } from '../../../../ui/page-tokens';
import { axisIn } from '../../../../ui/units/axis';

Chart.register(LineController, LineElement, PointElement, LinearScale);

interface Moment {
  readonly h: number;
  readonly name: string;
}

interface ChartProps {
  readonly curves: ColdCurves;
  readonly moments: readonly Moment[];
  readonly nowH: number;
  readonly says: string;
  readonly onHour: (h: number) => void;
}

/** Core, mean, edge and air over the hours, with the moments at which it is ready, and the hour that the section shows. */
export function TimeChart({ curves, moments, nowH, says, onHour }: ChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', { x: number; y: number }[]> | null>(null);
  const marks = useRef({ moments, nowH });
  useEffect(() => {
    if (!canvas.current) return;
    const c = pageTokens();
    const font = { family: 'Figtree Variable', size: 13 };
    const axis = (name: string) => ({
      type: 'linear' as const,
      title: { display: true, text: name, color: c.soft, font },
      ticks: { color: c.soft, font, maxTicksLimit: 8 },
      grid: { color: c.steel },
      border: { color: c.steel },
    });
    const line = (width: number, dash: number[] = []) => ({ data: [], borderColor: c.ink, borderWidth: width, borderDash: dash, pointRadius: 0 });
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [line(2.6), line(1.6, [7, 4]), line(1.4, [2, 3]), { ...line(1.4), borderColor: c.soft }] },
      options: {
        animation: false,
        maintainAspectRatio: false,
        responsive: true,
        events: [],
        scales: { x: axis('hours since it went in'), y: axis(axisIn('°C').name) },
        plugins: { legend: { display: false }, tooltip: { enabled: false } },
      },
      plugins: [momentsOf(marks, c.ink, c.yolk)],
    });
    chart.current = made;
    return () => made.destroy();
  }, []);
  useEffect(() => {
    const made = chart.current;
    if (!made) return;
    const end = curves.h.at(-1) ?? 1;
    const degrees = axisIn('°C');
    [curves.core, curves.mean, curves.edge, curves.air].forEach(
      (values, i) => (made.data.datasets[i]!.data = values.map((y, k) => ({ x: curves.h[k]!, y: degrees.out(y) }))),
    );
    const x = made.options.scales!.x as { min?: number; max?: number };
    [x.min, x.max] = [0, Math.max(end, ...moments.map((m) => m.h))];
    marks.current = { moments, nowH };
    made.update('none');
  }, [curves, moments, nowH]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={says}
      className="cursor-crosshair touch-pan-y"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const made = chart.current;
        if (made) onHour(made.scales.x!.getValueForPixel(e.clientX - e.currentTarget.getBoundingClientRect().left) ?? 0);
      }}
      onPointerMove={(e) => {
        const made = chart.current;
        if (made && e.buttons === 1) onHour(made.scales.x!.getValueForPixel(e.clientX - e.currentTarget.getBoundingClientRect().left) ?? 0);
      }}
    />
  );
}

function momentsOf(marks: { readonly current: { readonly moments: readonly Moment[]; readonly nowH: number } }, ink: string, yolk: string): Plugin<'line'> {
  return {
    id: 'moments',
    afterDatasetsDraw(chart) {
      const { ctx, chartArea: area, scales } = chart;
      ctx.save();
      ctx.font = "600 13px 'Figtree Variable'";
      ctx.fillStyle = ink;
      marks.current.moments.forEach((m, i) => {
        const x = scales.x!.getPixelForValue(m.h);
        if (x < area.left || x > area.right + 1) return;
        ctx.strokeStyle = ink;
        ctx.setLineDash([2, 3]);
        ctx.beginPath();
        ctx.moveTo(x, area.top);
        ctx.lineTo(x, area.bottom);
        ctx.stroke();
        const right = x > area.right - 130;
        ctx.textAlign = right ? 'right' : 'left';
        ctx.fillText(m.name, x + (right ? -5 : 5), area.top + 13 + 17 * (i % 3));
      });
      const x = scales.x!.getPixelForValue(marks.current.nowH);
      ctx.setLineDash([]);
      ctx.strokeStyle = yolk;
      ctx.lineWidth = 3;
      ctx.beginPath();
      ctx.moveTo(x, area.top);
      ctx.lineTo(x, area.bottom);
      ctx.stroke();
      ctx.restore();
    },
  };
}
