import Link from 'next/link';
import { plainNumber, showFactor, showGrams, withUnit } from '../../../core/figure';
import { compareOutcome, readReading } from '../../../core/batch/readings';
import { getBatch, listBatches, type StoredBatch } from '../../../data/batches';
import { openedKitchen } from '../../../data/kitchen';
import { listObservations } from '../../../data/observations';
import { ClockTime } from '../../../ui/clock-time';
import { Frame } from '../../../ui/frame';
import { LogPages } from '../log-pages';
import { forecastWords, outcomeWords } from '../outcome-words';
import { observationWords } from '../observation-words';
import { PickTwo } from './pick-two';

export const dynamic = 'force-dynamic';

/** Two batches beside each other: what went in, what was forecast, what came, what was different. */
export default async function ComparePage({ searchParams }: { readonly searchParams: Promise<{ sheet?: string; a?: string; b?: string }> }) {
  const { sheet, a: askedA, b: askedB } = await searchParams;
  const db = openedKitchen();
  const all = listBatches(db, { sheetId: sheet }).filter((b) => b.status !== 'running');
  const a = (askedA ? getBatch(db, askedA) : null) ?? all[1] ?? null;
  const b = (askedB ? getBatch(db, askedB) : null) ?? all[0] ?? null;
  return (
    <Frame station="Log" sheetId={sheet ?? null} heading={<h1 className="text-[20px]">Two batches</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={sheet ?? null} here="compare" />
      </div>
      <div className="px-4 py-5 md:px-8">
        {!a || !b ? (
          <div className="py-8">
            <p className="mb-4 text-[17px]">It takes two finished batches to set them beside each other.</p>
            <Link href="/pass" className="btn btn-act">
              Make one
            </Link>
          </div>
        ) : (
          <>
            <PickTwo a={a.id} b={b.id} sheet={sheet ?? null} batches={all.map((x) => ({ id: x.id, name: x.plan.sheetName, at: x.startedAt }))} />
            <SideBySide
              a={a}
              b={b}
              seenA={listObservations(db, a.id).map((o) => observationWords(o, a.plan.forecast.drinkG))}
              seenB={listObservations(db, b.id).map((o) => observationWords(o, b.plan.forecast.drinkG))}
            />
          </>
        )}
      </div>
    </Frame>
  );
}

/** What the cream was at, as it was written down. */
function creamOf({ progress }: StoredBatch): string {
  const read = readReading('cream-temperature', progress.fields['cream-temperature'] ?? '');
  return read.ok ? withUnit(plainNumber(read.value, Number.isInteger(read.value) ? 0 : 1), '°C') : '–';
}

interface Row {
  readonly name: string;
  readonly a: string;
  readonly b: string;
}

/** Every amount by name, over the whole batch. */
function amounts(batch: StoredBatch): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const step of batch.plan.steps)
    for (const l of step.lines) found.set(l.name, (found.get(l.name) ?? 0) + (batch.progress.weighed[l.lineId] ?? l.massG * batch.progress.scale));
  return found;
}

function SideBySide({
  a,
  b,
  seenA,
  seenB,
}: {
  readonly a: StoredBatch;
  readonly b: StoredBatch;
  readonly seenA: readonly string[];
  readonly seenB: readonly string[];
}) {
  const [inA, inB] = [amounts(a), amounts(b)];
  const of = (m: ReadonlyMap<string, number>, name: string): string => (m.has(name) ? showGrams(m.get(name)!) : '–');
  const went: Row[] = [...new Set([...inA.keys(), ...inB.keys()])].map((name) => ({ name, a: of(inA, name), b: of(inB, name) }));
  const [cA, cB] = [compareOutcome(a.plan.forecast, a.readings), compareOutcome(b.plan.forecast, b.readings)];
  const came = cA.map((c, i): Row => ({
    name: c.name,
    a: `${outcomeWords(c)} (${forecastWords(c)})`,
    b: `${outcomeWords(cB[i]!)} (${forecastWords(cB[i]!)})`,
  }));
  const how: Row[] = [
    { name: 'version', a: `${a.sheetVersion}`, b: `${b.sheetVersion}` },
    { name: 'portions', a: `${a.portions}`, b: `${b.portions}` },
    { name: 'scale', a: `× ${showFactor(a.plan.scale * a.progress.scale)}`, b: `× ${showFactor(b.plan.scale * b.progress.scale)}` },
    { name: 'mixer', a: a.plan.forecast.mixerName || '–', b: b.plan.forecast.mixerName || '–' },
    {
      name: 'cream at the start',
      a: creamOf(a),
      b: creamOf(b),
    },
  ];
  const words: Row[] = [
    { name: 'note', a: a.progress.note || '–', b: b.progress.note || '–' },
    { name: 'off the plan', a: a.progress.offPlan.map((o) => o.words).join('; ') || '–', b: b.progress.offPlan.map((o) => o.words).join('; ') || '–' },
    { name: 'seen later', a: seenA.join('; ') || '–', b: seenB.join('; ') || '–' },
  ];
  const groups: readonly (readonly [string, readonly Row[]])[] = [
    ['How it was made', how],
    ['What went in', went],
    ['What came (forecast)', came],
    ['What was written down', words],
  ];
  return (
    <table className="mt-4 w-full table-fixed">
      <thead>
        <tr className="align-baseline">
          <td className="w-[28%]" />
          {[a, b].map((x) => (
            <th key={x.id} scope="col" className="py-1.5 pl-4 text-left font-[650]">
              <Link href={`/log/${x.id}`} className="hover:underline">
                {x.plan.sheetName}
              </Link>
              <span className="block text-[14px] font-normal text-ink-soft">
                <ClockTime at={x.startedAt} withDate />
              </span>
            </th>
          ))}
        </tr>
      </thead>
      {groups.map(([title, rows]) => (
        <tbody key={title}>
          <tr>
            <th scope="rowgroup" colSpan={3} className="pt-5 pb-1 text-left font-figure text-[17px] font-[650]">
              {title}
            </th>
          </tr>
          {rows.map((r) => (
            <tr key={r.name} className="border-t border-steel-light align-baseline" data-changed={r.a !== r.b || undefined}>
              <th scope="row" className="py-1.5 text-left font-normal text-ink-soft">
                {r.name}
              </th>
              {[r.a, r.b].map((v, i) => (
                <td key={i} className={`py-1.5 pl-4 wrap-break-word ${r.a !== r.b ? 'font-semibold' : ''}`}>
                  {v}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      ))}
    </table>
  );
}
