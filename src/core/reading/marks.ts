import type { Reading } from './read';
import { temperaturesIn } from './degrees';
import { timesIn } from './times';

/** A stretch of the written text, with what it was taken for; plain where it is only words. */
export interface Mark {
  readonly text: string;
  readonly kind: 'plain' | 'amount' | 'time' | 'doubt';
  /** The line that it became; null for times and plain words. */
  readonly line: number | null;
}

/** The text as it was written, with the stretches that became lines, times and temperatures marked; the marks together are the text. */
export function marksOf(text: string, r: Reading): readonly Mark[] {
  const found: { start: number; end: number; kind: Exclude<Mark['kind'], 'plain'>; line: number | null }[] = [];
  const doubtful = new Set(r.doubts.flatMap((d) => (d.line === null ? [] : [d.line])));
  r.lines.forEach((l, i) => {
    const { written, start, end } = l.draft;
    const at = text.indexOf(written, start);
    if (at < 0 || at > end || written === '') return;
    found.push({ start: at, end: at + written.length, kind: doubtful.has(i) ? 'doubt' : 'amount', line: i });
  });
  for (const t of [...timesIn(text), ...temperaturesIn(text, false)]) found.push({ start: t.start, end: t.end, kind: 'time', line: null });
  const weight = (k: Mark['kind']): number => (k === 'doubt' ? 0 : k === 'amount' ? 1 : 2);
  found.sort((a, b) => a.start - b.start || weight(a.kind) - weight(b.kind));
  const out: Mark[] = [];
  let at = 0;
  for (const f of found) {
    if (f.start < at) continue;
    if (f.start > at) out.push({ text: text.slice(at, f.start), kind: 'plain', line: null });
    out.push({ text: text.slice(f.start, f.end), kind: f.kind, line: f.line });
    at = f.end;
  }
  if (at < text.length) out.push({ text: text.slice(at), kind: 'plain', line: null });
  return out;
}
