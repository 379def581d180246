'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { analyseSheet } from '../../core/analysis/analyse';
import { reopensFor, type MendEntry, type StepOfPart } from '../../core/batch/batch';
import type { Sheet } from '../../core/document/schema';
import { clockFace } from '../../core/figure';
import type { Kitchen } from '../../core/kitchen/kitchen';
import { NO_FACTS, type Logged } from '../../core/mend/case';
import { worseSays } from '../../core/mend/after';
import type { Answer } from '../../core/mend/mend';
import { preventions, type Prevention } from '../../core/mend/prevent';
import { partOfSign } from '../../core/mend/signs';
import { SIGN_WORDS, type SignId } from '../../core/mend/words';
import { degrees, ReadingField } from './reading-field';
import { allowSound } from '../../ui/batch/call-sound';
import type { BatchClient, ClientState } from '../../ui/batch/batch-client';
import { thisTablet } from '../../ui/batch/tablet';
import { FigureButton } from '../../ui/figure-button';
import { freshId } from '../../ui/sheet/fresh-id';

interface RescuePanelProps {
  readonly answer: Answer;
  readonly head: { readonly doc: Sheet; readonly revision: number; readonly version: number } | null;
  readonly kitchen: Kitchen;
  readonly log: readonly Logged[];
  readonly sheetId: string | null;
  readonly batch: ClientState | null;
  readonly steps: readonly StepOfPart[];
  readonly client: BatchClient | null;
  readonly onSign: (sign: SignId) => void;
}

/** A timer as it is set: '30 s', '2:30 min', '33 min', '4 h'. */
const timerWords = (s: number): string =>
  s < 60
    ? `${Math.round(s / 5) * 5}\u00a0s`
    : s < 600
      ? `${clockFace(Math.round(s / 5) * 5)}\u00a0min`
      : s < 5400
        ? `${Math.round(s / 60)}\u00a0min`
        : `${Math.round(s / 360) / 10}\u00a0h`;

/** The rescue: what to do with how much, what it then is, and what keeps it from coming again. */
export function RescuePanel({ answer, head, kitchen, log, sheetId, batch, steps, client, onSign }: RescuePanelProps) {
  const { rescue, after, sign, cause, part } = answer;
  const [own, setOwn] = useState<string | null>(null);
  // Written now, or the last one of this sign: whether it helped is often known only later.
  const entry = batch?.progress.mends.find((m) => m.id === own) ?? batch?.progress.mends.findLast((m) => m.sign === sign) ?? null;
  const helped = log.filter((l) => l.sign === sign && l.helped !== null);
  const running = batch?.batch.status === 'running';
  const write = () => {
    const id = `m-${freshId()}`;
    setOwn(id);
    const line = (a: { ingredientId: string; name: string; massG: number }, i: number) => ({ lineId: `${id}-${i + 1}`, ...a });
    const made: MendEntry = {
      id,
      at: Date.now(),
      sign,
      cause,
      partId: part.part.id,
      kind: rescue.kind,
      title: rescue.title.slice(0, 200),
      adds: rescue.adds.map(line),
      again: rescue.again.map(line),
      portions: after && rescue.change ? after.sheet.portions : null,
      use: after && rescue.change ? after.sheet.use : null,
      minutes: rescue.minutes,
      rest: rescue.rest,
      reopens:
        rescue.again.length > 0 && batch && running ? reopensFor(steps, batch.progress, part.part.id) : { keys: [], lines: [], step: null, whisked: false },
      helped: null,
    };
    void client?.act({ kind: 'mend', entry: made });
  };
  const time = (seconds: number, i: number, at: number) => {
    allowSound();
    void client?.act({ kind: 'timer-start', id: `mend:${sign}:${i}`, name: SIGN_WORDS[sign].name, seconds, at, by: thisTablet() });
  };
  const moved = after?.figures.filter((f) => f.moved) ?? [];
  return (
    <aside aria-label="Rescue" className="border-steel bg-paper px-4 pt-5 pb-8 max-lg:border-t md:px-6 lg:border-l">
      <h2 className={`text-[27px] leading-[1.12] ${rescue.kind === 'discard' ? 'text-beet' : ''}`}>{rescue.title}</h2>
      <p className="mt-1.5 text-[16px]">{rescue.says}</p>
      <ol className="mt-4">
        {rescue.steps.map((s, i) => (
          <li key={i} className="grid grid-cols-[92px_minmax(0,1fr)] items-baseline gap-x-4 border-t border-steel py-3">
            <span className="fig text-right text-[21px] leading-tight whitespace-normal">{s.amount ?? (s.timerS === null ? '' : timerWords(s.timerS))}</span>
            <span className="text-[16.5px] leading-snug">
              {s.does}
              {s.stopIf && <span className="text-ink-soft"> Stop if {s.stopIf}.</span>}
              {s.reads && (
                <ReadingField
                  key={`${sign}:${cause}:${i}`}
                  reads={s.reads}
                  at={`${batch?.batch.id ?? sheetId ?? 'general'}:${sign}:${cause}:${i}`}
                  where={running ? 'local' : 'session'}
                  onWrite={
                    client && running
                      ? (tC) =>
                          void client.act({
                            kind: 'off-plan',
                            entry: { at: Date.now(), kind: 'note', words: `${SIGN_WORDS[sign].name}: ${s.does.slice(0, 200)} It read ${degrees(tC)}.` },
                          })
                      : null
                  }
                />
              )}
              {s.timerS !== null &&
                (client && running ? (
                  <button type="button" className="btn mt-2 flex min-h-11" onClick={() => time(s.timerS!, i, Date.now())}>
                    Timer <span className="fig">{timerWords(s.timerS)}</span>
                  </button>
                ) : (
                  s.amount !== null && <span className="fig mt-1 block text-[15px] text-ink-soft">{timerWords(s.timerS)}</span>
                ))}
            </span>
          </li>
        ))}
      </ol>
      {rescue.figures.length > 0 && (
        <p className="border-t border-steel-light py-2.5 text-[14px] text-ink-soft">
          How much comes from:{' '}
          {rescue.figures.map((f) => (
            <span key={f.key}>
              {f.name.toLowerCase()} <FigureButton figure={f} />{' '}
            </span>
          ))}
        </p>
      )}
      {moved.length > 0 && (
        <section aria-label="Then it is" className="border-t border-steel-light py-3">
          <h3 className="text-[15px]">Then it is</h3>
          <dl className="mt-1 grid grid-cols-[minmax(0,1fr)_auto_auto] gap-x-4 gap-y-1 text-[14.5px]">
            {moved.map((f) => (
              <div key={f.name} className="contents">
                <dt>{f.name}</dt>
                <dd className="fig text-right text-ink-soft">{f.before} →</dd>
                <dd className="fig text-right">{f.after}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {after && after.worse.length > 0 && (
        <ul className="border-t border-steel-light py-2.5 text-[14.5px] text-beet">
          {worseSays(after).map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ul>
      )}
      {helped.length > 0 && (
        <p className="border-t border-steel-light py-2.5 text-[14.5px]">
          In this kitchen it helped <b className="fig">{helped.filter((l) => l.helped).length}</b> of <b className="fig">{helped.length}</b> times.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2.5">
        {client && own === null && (
          <button type="button" className="btn btn-act min-h-12 px-5 text-[16.5px]" onClick={write}>
            {entry ? 'Write this into the batch as well' : 'Write it into the batch'}
          </button>
        )}
        {rescue.otherwise && rescue.otherwise !== sign && (
          <button type="button" className="btn min-h-12 text-[15.5px]" onClick={() => onSign(rescue.otherwise!)}>
            it is this already: {SIGN_WORDS[rescue.otherwise].name}
          </button>
        )}
        {!client && sheetId === null && (
          <p className="text-[14.5px] text-ink-soft">The amounts are of a usual size: for those of a dessert of yours, choose it above.</p>
        )}
        {!client && sheetId !== null && (
          <p className="text-[14.5px] text-ink-soft">
            Worked out for the sheet.{' '}
            <Link href={`/pass?sheet=${sheetId}`} className="border-b-2 border-yolk font-semibold">
              Make it on Pass
            </Link>
            , and it is for the batch.
          </p>
        )}
      </div>
      {entry && client && (
        <div className="mt-3 flex flex-wrap items-center gap-2.5" role="group" aria-label="Did it help?">
          <p role="status" className="w-full text-[15px]">
            {own === null ? <>‘{entry.title}’ stands in the batch</> : 'It stands in the batch'}
            {entry.adds.length > 0 ? '; weight, label and larder follow' : entry.again.length > 0 ? '; the larder follows' : ''}
            {entry.reopens.keys.length > 0
              ? `, and ${entry.reopens.keys.length === 1 ? 'its step is' : `its ${entry.reopens.keys.length} steps are`} open again on Pass`
              : ''}
            . Did it help?
          </p>
          {(
            [
              ['yes', true],
              ['no', false],
            ] as const
          ).map(([name, value]) => (
            <button
              key={name}
              type="button"
              aria-pressed={entry.helped === value}
              className={`btn min-h-11 min-w-16 ${entry.helped === value ? 'border-ink! bg-yolk-pale!' : ''}`}
              onClick={() => void client.act({ kind: 'mend-helped', id: entry.id, helped: entry.helped === value ? null : value })}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      {batch?.trouble && <p className="mt-2 text-[14.5px] text-beet">{batch.trouble}</p>}
      <NotAgain answer={answer} head={head} kitchen={kitchen} sheetId={sheetId} />
    </aside>
  );
}

type Taken =
  | { readonly kind: 'idle' }
  | { readonly kind: 'taking' }
  | { readonly kind: 'taken'; readonly version: number }
  | { readonly kind: 'not'; readonly says: string };

/** Changes of the sheet by which it does not come again, taken into its next version in one touch. */
function NotAgain({ answer, head, kitchen, sheetId }: Pick<RescuePanelProps, 'answer' | 'head' | 'kitchen' | 'sheetId'>) {
  const [revision, setRevision] = useState(head?.revision ?? 0);
  const [taken, setTaken] = useState<Readonly<Record<string, Taken>>>({});
  const list = useMemo((): readonly Prevention[] => {
    if (!head) return answer.prevents.map((p) => ({ ...p, change: null }));
    const s = analyseSheet(head.doc, kitchen);
    const facts = { ...NO_FACTS, partId: answer.part.part.id };
    const part = s.parts.find((a) => a.part.id === answer.part.part.id) ?? partOfSign(answer.sign, { s, kitchen, facts, log: [] });
    return part ? preventions({ s, kitchen, facts, log: [], a: part }, answer.cause) : answer.prevents.map((p) => ({ ...p, change: null }));
  }, [answer, head, kitchen]);
  const take = async (p: Prevention) => {
    if (!p.change) return;
    setTaken((t) => ({ ...t, [p.label]: { kind: 'taking' } }));
    try {
      const response = await fetch(`/api/sheets/${sheetId}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ doc: p.change, baseRevision: revision, asNewVersion: true }),
      });
      const said = (await response.json()) as { kind?: string; sheet?: { revision: number; version: number }; says?: string };
      if (response.ok && said.sheet) {
        setRevision(said.sheet.revision);
        setTaken((t) => ({ ...t, [p.label]: { kind: 'taken', version: said.sheet!.version } }));
      } else
        setTaken((t) => ({
          ...t,
          [p.label]: {
            kind: 'not',
            says: response.status === 409 ? 'Another screen changed the sheet meanwhile: open it on Bench.' : (said.says ?? 'It was not taken.'),
          },
        }));
    } catch {
      setTaken((t) => ({ ...t, [p.label]: { kind: 'not', says: 'The server does not answer; nothing was changed.' } }));
    }
  };
  // One change at a time: a second would be built on the sheet before the first.
  const done = Object.values(taken).some((t) => t.kind === 'taken' || t.kind === 'taking');
  return (
    <section aria-label="So that it does not come again" className="mt-5 border-t border-steel pt-3">
      <h3 className="text-[15px]">So that it does not come again</h3>
      <ul className="mt-1 text-[15px]">
        {list.map((p) => {
          const t = taken[p.label] ?? { kind: 'idle' };
          return (
            <li key={p.label} className="py-1.5">
              {p.change ? (
                <button
                  type="button"
                  disabled={done}
                  className="border-b-2 border-yolk font-semibold hover:bg-yolk-pale disabled:border-steel pointer-coarse:py-2"
                  onClick={() => void take(p)}
                >
                  {p.label}
                </button>
              ) : (
                p.label
              )}
              {p.moves && <span className="text-[14px] text-ink-soft"> ({p.moves})</span>}
              {t.kind === 'taken' && (
                <span role="status" className="block text-[14px]">
                  It stands in version {t.version}.{' '}
                  <Link href={`/sheet/${sheetId}/bench`} className="border-b-2 border-yolk font-semibold">
                    Open it
                  </Link>
                </span>
              )}
              {t.kind === 'not' && (
                <span role="alert" className="block text-[14px] text-beet">
                  {t.says}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
