import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { Plan } from '../vessel/packing/lay';
import { asLatin } from './latin';
import { floorHalf, numberPlace } from './template';

/** Paper in mm. */
export const PAPERS = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type Paper = keyof typeof PAPERS;

const PT = 72 / 25.4;
/** What a printer leaves white, and what two sheets share so that they can be glued, mm. */
const EDGE_MM = 10;
const LAP_MM = 10;
const FOOT_MM = 9;

/** How many sheets of paper a drawing takes across and down. */
export function sheetsNeeded(widthMm: number, heightMm: number, paper: Paper): readonly [number, number] {
  const [w, h] = PAPERS[paper];
  const fit = (length: number, room: number): number => (length <= room ? 1 : Math.ceil((length - LAP_MM) / (room - LAP_MM)));
  return [fit(widthMm, w - 2 * EDGE_MM), fit(heightMm, h - 2 * EDGE_MM - FOOT_MM)];
}

/**
 * The plan as PDF at true size (print at 100 %), over as many sheets as it needs; each says where it belongs and has a rule of 100 mm.
 *
 * @param title stands at the foot of each sheet; characters that the built-in font lacks become '?'.
 */
export async function templatePdf(plan: Plan, title: string, paper: Paper): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const words = asLatin(title);
  const [hx, hy] = floorHalf(plan);
  const [nx, ny] = sheetsNeeded(2 * hx + 2, 2 * hy + 2, paper);
  const [w, h] = PAPERS[paper];
  const roomX = w - 2 * EDGE_MM;
  const roomY = h - 2 * EDGE_MM - FOOT_MM;
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const page = pdf.addPage([w * PT, h * PT]);
      // The middle of the drawing on this sheet, mm from its lower left corner.
      const cx = EDGE_MM + (nx === 1 ? roomX / 2 : hx + 1 - i * (roomX - LAP_MM));
      const cy = EDGE_MM + FOOT_MM + (ny === 1 ? roomY / 2 : roomY - hy - 1 + j * (roomY - LAP_MM));
      draw(page, plan, cx, cy, font);
      whiteEdges(page, w, h);
      foot(page, words, font, nx * ny > 1 ? `sheet ${j * nx + i + 1} of ${nx * ny}: column ${i + 1}, row ${j + 1}; sheets overlap by ${LAP_MM} mm` : '');
    }
  }
  return pdf.save();
}

function draw(page: PDFPage, plan: Plan, cx: number, cy: number, font: PDFFont): void {
  const ink = rgb(0, 0, 0);
  const X = (x: number): number => (cx + x) * PT;
  // A page counts upwards, the plan downwards.
  const Y = (y: number): number => (cy - y) * PT;
  if (plan.floor.kind === 'round') page.drawCircle({ x: X(0), y: Y(0), size: plan.floor.radiusMm * PT, borderWidth: 1.4, borderColor: ink });
  else {
    const { lengthMm: l, widthMm: d, cornerMm: c } = plan.floor;
    const r = (v: number): string => (v * PT).toFixed(3);
    const arc = (x: number, y: number): string => (c > 0 ? `a${r(c)},${r(c)} 0 0 1 ${r(x)},${r(y)}` : '');
    page.drawSvgPath(
      `M${r(c - l / 2)},${r(-d / 2)}h${r(l - 2 * c)}${arc(c, c)}v${r(d - 2 * c)}${arc(-c, c)}h${r(2 * c - l)}${arc(-c, -c)}v${r(2 * c - d)}${arc(c, -c)}z`,
      { x: X(0), y: Y(0), borderWidth: 1.4, borderColor: ink },
    );
  }
  plan.pieces.forEach(({ outline: o, cut }, k) => {
    if (o.kind === 'round') page.drawCircle({ x: X(o.x), y: Y(o.y), size: o.r * PT, borderWidth: 0.7, borderColor: ink });
    else {
      o.points.forEach((p, i) => {
        const q = o.points[(i + 1) % o.points.length]!;
        page.drawLine({ start: { x: X(p.x), y: Y(p.y) }, end: { x: X(q.x), y: Y(q.y) }, thickness: 0.7, color: ink, ...(cut ? { dashArray: [5, 3] } : {}) });
      });
    }
    const at = numberPlace(o);
    const label = `${k + 1}`;
    const size = at.sizeMm * PT;
    page.drawText(label, { x: X(at.x) - font.widthOfTextAtSize(label, size) / 2, y: Y(at.y) - size * 0.35, size, font, color: ink });
  });
}

/** What belongs to the next sheet does not run into the edges of this one. */
function whiteEdges(page: PDFPage, w: number, h: number): void {
  const white = (x: number, y: number, width: number, height: number): void =>
    page.drawRectangle({ x: x * PT, y: y * PT, width: width * PT, height: height * PT, color: rgb(1, 1, 1) });
  white(0, 0, w, EDGE_MM + FOOT_MM);
  white(0, h - EDGE_MM, w, EDGE_MM);
  white(0, 0, EDGE_MM, h);
  white(w - EDGE_MM, 0, EDGE_MM, h);
}

function foot(page: PDFPage, title: string, font: PDFFont, place: string): void {
  const y = (EDGE_MM - 1) * PT;
  const x0 = EDGE_MM * PT;
  const end = x0 + 100 * PT;
  page.drawLine({ start: { x: x0, y: y + 14 }, end: { x: end, y: y + 14 }, thickness: 0.7 });
  for (const x of [x0, end]) page.drawLine({ start: { x, y: y + 10 }, end: { x, y: y + 18 }, thickness: 0.7 });
  page.drawText('100 mm: print at 100 %, not fitted to the page', { x: end + 8, y: y + 11, size: 8, font });
  page.drawText(place ? `${title}; ${place}` : title, { x: x0, y, size: 8, font });
}
