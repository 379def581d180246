import Papa from 'papaparse';
import { SECTION_NAMES, entrySays, type BookDay } from './book-day';
import type { Standing } from './entry';

const HEADS = ['day', 'section', 'about', 'says', 'asks', 'state', 'written_by', 'written_at', 'after_signing', 'before_it'];

const iso = (at: number): string => new Date(at).toISOString();
const behind = (s: Standing): string => s.before.map((e) => `${entrySays(e.says)} (${e.by} ${iso(e.at)})`).join('; ');

/** Days of the book as a table: one row each, missing ones too, what was corrected behind its correction; times in UTC. */
export function bookCsv(days: readonly BookDay[]): string {
  const rows = days.flatMap((d) => [
    ...d.rows.map((r) => [
      d.day,
      SECTION_NAMES[r.section],
      r.about,
      r.says,
      r.asks,
      r.state,
      r.written?.entry.by ?? '',
      r.written ? iso(r.written.entry.at) : '',
      r.afterSigning ? 'yes' : '',
      r.written ? behind(r.written) : '',
    ]),
    ...d.takenBack.map((s) => [d.day, 'Taken back', '', 'taken back', '', 'told', s.entry.by, iso(s.entry.at), '', behind(s)]),
    [
      d.day,
      'Signed',
      '',
      d.signed ? 'signed' : '',
      '',
      d.signed ? 'told' : 'missing',
      d.signed?.entry.by ?? '',
      d.signed ? iso(d.signed.entry.at) : '',
      '',
      d.signed ? behind(d.signed) : '',
    ],
  ]);
  return Papa.unparse({ fields: HEADS, data: rows }, { escapeFormulae: true });
}
