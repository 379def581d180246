/** A small picture of curves for the documents: plain SVG, so that it can be compared as text. */
export interface PlotLine {
  readonly name: string;
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly dashed?: boolean;
}

interface PlotProps {
  readonly title: string;
  readonly x: string;
  readonly y: string;
  readonly lines: readonly PlotLine[];
  /** A house figure's spread around the first line, relative. */
  readonly spread?: number;
}

const [W, H, LEFT, RIGHT, TOP, BOTTOM] = [640, 340, 64, 18, 16, 48];
const INK = '#1c2a40';
const SOFT = '#56617a';

/** Steps of 1, 2 or 5 that cut a range into about five. */
function ticks(from: number, to: number): readonly number[] {
  const raw = (to - from) / 5;
  const size = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((k) => k * size).find((s) => s >= raw) ?? size;
  const found: number[] = [];
  for (let v = Math.ceil(from / step) * step; v <= to + 1e-9 * step; v += step) found.push(Number(v.toFixed(10)));
  return found;
}

/** Draws lines over their common range; the first with its spread as a band. */
export function plot({ title, x, y, lines, spread }: PlotProps): string {
  const xs = lines.flatMap((l) => l.points.map((p) => p[0]));
  const ys = lines.flatMap((l) => l.points.map((p) => p[1]));
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [y0, y1] = [Math.min(0, ...ys), Math.max(...ys) * (1 + (spread ?? 0.04))];
  const px = (v: number): number => LEFT + ((v - x0) / (x1 - x0)) * (W - LEFT - RIGHT);
  const py = (v: number): number => H - BOTTOM - ((v - y0) / (y1 - y0)) * (H - TOP - BOTTOM);
  const at = ([a, b]: readonly [number, number]): string => `${px(a).toFixed(1)},${py(b).toFixed(1)}`;
  const path = (points: readonly (readonly [number, number])[]): string => points.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p)}`).join('');
  const first = lines[0]!.points;
  const band =
    spread === undefined
      ? ''
      : `<path d="${path([...first.map(([a, b]) => [a, b * (1 + spread)] as const), ...[...first].reverse().map(([a, b]) => [a, b / (1 + spread)] as const)])}Z" fill="${INK}" fill-opacity="0.1"/>`;
  const grid = [
    ...ticks(x0, x1).map(
      (v) =>
        `<line x1="${px(v).toFixed(1)}" x2="${px(v).toFixed(1)}" y1="${TOP}" y2="${H - BOTTOM}" stroke="#dde3e8"/><text x="${px(v).toFixed(1)}" y="${H - BOTTOM + 17}" text-anchor="middle">${v}</text>`,
    ),
    ...ticks(y0, y1).map(
      (v) =>
        `<line x1="${LEFT}" x2="${W - RIGHT}" y1="${py(v).toFixed(1)}" y2="${py(v).toFixed(1)}" stroke="#dde3e8"/><text x="${LEFT - 8}" y="${(py(v) + 4).toFixed(1)}" text-anchor="end">${v}</text>`,
    ),
  ].join('');
  const curves = lines
    .map((l, i) => {
      const end = l.points.at(-1)!;
      const label =
        lines.length > 1 ? `<text x="${(px(end[0]) - 6).toFixed(1)}" y="${(py(end[1]) - 7).toFixed(1)}" text-anchor="end" fill="${INK}">${l.name}</text>` : '';
      return `<path d="${path(l.points)}" fill="none" stroke="${INK}" stroke-width="${i === 0 ? 2.5 : 1.8}"${l.dashed ? ' stroke-dasharray="6 4"' : ''}/>${label}`;
    })
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" width="${W}" height="${H}" font-family="sans-serif" font-size="12" fill="${SOFT}" role="img" aria-label="${title}"><rect width="${W}" height="${H}" fill="#ffffff"/>${grid}${band}${curves}<text x="${(LEFT + W - RIGHT) / 2}" y="${H - 8}" text-anchor="middle">${x}</text><text transform="translate(16 ${(TOP + H - BOTTOM) / 2}) rotate(-90)" text-anchor="middle">${y}</text></svg>\n`;
}
