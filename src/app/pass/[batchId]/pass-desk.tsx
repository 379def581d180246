'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useState, useSyncExternalStore } from 'react';
import { ArrowLeft, ArrowRight, Check } from 'lucide-react';
import { isRunning, MISE, stepAfter, timerOf, whileItRests, type BatchPlan, type PlanStep } from '../../../core/batch/batch';
import { sheetStepKey } from '../../../core/batch/bowlfuls';
import { inSentence, plainNumber, showFactor, withUnit } from '../../../core/figure';
import type { KitchenRules } from '../../../core/kitchen/schema';
import { Glossed } from '../../../ui/glossary/glossed';
import { allowSound } from '../../../ui/batch/call-sound';
import { Select } from '../../../ui/kit/select';
import { OthersHere } from '../../../ui/others-here';
import { ClashQuestion } from '../../../ui/batch/clash-question';
import { AWAY, makeBatchClient } from '../../../ui/batch/batch-client';
import type { BatchState } from '../../../ui/batch/kept-batch';
import { makeTemperatureLog, type Sample } from '../../../ui/batch/temperature-log';
import { thisTablet } from '../../../ui/batch/tablet';
import { isTyping } from '../../../ui/frame';
import { useWakeLock } from '../../../ui/use-wake-lock';
import { MiseScreen } from './mise-screen';
import { OffPlanPanel } from './off-plan';
import { OnPassContext, useOnPass, type AheadOfStep, type JudgedSteps, type OnPass } from './on-pass';
import { StepLines } from './step-lines';
import { StepReadings } from './step-readings';
import { StepTemperatures } from './step-temperatures';
import { TimerStrip } from './timer-strip';
import { WhiskTimer } from './whisk-timer';

interface PassDeskProps {
  readonly sheetId: string;
  readonly version: number;
  readonly plan: BatchPlan;
  readonly batch: BatchState;
  readonly samples: readonly Sample[];
  /** When the server made the page, ms since 1970. */
  readonly asOf: number;
  readonly places: readonly { readonly id: string; readonly name: string }[];
  readonly scaleStepG: number;
  readonly waterBoilsC: number;
  readonly cooling: KitchenRules['cooling'];
  readonly fridgeC: number;
  readonly ahead: AheadOfStep;
  readonly judged: JudgedSteps;
}

const nobody = (): string => '';
const never = () => () => undefined;

/** Pass: one step fills the screen. */
export function PassDesk({ sheetId, version, plan, batch, samples, asOf, places, scaleStepG, waterBoilsC, cooling, fridgeC, ahead, judged }: PassDeskProps) {
  const router = useRouter();
  const [client] = useState(() => makeBatchClient(batch));
  const [temperatures] = useState(() => makeTemperatureLog(batch.id, samples, asOf));
  const state = useSyncExternalStore(client.subscribe, client.get, client.get);
  const tablet = useSyncExternalStore(never, thisTablet, nobody);
  useEffect(() => client.resume(), [client]);
  useEffect(() => client.follow(), [client]);
  useEffect(() => temperatures.follow(), [temperatures]);
  const awake = useWakeLock(state.batch.status === 'running');
  const { progress } = state;
  const last = plan.steps.length - 1;
  const at = Math.min(progress.step, last);
  const step = plan.steps[at]!;
  const atMise = plan.mise.length > 0 && !progress.done.includes(MISE);
  const [inGrams, setInGrams] = useState(true);
  const [byScale, setByScale] = useState(false);
  const [kept, setKept] = useState<{ readonly at: string; readonly grossG: number } | null>(null);
  // Another step may have another bowl.
  const where = atMise ? MISE : step.key;
  const [offPlan, setOffPlan] = useState(false);
  const after = stepAfter(plan.steps, progress.done, at);
  const allDone = !atMise && (after === at || plan.steps.every((s, i) => i === at || progress.done.includes(s.key)));
  const ended = state.batch.status !== 'running';

  const next = () => {
    if (atMise) {
      void client.act({ kind: 'go', step: at, done: MISE });
      return;
    }
    if (after === at) return;
    // What it made waits for its use no longer than so.
    if (step.useWithinMin && !progress.done.includes(step.key) && !isRunning(timerOf(progress, `use:${step.key}`))) {
      void client.act({
        kind: 'timer-start',
        id: `use:${step.key}`,
        name: `use: ${inSentence(step.partName || step.title)}`,
        seconds: 60 * step.useWithinMin,
        at: Date.now(),
        by: tablet,
      });
    }
    const consumed = plan.steps[after]!.partId === '' ? progress.timers.filter((t) => t.id.startsWith('use:') && isRunning(t)) : [];
    for (const t of consumed) void client.act({ kind: 'timer-stop', id: t.id, at: Date.now(), by: tablet });
    void client.act({ kind: 'go', step: after, done: step.key });
  };
  const back = () => {
    if (atMise) return;
    if (at > 0) void client.act({ kind: 'go', step: at - 1 });
    else if (plan.mise.length > 0) void client.act({ kind: 'reopen', key: MISE });
  };
  const toStep = (key: string) => {
    const i = plan.steps.findIndex((s) => s.key === key.replace(/^(use|rest):/, '') || (key === 'whisk' && s.whisks));
    if (i >= 0) void client.act({ kind: 'go', step: i });
  };
  const onKey = useEffectEvent((e: KeyboardEvent) => {
    if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
    const onControl = e.target instanceof HTMLElement && e.target.closest('button, a, input, select, label') !== null;
    if (e.key === 'ArrowRight' || (e.key === ' ' && !onControl)) {
      e.preventDefault();
      if (atMise || !allDone) next();
    }
    if (e.key === 'ArrowLeft') back();
    if (e.key === '0') router.push('/');
    if (e.key === '1') router.push(`/sheet/${sheetId}/bench`);
    if (e.key === '3') router.push(`/sheet/${sheetId}/whisk`);
    if (e.key === '7') router.push(`/log?sheet=${sheetId}`);
    if (e.key === '8') router.push(`/mend?batch=${batch.id}`);
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  const finish = async (placeId: string | null) => {
    await client.act({ kind: 'finish', at: Date.now(), placeId });
    if (client.get().pending.length === 0) router.push(`/log/${batch.id}`);
  };
  const onPass: OnPass = {
    batchId: batch.id,
    plan,
    state,
    client,
    tablet,
    temperatures,
    scaleStepG,
    waterBoilsC,
    cooling,
    fridgeC,
    ahead,
    judged,
    amounts: {
      inGrams,
      byScale,
      toggleUnit: () => setInGrams(!inGrams),
      toggleScale: () => {
        setKept(null);
        setByScale(!byScale);
      },
      keptG: kept?.at === where ? kept.grossG : null,
      keep: (grossG) => setKept(grossG === null ? null : { at: where, grossG }),
    },
  };
  return (
    <OnPassContext value={onPass}>
      <div className="on-cocoa grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-cocoa text-milk">
        <div>
          <PassHeader version={version} at={atMise ? null : at} awake={awake} offPlan={offPlan} onOffPlan={() => setOffPlan(!offPlan)} onStep={toStep} />
          {offPlan && (
            <OffPlanPanel
              onSkip={atMise || after === at ? null : () => void client.act({ kind: 'skip', step: after, key: step.key, title: step.title, at: Date.now() })}
              onAbandoned={() => router.push(`/log/${batch.id}`)}
              onClose={() => setOffPlan(false)}
            />
          )}
        </div>
        <main className="mx-auto w-full max-w-[1060px] px-5 py-6 md:px-10">{atMise ? <MiseScreen /> : <StepScreen key={step.key} step={step} at={at} />}</main>
        <nav aria-label="Steps" className="sticky bottom-0 z-10 grid grid-cols-2 gap-px border-t border-cocoa-line bg-cocoa-line">
          <button
            type="button"
            className="flex min-h-[76px] items-center justify-center gap-3 bg-cocoa text-[20px] hover:bg-ink/40 disabled:text-cocoa-soft/60"
            disabled={atMise || (at === 0 && plan.mise.length === 0)}
            onClick={back}
          >
            <ArrowLeft aria-hidden="true" /> Back
          </button>
          {ended ? (
            <Link href={`/log/${batch.id}`} className="flex min-h-[76px] items-center justify-center bg-yolk text-[22px] font-[650] text-ink">
              To its page in Log
            </Link>
          ) : allDone ? (
            <Finish
              places={plan.ends === 'plate' ? [] : places}
              says={plan.ends === 'plate' ? 'It is served' : 'It is in the cold'}
              onFinish={(placeId) => void finish(placeId)}
            />
          ) : (
            <button
              type="button"
              className="flex min-h-[76px] items-center justify-center gap-3 bg-yolk px-3 text-[22px] leading-tight font-[650] text-ink"
              onClick={next}
            >
              <span className="max-sm:sr-only">Next: {inSentence((atMise ? plan.steps[at]! : plan.steps[after]!).title)}</span>
              <span className="sm:hidden">Next</span>
              <ArrowRight aria-hidden="true" className="shrink-0" />
            </button>
          )}
        </nav>
      </div>
    </OnPassContext>
  );
}

/** The end of a batch: where it went. */
function Finish({
  places,
  says,
  onFinish,
}: {
  readonly places: PassDeskProps['places'];
  readonly says: string;
  readonly onFinish: (placeId: string | null) => void;
}) {
  const [placeId, setPlaceId] = useState(places[0]?.id ?? '');
  return (
    <div className="flex min-h-[76px] items-stretch bg-yolk text-ink">
      {places.length > 0 && (
        <Select
          label="Where it went"
          value={placeId}
          options={places.map((p) => [p.id, p.name] as const)}
          onChange={setPlaceId}
          className="min-w-0 max-w-[45%] px-3 text-[17px] max-sm:max-w-[40%]"
        />
      )}
      <button type="button" className="flex flex-1 items-center justify-center gap-3 text-[22px] font-[650]" onClick={() => onFinish(placeId || null)}>
        <Check aria-hidden="true" className="max-sm:hidden" /> {says}
      </button>
    </div>
  );
}

function StepScreen({ step, at }: { readonly step: PlanStep; readonly at: number }) {
  const { plan, state, client } = useOnPass();
  const meanwhile = whileItRests(plan.steps, state.progress.done, at);
  const whisks = step.whisks || step.whisk !== null;
  return (
    <>
      {step.partName && <p className="text-[20px] text-yolk">{step.partName}</p>}
      <h1 className="text-[clamp(30px,4.6vw,52px)] leading-[1.08]">{step.title}</h1>
      {step.laid && <p className="mt-3 max-w-[36em] text-[24px] leading-snug">{step.laid}</p>}
      <p className="mt-3 max-w-[44em] text-[20px] leading-snug text-cocoa-soft">
        <Glossed text={step.detail} />
      </p>
      <Judged step={step} />
      <Mind step={step} />
      {whisks && <WhiskTimer step={step} />}
      {(step.waitMin ?? step.saidMin) && <StepTimer step={step} />}
      <div className={whisks && step.lines.length > 0 && step.readings.length > 0 ? 'grid gap-x-12 lg:grid-cols-[minmax(0,1fr)_300px]' : ''}>
        {step.lines.length > 0 && <StepLines lines={step.lines} />}
        <StepReadings kinds={step.readings} />
      </div>
      {step.heat && <StepTemperatures step={step} />}
      {meanwhile.length > 0 && (
        <section aria-label="While it rests" className="mt-7">
          <h2 className="text-[20px] text-yolk">While it rests</h2>
          <ul>
            {meanwhile.map((i) => {
              const other = plan.steps[i]!;
              return (
                <li key={other.key} className="border-t border-cocoa-line">
                  <button
                    type="button"
                    className="flex min-h-14 w-full items-baseline gap-4 py-2 text-left text-[20px] hover:bg-ink/40"
                    onClick={() => void client.act({ kind: 'go', step: i })}
                  >
                    <span className="text-cocoa-soft">{other.partName}</span>
                    <span className="font-[600]">{other.title}</span>
                    {other.takes && <span className="fig ml-auto text-cocoa-soft">{other.takes}</span>}
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      )}
    </>
  );
}

/** What is not in its band here, its figure first. */
function Judged({ step }: { readonly step: PlanStep }) {
  const list = useOnPass().judged[sheetStepKey(step.key)] ?? [];
  if (list.length === 0) return null;
  return (
    <ul aria-label="Before this step" className="mt-4 max-w-[44em] text-[20px] leading-snug">
      {list.map((t) => (
        <li key={t.key} className={t.out ? 'text-yolk' : 'text-milk'}>
          {t.big !== null && (
            <b className="fig mr-2 whitespace-nowrap">
              <span className="text-[30px] font-[650]">{t.big}</span>
              {/^\p{L}/u.test(t.small) ? '\u00a0' : ''}
              {t.small}
            </b>
          )}
          {t.says === '' ? t.of : t.says}
        </li>
      ))}
    </ul>
  );
}

/** What may go wrong here, by this sheet's own figures; each leads to what is done about it. */
function Mind({ step }: { readonly step: PlanStep }) {
  const { batchId, ahead } = useOnPass();
  const list = ahead[sheetStepKey(step.key)] ?? [];
  if (list.length === 0) return null;
  return (
    <ul aria-label="Mind" className="mt-3 max-w-[44em] text-[17px]">
      {list.map((a) => (
        <li key={a.sign}>
          <Link href={`/mend?batch=${batchId}&sign=${a.sign}`} className="inline-flex min-h-9 flex-wrap items-baseline gap-x-3 hover:text-yolk">
            <b className="font-[650] text-yolk">{a.name}?</b> <span className="text-cocoa-soft">{a.says}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** The clock of a rest, or of work whose time is said: short ends at the early end, so that it can be looked at. */
function StepTimer({ step }: { readonly step: PlanStep }) {
  const { state, client, tablet } = useOnPass();
  const id = `rest:${step.key}`;
  const timer = timerOf(state.progress, id);
  const [low, high] = (step.waitMin ?? step.saidMin)!;
  if (isRunning(timer)) return null;
  const start = (min: number, at: number) => {
    allowSound();
    void client.act({ kind: 'timer-start', id, name: inSentence(step.title), seconds: Math.round(60 * min), at, by: tablet });
  };
  const show = (min: number): string =>
    min < 1
      ? withUnit(plainNumber(60 * min, 0), 's')
      : min < 90
        ? withUnit(plainNumber(min, 0), 'min')
        : withUnit(plainNumber(min / 60, 1).replace(/\.0$/, ''), 'h');
  const choices = low > 0 && low < high ? [low, high] : [high];
  return (
    <div className="mt-5 flex flex-wrap gap-3" role="group" aria-label={step.waitMin ? 'Rest' : 'Time'}>
      {choices.map((min) => (
        <button
          key={min}
          type="button"
          className="min-h-14 rounded-s border border-cocoa-soft px-5 text-[19px] hover:border-milk"
          onClick={() => start(min, Date.now())}
        >
          Timer <span className="fig">{show(min)}</span>
        </button>
      ))}
      {timer && <p className="self-center text-[17px] text-cocoa-soft">The last one was stopped.</p>}
    </div>
  );
}

function PassHeader({
  version,
  at,
  awake,
  offPlan,
  onOffPlan,
  onStep,
}: {
  readonly version: number;
  readonly at: number | null;
  readonly awake: boolean;
  readonly offPlan: boolean;
  readonly onOffPlan: () => void;
  readonly onStep: (key: string) => void;
}) {
  const { batchId, plan, state, client } = useOnPass();
  const { progress } = state;
  const [adding, setAdding] = useState(false);
  return (
    <header className="border-b border-cocoa-line px-5 py-3 md:px-10">
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <p className="min-w-0 text-[17px]">
          <Link
            href="/"
            className="mr-3 inline-flex min-h-11 items-center text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
            title="Today (key 0)"
          >
            Today
          </Link>
          <span className="font-[650]">{plan.sheetName}</span>
          <span className="text-cocoa-soft">
            , version {version}
            {plan.scale !== 1 && `, times ${showFactor(plan.scale)}`}
            {progress.scale !== 1 && `, rest times ${showFactor(progress.scale)}`}
          </span>
        </p>
        <p className="flex flex-wrap items-center gap-x-5 text-[17px]">
          <OthersHere className="text-[15px] text-yolk">
            <span className="text-[15px] text-cocoa-soft">{state.batch.status !== 'running' ? 'over' : awake ? 'screen stays on' : 'screen may sleep'}</span>
          </OthersHere>
          <Link
            href={`/mend?batch=${batchId}`}
            className="inline-flex min-h-11 items-center rounded-s border border-cocoa-soft px-3 text-[16px] hover:border-milk"
            title="Mend (key 8)"
          >
            something is wrong
          </Link>
          <button
            type="button"
            aria-expanded={adding}
            className="min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
            onClick={() => setAdding(!adding)}
          >
            timer
          </button>
          <button
            type="button"
            aria-expanded={offPlan}
            className="min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
            onClick={onOffPlan}
          >
            off the plan{progress.offPlan.length > 0 ? ` (${progress.offPlan.length})` : ''}
          </button>
          <span>
            {at === null ? (
              'mise en place'
            ) : (
              <>
                step <span className="fig">{at + 1}</span> of <span className="fig">{plan.steps.length}</span>
              </>
            )}
          </span>
        </p>
      </div>
      <div className="mt-2 flex gap-1" aria-hidden="true">
        {plan.steps.map((s, i) => (
          <i key={s.key} className={`h-1 flex-1 ${i === at ? 'bg-yolk' : progress.done.includes(s.key) ? 'bg-cocoa-soft' : 'bg-cocoa-line'}`} />
        ))}
      </div>
      <TimerStrip onStep={onStep} adding={adding} onAdded={() => setAdding(false)} />
      {progress.pausedAt !== null && (
        <p role="status" className="mt-2 flex flex-wrap items-center gap-3 text-[18px] text-yolk">
          Paused; the timers go on by the clock.
          <button
            type="button"
            className="min-h-11 rounded-s border border-yolk px-3"
            onClick={() => void client.act({ kind: 'off-plan', entry: { at: Date.now(), kind: 'resumed', words: 'Went on' } })}
          >
            Go on
          </button>
        </p>
      )}
      <p role="status" className="mt-2 text-[16px] text-yolk empty:hidden">
        {state.trouble === AWAY ? '' : state.trouble}
      </p>
      <ClashQuestion client={client} clashes={state.clashes} className="text-[17px]" />
    </header>
  );
}
