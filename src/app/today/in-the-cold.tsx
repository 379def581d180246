import Link from 'next/link';
import { analyseSheet } from '../../core/analysis/analyse';
import type { Sheet } from '../../core/document/schema';
import type { Kitchen } from '../../core/kitchen/kitchen';
import { ClockTime } from '../../ui/clock-time';
import { SheetCut } from '../../ui/sheet/sheet-cut';

export interface ColdBatch {
  readonly id: string;
  readonly name: string;
  readonly portions: number;
  readonly doc: Sheet | null;
  /** Milliseconds since 1970: shape ends, may be kept until. */
  readonly until: number;
  readonly keep: number;
  readonly now: number;
}

/** What happens to it next, with its moment. */
function What({ b }: { readonly b: ColdBatch }) {
  if (b.until > b.now && b.until >= b.keep)
    return (
      <>
        use by <b className="fig text-ink">{<ClockTime at={b.keep} />}</b>
      </>
    );
  if (b.until > b.now)
    return (
      <>
        stands until{' '}
        <b className={`fig ${b.until - b.now < 3 * 3_600_000 ? 'text-yolk-ink' : 'text-ink'}`}>
          about <ClockTime at={b.until} />
        </b>
      </>
    );
  return (
    <span className="text-beet">
      soft by now; use by <b className="fig">{<ClockTime at={b.keep} />}</b>
    </span>
  );
}

/** What is in the cold, as its cuts, each with what happens next. */
export function InTheCold({ batches, kitchen }: { readonly batches: readonly ColdBatch[]; readonly kitchen: Kitchen }) {
  return (
    <section aria-label="In the cold" className="mt-6">
      <h2 className="mb-2 text-[17px]">In the cold</h2>
      {batches.length === 0 && (
        <p className="border-t border-steel py-3 text-ink-soft">Nothing is in the cold. A batch shows here when it is finished on Pass.</p>
      )}
      <ul className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        {batches.map((b) => (
          <li key={b.id} className="border-t border-steel pt-3">
            <Link href={`/log/${b.id}`} className="grid grid-cols-[64px_minmax(0,1fr)] items-center gap-4 hover:[&_.name]:underline">
              <span className="block h-[54px]" aria-hidden="true">
                {b.doc && <SheetCut analysis={analyseSheet(b.doc, kitchen)} small />}
              </span>
              <span className="min-w-0">
                <span className="name block truncate font-[650]">{b.name}</span>
                <span className="block text-[14px] text-ink-soft">
                  {b.portions}&nbsp;portions, <What b={b} />
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {batches.length > 0 && <p className="mt-2 text-[13px] text-ink-soft">The usual rule: your local food code and a qualified person’s advice come first.</p>}
    </section>
  );
}
