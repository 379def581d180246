import Link from 'next/link';
import { notFound } from 'next/navigation';
import { aside } from '../../../aside/aside';
import { LABEL_SIZES } from '../../../core/files/label-sizes';
import { compareOutcome } from '../../../core/batch/readings';
import { getBatch } from '../../../data/batches';
import { batchLabels } from '../../../data/labels';
import { dataFilePath } from '../../../data/data-file-path';
import { listObservations } from '../../../data/observations';
import { listTemperatures } from '../../../data/temperatures';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getSheet, getSheetVersion } from '../../../data/sheets';
import { ClockTime } from '../../../ui/clock-time';
import { Frame } from '../../../ui/frame';
import { TrackRuler } from '../../../ui/track';
import { requestTime } from '../../request-time';
import { comparisonTrack, forecastWords, landed, outcomeWords } from '../outcome-words';
import { InTheBook } from './in-the-book';
import { LateReadings } from './late-readings';
import { SeenLater } from './seen-later';
import { TemperaturesOf } from './temperatures-of';

/** One batch: forecast beside outcome, what it was made from, and what is written down later. */
export default async function BatchPage({ params }: { readonly params: Promise<{ batchId: string }> }) {
  const { batchId } = await params;
  const db = openedKitchen();
  const batch = getBatch(db, batchId);
  if (!batch) notFound();
  const made = getSheetVersion(db, batch.sheetId, batch.sheetVersion);
  const head = getSheet(db, batch.sheetId);
  const place = readKitchenFacts(db).places.find((p) => p.id === batch.progress.placeId)?.name ?? null;
  const labels = batch.status === 'abandoned' ? null : batchLabels(db, batchId);
  const label = labels?.ok ? labels.value[0] : undefined;
  const book = await aside().ask('bookOf', { path: dataFilePath(), batchId, now: await requestTime() });
  const rows = compareOutcome(batch.plan.forecast, batch.readings);
  return (
    <Frame
      station="Log"
      sheetId={batch.sheetId}
      heading={
        <h1 className="truncate text-[20px]">
          {batch.plan.sheetName}, <ClockTime at={batch.startedAt} withDate />
        </h1>
      }
    >
      <div className="grid gap-x-12 gap-y-8 px-4 py-6 md:px-8 lg:grid-cols-[minmax(0,1fr)_360px]">
        <section aria-label="Forecast beside outcome">
          <h2 className="mb-2 text-[17px]">What came, beside its forecast</h2>
          <ul>
            {rows.map((c) => {
              const track = comparisonTrack(c);
              const within = landed(c);
              return (
                <li
                  key={c.key}
                  data-comparison={c.key}
                  className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 gap-y-1 border-t border-steel py-3 sm:grid-cols-[170px_120px_150px_minmax(0,1fr)]"
                >
                  <span>{c.name}</span>
                  <span className={`fig text-[20px] ${within === false ? 'text-beet' : ''}`}>{outcomeWords(c)}</span>
                  <span className="text-[14px] text-ink-soft">forecast {forecastWords(c)}</span>
                  <span>{track ? <TrackRuler track={track} out={within === false} /> : <span className="text-[14px] text-ink-soft">not taken yet</span>}</span>
                  {c.fault && <span className="col-span-full text-beet">{c.fault}</span>}
                </li>
              );
            })}
          </ul>
          <p className="border-t border-steel pt-2.5 text-[13.5px] text-ink-soft">
            The band is the forecast’s range, in which two outcomes in three fall (four in five where the log corrected it); the mark is what came. A hold is
            compared by shape alone.
          </p>
          <div className="mt-7">
            <h2 className="mb-2 text-[17px]">Written down</h2>
            <LateReadings batch={{ id: batch.id, progress: batch.progress, status: batch.status, revision: batch.revision }} />
          </div>
          <section aria-label="Seen later" className="mt-7">
            <h2 className="mb-2 text-[17px]">Seen later</h2>
            <SeenLater batchId={batch.id} endedAt={batch.endedAt} seen={listObservations(db, batch.id)} drink={batch.plan.forecast.drinkG} />
          </section>
          <InTheBook rows={book?.rows ?? []} day={book?.day ?? ''} />
          <TemperaturesOf samples={listTemperatures(db, batch.id)} steps={batch.plan.steps} />
        </section>
        <section aria-label="Made from">
          <h2 className="mb-2 text-[17px]">Made from version {batch.sheetVersion}</h2>
          <p className="mb-2 text-[14px] text-ink-soft">
            {head && head.version > batch.sheetVersion
              ? `The sheet is at version ${head.version} now; this is what was made then.`
              : 'The sheet has not changed since.'}
          </p>
          <ul>
            {made?.parts.flatMap((p) =>
              p.lines.map((l) => (
                <li key={l.id} className="border-t border-steel-light py-1.5">
                  {l.text}
                </li>
              )),
            )}
          </ul>
          <p className="border-t border-steel-light py-2 text-[14px] text-ink-soft">
            {batch.portions} portions; {batch.plan.forecast.mixerName}; whisked to {batch.plan.forecast.stage}
            {place ? `; ${place.toLowerCase()}` : ''}. {batch.plan.allergens.length > 0 && `Allergens: ${batch.plan.allergens.join(', ')}.`}
          </p>
          {label && (
            <section aria-label="On its label" className="mt-4">
              <h2 className="mb-1 text-[17px]">On its label</h2>
              <p>
                made <b className="fig font-[620]">{label.made}</b>, use by <b className="fig font-[620]">{label.useBy}</b>
              </p>
              <ul className="text-[14px] text-ink-soft">
                {[...label.declares, label.storeAt].map((d) => (
                  <li key={d}>{d}</li>
                ))}
              </ul>
              <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1.5 text-[14px]">
                <span className="text-ink-soft">Print on</span>
                {Object.entries(LABEL_SIZES).map(([grid, name]) => (
                  <a
                    key={grid}
                    href={`/api/batches/${batch.id}/labels?grid=${grid}`}
                    target="_blank"
                    className="border-b-2 border-yolk font-semibold hover:bg-yolk-pale pointer-coarse:py-3"
                  >
                    {name}
                  </a>
                ))}
              </p>
            </section>
          )}
          {batch.progress.offPlan.length > 0 && (
            <>
              <h2 className="mt-4 mb-1 text-[17px]">Off the plan</h2>
              <ul>
                {batch.progress.offPlan.map((o, i) => (
                  <li key={`${o.at}${i}`} className="border-t border-steel-light py-1.5">
                    <span className="fig mr-3 text-ink-soft">
                      <ClockTime at={o.at} />
                    </span>
                    {o.words}
                  </li>
                ))}
              </ul>
            </>
          )}
          {batch.progress.mends.some((m) => m.helped === null && m.kind !== 'discard') && (
            <p className="border-t border-steel-light py-2">
              {batch.progress.mends
                .filter((m) => m.helped === null && m.kind !== 'discard')
                .map((m) => (
                  <Link key={m.id} href={`/mend?batch=${batch.id}&sign=${m.sign}`} className="mr-4 border-b-2 border-yolk font-semibold hover:bg-yolk-pale">
                    Did it help: {m.title}?
                  </Link>
                ))}
            </p>
          )}
          <div className="mt-3 flex flex-wrap gap-2">
            <Link href={`/log/compare?b=${batch.id}&sheet=${batch.sheetId}`} className="btn">
              Beside another batch
            </Link>
            <Link href={`/mend?batch=${batch.id}`} className="btn">
              Something is wrong with it
            </Link>
            <Link href={`/sheet/${batch.sheetId}/bench`} className="btn">
              Open the sheet
            </Link>
            {batch.status === 'running' && (
              <Link href={`/pass/${batch.id}`} className="btn btn-act">
                Go on with it
              </Link>
            )}
          </div>
        </section>
      </div>
    </Frame>
  );
}
