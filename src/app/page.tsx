import Link from 'next/link';
import { Suspense } from 'react';
import { inSentence } from '../core/figure';
import { kitchenOf } from '../core/kitchen/kitchen';
import { isDiscarded } from '../core/mend/batch-case';
import { listBatches } from '../data/batches';
import { openedKitchen } from '../data/kitchen';
import { readKitchenFacts } from '../data/kitchen-facts';
import { countSheets, listSheets } from '../data/sheets';
import { unreadableRows } from '../data/unreadable';
import { Frame } from '../ui/frame';
import { ByTheClock } from './by-the-clock';
import { InTheCold, type ColdBatch } from './in-the-cold';
import { Lately } from './lately';
import { requestTime } from './request-time';
import { SheetCard } from './sheet-card';

/** As many sheets stand on Today; the others are found by name. */
const SHEETS_SHOWN = 40;

/** Today: what is being made, what is in the cold and until when, and the sheets last touched. */
export default async function Today() {
  const db = openedKitchen();
  const facts = readKitchenFacts(db);
  const kitchen = kitchenOf(facts);
  const sheets = listSheets(db, SHEETS_SHOWN);
  const more = countSheets(db) - sheets.length;
  const now = await requestTime();
  const batches = listBatches(db, { limit: 40 });
  const running = batches.filter((b) => b.status === 'running');
  const cold: ColdBatch[] = batches.flatMap((b) => {
    const { holdShownH, keepingH } = b.plan.forecast;
    if (b.status !== 'finished' || b.endedAt === null || holdShownH === null || isDiscarded(b.progress.mends)) return [];
    const until = b.endedAt + holdShownH * 3_600_000;
    const keep = b.endedAt + (keepingH ?? 72) * 3_600_000;
    return keep > now ? [{ id: b.id, name: b.plan.sheetName, portions: b.portions, since: b.endedAt, until, keep, now }] : [];
  });
  const unreadable = unreadableRows();
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="truncate text-[20px]">{facts.rules.kitchenName}, today</h1>}>
      <div className="mx-auto max-w-[1180px] px-4 py-6 md:px-8">
        {unreadable.length > 0 && (
          <p role="alert" className="mb-6 border-l-4 border-beet pl-3 text-[15px]">
            Left out, because it cannot be read: {unreadable.map((u) => `${u.table} ${u.id}`).join(', ')}. It lies in the data file as it was; the server’s log says what is wrong with it.
          </p>
        )}
        {running.length > 0 && (
          <section className="mb-9">
            <h2 className="mb-2 text-[17px]">On the pass now</h2>
            <ul>
              {running.map((b) => (
                <li key={b.id} className="flex flex-wrap items-center justify-between gap-3 border-t border-steel py-3">
                  <span>
                    <span className="font-[650]">{b.plan.sheetName}</span>, step {Math.min(b.progress.step + 1, b.plan.steps.length)} of {b.plan.steps.length}: {inSentence(b.plan.steps[b.progress.step]?.title ?? '')}
                  </span>
                  <Link href={`/pass/${b.id}`} className="btn btn-act">
                    Go on
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <div className="grid gap-x-12 gap-y-9 lg:grid-cols-[minmax(0,1fr)_340px]">
          <section>
            <div className="mb-2 flex items-center justify-between">
              <h2 className="text-[17px]">Sheets</h2>
              <Link href="/new" className={sheets.length === 0 ? 'btn btn-act' : 'btn'}>
                Start a new sheet
              </Link>
            </div>
            {sheets.length === 0 && <p className="border-t border-steel py-8 text-[17px]">No sheets yet. Start one with the cream you have: type its grams and the fat on the carton.</p>}
            <ul>
              {sheets.map((s) => (
                <SheetCard key={s.id} sheet={s} kitchen={kitchen} />
              ))}
            </ul>
            {more > 0 && <p className="border-t border-steel pt-3 text-[15px] text-ink-soft">{more} more: Find, by name.</p>}
          </section>
          <div>
            <Suspense fallback={null}>
              <ByTheClock />
            </Suspense>
            <InTheCold batches={cold} />
            <Lately batches={batches.filter((b) => b.status === 'finished').slice(0, 4)} />
          </div>
        </div>
      </div>
    </Frame>
  );
}
