'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { isFreezer } from '../../../core/kitchen/place';
import { MeasuredSchema } from '../../../core/tuning/measured';
import { figuresOf } from '../../../core/tuning/figures';
import { tuned } from '../../../core/tuning/tuned';
import type { TestOffered } from '../../../core/tuning/worth';
import { clockFace, plainNumber, showFigure, withUnit } from '../../../core/figure';
import { askServer, refusal } from '../../../ui/ask-server';
import { FigureButton } from '../../../ui/figure-button';
import { devicesOf, useInstruments } from '../../../ui/instruments/use-instruments';
import { gramsOf } from '../../../instruments/wire';
import { QuantityField } from '../../../ui/quantity-field';
import { useKept } from '../../../ui/use-kept';
import { ASKED, draftOf, isBegun, measuredOf, WATCHED, type Draft } from './draft';
import { bandSays, IN_A_FREEZER, TEST_WORDS } from './test-words';
import { knownOf, type TuneThings } from './tune-things';

interface TestFormProps {
  readonly test: TestOffered;
  readonly things: TuneThings;
  readonly onKept: (says: string) => void;
  readonly onLeave: () => void;
}

const SPEEDS = ['slow', 'medium', 'fast'] as const;
type Speed = (typeof SPEEDS)[number];

/** One test: what is done, what is measured, what it comes to, and which bands it narrows. */
export function TestForm({ test, things, onKept, onLeave }: TestFormProps) {
  const { kind, thing } = test;
  const place = `soft-peak:tune:${kind}:${thing}`;
  const [kept, keep] = useKept('local', place);
  const [speedKept, keepSpeed] = useKept('local', `${place}:speed`);
  const speed = SPEEDS.find((s) => s === speedKept) ?? ('medium' satisfies Speed);
  const draft = useMemo(() => draftOf(kept), [kept]);
  const change = (more: Partial<Draft>): void => keep(JSON.stringify({ ...draft, ...more }));
  const scale = devicesOf(useInstruments(ASKED[kind].some((a) => a.unit === 'g')), 'scale')[0];
  const [trouble, setTrouble] = useState('');
  const [sending, setSending] = useState(false);
  const [id] = useState(() => crypto.randomUUID());
  const known = useMemo(() => knownOf(things), [things]);
  const measured = measuredOf(kind, thing, draft, speed);
  const begun = isBegun(kind, draft);
  const valid = MeasuredSchema.safeParse(measured);
  const result = valid.success ? tuned(valid.data, known) : null;
  const cold = kind === 'cold' ? things.places.find((p) => p.id === thing) : undefined;
  const inFreezer = cold !== undefined && isFreezer(cold);
  const planetary = kind === 'whisk' && things.mixers.find((m) => m.id === thing)?.kind === 'planetary';
  const figures = result?.ok && valid.success ? figuresOf(valid.data, result.value) : [];
  const send = async (): Promise<void> => {
    setSending(true);
    setTrouble('');
    try {
      await askServer('/api/tuning', 'POST', new Blob([JSON.stringify({ id, measured })], { type: 'application/json' }));
      keep('');
      onKept(`Kept: ${figures.map((f) => `${f.name.toLowerCase()} ${showFigure(f)}`).join(', ')}.`);
    } catch (error) {
      setTrouble(refusal(error));
      setSending(false);
    }
  };
  // Opened from far down the list, it comes into sight, and into hand.
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    head.current?.scrollIntoView({ block: 'center' });
    head.current?.focus({ preventScroll: true });
  }, []);
  return (
    <section aria-label={TEST_WORDS[kind].title(test.name)} className="border-steel lg:border-l lg:pl-8">
      <h2 ref={head} tabIndex={-1} className="text-[20px] leading-tight font-[650] outline-none">
        {TEST_WORDS[kind].title(test.name)}
      </h2>
      <p className="mt-1.5 max-w-[52ch] text-[16px]">{inFreezer ? IN_A_FREEZER : TEST_WORDS[kind].how}</p>
      <div className="mt-4 grid grid-cols-2 gap-x-4 gap-y-3">
        {ASKED[kind].map((a) => {
          const set = (value: number): void => change({ values: { ...draft.values, [a.key]: value } });
          const weighs = a.unit === 'g' ? scale : undefined;
          return (
            <div key={a.key}>
              <QuantityField
                label={a.label}
                unit={a.unit}
                value={draft.values[a.key] ?? (a.key === 'boilsC' ? things.rules.waterBoilsC : a.start)}
                min={a.min}
                max={a.max}
                onChange={set}
              />
              {weighs && (
                <button
                  type="button"
                  className="mt-1 min-h-9 text-[14px] underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11"
                  onClick={() => set(Math.max(a.min, Number(gramsOf(weighs.line).toFixed(1))))}
                >
                  By the scale: <span className="fig">{withUnit(plainNumber(gramsOf(weighs.line), 1), 'g')}</span>
                </button>
              )}
            </div>
          );
        })}
        {planetary && (
          <fieldset>
            <legend className="block text-[13.5px] text-ink-soft">Speed</legend>
            <div className="mt-0.5 flex gap-1.5">
              {SPEEDS.map((s) => (
                <button
                  key={s}
                  type="button"
                  aria-pressed={s === speed}
                  className={`btn px-3 ${s === speed ? 'border-ink bg-ink text-paper' : ''}`}
                  onClick={() => keepSpeed(s)}
                >
                  {s}
                </button>
              ))}
            </div>
          </fieldset>
        )}
      </div>
      {WATCHED[kind] && <Watch draft={draft} moments={WATCHED[kind]} change={change} />}
      {kind === 'cold' && <Readings draft={draft} change={change} />}
      <div role="status" className="mt-5 min-h-16 border-t border-steel pt-3">
        {result?.ok && begun ? (
          <dl className="flex flex-wrap gap-x-8 gap-y-2">
            {figures.map((f) => (
              <div key={f.key}>
                <dt className="text-[13.5px] text-ink-soft">{f.name}</dt>
                <dd>
                  <FigureButton figure={f} className="text-[24px] font-[650]" />
                </dd>
              </div>
            ))}
          </dl>
        ) : (
          <p className="text-[16px] text-ink-soft">
            {begun && result && !result.ok ? result.fault.says : 'What it comes to stands here as soon as it can be said.'}
          </p>
        )}
      </div>
      {test.bands.length > 0 && (
        <table className="mt-2 w-full text-[15px]">
          <caption className="sr-only">Bands that it narrows</caption>
          <tbody>
            {test.bands.slice(0, MOST_SHOWN).map((b) => (
              <tr key={`${b.sheetId} ${b.figure} ${b.now}`} className="border-t border-steel-light">
                <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                  {b.sheet}: {b.figure}
                </th>
                <td className="fig py-1.5 text-right whitespace-nowrap">{bandSays(kind, b)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {test.bands.length > MOST_SHOWN && <p className="pt-1.5 text-[14px] text-ink-soft">and {test.bands.length - MOST_SHOWN} more</p>}
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="btn btn-act" disabled={!begun || !result?.ok || sending} onClick={() => void send()}>
          Keep it
        </button>
        <button type="button" className="btn" onClick={onLeave}>
          {begun ? 'Go on later' : 'Leave'}
        </button>
        {begun && (
          <button type="button" className="btn" onClick={() => keep('')}>
            Start again
          </button>
        )}
      </div>
      <p role="alert" className="mt-2 text-beet empty:hidden">
        {trouble}
      </p>
    </section>
  );
}

const MOST_SHOWN = 6;

/** A watch that goes on while the page is away, and the moments that it took; each can be typed too. */
function Watch({
  draft,
  moments,
  change,
}: {
  readonly draft: Draft;
  readonly moments: readonly { readonly key: string; readonly label: string }[];
  readonly change: (more: Partial<Draft>) => void;
}) {
  const [now, setNow] = useState<number | null>(null);
  const { since } = draft;
  useEffect(() => {
    if (since === null) return;
    const tick = (): void => setNow(Date.now());
    const first = setTimeout(tick, 0);
    const each = setInterval(tick, 250);
    return () => {
      clearTimeout(first);
      clearInterval(each);
    };
  }, [since]);
  const runs = since === null || now === null ? null : Math.max(0, (now - since) / 1000);
  return (
    <div className="mt-5">
      <div className="flex items-center gap-4">
        <p className="fig min-w-24 text-[34px] leading-none font-[650]" aria-label="The watch">
          {clockFace(runs ?? 0)}
        </p>
        {since === null ? (
          <button type="button" className="btn" onClick={() => change({ since: Date.now() })}>
            Start the watch
          </button>
        ) : (
          <button type="button" className="btn" onClick={() => change({ since: null })}>
            Stop the watch
          </button>
        )}
      </div>
      <div className="mt-3 grid grid-cols-3 gap-x-3">
        {moments.map((m) => (
          <div key={m.key}>
            <button
              type="button"
              className="btn w-full"
              disabled={since === null}
              onClick={() => since !== null && change({ values: { ...draft.values, [m.key]: Math.max(5, Math.round((Date.now() - since) / 1000)) } })}
            >
              {m.label} now
            </button>
            <div className="mt-1.5">
              <QuantityField
                label={`${m.label} after`}
                unit="s"
                value={draft.values[m.key] ?? 0}
                min={0}
                max={7200}
                onChange={(value) => {
                  const { [m.key]: _, ...rest } = draft.values;
                  change({ values: value === 0 ? rest : { ...rest, [m.key]: value } });
                }}
              />
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}

/** Readings of the cup as they come: each with its minutes since the first, by the clock or typed; by a probe where one speaks. */
function Readings({ draft, change }: { readonly draft: Draft; readonly change: (more: Partial<Draft>) => void }) {
  const [c, setC] = useState(20);
  const [typedMin, setTypedMin] = useState<number | null>(null);
  const probe = devicesOf(useInstruments(true), 'probe')[0];
  const spoken = probe?.line.value ?? null;
  const take = (value: number): void => {
    const now = Date.now();
    const since = draft.since ?? now;
    const min = typedMin ?? Math.round((now - since) / 6000) / 10;
    change({ since, readings: [...draft.readings, { min, c: value }].toSorted((a, b) => a.min - b.min) });
    setTypedMin(null);
  };
  return (
    <div className="mt-5">
      <div className="grid grid-cols-2 items-end gap-x-4 gap-y-2">
        <QuantityField label="The water now" unit="°C" value={c} min={-40} max={100} onChange={setC} />
        <QuantityField label="Minutes since the first" unit="min" value={typedMin ?? 0} min={0} max={2880} onChange={setTypedMin} />
      </div>
      <div className="mt-2 flex flex-wrap gap-3">
        <button type="button" className="btn" onClick={() => take(c)}>
          Take this reading
        </button>
        {spoken !== null && (
          <button type="button" className="btn" onClick={() => take(spoken)}>
            By the probe: <span className="fig">{withUnit(plainNumber(spoken, 1), '°C')}</span>
          </button>
        )}
      </div>
      <p className="mt-1 text-[14px] text-ink-soft">Minutes left as they are go by the clock.</p>
      {draft.readings.length > 0 && (
        <ul aria-label="Readings" className="mt-3">
          {draft.readings.map((r, i) => (
            <li key={`${r.min} ${r.c} ${i}`} className="grid grid-cols-[90px_90px_1fr] items-center border-t border-steel-light py-1">
              <span className="fig text-right">{withUnit(plainNumber(r.min, r.min % 1 === 0 ? 0 : 1), 'min')}</span>
              <span className="fig text-right font-medium">{withUnit(plainNumber(r.c, 1), '°C')}</span>
              <button
                type="button"
                className="min-h-9 justify-self-end px-2 text-[14px] underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11"
                aria-label={`Leave out the reading at ${plainNumber(r.min, 0)} min`}
                onClick={() => change({ readings: draft.readings.filter((_, k) => k !== i), ...(draft.readings.length === 1 ? { since: null } : {}) })}
              >
                Leave out
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
