import Link from 'next/link';
import { compareOutcome } from '../../core/sheet/readings';
import { listBatches, type StoredBatch } from '../../data/batches';
import { openedKitchen } from '../../data/kitchen';
import { getSheet } from '../../data/sheets';
import { ClockTime } from '../../ui/clock-time';
import { Frame } from '../../ui/frame';
import { forecastWords, landed, outcomeWords } from './outcome-words';

/** Log: every batch, what was forecast beside what came. */
export default async function LogPage({ searchParams }: { readonly searchParams: Promise<{ sheet?: string }> }) {
  const { sheet: wanted } = await searchParams;
  const db = openedKitchen();
  const sheet = wanted ? getSheet(db, wanted) : null;
  const batches = listBatches(db, sheet?.id);
  return (
    <Frame station="Log" sheetId={sheet?.id ?? null} heading={<h1 className="truncate text-[20px]">{sheet ? `Batches of ${sheet.doc.name}` : 'All batches'}</h1>}>
      <div className="px-4 py-5 md:px-8">
        {sheet && (
          <Link href="/log" className="mb-3 inline-flex min-h-9 items-center border-b border-dotted border-ink-soft text-ink-soft hover:text-ink">
            show all sheets
          </Link>
        )}
        {batches.length === 0 ? (
          <div className="py-10">
            <p className="mb-4 text-[17px]">No batch {sheet ? 'of this sheet' : ''} has been made yet. What you take down on Pass is set beside its forecast here.</p>
            <Link href={sheet ? `/pass?sheet=${sheet.id}` : '/pass'} className="btn btn-act">
              Make one
            </Link>
          </div>
        ) : (
          <>
            <p className="mb-3 text-ink-soft">{tally(batches)}</p>
            <BatchTable batches={batches} withName={!sheet} />
          </>
        )}
      </div>
    </Frame>
  );
}

/** How many outcomes fell within their forecast, in words. */
function tally(batches: readonly StoredBatch[]): string {
  const verdicts = batches.flatMap((b) => compareOutcome(b.plan.forecast, b.readings).map(landed)).filter((v) => v !== null);
  const hits = verdicts.filter(Boolean).length;
  if (verdicts.length === 0) return 'Nothing has been taken down yet.';
  return `${hits} of ${verdicts.length} outcomes fell within their forecast range; two in three are expected to.`;
}

function BatchTable({ batches, withName }: { readonly batches: readonly StoredBatch[]; readonly withName: boolean }) {
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
                    <ClockTime at={b.startedAt} withDate />
                    {', '}
                  </>
                )}
                version {b.sheetVersion}
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
