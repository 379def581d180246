import Link from 'next/link';
import { aside } from '../../../../aside/aside';
import { showDay } from '../../../../core/timetable/typed-moment';
import { dataFilePath } from '../../../../data/data-file-path';
import { ClockTime } from '../../../../ui/clock-time';
import { Frame } from '../../../../ui/frame';
import { LogPages } from '../../log-pages';

/** Lots traced: which desserts had this carton. The other way round stands on each batch. */
export default async function LotsPage({ searchParams }: { readonly searchParams: Promise<{ readonly lot?: string }> }) {
  const asked = ((await searchParams).lot ?? '').slice(0, 60);
  const lots = await aside().ask('lots', { path: dataFilePath(), asked });
  return (
    <Frame station="Log" sheetId={null} heading={<h1 className="truncate text-[20px]">Lots</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={null} here="book" />
      </div>
      <div className="max-w-[1080px] px-4 py-4 md:px-8">
        <form className="flex flex-wrap items-end gap-2" action="/log/book/lots">
          <label className="block">
            <span className="block text-[13.5px] text-ink-soft">Lot on the carton, or part of it</span>
            <input name="lot" defaultValue={asked} maxLength={60} autoComplete="off" className="field fig mt-0.5 w-60" />
          </label>
          <button type="submit" className="btn btn-act">
            Which desserts had it
          </button>
          {asked !== '' && (
            <Link href="/log/book/lots" className="btn">
              All lots
            </Link>
          )}
        </form>
        {lots.length === 0 ? (
          <p className="mt-6 text-[17px]">
            {asked === '' ? (
              <>
                No lot is written down yet. Put it in with{' '}
                <Link href="/larder/stock" className="border-b-2 border-yolk font-semibold hover:bg-yolk-pale">
                  what was bought
                </Link>
                , or write it in the book beside a dessert.
              </>
            ) : (
              `No dessert of the log had a lot ‘${asked}’.`
            )}
          </p>
        ) : (
          <ul className="mt-5">
            {lots.map((t) => (
              <li
                key={`${t.ingredientId} ${t.lot} ${t.bestBefore}`}
                className="grid grid-cols-[minmax(0,1fr)] gap-x-6 border-t border-steel py-2.5 md:grid-cols-[170px_minmax(0,1fr)_minmax(0,1.4fr)]"
              >
                <b className="fig text-[17px]">{t.lot}</b>
                <span>
                  {t.ingredient}
                  {t.bestBefore !== null && <span className="block text-[14px] text-ink-soft">best before {showDay(t.bestBefore)}</span>}
                </span>
                <ul>
                  {t.desserts.map((d) => (
                    <li key={d.batchId}>
                      <Link href={`/log/${d.batchId}`} className="font-[600] hover:underline">
                        {d.name}
                      </Link>{' '}
                      <span className="text-[14px] text-ink-soft">
                        <ClockTime at={d.startedAt} withDate />
                        {d.by === null ? ', drawn from stock' : `, written by ${d.by}`}
                      </span>
                    </li>
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        )}
      </div>
    </Frame>
  );
}
