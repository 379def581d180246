'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { analyseSheet } from '../../core/analysis/analyse';
import { inSentence } from '../../core/figure';
import type { Sheet } from '../../core/document/schema';
import { kitchenOf, type KitchenFacts } from '../../core/kitchen/kitchen';
import { withMends } from '../../core/mend/batch-case';
import { type BatchFacts, type Logged, type MendCase } from '../../core/mend/case';
import { mendOf, signsOf } from '../../core/mend/mend';
import { SIGNS } from '../../core/mend/signs';
import { signsWith } from '../../core/mend/together';
import { SIGN_WORDS, signsFor, type CauseId, type SignId } from '../../core/mend/words';
import type { StepOfPart } from '../../core/batch/batch';
import { makeBatchClient } from '../../ui/batch/batch-client';
import type { BatchState } from '../../ui/batch/kept-batch';
import { ClockTime } from '../../ui/clock-time';
import { Frame } from '../../ui/frame';
import { SignDrawing } from '../../ui/mend/sign-drawing';
import { Causes } from './causes';
import { FactFields } from './fact-fields';
import { RescuePanel } from './rescue-panel';

export interface MendDeskProps {
  /** Null for a dessert of a usual size, asked about in general. */
  readonly sheetId: string | null;
  /** The dessert as it was made: a batch's version at its size, or the sheet. */
  readonly sheet: Sheet;
  /** The sheet as it stands now: what keeps it from coming again is taken into it. */
  readonly head: { readonly doc: Sheet; readonly revision: number; readonly version: number } | null;
  readonly facts: BatchFacts;
  readonly batch: BatchState | null;
  /** The batch's steps, so that a fresh bowl can open those of its part again. */
  readonly steps: readonly StepOfPart[];
  readonly startedAt: number | null;
  readonly first: SignId | null;
  readonly kitchen: KitchenFacts;
  readonly log: readonly Logged[];
}

/** So many signs are shown before the others are asked for. */
const FIRST_SIGNS = 24;

/** Mend: from what is seen to its causes, to the rescue with amounts for this batch. */
export function MendDesk({ sheetId, sheet, head, facts: known, batch, steps, startedAt, first, kitchen: kitchenFacts, log }: MendDeskProps) {
  const kitchen = useMemo(() => kitchenOf(kitchenFacts), [kitchenFacts]);
  // What was mended until this sign was looked at stands in the dessert; the mend that is written now does not change its own amounts.
  const [mended, setMended] = useState(batch?.progress.mends ?? []);
  const analysis = useMemo(() => analyseSheet(withMends(sheet, mended), kitchen), [sheet, mended, kitchen]);
  const [facts, setFacts] = useState<BatchFacts>(known);
  const [sign, setSign] = useState<SignId | null>(first);
  const [cause, setCause] = useState<CauseId | null>(null);
  const [said, setSaid] = useState('');
  const [all, setAll] = useState(false);
  const [too, setToo] = useState<SignId | null>(null);
  const c = useMemo<MendCase>(() => ({ s: analysis, kitchen, facts, log, ...(too === null ? {} : { seenToo: too }) }), [analysis, kitchen, facts, log, too]);
  const can = useMemo(() => signsOf(c).can, [c]);
  const answer = useMemo(() => (sign ? mendOf(c, sign, cause) : null), [c, sign, cause]);
  const [client] = useState(() => (batch ? makeBatchClient(batch) : null));
  const state = useSyncExternalStore(client?.subscribe ?? never, client?.get ?? nothing, client?.get ?? nothing);
  useEffect(() => client?.resume(), [client]);
  useEffect(() => client?.follow(), [client]);
  const choose = (id: SignId | null) => {
    setSign(id);
    setMended(client?.get().progress.mends ?? []);
    setCause(null);
    setToo(null);
    setSaid('');
    const url = new URL(window.location.href);
    if (id) url.searchParams.set('sign', id);
    else url.searchParams.delete('sign');
    window.history.replaceState(null, '', url);
  };
  const meant = said.trim().length > 2 ? signsFor(said) : null;
  const shown = meant ? meant.filter((id) => can.includes(id)) : all ? can : can.slice(0, FIRST_SIGNS);
  const twin = sign ? SIGNS[sign].twin : null;
  const beside = useMemo(() => (sign ? signsWith(c, sign) : []), [c, sign]);
  return (
    <Frame
      station="Mend"
      sheetId={sheetId}
      heading={
        <h1 className="truncate text-[20px]">
          {sheetId === null ? `A usual ${inSentence(sheet.name)} for ${sheet.portions}` : sheet.name}
          {startedAt !== null && (
            <span className="font-normal text-ink-soft">
              , {batch?.status === 'running' ? 'on the pass since' : 'made'} <ClockTime at={startedAt} withDate={batch?.status !== 'running'} />
            </span>
          )}
        </h1>
      }
      right={
        <>
          {batch?.status === 'running' && (
            <Link href={`/pass/${batch.id}`} className="btn">
              Back to Pass
            </Link>
          )}
          <Link href={sheetId === null && sign ? `/mend?sign=${sign}` : '/mend'} className={sheetId === null ? 'btn' : 'btn max-sm:hidden'}>
            {sheetId === null ? 'for a dessert of mine' : 'another dessert'}
          </Link>
        </>
      }
    >
      <div className={`grid min-h-[calc(100dvh-90px)] grid-cols-[minmax(0,1fr)] ${answer?.ok ? 'lg:grid-cols-[minmax(0,1fr)_430px]' : ''}`}>
        <div className="min-w-0 px-4 py-5 md:px-6">
          <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
            <h2 className="text-[22px] leading-tight">
              <span className="font-normal">What do you see?</span> {sign && `${SIGN_WORDS[sign].look}`}
            </h2>
            <input
              aria-label="Say it"
              value={said}
              maxLength={60}
              placeholder="grainy, split, weepy, stuck…"
              onChange={(e) => setSaid(e.target.value)}
              onKeyDown={(e) => e.key === 'Enter' && shown[0] && choose(shown[0])}
              className="field w-64 text-[16px]"
            />
          </div>
          {sign && !meant ? (
            <div className="mt-4 flex flex-wrap items-stretch gap-2">
              <SignButton id={sign} chosen small onClick={() => undefined} />
              {twin && can.includes(twin.sign) && <SignButton id={twin.sign} small onClick={() => choose(twin.sign)} />}
              <button type="button" className="min-h-11 border-t border-steel px-4 text-[15px] text-ink-soft hover:bg-yolk-pale" onClick={() => choose(null)}>
                all other signs
              </button>
              {twin && (
                <p className="min-w-56 flex-1 self-center text-[14.5px]">
                  <b className="font-[650]">{twin.ask}</b> {twin.other}
                </p>
              )}
            </div>
          ) : (
            <>
              <ul className="mt-4 grid grid-cols-3 gap-x-2 gap-y-2 sm:grid-cols-4 xl:grid-cols-6" aria-label="Signs">
                {shown.map((id) => (
                  <li key={id}>
                    <SignButton id={id} onClick={() => choose(id)} />
                  </li>
                ))}
              </ul>
              {meant && shown.length === 0 && (
                <p className="mt-4 text-[16px]">
                  {meant.length > 0
                    ? `That cannot be in this dessert: ${meant
                        .slice(0, 3)
                        .map((id) => SIGN_WORDS[id].name)
                        .join(', ')}.`
                    : 'No sign by that name. Say what you see, not what you did: runny, lumps, hard, cracked.'}
                </p>
              )}
              {!meant && can.length > FIRST_SIGNS && (
                <button type="button" className="btn mt-4" onClick={() => setAll(!all)}>
                  {all ? 'only the first' : `all ${can.length} that this dessert can show`}
                </button>
              )}
            </>
          )}
          {sign && !meant && (
            <>
              <FactFields sign={sign} too={too} facts={facts} fromBatch={known} onChange={setFacts} />
              {beside.length > 0 && (
                <div role="group" aria-label="Seen too" className="mt-5 flex flex-wrap items-center gap-2 text-[15px]">
                  <span className="mr-1 text-ink-soft">Seen too?</span>
                  {beside.map((id) => (
                    <button
                      key={id}
                      type="button"
                      aria-pressed={too === id}
                      onClick={() => {
                        setToo(too === id ? null : id);
                        setCause(null);
                      }}
                      className={`min-h-11 border px-3 hover:bg-yolk-pale ${too === id ? 'border-ink bg-paper font-[650]' : 'border-steel'}`}
                    >
                      {SIGN_WORDS[id].name}
                    </button>
                  ))}
                </div>
              )}
              {answer && !answer.ok && <p className="mt-4 text-[17px] text-beet">{answer.fault.says}</p>}
              {answer?.ok && <Causes answer={answer.value} ofBatch={batch !== null} onChoose={setCause} />}
            </>
          )}
        </div>
        {answer?.ok && !meant && (
          <RescuePanel
            key={`${answer.value.sign}:${answer.value.cause}`}
            answer={answer.value}
            head={head}
            kitchen={kitchen}
            log={log}
            sheetId={sheetId}
            batch={state}
            steps={steps}
            client={client}
            onSign={choose}
          />
        )}
      </div>
    </Frame>
  );
}

const never = () => () => undefined;
const nothing = () => null;

function SignButton({
  id,
  chosen = false,
  small = false,
  onClick,
}: {
  readonly id: SignId;
  readonly chosen?: boolean;
  readonly small?: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onClick}
      className={`flex h-full min-h-[104px] w-full flex-col border-t px-2 pt-3 pb-2 text-left text-[15px] leading-tight hover:bg-yolk-pale ${chosen ? 'border-t-[3px] border-yolk bg-paper font-[650]' : 'border-steel'} ${small ? 'w-40!' : ''}`}
    >
      <SignDrawing sign={id} className={small ? 'mb-2 h-11 w-16' : 'mb-2 h-[clamp(44px,5.2vw,66px)] w-auto self-start'} />
      {SIGN_WORDS[id].name}
    </button>
  );
}
