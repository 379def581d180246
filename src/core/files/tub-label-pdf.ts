import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { asLatin } from './latin';
import type { LabelGridKey } from './label-sizes';
import type { TubLabel } from './tub-label';

const PT = 72 / 25.4;

/** A sheet of labels or a roll, mm. */
interface LabelGrid {
  readonly paper: readonly [widthMm: number, heightMm: number];
  readonly across: number;
  readonly down: number;
  readonly label: readonly [widthMm: number, heightMm: number];
  /** From the paper's upper left corner to the first label. */
  readonly edge: readonly [leftMm: number, topMm: number];
  /** From one label's edge to the next one's. */
  readonly pitch: readonly [acrossMm: number, downMm: number];
}

/** Grids that stationers sell, by their sizes; a roll is a page for each label. */
export const LABEL_GRIDS: Readonly<Record<LabelGridKey, LabelGrid>> = {
  'a4-21': { paper: [210, 297], across: 3, down: 7, label: [63.5, 38.1], edge: [7.2, 15.1], pitch: [66, 38.1] },
  'a4-14': { paper: [210, 297], across: 2, down: 7, label: [99.1, 38.1], edge: [4.7, 15.1], pitch: [101.6, 38.1] },
  'letter-10': { paper: [215.9, 279.4], across: 2, down: 5, label: [101.6, 50.8], edge: [4, 12.7], pitch: [106.3, 50.8] },
  'roll-62': { paper: [62, 44], across: 1, down: 1, label: [62, 44], edge: [0, 0], pitch: [62, 44] },
};

const INSET_MM = 3;
/** Type on a label, pt: name, dates, the rest; the name shrinks before it is cut. */
const SIZE = { name: 12, least: 7.5, date: 9.5, small: 7.6 } as const;

/**
 * Labels as PDF at true size, on as many sheets as they take.
 * @param skip so many places on the first sheet are used up already.
 */
export async function tubLabelPdf(labels: readonly TubLabel[], key: LabelGridKey, skip = 0): Promise<Uint8Array> {
  const grid = LABEL_GRIDS[key];
  const pdf = await PDFDocument.create();
  pdf.setTitle('Labels');
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const each = grid.across * grid.down;
  const [w, h] = grid.paper;
  let page: PDFPage | null = null;
  labels.forEach((label, n) => {
    const place = (n + skip) % each;
    if (page === null || place === 0) page = pdf.addPage([w * PT, h * PT]);
    const left = grid.edge[0] + (place % grid.across) * grid.pitch[0];
    const top = grid.edge[1] + Math.floor(place / grid.across) * grid.pitch[1];
    draw(page, label, { left: left * PT, top: (h - top) * PT, width: grid.label[0] * PT, height: grid.label[1] * PT }, bold, plain);
  });
  if (labels.length === 0) pdf.addPage([w * PT, h * PT]);
  return pdf.save();
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

function draw(page: PDFPage, label: TubLabel, box: Box, bold: PDFFont, plain: PDFFont): void {
  const ink = rgb(0, 0, 0);
  const x = box.left + INSET_MM * PT;
  const room = box.width - 2 * INSET_MM * PT;
  const floor = box.top - box.height + INSET_MM * PT * 0.7;
  let y = box.top - INSET_MM * PT;
  const write = (text: string, font: PDFFont, size: number): void => {
    y -= size;
    page.drawText(text, { x, y, size, font, color: ink });
    y -= size * 0.22;
  };
  const name = asLatin(label.name);
  let size: number = SIZE.name;
  while (size > SIZE.least && bold.widthOfTextAtSize(name, size) > room) size -= 0.5;
  for (const line of wrapped(name, bold, size, room).slice(0, 2)) write(line, bold, size);
  y -= 1.5;
  write(asLatin(`Made ${label.made}`), plain, SIZE.date);
  write(asLatin(`Use by ${label.useBy}`), bold, SIZE.date);
  page.drawLine({ start: { x, y: y - 0.5 }, end: { x: x + room, y: y - 0.5 }, thickness: 0.5, color: ink });
  y -= 2;
  const foot = asLatin(`${label.storeAt}. ${label.kitchen}`);
  const lines = [...label.declares, foot].flatMap((d) => wrapped(asLatin(d), plain, SIZE.small, room));
  // What must be said is set smaller before any of it is left out.
  let small: number = SIZE.small;
  while (small > 4.5 && y - lines.length * small * 1.22 < floor) small -= 0.2;
  for (const d of [...label.declares.map((t) => [t, bold] as const), [foot, plain] as const]) for (const line of wrapped(asLatin(d[0]), d[1], small, room)) write(line, d[1], small);
}

/** Words on lines no wider than there is room. */
function wrapped(text: string, font: PDFFont, size: number, room: number): readonly string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && font.widthOfTextAtSize(`${last} ${word}`, size) <= room) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
