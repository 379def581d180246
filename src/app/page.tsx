import { Suspense } from 'react';
import { kitchenOf } from '../core/kitchen/kitchen';
import { isDiscarded } from '../core/mend/batch-case';
import type { MakingNow } from '../core/timetable/day';
import { sheetOfBatch } from '../data/batch-sheet';
import { listBatches } from '../data/batches';
import { openedKitchen } from '../data/kitchen';
import { readKitchenFacts } from '../data/kitchen-facts';
import { shelf } from '../data/sheets';
import { NO_NAME_YET } from '../data/starting-kitchen';
import { unreadableRows } from '../data/unreadable';
import { Frame } from '../ui/frame';
import { NoticeProvider } from '../ui/kit/notice';
import { requestTime } from './request-time';
import { EmptyKitchen } from './today/empty-kitchen';
import { InTheCold, type ColdBatch } from './today/in-the-cold';
import { TodayPlan } from './today/plan';
import { SheetTile } from './today/sheet-tile';
import { ShelfBar } from './today/shelf-bar';

/** As many sheets stand on Today; the others are found by name. */
const SHEETS_SHOWN = 36;
const COLD_SHOWN = 8;

interface TodayProps {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/** Today: the next thing to do, the day, what is in the cold and until when, and the sheets. */
export default async function Today({ searchParams }: TodayProps) {
  const asked = await searchParams;
  const word = (key: string): string => (typeof asked[key] === 'string' ? asked[key].slice(0, 120) : '');
  const view = {
    find: word('find'),
    folder: word('away') === '1' ? null : word('folder'),
    order: word('order') === 'name' ? ('name' as const) : ('touched' as const),
  };
  const db = openedKitchen();
  const facts = readKitchenFacts(db);
  const kitchen = kitchenOf(facts);
  const { sheets, found, folders, inUse, putAway } = shelf(db, { ...view, limit: SHEETS_SHOWN });
  const now = await requestTime();
  const batches = listBatches(db, { limit: 40 });
  const making: MakingNow[] = batches
    .filter((b) => b.status === 'running')
    .map((b) => ({ id: b.id, name: b.plan.sheetName, step: b.plan.steps[b.progress.step]?.title ?? '', at: b.progress.step, of: b.plan.steps.length }));
  const cold: ColdBatch[] = batches
    .flatMap((b) => {
      const { holdShownH, keepingH } = b.plan.forecast;
      if (b.status !== 'finished' || b.endedAt === null || holdShownH === null || isDiscarded(b.progress.mends)) return [];
      const until = b.endedAt + holdShownH * 3_600_000;
      const keep = b.endedAt + (keepingH ?? 72) * 3_600_000;
      return keep > now ? [{ batch: b, until, keep }] : [];
    })
    .sort((a, b) => Math.min(a.until, a.keep) - Math.min(b.until, b.keep))
    .slice(0, COLD_SHOWN)
    .map(({ batch: b, until, keep }) => {
      const doc = sheetOfBatch(db, b, kitchen);
      return { id: b.id, name: b.plan.sheetName, portions: b.portions, doc: doc.ok ? doc.value : null, until, keep, now };
    });
  const unreadable = unreadableRows();
  const empty = inUse === 0 && putAway === 0;
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="truncate text-[20px]">{facts.rules.kitchenName}, today</h1>}>
      <NoticeProvider>
        <div className="mx-auto max-w-[1180px] px-4 py-5 md:px-6">
          {unreadable.length > 0 && (
            <p role="alert" className="mb-6 border-l-4 border-beet pl-3 text-[15px]">
              Left out, because it cannot be read: {unreadable.map((u) => `${u.table} ${u.id}`).join(', ')}. It lies in the data file as it was; the server’s
              log says what is wrong with it.
            </p>
          )}
          <Suspense fallback={<div className="h-[72px]" />}>
            <TodayPlan making={making} empty={empty} isNew={facts.rules.kitchenName === NO_NAME_YET} />
          </Suspense>
          {empty && <EmptyKitchen />}
          {!empty && <InTheCold batches={cold} kitchen={kitchen} />}
          {!empty && (
            <section aria-label="Sheets" className="mt-7">
              <ShelfBar {...view} inUse={inUse} putAway={putAway} folders={folders} />
              {sheets.length === 0 && (
                <p className="py-6 text-ink-soft">{view.find === '' ? 'Nothing is here.' : `No sheet here has ‘${view.find}’ in its name.`}</p>
              )}
              <ul className="mt-5 grid grid-cols-2 gap-x-6 gap-y-7 sm:grid-cols-3 md:grid-cols-4 lg:grid-cols-6">
                {sheets.map((s) => (
                  <SheetTile key={s.id} sheet={s} kitchen={kitchen} folders={folders.map((f) => f.name)} />
                ))}
              </ul>
              {found > sheets.length && (
                <p className="mt-6 border-t border-steel pt-3 text-[15px] text-ink-soft">{found - sheets.length} more: type a part of the name.</p>
              )}
            </section>
          )}
        </div>
      </NoticeProvider>
    </Frame>
  );
}
