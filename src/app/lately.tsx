import Link from 'next/link';
import { compareOutcome } from '../core/batch/readings';
import type { StoredBatch } from '../data/batches';
import { ClockTime } from '../ui/clock-time';
import { forecastWords, landed, outcomeWords } from './log/outcome-words';

/** The last batches and the air they came to, beside what was forecast. */
export function Lately({ batches }: { readonly batches: readonly StoredBatch[] }) {
  if (batches.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-[17px]">Lately</h2>
      <ul>
        {batches.map((b) => {
          const air = compareOutcome(b.plan.forecast, b.readings).find((c) => c.key === 'overrun');
          return (
            <li key={b.id} className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 border-t border-steel py-2 text-[14px]">
              <Link href={`/log/${b.id}`} className="truncate hover:underline">
                {b.plan.sheetName}
              </Link>
              <span className="text-ink-soft">
                <ClockTime at={b.startedAt} withDate />
              </span>
              {air && air.outcome !== null && (
                <span className="col-span-2 text-ink-soft">
                  air <span className={`fig ${landed(air) === false ? 'text-beet' : 'text-ink'}`}>{outcomeWords(air)}</span>, forecast {forecastWords(air)}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
