'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { ArrowLeft, ArrowRight, Check } from 'lucide-react';
import type { BatchPlan } from '../../../core/sheet/batch';
import { clockFace, plainNumber, showGrams, showRange, withUnit } from '../../../core/figure';
import { compareOutcome, READING_FORMS, readReading, type Readings } from '../../../core/sheet/readings';
import type { ReadingKind, StepLine } from '../../../core/sheet/method';
import { elapsedS, phaseOf, timerMarks } from '../../../core/sheet/whisk-timer';
import { makeBatchClient, type BatchClient, type BatchState, type ClientState } from '../../../ui/batch/batch-client';
import { ReadingField } from '../../../ui/batch/reading-field';
import { isTyping } from '../../../ui/frame';
import { useNow } from '../../../ui/use-now';
import { WhiskTimer } from './whisk-timer';

interface PassDeskProps {
  readonly sheetId: string;
  readonly version: number;
  readonly plan: BatchPlan;
  readonly batch: BatchState;
}

/** What the fields say, as far as it can be read. */
function readingsFrom(fields: ClientState['progress']['fields']): Readings {
  const readings: Partial<Record<ReadingKind, number>> = {};
  for (const [kind, text] of Object.entries(fields) as [ReadingKind, string][]) {
    const read = readReading(kind, text);
    if (read.ok) readings[kind] = read.value;
  }
  return readings;
}

/** Pass: one step fills the screen. */
export function PassDesk({ sheetId, version, plan, batch }: PassDeskProps) {
  const router = useRouter();
  const [client] = useState(() => makeBatchClient(batch));
  const state = useSyncExternalStore(client.subscribe, client.get, client.get);
  useEffect(() => client.resume(), [client]);
  const { progress } = state;
  const last = plan.steps.length - 1;
  const at = Math.min(progress.step, last);
  const step = plan.steps[at]!;
  const [inGrams, setInGrams] = useState(true);

  const go = (to: number) => {
    if (to >= 0 && to <= last) void client.act({ kind: 'go', step: to });
  };
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === 'ArrowRight' && at < last) void client.act({ kind: 'go', step: at + 1 });
      if (e.key === 'ArrowLeft' && at > 0) void client.act({ kind: 'go', step: at - 1 });
      if (e.key === '0') router.push('/');
      if (e.key === '1') router.push(`/sheet/${sheetId}/bench`);
      if (e.key === '3') router.push(`/sheet/${sheetId}/whisk`);
      if (e.key === '7') router.push(`/log?sheet=${sheetId}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [client, at, last, router, sheetId]);

  const finish = async () => {
    await client.act({ kind: 'finish', at: Date.now() });
    if (client.get().pending.length === 0) router.push(`/log/${batch.id}`);
  };

  return (
    <div className="on-cocoa grid min-h-dvh grid-rows-[auto_1fr_auto] bg-cocoa text-milk">
      <PassHeader plan={plan} version={version} at={at} client={client} state={state} />
      <main className="mx-auto w-full max-w-[1060px] px-5 py-6 md:px-10">
        {step.partName && <p className="text-[20px] text-yolk">{step.partName}</p>}
        <h1 className="text-[clamp(30px,4.6vw,52px)] leading-[1.08]">{step.title}</h1>
        <p className="mt-3 max-w-[44em] text-[20px] leading-snug text-cocoa-soft">{step.detail}</p>
        {step.whisks && <WhiskTimer plan={plan} state={state} client={client} />}
        <div className={step.whisks && step.lines.length > 0 ? 'grid gap-x-12 lg:grid-cols-[minmax(0,1fr)_300px]' : ''}>
          {step.lines.length > 0 && <StepLines lines={step.lines} state={state} client={client} inGrams={inGrams} onUnit={() => setInGrams(!inGrams)} />}
          <StepReadings kinds={step.readings} plan={plan} state={state} client={client} />
        </div>
      </main>
      <nav aria-label="Steps" className="sticky bottom-0 grid grid-cols-2 gap-px border-t border-cocoa-line bg-cocoa-line">
        <button type="button" className="flex min-h-[76px] items-center justify-center gap-3 bg-cocoa text-[20px] hover:bg-ink/40 disabled:text-cocoa-soft/60" disabled={at === 0} onClick={() => go(at - 1)}>
          <ArrowLeft aria-hidden="true" /> Back
        </button>
        {at < last ? (
          <button type="button" className="flex min-h-[76px] items-center justify-center gap-3 bg-yolk text-[22px] font-[650] text-ink" onClick={() => go(at + 1)}>
            <span className="max-sm:sr-only">Next: {plan.steps[at + 1]!.title.toLowerCase()}</span>
            <span className="sm:hidden">Next</span>
            <ArrowRight aria-hidden="true" />
          </button>
        ) : state.batch.status === 'running' ? (
          <button type="button" className="flex min-h-[76px] items-center justify-center gap-3 bg-yolk text-[22px] font-[650] text-ink" onClick={() => void finish()}>
            <Check aria-hidden="true" /> It is in the cold
          </button>
        ) : (
          <Link href={`/log/${batch.id}`} className="flex min-h-[76px] items-center justify-center bg-yolk text-[22px] font-[650] text-ink">
            To its page in Log
          </Link>
        )}
      </nav>
    </div>
  );
}

interface Shared {
  readonly state: ClientState;
  readonly client: BatchClient;
}

function PassHeader({ plan, version, at, state, client }: Shared & { readonly plan: BatchPlan; readonly version: number; readonly at: number }) {
  const running = state.progress.timer.startedAt !== null && state.progress.timer.stoppedAt === null;
  const now = useNow(running, 500);
  const phase = phaseOf(state.progress.timer, timerMarks(plan.forecast), now);
  return (
    <header className="border-b border-cocoa-line px-5 py-3 md:px-10">
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <p className="min-w-0 text-[17px]">
          <Link href="/" className="mr-3 inline-flex min-h-11 items-center text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk" title="Today (key 0)">
            Today
          </Link>
          <span className="font-[650]">{plan.sheetName}</span>
          <span className="text-cocoa-soft">, version {version}</span>
        </p>
        <p className="flex items-center gap-5 text-[17px]">
          {running && (
            <span className={`fig text-[20px] ${phase === 'whisking' ? 'text-milk' : 'text-yolk'}`}>whisk {clockFace(elapsedS(state.progress.timer, now))}</span>
          )}
          <span>
            step <span className="fig">{at + 1}</span> of <span className="fig">{plan.steps.length}</span>
          </span>
        </p>
      </div>
      <div className="mt-2 flex gap-1" aria-hidden="true">
        {plan.steps.map((s, i) => (
          <i key={s.key} className={`h-1 flex-1 ${i < at ? 'bg-cocoa-soft' : i === at ? 'bg-yolk' : 'bg-cocoa-line'}`} />
        ))}
      </div>
      <p role="status" className="mt-2 text-[16px] text-yolk empty:hidden">
        {state.trouble}
      </p>
      {state.clash && (
        <p role="alert" className="mt-2 flex flex-wrap items-center gap-3 text-[17px]">
          Another screen wrote ‘{state.clash.theirs}’ for {READING_FORMS[state.clash.reading].name.toLowerCase()}; here it was ‘{state.clash.mine}’.
          <button type="button" className="min-h-11 rounded-s border border-yolk px-3" onClick={() => client.settleClash('mine')}>
            Use ‘{state.clash.mine}’
          </button>
          <button type="button" className="min-h-11 rounded-s border border-cocoa-soft px-3" onClick={() => client.settleClash('theirs')}>
            Keep ‘{state.clash.theirs}’
          </button>
        </p>
      )}
    </header>
  );
}

function StepLines({ lines, state, client, inGrams, onUnit }: Shared & { readonly lines: readonly StepLine[]; readonly inGrams: boolean; readonly onUnit: () => void }) {
  return (
    <section className="mt-6" aria-label="Amounts">
      <ul>
        {lines.map((l) => {
          const ticked = state.progress.ticks.includes(l.lineId);
          const grams = showGrams(l.massG);
          return (
            <li key={l.lineId} className="border-t border-cocoa-line">
              <label className="flex min-h-16 cursor-pointer items-center gap-5 py-2 has-focus-visible:outline-2 has-focus-visible:outline-yolk">
                <input type="checkbox" className="peer sr-only" checked={ticked} onChange={(e) => void client.act({ kind: 'tick', line: l.lineId, on: e.target.checked })} />
                <span aria-hidden="true" className={`flex size-9 shrink-0 items-center justify-center rounded-s border-2 ${ticked ? 'border-yolk bg-yolk text-ink' : 'border-cocoa-soft'}`}>
                  {ticked && <Check size={24} />}
                </span>
                <span className={`fig min-w-[150px] text-right text-[clamp(26px,3.4vw,38px)] ${ticked ? 'text-cocoa-soft' : ''}`}>{inGrams || !l.measure ? grams : l.measure}</span>
                <span className={`min-w-0 text-[clamp(20px,2.4vw,27px)] leading-tight ${ticked ? 'text-cocoa-soft line-through' : ''}`}>{l.name}</span>
              </label>
            </li>
          );
        })}
      </ul>
      <button type="button" className="mt-1 min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk" onClick={onUnit}>
        {inGrams ? 'show the cook’s measure' : 'show grams'}
      </button>
    </section>
  );
}

function StepReadings({ kinds, plan, state, client }: Shared & { readonly kinds: readonly ReadingKind[]; readonly plan: BatchPlan }) {
  if (kinds.length === 0) return null;
  const { fields } = state.progress;
  const write = (reading: ReadingKind) => (text: string) => void client.act({ kind: 'write', reading, text, was: fields[reading] ?? '' });
  const air = compareOutcome(plan.forecast, readingsFrom(fields)).find((c) => c.key === 'overrun');
  return (
    <section className="mt-6 grid max-w-[620px] grid-cols-[repeat(auto-fit,minmax(240px,1fr))] gap-5" aria-label="Readings">
      {kinds.map((kind) => (
        <ReadingField key={kind} dark kind={kind} text={fields[kind] ?? ''} onWrite={write(kind)} fault={kind === 'cup-foam' ? (air?.fault ?? null) : null} />
      ))}
      {kinds.includes('cup-foam') && (
        <div>
          <p className="text-[18px] text-cocoa-soft">Air in it</p>
          <p className="fig mt-1 flex h-16 items-center text-[38px]" data-outcome="overrun">
            {air?.outcome == null ? '–' : withUnit(plainNumber(air.outcome, 0), '%')}
          </p>
          <p className="text-[17px] text-cocoa-soft">
            {fields['cup-liquid'] ? '' : 'The cup of liquid was not weighed. '}
            {air?.forecast && `Expected ${showRange(air.forecast.low, air.forecast.high, '%')}.`}
          </p>
        </div>
      )}
    </section>
  );
}
