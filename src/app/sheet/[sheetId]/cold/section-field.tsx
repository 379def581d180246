'use client';

import { useEffect, useMemo, useRef } from 'react';
import { plainNumber } from '../../../../core/figure';
import { axisIn } from '../../../../ui/units/axis';
import { isotherm, roundValues, valueAt, type SectionField } from '../../../../core/heat/solver/isotherms';
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
  const i = Math.max(
    1,
    RAMP.findIndex((r) => r[0] >= x),
  );
  const [a, b] = [RAMP[i - 1]!, RAMP[i]!];
  const t = (x - a[0]) / (b[0] - a[0]);
  const at = (k: 1 | 2 | 3): number => a[k] + (b[k] - a[k]) * t;
  return `oklch(${at(1).toFixed(3)} ${at(2).toFixed(3)} ${at(3).toFixed(1)})`;
}

/** How warm a colour is: the range of the whole run, so that a colour means the same at every moment. */
function shareIn(view: ColdView, shown: Shown): (value: number) => number {
  if (shown === 'ice') return (value) => 0.5 - value / 2;
  const high = Math.max(...view.curves.core, ...view.curves.edge, view.airC);
  const low = Math.min(...view.curves.edge, ...view.curves.core, view.airC);
  return (value) => (high > low ? (value - low) / (high - low) : 0.5);
}

/** Points across and up for which the field is reckoned; between them the browser smooths. */
const POINTS = { across: 121, up: 96 } as const;
const SHADES = 256;
let shades: Uint8ClampedArray | null = null;

/** Every colour of the ramp as the browser makes it, red green blue and full. */
function ramp(): Uint8ClampedArray {
  if (shades) return shades;
  const strip = document.createElement('canvas');
  [strip.width, strip.height] = [SHADES, 1];
  const ctx = strip.getContext('2d')!;
  for (let i = 0; i < SHADES; i++) {
    ctx.fillStyle = colourAt(i / (SHADES - 1));
    ctx.fillRect(i, 0, 1, 1);
  }
  return (shades = ctx.getImageData(0, 0, SHADES, 1).data);
}

/** The whole section as a small picture. @param shareOfValue where on the ramp a value stands. */
function painted(field: SectionField, halfMm: number, topMm: number, shareOfValue: (value: number) => number): HTMLCanvasElement {
  const small = document.createElement('canvas');
  [small.width, small.height] = [POINTS.across, POINTS.up];
  const ctx = small.getContext('2d')!;
  const image = ctx.createImageData(POINTS.across, POINTS.up);
  const colours = ramp();
  for (let j = 0; j < POINTS.up; j++) {
    const z = topMm * (1 - (j + 0.5) / POINTS.up);
    for (let i = 0; i < POINTS.across; i++) {
      const share = shareOfValue(valueAt(field, halfMm * ((2 * (i + 0.5)) / POINTS.across - 1), z));
      const k = 4 * Math.round(Math.max(0, Math.min(1, share)) * (SHADES - 1));
      image.data.set(colours.subarray(k, k + 4), 4 * (i + POINTS.across * j));
    }
  }
  ctx.putImageData(image, 0, 0);
  return small;
}

interface FieldProps {
  readonly view: ColdView;
  readonly frame: number;
  readonly shown: Shown;
  readonly says: string;
}

/** What the colours mean: the ramp of the whole run with its two ends. */
export function FieldLegend({ view, shown }: { readonly view: ColdView; readonly shown: Shown }) {
  const share = shareIn(view, shown);
  const low = shown === 'ice' ? 0 : Math.min(...view.curves.edge, ...view.curves.core, view.airC);
  const high = shown === 'ice' ? 1 : Math.max(...view.curves.core, ...view.curves.edge, view.airC);
  const stops = Array.from({ length: 13 }, (_, i) => colourAt(share(low + ((high - low) * i) / 12)));
  const says = (v: number): string => (shown === 'ice' ? `${plainNumber(100 * v, 0)}\u00a0%` : `${plainNumber(v, 0)}\u00a0°C`);
  return (
    <div className="col-span-2 mt-1 sm:col-span-1">
      <span aria-hidden="true" className="block h-2.5 rounded-s" style={{ background: `linear-gradient(to right, ${stops.join(', ')})` }} />
      <span className="fig mt-0.5 flex justify-between text-[13px] text-ink-soft">
        <span>{says(low)}</span>
        <span>{says(high)}</span>
      </span>
    </div>
  );
}

/** The section in colour, its right half mirrored, with lines of equal temperature and their labels. */
export function SectionFieldView({ view, frame, shown, says }: FieldProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const now = view.frames[frame] ?? view.frames[0]!;
  const values = shown === 'ice' && now.ice ? now.ice : now.tC;
  const wide = Math.max(...view.halfMm);
  const edge = Math.max(2, wide * 0.04);
  const box = { w: 2 * wide + 2 * edge, h: view.topMm + 2 * edge };
  const field = useMemo((): SectionField => ({ across: view.across, up: view.up, halfMm: view.halfMm, upMm: view.upMm, value: values }), [view, values]);
  useEffect(() => {
    const c = canvas.current;
    const ctx = c?.getContext('2d');
    if (!c || !ctx) return;
    const scale = Math.min(4, 900 / box.w);
    c.width = Math.round(box.w * scale);
    c.height = Math.round(box.h * scale);
    ctx.setTransform(scale, 0, 0, scale, c.width / 2, c.height - edge * scale);
    ctx.clip(new Path2D(outline(view)));
    ctx.imageSmoothingQuality = 'high';
    ctx.drawImage(painted(field, wide, view.topMm, shareIn(view, shown)), -wide, -view.topMm, 2 * wide, view.topMm);
  }, [field, view, shown, wide, box.w, box.h, edge]);
  const lines = useMemo(() => {
    const all = Array.from(field.value);
    // Round on the scale that is read.
    const axis = shown === 'ice' ? axisIn('') : axisIn('°C');
    return roundValues(axis.out(Math.min(...all)), axis.out(Math.max(...all)))
      .map((round) => ({ v: round, stretches: isotherm(field, axis.in(round)) }))
      .filter((l) => l.stretches.length > 0);
  }, [field, shown]);
  const text = Math.max(box.w, box.h) / 34;
  return (
    <div className="relative h-full w-full">
      <canvas ref={canvas} role="img" aria-label={says} className="absolute inset-0 h-full w-full object-contain" />
      <svg
        aria-hidden="true"
        viewBox={`${-box.w / 2} ${-view.topMm - edge} ${box.w} ${box.h}`}
        className="absolute inset-0 h-full w-full"
        fontFamily="var(--font-figure)"
      >
        {lines.map(({ v, stretches }) => {
          const d = stretches
            .map(
              ([x0, z0, x1, z1]) =>
                `M${x0.toFixed(2)} ${(-z0).toFixed(2)}L${x1.toFixed(2)} ${(-z1).toFixed(2)}M${(-x0).toFixed(2)} ${(-z0).toFixed(2)}L${(-x1).toFixed(2)} ${(-z1).toFixed(2)}`,
            )
            .join('');
          // A label stands well inside the wall; a line that has no such place goes without.
          const inside = stretches.filter(([x, z]) => roomAt(view, x, z) > text * 1.4);
          const at = inside[Math.floor(inside.length / 2)];
          return (
            <g key={v}>
              <path d={d} fill="none" stroke="var(--color-ink)" strokeWidth={text / 14} strokeOpacity={0.75} />
              {at && (
                <text
                  x={at[0]}
                  y={-at[1] + text * 0.35}
                  fontSize={text}
                  textAnchor="middle"
                  fill="var(--color-ink)"
                  stroke="var(--color-paper)"
                  strokeWidth={text / 4}
                  paintOrder="stroke"
                  fontWeight={600}
                >
                  {shown === 'ice' ? plainNumber(100 * v, 0) : plainNumber(v, v % 1 === 0 ? 0 : 1)}
                </text>
              )}
            </g>
          );
        })}
        <path d={outline(view)} fill="none" stroke="var(--color-ink)" strokeWidth={text / 8} strokeLinejoin="round" />
      </svg>
    </div>
  );
}

/** How far a point is from wall, foot and top, mm. */
function roomAt(v: ColdView, x: number, z: number): number {
  const row = v.upMm.reduce((best, h, j) => (Math.abs(h - z) < Math.abs(v.upMm[best]! - z) ? j : best), 0);
  return Math.min(v.halfMm[row]! - Math.abs(x), z, v.topMm - z);
}

function outline(v: ColdView): string {
  const first = v.halfMm[0]!;
  const last = v.halfMm.at(-1)!;
  const right = v.halfMm.map((w, j) => [w, v.upMm[j]!] as const);
  const side = (s: number): string[] => right.map(([w, z]) => `${(s * w).toFixed(2)} ${(-z).toFixed(2)}`);
  return `M${-first} 0L${first} 0L${side(1).join('L')}L${last} ${-v.topMm}L${-last} ${-v.topMm}L${side(-1).reverse().join('L')}Z`;
}
