'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { entrySays, SECTION_NAMES, SECTIONS, writtenBy, type BookDay, type BookRow as Row } from '../../../core/book/book-day';
import type { Written } from '../../../core/book/entry';
import { nextDay } from '../../../core/timetable/zone';
import { DayField } from '../../../ui/kit/day-field';
import { Select } from '../../../ui/kit/select';
import { freshId } from '../../../ui/sheet/fresh-id';
import { useKept } from '../../../ui/use-kept';
import { useBookQueue } from './book-queue';
import { BookRow } from './book-row';

interface BookDeskProps {
  readonly page: BookDay;
  /** The kitchen's own day. */
  readonly today: string;
  readonly zone: string;
  /** Who usually works here. */
  readonly cooks: readonly string[];
  readonly authority: string;
}

const OTHER = 'another name';
/** How many days up to this one go out, and what that is called. */
const SPANS = [
  ['1', 'this day'],
  ['7', '7 days'],
  ['31', '31 days'],
] as const;

/** A page of the book: read, written, corrected and signed. */
export function BookDesk({ page, today, zone, cooks, authority }: BookDeskProps) {
  const router = useRouter();
  const { waiting, refused, write } = useBookQueue();
  const [kept, keep] = useKept('local', 'soft-peak:book:by');
  const [typing, setTyping] = useState(false);
  // A name that is being typed is never somebody else's while it is empty.
  const by = kept ?? (typing ? '' : (cooks[0] ?? ''));
  const [span, setSpan] = useState<(typeof SPANS)[number][0]>('1');
  const asked = new URLSearchParams({ from: nextDay(page.day, 1 - Number(span)), to: page.day }).toString();
  const [remark, setRemark] = useKept('local', 'soft-peak:book:remark');
  const isNamed = by.trim() !== '';
  const say = (says: Written, corrects: string | null = null): void => {
    if (isNamed) write({ id: freshId(), day: page.day, by: by.trim(), says, corrects });
  };
  const go = (day: string): void => router.push(day >= today ? '/log/book' : `/log/book?day=${day}`);
  const mine = waiting.filter((w) => w.day === page.day);
  const { missing, out, open } = page.counts;
  const signed = page.signed?.entry ?? null;
  const later = page.rows.filter((r) => r.afterSigning).length;
  const other = typing || (isNamed && !cooks.includes(by));
  return (
    <div className="max-w-[1080px] px-4 py-4 md:px-8">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <span className="flex items-end gap-1">
          <button type="button" className="btn px-2!" aria-label="The day before" onClick={() => go(nextDay(page.day, -1))}>
            <ChevronLeft size={18} aria-hidden="true" />
          </button>
          <span className="w-48">
            <DayField label="Day of the book" value={page.day} onChange={(d) => d !== '' && go(d)} className="field fig w-full font-medium" />
          </span>
          <button type="button" className="btn px-2!" aria-label="The next day" disabled={page.day >= today} onClick={() => go(nextDay(page.day))}>
            <ChevronRight size={18} aria-hidden="true" />
          </button>
        </span>
        <span>
          <label htmlFor="book-by" className="block text-[13.5px] text-ink-soft">
            Who writes
          </label>
          <span className="mt-0.5 flex gap-2">
            {cooks.length > 0 && (
              <Select
                id="book-by"
                value={other ? OTHER : by}
                options={[...cooks.map((c) => [c, c] as const), [OTHER, OTHER] as const]}
                onChange={(v) => {
                  setTyping(v === OTHER);
                  keep(v === OTHER ? '' : v);
                }}
                className="field w-40"
              />
            )}
            {(other || cooks.length === 0) && (
              <input
                aria-label="Name of who writes"
                value={by}
                maxLength={60}
                autoComplete="off"
                onChange={(e) => keep(e.target.value)}
                className="field w-36"
              />
            )}
          </span>
        </span>
        <nav aria-label="The book elsewhere" className="ml-auto flex flex-wrap items-center gap-x-4 text-ink-soft">
          <Link href="/log/book/lots" className={LINK}>
            Lots
          </Link>
          <span>
            <label htmlFor="book-span" className="sr-only">
              Print and CSV of
            </label>
            <Select
              id="book-span"
              value={span}
              options={SPANS.map(([v, name]) => [v, name] as const)}
              onChange={setSpan}
              className="inline-flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
            />
          </span>
          <Link href={`/print/book?${asked}`} className={LINK}>
            Print
          </Link>
          <a href={`/api/book?${asked}`} className={LINK}>
            CSV
          </a>
        </nav>
      </div>
      <p className="mt-4 text-[24px] leading-tight font-[650]" data-book-says>
        {missing > 0 || out > 0 ? (
          <span className="text-beet">{[missing > 0 ? `${missing} missing` : '', out > 0 ? `${out} outside of the rule` : ''].filter(Boolean).join(', ')}</span>
        ) : (
          'Nothing is missing'
        )}
        {open > 0 && <span className="font-normal text-ink-soft">, {open} still to come</span>}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        {signed ? (
          <span>
            Signed by <b>{writtenBy(signed, zone)}</b>
            {later > 0 && `; ${later} written after it`}
          </span>
        ) : null}
        {(!signed || later > 0) && (
          <button type="button" className="btn btn-act" disabled={!isNamed} onClick={() => say({ kind: 'signed' }, signed?.id ?? null)}>
            {signed ? 'Sign it again' : 'Sign this day'} as {by.trim() || '…'}
          </button>
        )}
        <span role="status" aria-label="Writing" className="text-[14px] text-ink-soft">
          {waiting.length > 0 && `${waiting.length} on the way: kept on this tablet until the server has it`}
        </span>
      </div>
      <p role="alert" className="mt-1 text-beet empty:hidden">
        {refused ?? (isNamed ? '' : 'Write whose entries these are: nothing is written without a name.')}
      </p>
      {SECTIONS.map((section) => {
        const rows = page.rows.filter((r) => r.section === section);
        if (rows.length === 0 && section !== 'cleaning') return null;
        return (
          <section key={section} aria-label={SECTION_NAMES[section]} className="mt-6">
            <h2 className="text-[17px]">{SECTION_NAMES[section]}</h2>
            {rows.length === 0 && (
              <p className="border-t border-steel py-2 text-ink-soft">
                No work is asked for yet.{' '}
                <Link href="/larder/kitchen#book" className="underline decoration-dotted underline-offset-4 hover:text-ink">
                  Write what is cleaned and checked each day
                </Link>
                , in your own words.
              </p>
            )}
            <ul>
              {rows.map((row) => (
                <BookRow key={row.key} row={row} zone={zone} going={mine.some((w) => isAbout(w, row))} say={isNamed ? say : null} />
              ))}
            </ul>
          </section>
        );
      })}
      <form
        className="mt-6"
        onSubmit={(e) => {
          e.preventDefault();
          if (!remark?.trim() || !isNamed) return;
          say({ kind: 'remark', words: remark.trim() });
          setRemark('');
        }}
      >
        <label htmlFor="book-remark" className="block text-[13.5px] text-ink-soft">
          A remark: what was done about a reading, a delivery, a visit
        </label>
        <span className="mt-0.5 flex flex-wrap items-start gap-2">
          <textarea
            id="book-remark"
            rows={2}
            maxLength={1000}
            value={remark ?? ''}
            onChange={(e) => setRemark(e.target.value)}
            className="field min-w-0 flex-1 basis-80 py-2"
          />
          <button type="submit" className="btn" disabled={!remark?.trim() || !isNamed}>
            Write it down
          </button>
        </span>
      </form>
      {page.takenBack.length > 0 && (
        <section aria-label="Taken back" className="mt-6">
          <h2 className="text-[17px]">Taken back</h2>
          <ul>
            {page.takenBack.map((s) => (
              <li key={s.entry.id} className="border-t border-steel py-1.5 text-ink-soft">
                <s>{s.before.map((e) => entrySays(e.says)).join(', ')}</s> {s.before.map((e) => writtenBy(e, zone)).join('; ')}; taken back by{' '}
                {writtenBy(s.entry, zone)}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="mt-6 max-w-[70ch] text-[14px] text-ink-soft">
        Nothing here is changed or taken out: a correction stands beside what it corrects. What the law asks for differs from place to place: follow{' '}
        {authority || 'your local food code'}, and a qualified person’s advice.
      </p>
    </div>
  );
}

const LINK = 'inline-flex min-h-9 items-center underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11';

/** Whether an entry on its way is about a row. */
function isAbout(w: { readonly says: Written; readonly corrects: string | null }, row: Row): boolean {
  if (w.corrects !== null) return row.written?.entry.id === w.corrects;
  const { says } = w;
  if (says.kind === 'place') return row.key === `place ${says.placeId} ${says.slot}`;
  if (says.kind === 'cleaned') return row.key === `cleaned ${says.job}`;
  if (says.kind === 'lot') return row.key === `lot ${says.batchId} ${says.ingredientId}`;
  return says.kind === 'ended' && row.key === `ended ${says.batchId}`;
}
