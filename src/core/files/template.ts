import type { Outline } from '../vessel/packing/outline';
import type { Plan } from '../vessel/packing/lay';

/** A layer of biscuits at true size, for printing: one document unit is one millimetre. */
const PAPER_EDGE_MM = 6;

const n = (v: number): string => (Math.abs(v) < 5e-4 ? '0' : v.toFixed(3).replace(/\.?0+$/, ''));

/** Half the width and height that a plan's floor takes, mm. */
export const floorHalf = (plan: Plan): readonly [number, number] =>
  plan.floor.kind === 'round' ? [plan.floor.radiusMm, plan.floor.radiusMm] : [plan.floor.lengthMm / 2, plan.floor.widthMm / 2];

const pointsOf = (o: Extract<Outline, { kind: 'polygon' }>): string => o.points.map((p) => `${n(p.x)},${n(p.y)}`).join(' ');

const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** Where a piece's number stands, and how large, mm. */
export function numberPlace(o: Outline): { readonly x: number; readonly y: number; readonly sizeMm: number } {
  if (o.kind === 'round') return { x: o.x, y: o.y, sizeMm: Math.min(7, o.r * 0.6) };
  const xs = o.points.map((p) => p.x);
  const ys = o.points.map((p) => p.y);
  const k = o.points.length;
  return {
    x: xs.reduce((a, b) => a + b, 0) / k,
    y: ys.reduce((a, b) => a + b, 0) / k,
    sizeMm: Math.min(7, 0.5 * Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))),
  };
}

/**
 * The plan as SVG at true size: width and height in mm, the wall, every piece with its number, cut ones dashed, and a rule of 100 mm to check
 * the printer by.
 *
 * @param title stands under the drawing.
 */
export function templateSvg(plan: Plan, title: string): string {
  const [hx, hy] = floorHalf(plan);
  const [w, h] = [2 * (hx + PAPER_EDGE_MM), 2 * (hy + PAPER_EDGE_MM) + 14];
  const floor =
    plan.floor.kind === 'round'
      ? `<circle r="${n(plan.floor.radiusMm)}" class="wall"/>`
      : `<rect x="${n(-hx)}" y="${n(-hy)}" width="${n(2 * hx)}" height="${n(2 * hy)}" rx="${n(plan.floor.cornerMm)}" class="wall"/>`;
  const pieces = plan.pieces.map(({ outline: o, cut }) =>
    o.kind === 'round' ? `<circle cx="${n(o.x)}" cy="${n(o.y)}" r="${n(o.r)}"/>` : `<polygon points="${pointsOf(o)}"${cut ? ' class="cut"' : ''}/>`,
  );
  const numbers = plan.pieces.map((p, i) => {
    const at = numberPlace(p.outline);
    return `<text x="${n(at.x)}" y="${n(at.y + at.sizeMm * 0.35)}" font-size="${n(at.sizeMm)}" text-anchor="middle">${i + 1}</text>`;
  });
  const y = hy + PAPER_EDGE_MM + 4;
  const bar = Math.min(100, 2 * hx);
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(h)}mm" viewBox="${n(-w / 2)} ${n(-hy - PAPER_EDGE_MM)} ${n(w)} ${n(h)}">
<title>${escape(title)}</title>
<style>circle,polygon,rect,path{fill:none;stroke:#000;stroke-width:.3}.wall{stroke-width:.6}.cut{stroke-dasharray:2 1.2}text{font-family:sans-serif}</style>
${floor}
${pieces.join('\n')}
${numbers.join('\n')}
<path d="M${n(-bar / 2)} ${n(y)}h${n(bar)}M${n(-bar / 2)} ${n(y - 1.5)}v3M${n(bar / 2)} ${n(y - 1.5)}v3"/>
<text x="0" y="${n(y + 5)}" font-size="3.4" text-anchor="middle">${escape(title)}; the line above is ${n(bar)} mm</text>
</svg>
`;
}
