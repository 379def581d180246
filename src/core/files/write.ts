import type { SheetAnalysis } from '../analysis/analysed';
import { writeLinesCsv } from './lines-csv';
import { writeMarkdown } from './markdown';
import { writeRecipeJsonLd } from './recipe-json-ld';
import { writeSheetJson } from './sheet-json';
import { fileName, type WrittenFile } from './written';

export const FILE_FORMATS = [
  { key: 'sheet', name: 'The sheet itself', for: 'JSON of our own, documented form: for another kitchen with this program, or for keeping.' },
  { key: 'recipe', name: 'A recipe that others read', for: 'schema.org Recipe in JSON-LD.' },
  { key: 'lines', name: 'The lines as a table', for: 'CSV with grams, measures, shares and steps.' },
  { key: 'markdown', name: 'Plain text with marks', for: 'Markdown, for notes and messages.' },
] as const;
export type FileFormat = (typeof FILE_FORMATS)[number]['key'];

export const isFileFormat = (key: string): key is FileFormat => FILE_FORMATS.some((f) => f.key === key);

/** A sheet in a file format, and what that format has no place for. */
export function writeSheetFile(format: FileFormat, s: SheetAnalysis): WrittenFile {
  switch (format) {
    case 'sheet':
      return { name: fileName(s.sheet.name, 'sheet.json'), mime: 'application/json', text: writeSheetJson(s.sheet), cannot: [] };
    case 'recipe':
      return writeRecipeJsonLd(s);
    case 'lines':
      return writeLinesCsv(s);
    case 'markdown':
      return writeMarkdown(s);
  }
}
