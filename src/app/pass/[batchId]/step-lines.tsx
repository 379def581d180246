'use client';

import { useEffect, useEffectEvent, useState } from 'react';
import { Check } from 'lucide-react';
import { showGrams } from '../../../core/figure';
import { amountNow, rescaleTo } from '../../../core/batch/batch';
import type { BatchPlan } from '../../../core/batch/batch';
import { gramsOf } from '../../../instruments/wire';
import { devicesOf, SILENT_MS, useInstruments } from '../../../ui/instruments/use-instruments';
import { useNow } from '../../../ui/use-now';
import { numberField } from '../../../ui/units/number-field';
import { useOnPass } from './on-pass';

type Line = BatchPlan['steps'][number]['lines'][number];

interface StepLinesProps {
  readonly lines: readonly Line[];
  /** Without the two switches below, where other amounts follow that have them. */
  readonly bare?: boolean;
  /** Put before a line's id in its tick, where the same line is ticked in two places. */
  readonly tickAs?: string;
}

/** Amounts with their ticks; by the scale, the next one ticks itself when its weight is reached and steady. */
export function StepLines({ lines, bare = false, tickAs = '' }: StepLinesProps) {
  const { plan, state, client, amounts } = useOnPass();
  const { inGrams, byScale } = amounts;
  const [editing, setEditing] = useState<string | null>(null);
  const { progress } = state;
  const open = (l: Line): boolean => !progress.ticks.includes(tickAs + l.lineId);
  // Weighed ahead, one after the other over all the steps.
  const next = (tickAs === '' ? lines : plan.mise.flatMap((g) => g.lines)).find(open) ?? null;
  return (
    <section className="mt-6" aria-label="Amounts">
      <ul>
        {lines.map((l) => {
          const tick = tickAs + l.lineId;
          const ticked = progress.ticks.includes(tick);
          const grams = showGrams(amountNow(progress, l));
          // A measure is of the amount as written; once the batch is at another scale it says grams.
          const shown = inGrams || !l.measure || progress.scale !== 1 || progress.weighed[l.lineId] !== undefined ? grams : l.measure;
          return (
            <li key={l.lineId} className={`border-t border-cocoa-line ${byScale && l.lineId === next?.lineId ? '-mx-3 bg-cocoa-line/45 px-3' : ''}`}>
              <div className="flex items-center gap-2">
                <label className="flex min-h-16 min-w-0 flex-1 cursor-pointer items-center gap-5 py-2 has-focus-visible:outline-2 has-focus-visible:outline-yolk">
                  <input
                    type="checkbox"
                    className="peer sr-only"
                    checked={ticked}
                    onChange={(e) => {
                      amounts.keep(null);
                      void client.act({ kind: 'tick', line: tick, on: e.target.checked });
                    }}
                  />
                  <span
                    aria-hidden="true"
                    className={`flex size-9 shrink-0 items-center justify-center rounded-s border-2 ${ticked ? 'border-yolk bg-yolk text-ink' : 'border-cocoa-soft'}`}
                  >
                    {ticked && <Check size={24} />}
                  </span>
                  <span className={`fig min-w-[4.2em] text-right text-[clamp(26px,3.4vw,38px)] ${ticked ? 'text-cocoa-soft' : ''}`}>{shown}</span>
                  <span className={`min-w-0 text-[clamp(20px,2.4vw,27px)] leading-tight ${ticked ? 'text-cocoa-soft line-through' : ''}`}>{l.name}</span>
                </label>
                <button
                  type="button"
                  aria-label={`Another amount of ${l.name}`}
                  className="min-h-12 shrink-0 px-2 text-[15px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
                  onClick={() => setEditing(editing === l.lineId ? null : l.lineId)}
                >
                  other<span className="max-sm:hidden"> amount</span>
                </button>
              </div>
              {editing === l.lineId && <OtherAmount line={l} tick={tick} onDone={() => setEditing(null)} />}
              {byScale && l.lineId === next?.lineId && <OnTheScale key={l.lineId} line={l} tick={tick} />}
            </li>
          );
        })}
      </ul>
      {!bare && <AmountSwitches />}
    </section>
  );
}

/** Grams or the cook's measure; by hand or by the scale. */
export function AmountSwitches() {
  const { inGrams, byScale, toggleUnit, toggleScale } = useOnPass().amounts;
  return (
    <div className="mt-1 flex flex-wrap gap-x-6">
      <button
        type="button"
        className="min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
        onClick={toggleUnit}
      >
        {inGrams ? 'show the cook’s measure' : 'show grams'}
      </button>
      <button
        type="button"
        aria-pressed={byScale}
        className="min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
        onClick={toggleScale}
      >
        {byScale ? 'tick by hand' : 'weigh with the scale'}
      </button>
    </div>
  );
}

const MOST_G = 1_000_000;

/** What was really put in: typed; the rest can follow it. */
function OtherAmount({ line, tick, onDone }: { readonly line: Line; readonly tick: string; readonly onDone: () => void }) {
  const { state, client, amounts } = useOnPass();
  const [text, setText] = useState('');
  const field = numberField('g', MOST_G);
  const read = field.read(text);
  const grams = read.ok && read.value.value >= 0 && read.value.value <= MOST_G ? read.value.value : null;
  const rescale = grams === null ? null : rescaleTo(state.progress, line, grams, 0);
  const put = (follow: boolean): void => {
    if (grams === null) return;
    if (follow && rescale) void client.act({ ...rescale, at: Date.now() });
    else
      void client.act({
        kind: 'off-plan',
        entry: { at: Date.now(), kind: 'more', words: `${line.name}: ${showGrams(grams)} instead of ${showGrams(line.massG * state.progress.scale)}` },
      });
    // What is typed says nothing of what lies on the scale.
    amounts.keep(null);
    void client.act({ kind: 'weigh', line: line.lineId, tick, grams });
    onDone();
  };
  return (
    <div className="flex flex-wrap items-center gap-3 pb-3 text-[17px]">
      <label className="flex items-center gap-2">
        What went in
        <input
          autoFocus
          value={text}
          maxLength={30}
          inputMode="decimal"
          onChange={(e) => setText(e.target.value)}
          className="fig h-12 w-28 rounded-s border border-cocoa-line bg-transparent px-3 text-[22px] text-milk"
        />
        {field.unit}
      </label>
      <button
        type="button"
        disabled={rescale === null}
        className="min-h-12 rounded-s bg-milk px-4 font-[650] text-ink disabled:opacity-50"
        onClick={() => put(true)}
      >
        Scale the rest to it
      </button>
      <button
        type="button"
        disabled={grams === null}
        className="min-h-12 rounded-s border border-cocoa-soft px-4 disabled:opacity-50"
        onClick={() => put(false)}
      >
        Only write it down
      </button>
      {text !== '' && grams === null && (
        <p role="alert" className="text-yolk">
          ‘{text}’ is no weight: write grams, like 330.
        </p>
      )}
    </div>
  );
}

/** So long a weight must stand still, ms, where the scale has no word for it. */
const STEADY_MS = 1200;

/** The scale's net weight beside the wish. Taring is done here: it takes off what lay there when the line before was kept, else what lies there now. */
function OnTheScale({ line, tick }: { readonly line: Line; readonly tick: string }) {
  const { state, client, scaleStepG, amounts } = useOnPass();
  const feed = useInstruments(true);
  const scale = devicesOf(feed, 'scale')[0] ?? null;
  const now = useNow(true, 200);
  // What is poured while a line ticks itself is the next one's, however late its row is drawn.
  const [tareG, setTareG] = useState<number | null>(amounts.keptG);
  const [since, setSince] = useState<{ readonly g: number; readonly at: number } | null>(null);
  const grossG = scale ? gramsOf(scale.line) : null;
  // The first weight heard is the bowl with what is in it already.
  if (grossG !== null && tareG === null) setTareG(grossG);
  const netG = grossG === null || tareG === null ? null : grossG - tareG;
  if (netG !== null && (since === null || Math.abs(since.g - netG) > scaleStepG)) setSince({ g: netG, at: now });
  const targetG = line.massG * state.progress.scale;
  const allowedG = Math.max(scaleStepG, 0.01 * targetG);
  const silentMs = scale ? now - scale.heardAt : null;
  const steady = netG !== null && (silentMs ?? 0) < SILENT_MS && since !== null && now - since.at >= STEADY_MS && scale?.line.stable !== false;
  const phase =
    netG === null
      ? 'none'
      : (silentMs ?? 0) >= SILENT_MS
        ? 'silent'
        : netG < -2 * scaleStepG
          ? 'negative'
          : netG < targetG - allowedG
            ? 'under'
            : netG <= targetG + allowedG
              ? 'there'
              : 'over';
  const put = (grams: number): void => {
    if (tareG !== null) amounts.keep(tareG + grams);
    void client.act({ kind: 'weigh', line: line.lineId, tick, grams });
  };
  const done = useEffectEvent(put);
  const reached = phase === 'there' && steady;
  useEffect(() => {
    if (reached && netG !== null) done(netG);
  }, [reached, netG]);
  const rescale = netG === null ? null : rescaleTo(state.progress, line, netG, 0);
  const words: Readonly<Record<typeof phase, string>> = {
    none: feed.open ? 'No scale speaks. Tick by hand, or see Instruments.' : 'Waiting for the scale.',
    silent: `The scale is silent for ${Math.round((silentMs ?? 0) / 1000)}\u00a0s: look at its cable, or tick by hand.`,
    negative: 'Less than nothing: was the bowl lifted? Put it back, or tare.',
    under: `${showGrams(Math.max(0, targetG - (netG ?? 0)))} to go`,
    there: steady ? 'There.' : 'There; hold still.',
    over: `${showGrams((netG ?? 0) - targetG)} too much: take some out, or keep it.`,
  };
  return (
    <div className="pb-4" data-scale={phase}>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="fig text-[clamp(44px,7vw,72px)] leading-none" aria-label="On the scale, net">
          {netG === null ? '–' : showGrams(netG)}
        </p>
        <div className="min-w-[200px] flex-1">
          <p role="status" className={`text-[20px] font-[600] ${phase === 'over' || phase === 'negative' || phase === 'silent' ? 'text-yolk' : ''}`}>
            {words[phase]}
            {scale?.line.unit === 'oz' && ' The scale shows ounces; this is in grams.'}
          </p>
          <div className="mt-2 h-3 overflow-hidden rounded-s bg-cocoa-line" aria-hidden="true">
            <div
              className={`h-full ${phase === 'over' ? 'bg-beet' : 'bg-yolk'}`}
              style={{ width: `${Math.max(0, Math.min(100, (100 * (netG ?? 0)) / Math.max(targetG, 1)))}%` }}
            />
          </div>
        </div>
        <button
          type="button"
          disabled={grossG === null}
          className="min-h-12 rounded-s border border-cocoa-soft px-4 text-[17px] disabled:opacity-50"
          onClick={() => setTareG(grossG)}
        >
          Tare
        </button>
      </div>
      {phase === 'over' && steady && rescale && (
        <button
          type="button"
          className="mt-3 min-h-12 rounded-s bg-milk px-4 text-[17px] font-[650] text-ink"
          onClick={() => {
            void client.act({ ...rescale, at: Date.now() });
            put(netG!);
          }}
        >
          Keep it, scale the rest
        </button>
      )}
    </div>
  );
}
