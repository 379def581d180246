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
const SIZE = { name: 12, least: 7.5, date: 9.5, small: 7.6, smallest: 4.5 } as const;

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
    const place = (n + (key === ROLL ? 0 : skip)) % each;
    const [width, height] = [grid.label[0] * PT, grid.label[1] * PT];
    const lines = laidOut(label, width, key === ROLL ? Infinity : height, bold, plain);
    if (key === ROLL) {
      // A roll is cut where the label ends.
      page = pdf.addPage([width, heightOf(lines) + 2 * INSET_MM * PT]);
      paint(page, lines, INSET_MM * PT, page.getHeight() - INSET_MM * PT, width);
      return;
    }
    if (page === null || place === 0) page = pdf.addPage([w * PT, h * PT]);
    const left = grid.edge[0] + (place % grid.across) * grid.pitch[0];
    const top = grid.edge[1] + Math.floor(place / grid.across) * grid.pitch[1];
    paint(page, lines, (left + INSET_MM) * PT, (h - top - INSET_MM) * PT, width);
  });
  if (labels.length === 0) pdf.addPage([w * PT, h * PT]);
  return pdf.save();
}

const ROLL: LabelGridKey = 'roll-62';
/** From one line's foot to the next line's head, of its size. */
const LEADING = 0.22;

/** A line of type, or a rule across. */
type LabelLine = { readonly text: string; readonly font: PDFFont; readonly size: number } | 'rule';

const lineHeight = (l: LabelLine): number => (l === 'rule' ? 4 : l.size * (1 + LEADING));
const heightOf = (lines: readonly LabelLine[]): number => lines.reduce((sum, l) => sum + lineHeight(l), 0);

/** Everything on a label as lines: the name shrinks to its width, what must be said is set smaller before any of it is left out. */
function laidOut(label: TubLabel, width: number, height: number, bold: PDFFont, plain: PDFFont): readonly LabelLine[] {
  const room = width - 2 * INSET_MM * PT;
  const name = asLatin(label.name);
  let size: number = SIZE.name;
  while (size > SIZE.least && bold.widthOfTextAtSize(name, size) > room) size -= 0.5;
  const head: LabelLine[] = [
    ...wrapped(name, bold, size, room)
      .slice(0, 2)
      .map((text) => ({ text, font: bold, size })),
    { text: asLatin(`Made ${label.made}`), font: plain, size: SIZE.date },
    { text: asLatin(`Use by ${label.useBy}`), font: bold, size: SIZE.date },
    'rule',
  ];
  const says = [
    ...label.declares.map((d) => [asLatin(d), bold] as const),
    [asLatin(`${label.storeAt}. ${label.portions} portions. ${label.kitchen}`), plain] as const,
  ];
  const foot = (small: number): LabelLine[] => says.flatMap(([text, font]) => wrapped(text, font, small, room).map((t) => ({ text: t, font, size: small })));
  let small: number = SIZE.small;
  while (small > SIZE.smallest && heightOf([...head, ...foot(small)]) > height - 2 * INSET_MM * PT) small -= 0.2;
  return [...head, ...foot(small)];
}

function paint(page: PDFPage, lines: readonly LabelLine[], x: number, top: number, width: number): void {
  const color = rgb(0, 0, 0);
  let y = top;
  for (const l of lines) {
    if (l === 'rule') page.drawLine({ start: { x, y: y - 1.5 }, end: { x: x + width - 2 * INSET_MM * PT, y: y - 1.5 }, thickness: 0.5, color });
    else page.drawText(l.text, { x, y: y - l.size, size: l.size, font: l.font, color });
    y -= lineHeight(l);
  }
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
