'use client';

import { useEffect, useMemo, useRef } from 'react';
import { plainNumber } from '../../../../core/figure';
import { isotherm, roundValues, type SectionField } from '../../../../core/heat/solver/isotherms';
import type { ColdView } from '../../../../core/cold/view';

export type Shown = 'temperature' | 'ice';

/** Cold to warm as lightness falls and then rises again: frost, enamel, yolk, beet; ice from cream to frost. */
const RAMP: readonly (readonly [at: number, l: number, c: number, h: number])[] = [
  [0, 0.5, 0.11, 245],
  [0.3, 0.74, 0.08, 230],
  [0.5, 0.96, 0, 230],
  [0.5001, 0.96, 0, 88],
  [0.7, 0.88, 0.1, 88],
  [1, 0.58, 0.16, 30],
];

function colourAt(share: number): string {
  const x = Math.max(0, Math.min(1, share));
  const i = Math.max(1, RAMP.findIndex((r) => r[0] >= x));
  const [a, b] = [RAMP[i - 1]!, RAMP[i]!];
  const t = (x - a[0]) / (b[0] - a[0]);
  const at = (k: 1 | 2 | 3): number => a[k] + (b[k] - a[k]) * t;
  return `oklch(${at(1).toFixed(3)} ${at(2).toFixed(3)} ${at(3).toFixed(1)})`;
}

/** How warm a colour is: the range of the whole run, so that a colour means the same at every moment. */
export function shareOf(view: ColdView, shown: Shown, value: number): number {
  if (shown === 'ice') return 0.5 - value / 2;
  const high = Math.max(...view.curves.core, ...view.curves.edge, view.airC);
  const low = Math.min(...view.curves.edge, ...view.curves.core, view.airC);
  return high > low ? (value - low) / (high - low) : 0.5;
}

interface FieldProps {
  readonly view: ColdView;
  readonly frame: number;
  readonly shown: Shown;
  readonly says: string;
}

/** The section in colour, its right half mirrored, with lines of equal temperature and their labels. */
export function SectionFieldView({ view, frame, shown, says }: FieldProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const now = view.frames[frame] ?? view.frames[0]!;
  const values = shown === 'ice' && now.ice ? now.ice : now.tC;
  const wide = Math.max(...view.halfMm);
  const edge = Math.max(2, wide * 0.04);
  const box = { w: 2 * wide + 2 * edge, h: view.topMm + 2 * edge };
  useEffect(() => {
    const c = canvas.current;
    const ctx = c?.getContext('2d');
    if (!c || !ctx) return;
    const scale = Math.min(4, 900 / box.w);
    c.width = Math.round(box.w * scale);
    c.height = Math.round(box.h * scale);
    ctx.setTransform(scale, 0, 0, -scale, c.width / 2, c.height - edge * scale);
    ctx.clearRect(-box.w, -box.h, 2 * box.w, 2 * box.h);
    for (let j = 0; j < view.up; j++) {
      const below = j === 0 ? 0 : (view.upMm[j - 1]! + view.upMm[j]!) / 2;
      const above = j === view.up - 1 ? view.topMm : (view.upMm[j]! + view.upMm[j + 1]!) / 2;
      const dx = view.halfMm[j]! / view.across;
      for (let i = 0; i < view.across; i++) {
        ctx.fillStyle = colourAt(shareOf(view, shown, values[i + view.across * j]!));
        for (const side of [-1, 1]) ctx.fillRect(side < 0 ? -(i + 1) * dx - 0.05 : i * dx - 0.05, below - 0.05, dx + 0.1, above - below + 0.1);
      }
    }
  }, [view, values, shown, box.w, box.h, edge]);
  const lines = useMemo(() => {
    const field: SectionField = { across: view.across, up: view.up, halfMm: view.halfMm, upMm: view.upMm, value: values };
    const all = Array.from(values);
    return roundValues(Math.min(...all), Math.max(...all)).map((v) => ({ v, stretches: isotherm(field, v) })).filter((l) => l.stretches.length > 0);
  }, [view, values]);
  const text = Math.max(box.w, box.h) / 34;
  return (
    <div className="relative h-full w-full">
      <canvas ref={canvas} role="img" aria-label={says} className="absolute inset-0 h-full w-full object-contain" />
      <svg aria-hidden="true" viewBox={`${-box.w / 2} ${-view.topMm - edge} ${box.w} ${box.h}`} className="absolute inset-0 h-full w-full" fontFamily="var(--font-figure)">
        {lines.map(({ v, stretches }) => {
          const d = stretches.map(([x0, z0, x1, z1]) => `M${x0.toFixed(2)} ${(-z0).toFixed(2)}L${x1.toFixed(2)} ${(-z1).toFixed(2)}M${(-x0).toFixed(2)} ${(-z0).toFixed(2)}L${(-x1).toFixed(2)} ${(-z1).toFixed(2)}`).join('');
          const at = stretches[Math.floor(stretches.length / 2)]!;
          return (
            <g key={v}>
              <path d={d} fill="none" stroke="var(--color-ink)" strokeWidth={text / 14} strokeOpacity={0.75} />
              <text x={at[0]} y={-at[1] + text * 0.35} fontSize={text} textAnchor="middle" fill="var(--color-ink)" stroke="var(--color-paper)" strokeWidth={text / 4} paintOrder="stroke" fontWeight={600}>
                {shown === 'ice' ? plainNumber(100 * v, 0) : plainNumber(v, v % 1 === 0 ? 0 : 1)}
              </text>
            </g>
          );
        })}
        <path d={outline(view)} fill="none" stroke="var(--color-ink)" strokeWidth={text / 8} strokeLinejoin="round" />
      </svg>
    </div>
  );
}

function outline(v: ColdView): string {
  const first = v.halfMm[0]!;
  const last = v.halfMm.at(-1)!;
  const right = v.halfMm.map((w, j) => [w, v.upMm[j]!] as const);
  const side = (s: number): string[] => right.map(([w, z]) => `${(s * w).toFixed(2)} ${(-z).toFixed(2)}`);
  return `M${-first} 0L${first} 0L${side(1).join('L')}L${last} ${-v.topMm}L${-last} ${-v.topMm}L${side(-1).reverse().join('L')}Z`;
}
