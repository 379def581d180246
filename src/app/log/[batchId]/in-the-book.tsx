import Link from 'next/link';
import { SECTION_NAMES, type BookRow } from '../../../core/book/book-day';

const LOOK: Readonly<Partial<Record<BookRow['state'], string>>> = { missing: 'text-beet', out: 'text-beet' };

/** What the book has of one batch: its heat, its lots, what became of it. */
export function InTheBook({ rows, day }: { readonly rows: readonly BookRow[]; readonly day: string }) {
  if (rows.length === 0) return null;
  return (
    <section aria-label="In the book" className="mt-7">
      <h2 className="mb-2 flex items-baseline justify-between text-[17px]">
        In the book
        <Link href={`/log/book?day=${day}`} className="text-[14px] font-normal text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink">
          its page
        </Link>
      </h2>
      <ul>
        {rows.map((r) => (
          <li key={r.key} className="grid gap-x-6 border-t border-steel-light py-1.5 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
            <span>
              {SECTION_NAMES[r.section]}
              <span className="block text-[14px] text-ink-soft">{r.about.split(': ').slice(1).join(': ')}</span>
            </span>
            <span className={LOOK[r.state] ?? ''}>
              {r.says === '' ? (r.state === 'missing' ? 'missing' : 'to come') : r.says}
              {r.asks !== '' && <span className="block text-[14px] text-ink-soft">{r.asks}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
