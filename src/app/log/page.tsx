import Link from 'next/link';
import { compareOutcome } from '../../core/batch/readings';
import type { ColdPlace } from '../../core/kitchen/schema';
import { localTime, minuteOf, nextDay } from '../../core/timetable/zone';
import { listBatches, placesOfBatches, type StoredBatch } from '../../data/batches';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { getSheet } from '../../data/sheets';
import { ClockTime } from '../../ui/clock-time';
import { Frame } from '../../ui/frame';
import { LogPages } from './log-pages';
import { forecastWords, landed, outcomeWords } from './outcome-words';

interface Asked {
  readonly sheet?: string;
  readonly place?: string;
  readonly day?: string;
  /** Batches started before it, ms since 1970. */
  readonly before?: string;
}

const MINUTE_MS = 60_000;
/** Batches on one page. */
const PAGE = 60;
const NO_PLACE = 'none';

/** Log: every batch, what was forecast beside what came; by sheet, place and day. */
export default async function LogPage({ searchParams }: { readonly searchParams: Promise<Asked> }) {
  const asked = await searchParams;
  const db = openedKitchen();
  const sheet = asked.sheet ? getSheet(db, asked.sheet) : null;
  const { places, rules } = readKitchenFacts(db);
  const zone = rules.zone || Intl.DateTimeFormat().resolvedOptions().timeZone;
  const day = asked.day && /^\d{4}-\d{2}-\d{2}$/.test(asked.day) ? asked.day : null;
  const dayFrom = day ? minuteOf(`${day}T00:00`, zone) * MINUTE_MS : undefined;
  const before = Number(asked.before);
  const wanted = {
    sheetId: sheet?.id,
    placeId: asked.place ? (asked.place === NO_PLACE ? null : asked.place) : undefined,
    from: dayFrom,
    before: Number.isFinite(before) && before > 0 ? before : day ? minuteOf(`${nextDay(day)}T00:00`, zone) * MINUTE_MS : undefined,
    limit: PAGE + 1,
  };
  const found = listBatches(db, wanted);
  const batches = found.slice(0, PAGE);
  const older = found.length > PAGE ? batches.at(-1)!.startedAt : null;
  const none = found.length === 0 && listBatches(db, { sheetId: sheet?.id, limit: 1 }).length === 0;
  const link = (change: Asked): string => {
    const query = new URLSearchParams(Object.entries({ ...asked, ...change }).filter(([, v]) => v !== undefined && v !== '') as [string, string][]).toString();
    return query ? `/log?${query}` : '/log';
  };
  const where = placesOfBatches(db, sheet?.id).map((p) => p ?? NO_PLACE);
  const chip = (here: boolean): string =>
    `inline-flex min-h-9 items-center border-b-2 px-0.5 ${here ? 'border-yolk font-[650]' : 'border-transparent text-ink-soft hover:text-ink'}`;
  return (
    <Frame
      station="Log"
      sheetId={sheet?.id ?? null}
      heading={<h1 className="truncate text-[20px]">{sheet ? `Batches of ${sheet.doc.name}` : 'All batches'}</h1>}
    >
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={sheet?.id ?? null} here="batches" />
      </div>
      <div className="px-4 py-4 md:px-8">
        {none ? (
          <div className="py-10">
            <p className="mb-4 text-[17px]">
              No batch {sheet ? 'of this sheet' : ''} has been made yet. What you take down on Pass is set beside its forecast here.
            </p>
            <Link href={sheet ? `/pass?sheet=${sheet.id}` : '/pass'} className="btn btn-act">
              Make one
            </Link>
          </div>
        ) : (
          <>
            <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-1">
              {sheet && (
                <Link href={link({ sheet: '' })} className={chip(false)}>
                  all sheets
                </Link>
              )}
              {where.length > 1 && (
                <nav aria-label="By place" className="flex flex-wrap gap-x-4">
                  <Link href={link({ place: '', before: '' })} aria-current={!asked.place || undefined} className={chip(!asked.place)}>
                    every place
                  </Link>
                  {where.map((p) => (
                    <Link key={p} href={link({ place: p, before: '' })} aria-current={asked.place === p || undefined} className={chip(asked.place === p)}>
                      {placeName(p, places)}
                    </Link>
                  ))}
                </nav>
              )}
              {asked.day && (
                <Link href={link({ day: '', before: '' })} className={chip(true)}>
                  {asked.day}, show every day
                </Link>
              )}
              <span className="ml-auto flex gap-x-4 text-ink-soft">
                <a
                  href={`/api/log?format=csv${sheet ? `&sheet=${sheet.id}` : ''}`}
                  className="inline-flex min-h-9 items-center underline decoration-dotted underline-offset-4 hover:text-ink"
                >
                  CSV
                </a>
                <a
                  href={`/api/log?format=json${sheet ? `&sheet=${sheet.id}` : ''}`}
                  className="inline-flex min-h-9 items-center underline decoration-dotted underline-offset-4 hover:text-ink"
                >
                  JSON
                </a>
              </span>
            </div>
            <p className="mb-2 text-ink-soft">{batches.length === 0 ? 'No batch here: choose another place or day, or the newest.' : tally(batches)}</p>
            {batches.length > 0 && (
              <BatchTable
                batches={batches}
                withName={!sheet}
                places={places}
                dayLink={(at) => link({ day: localTime(Math.floor(at / MINUTE_MS), zone).slice(0, 10), before: '' })}
              />
            )}
            {(older !== null || asked.before) && (
              <p className="flex gap-x-5 border-t border-steel py-3">
                {asked.before && (
                  <Link href={link({ before: '' })} className="btn">
                    The newest
                  </Link>
                )}
                {older !== null && (
                  <Link href={link({ before: String(older) })} className="btn">
                    Older batches
                  </Link>
                )}
              </p>
            )}
          </>
        )}
      </div>
    </Frame>
  );
}

const placeName = (id: string, places: readonly ColdPlace[]): string =>
  id === NO_PLACE ? 'place not said' : (places.find((p) => p.id === id)?.name ?? 'a place no longer here');

/** How many outcomes fell within their forecast, in words. */
function tally(batches: readonly StoredBatch[]): string {
  const verdicts = batches.flatMap((b) => compareOutcome(b.plan.forecast, b.readings).map(landed)).filter((v) => v !== null);
  const hits = verdicts.filter(Boolean).length;
  if (verdicts.length === 0) return 'Nothing has been taken down yet.';
  return `${hits} of ${verdicts.length} outcomes fell within their forecast range; two in three are expected to, four in five where the log corrects it.`;
}

function BatchTable({
  batches,
  withName,
  places,
  dayLink,
}: {
  readonly batches: readonly StoredBatch[];
  readonly withName: boolean;
  readonly places: readonly ColdPlace[];
  readonly dayLink: (at: number) => string;
}) {
  const heads = ['Time to stage', 'Air', 'Yield', 'Clean in the fridge'];
  return (
    <table className="w-full max-md:block">
      <thead className="text-left text-[13.5px] text-ink-soft max-md:sr-only">
        <tr>
          <th scope="col" className="py-1.5 pr-4 font-normal">
            Batch
          </th>
          {heads.map((h) => (
            <th key={h} scope="col" className="py-1.5 pr-4 font-normal">
              {h}
              <span className="block">came, forecast</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="max-md:block">
        {batches.map((b) => (
          <tr key={b.id} className="border-t border-steel align-baseline max-md:grid max-md:grid-cols-2 max-md:gap-x-4 max-md:py-3">
            <th scope="row" className="max-w-[340px] py-2.5 pr-5 text-left font-normal max-md:col-span-2 max-md:py-0">
              <Link href={b.status === 'running' ? `/pass/${b.id}` : `/log/${b.id}`} className="font-[650] hover:underline">
                {withName ? b.plan.sheetName : <ClockTime at={b.startedAt} withDate />}
              </Link>
              <span className="block text-[14px] text-ink-soft">
                {withName && (
                  <>
                    <Link href={dayLink(b.startedAt)} className="hover:text-ink hover:underline">
                      <ClockTime at={b.startedAt} withDate />
                    </Link>
                    {', '}
                  </>
                )}
                version {b.sheetVersion}
                {b.progress.placeId && `, ${placeName(b.progress.placeId, places).toLowerCase()}`}
                {b.status === 'running' ? ', on the pass now' : b.status === 'abandoned' ? ', left off' : ''}
              </span>
              {b.progress.note && <span className="block text-[14px]">{b.progress.note}</span>}
            </th>
            {compareOutcome(b.plan.forecast, b.readings).map((c) => {
              const within = landed(c);
              return (
                <td key={c.key} className="py-2.5 pr-4 whitespace-nowrap max-md:py-1">
                  <span className="block text-[13px] text-ink-soft md:hidden">{c.name}</span>
                  <span className={`fig text-[16px] ${within === false ? 'text-beet' : ''}`}>
                    {outcomeWords(c)}
                    {within === false && <span className="sr-only"> (outside its forecast)</span>}
                  </span>
                  <span className="block text-[13.5px] text-ink-soft">{forecastWords(c)}</span>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
