import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, LARDER } from '../../testing/sample';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { readLarderCsv, writeLarderCsv } from '../larder/larder-csv';
import { matcherFor } from '../measures/match';
import { readRecipe } from '../reading/read';
import { readingToSheet } from '../reading/to-sheet';
import { analyseSheet } from '../analysis/analyse';
import { shownSteps } from '../batch/method';
import { importRecipe } from './import-recipe';
import { SCHEMA_FILES, schemaText } from './schemas';
import { readSheetJson, writeSheetJson } from './sheet-json';
import { FILE_FORMATS, writeSheetFile } from './write';
import { fileName } from './written';

const all = [...LARDER, ...SAMPLE_INGREDIENTS];
const larder = new Map(all.map((i) => [i.id, i]));
const kitchen = { ...KITCHEN, larder };
const context = { larder, matcher: matcherFor(all), measures: CONTEXT.measures };
const docs = SAMPLE_SHEETS.map((s) => sampleDoc(s, context, 'planetary'));
let n = 0;

/** A sheet's file read in again as the paste review would take it without a hand on it. */
function readBack(text: string) {
  const r = importRecipe(text);
  if (!r.ok) throw new Error(r.fault.says);
  if (r.value.kind === 'sheet') return r.value.sheet;
  const read = readRecipe(r.value.text, context, { cups: 'us' });
  if (!read.ok) throw new Error(read.fault.says);
  return readingToSheet(read.value, { context, mixers: kitchen.mixers, vessels: kitchen.vessels, newId: () => `n${n++}` }).sheet;
}
const grams = (s: ReturnType<typeof readBack>) =>
  analyseSheet(s, kitchen).parts.flatMap((a) => a.reading.lines.map((l) => Number((l.read?.massG ?? 0).toFixed(3))));

describe('a sheet’s own file', () => {
  it('comes back exactly, for every sample sheet', () => {
    for (const doc of docs) {
      const back = readSheetJson(writeSheetJson(doc));
      expect(back.ok && back.value).toEqual(doc);
      expect(readBack(writeSheetJson(doc))).toEqual(doc);
    }
  });
  it('that is torn, large, foreign or wrong in one field says so and gives nothing', () => {
    const text = writeSheetJson(docs[0]!);
    const says = (t: string): string => {
      const r = readSheetJson(t);
      return r.ok ? '' : r.fault.says;
    };
    expect(says(text.slice(0, -40))).toContain('cut off');
    expect(says(' '.repeat(5_000_001))).toContain('5 MB');
    expect(says('{"format":"other"}')).toContain('format');
    expect(says(text.replace('"portions": 8', '"portions": -8'))).toContain('portions');
  });
});

describe('a schema.org file', () => {
  it('gives back name, portions, parts, every line with its grams, and every step', () => {
    for (const doc of docs) {
      const file = writeSheetFile('recipe', analyseSheet(doc, kitchen));
      const back = readBack(file.text);
      expect(back.name).toBe(doc.name);
      expect(back.portions).toBe(doc.portions);
      // A list that says itself what is made of what keeps its parts; of others the work makes the parts, and every line is in one.
      const says = doc.parts.some((p) => p.lines.some((l) => l.fromPartId !== null));
      if (says) expect(back.parts.map((p) => p.name)).toEqual(doc.parts.map((p) => p.name));
      const lines = (s: typeof back) => s.parts.flatMap((p) => p.lines.flatMap((l) => (l.fromPartId === null ? [l.text] : []))).sort();
      expect(lines(back)).toEqual(lines(doc));
      if (says) expect(grams(back)).toEqual(grams(doc));
      // A sentence may become several steps; none of its words goes.
      const words = (t: string): readonly string[] => t.toLowerCase().match(/\p{L}{3,}/gu) ?? [];
      const back2 = new Set(words(back.steps.map((x) => `${x.title} ${x.detail}`).join(' ')));
      const shown = shownSteps(analyseSheet(doc, kitchen)).flatMap((x) => words(`${x.title} ${x.detail}`));
      expect(shown.filter((w) => w !== 'and' && w !== 'then' && !back2.has(w) && !back.notes.toLowerCase().includes(w))).toEqual([]);
      expect(file.cannot).toContain('the vessel');
      expect(file.text).not.toMatch(/\{(stage|mixer|time|bowls)\}/);
    }
  });
});

describe('a table of lines', () => {
  it('gives back every line under its part', () => {
    for (const doc of docs) {
      const file = writeSheetFile('lines', analyseSheet(doc, kitchen));
      const back = readBack(file.text);
      expect(back.parts.map((p) => [p.name, p.lines.map((l) => l.text)])).toEqual(doc.parts.map((p) => [p.name, p.lines.map((l) => l.text)]));
      expect(grams(back)).toEqual(grams(doc));
    }
  });
  it('cannot start a sum in a spreadsheet', () => {
    const doc = docs.find((d) => d.parts[0]!.lines.some((l) => l.text.startsWith('=')))!;
    expect(writeSheetFile('lines', analyseSheet(doc, kitchen)).text).not.toMatch(/(^|,)"?=/m);
  });
});

describe('every format', () => {
  it('has a name that every machine takes, and no unit broken from its number', () => {
    for (const doc of docs) {
      for (const { key } of FILE_FORMATS) {
        const file = writeSheetFile(key, analyseSheet(doc, kitchen));
        expect(file.name).toMatch(/^[a-z0-9-]+(\.[a-z]+)+$/);
        expect(file.text.length).toBeGreaterThan(200);
        expect(file.text).not.toContain('NaN');
      }
    }
    expect(fileName('…/../é', 'md')).toBe('e.md');
    expect(fileName('…', 'md')).toBe('sheet.md');
  });
  it('in Markdown lets no mark of the cook’s through', () => {
    const doc = { ...docs[0]!, name: '# *x* <script>' };
    expect(writeSheetFile('markdown', analyseSheet(doc, kitchen)).text).toContain('\\# \\*x\\* \\<script\\>');
  });
});

describe('the documented forms', () => {
  it.each(SCHEMA_FILES.map((f) => [f.name]))('docs/formats/%s is what the code takes', (name) => {
    expect(readFileSync(`docs/formats/${name}`, 'utf8')).toBe(schemaText(name));
  });
});

describe('the larder file', () => {
  it('gives back every ingredient as it was', () => {
    const back = readLarderCsv(writeLarderCsv(all));
    expect(back.ok && back.value.faults).toEqual([]);
    expect(back.ok && back.value.ingredients).toEqual(all);
  });
  it.each([
    ['semicolons, decimal commas, a byte-order mark', (t: string) => `\uFEFF${semicolons(t)}`],
    ['Windows line ends', (t: string) => t.replaceAll('\n', '\r\n')],
    ['tabs', (t: string) => tabs(t)],
  ])('is read with %s', (_name, change) => {
    const few = LARDER.filter((i) => !i.note.includes(';') && !i.note.includes('"')).slice(0, 12);
    const back = readLarderCsv(change(writeLarderCsv(few)));
    expect(back.ok && back.value.ingredients.map((i) => [i.id, i.composition.milk_fat, i.pricePerKg])).toEqual(
      few.map((i) => [i.id, i.composition.milk_fat, i.pricePerKg]),
    );
  });
  it('has no cell that a table program takes for a sum, and reads as it was', () => {
    const hostile = ['=HYPERLINK("x")', '+1+1', '-2+3', '@SUM(A1)', "'=x", "''+y", '\tcmd', 'plain', "'quoted'"].map((name, i) => ({
      ...LARDER[0]!,
      id: `x${i}`,
      name,
      note: name,
      aliases: [name.trim() || 'a'],
      own: true,
    }));
    const text = writeLarderCsv(hostile, new Map([['x1', 7]]));
    const cells = Papa.parse<string[]>(text).data.slice(1).flat();
    expect(cells.filter((c) => /^[=+\-@\t\r]/.test(c) && !/^-?[\d.]+$/.test(c))).toEqual([]);
    const back = readLarderCsv(text);
    if (!back.ok) throw new Error(back.fault.says);
    expect(back.value.ingredients.map((i) => i.note.trim())).toEqual(hostile.map((i) => i.note.trim()));
    expect([...back.value.revisions]).toEqual([['x1', 7]]);
  });
  it('says which row is wrong and takes the others', () => {
    const [head, one, two] = writeLarderCsv(LARDER).split('\n');
    const back = readLarderCsv([head, one, two!.replace(/^[^,]+/, ''), one].join('\n'));
    expect(back.ok && back.value.ingredients).toHaveLength(1);
    expect(back.ok && back.value.faults.map((f) => f.says)).toEqual([expect.stringContaining('row 3'), expect.stringContaining('twice')]);
  });
  it('a row that has slipped, for a comma in a text without quotation marks, is refused and not read with its cells one too far', () => {
    const [head, one, two] = writeLarderCsv(LARDER).split('\n');
    const back = readLarderCsv([head, one!.replace(',', ', chilled,'), two].join('\n'));
    expect(back.ok && back.value.ingredients.map((i) => i.id)).toEqual([LARDER[1]!.id]);
    expect(back.ok && back.value.faults.map((f) => f.says)).toEqual([expect.stringMatching(/^row 2 \(.*quotation marks/)]);
  });
  it('that is none says so', () => {
    for (const text of ['', 'a,b\n1,2', '\u0000\u0001', 'x'.repeat(5_000_001)]) {
      const r = readLarderCsv(text);
      expect(r.ok ? '' : r.fault.says.length).toBeGreaterThan(10);
    }
  });
});

/** The same table as a spreadsheet of another country would write it. */
const cells = (t: string): string[][] =>
  t
    .trimEnd()
    .split('\n')
    .map((line) => [...line.matchAll(/(?:^|,)(?:"((?:[^"]|"")*)"|([^,]*))/g)].map((m) => m[1] ?? m[2] ?? ''));
const semicolons = (t: string): string =>
  cells(t)
    .map((row, i) => row.map((c) => (i > 0 && /^-?\d+\.\d+$/.test(c) ? c.replace('.', ',') : c.includes(';') ? `"${c}"` : c)).join(';'))
    .join('\n');
const tabs = (t: string): string =>
  cells(t)
    .map((row) => row.join('\t'))
    .join('\n');
