'use client';

import dynamic from 'next/dynamic';
import { useSyncExternalStore } from 'react';
import { plainNumber, showHours, withUnit } from '../../../core/figure';
import { coolingRulesOf, coolingVerdict, type CoolingRule } from '../../../core/heat/cooling';
import { EGG_KIND_NAMES, eggVerdict, REFERENCE_MIN, type Reading } from '../../../core/heat/lethality';
import { sugarPctAtBoil } from '../../../core/heat/syrup';
import { degreesWanted, readDegrees } from '../../../core/measures/read-degrees';
import { unitsHere } from '../../../core/measures/shown-here';
import type { PlanStep } from '../../../core/batch/batch';
import { useKept } from '../../../ui/use-kept';
import { devicesOf, useInstruments } from '../../../ui/instruments/use-instruments';
import { useOnPass } from './on-pass';

const LineChart = dynamic(() => import('../../../ui/line-chart').then((m) => m.LineChart), { ssr: false });

const degrees = (tC: number): string => withUnit(plainNumber(tC, Number.isInteger(tC) ? 0 : 1), '°C');
const minutes = (min: number): string => (min < 90 ? withUnit(plainNumber(min, min < 10 ? 1 : 0), 'min') : showHours(min / 60));

/** A step's temperatures: typed or logged from a probe, drawn, and held against what they are for. */
export function StepTemperatures({ step }: { readonly step: PlanStep }) {
  const { batchId, temperatures, waterBoilsC, cooling } = useOnPass();
  const state = useSyncExternalStore(temperatures.subscribe, temperatures.get, temperatures.get);
  const feed = useInstruments(true);
  const probes = devicesOf(feed, 'probe');
  const series = state.samples.filter((s) => s.series.startsWith(`${step.key}|`)).toSorted((a, b) => a.at - b.at);
  const start = series[0]?.at ?? 0;
  const curve: Reading[] = series.map((s) => [(s.at - start) / 60_000, s.tC]);
  const [draft, setText] = useKept('local', `soft-peak:temperature:${batchId}`);
  const text = draft ?? '';
  const typed = readDegrees(text, unitsHere());
  const good = typed !== null;
  const add = () => {
    if (typed === null) return;
    temperatures.add(`${step.key}|by hand`, typed);
    setText('');
  };
  return (
    <section className="mt-6 max-w-[760px]" aria-label="Temperatures">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <label className="text-[18px] text-cocoa-soft">
          Temperature now
          <span className="mt-1 flex items-center gap-2">
            <input
              value={text}
              maxLength={12}
              inputMode="decimal"
              autoComplete="off"
              onChange={(e) => setText(e.target.value)}
              onKeyDown={(e) => e.key === 'Enter' && add()}
              aria-invalid={(text !== '' && !good) || undefined}
              className="fig h-14 w-32 rounded-s border border-cocoa-line bg-transparent px-3 text-[26px] text-milk aria-invalid:border-yolk"
            />
            {unitsHere().temperature}
            <button type="button" disabled={!good} className="min-h-12 rounded-s bg-milk px-4 font-[650] text-ink disabled:opacity-50" onClick={add}>
              Write it down
            </button>
          </span>
        </label>
        {probes.map((p) => {
          const key = `${step.key}|${p.label}`;
          const on = state.logging[key] === p.line.id;
          return (
            <div key={p.line.id}>
              <p className="text-[18px] text-cocoa-soft">{p.label}</p>
              <p className="mt-1 flex h-14 items-center gap-3">
                <span className="fig text-[26px]">{withUnit(plainNumber(p.line.value, 1), '°C')}</span>
                <button
                  type="button"
                  aria-pressed={on}
                  className={`min-h-12 rounded-s px-4 text-[16px] ${on ? 'bg-yolk font-[650] text-ink' : 'border border-cocoa-soft'}`}
                  onClick={() => temperatures.logFrom(key, on ? null : p.line.id)}
                >
                  {on ? 'logging' : 'log it here'}
                </button>
              </p>
            </div>
          );
        })}
      </div>
      {probes.some((p) => p.twin) && <p className="mt-2 text-[16px] text-yolk">Two probes bear one name: the end of each one’s serial tells them apart.</p>}
      {text !== '' && !good && (
        <p role="alert" className="mt-2 text-[17px] text-yolk">
          ‘{text}’ is no temperature: {degreesWanted(unitsHere(), 71)}.
        </p>
      )}
      <Verdict step={step} curve={curve} waterBoilsC={waterBoilsC} rule={coolingRulesOf(cooling)[0]!} />
      {curve.length > 1 && (
        <div className="mt-3 h-52 rounded-s bg-paper p-2">
          <LineChart
            points={curve.map(([x, y]) => ({ x, y }))}
            xName="min"
            yName="°C"
            band={step.tempC === null ? null : [step.tempC - 0.5, step.tempC + 0.5]}
            says={`${curve.length} temperatures over ${minutes(curve.at(-1)![0])}, now ${degrees(curve.at(-1)![1])}`}
          />
        </div>
      )}
      {series.length > 0 && (
        <button
          type="button"
          className="mt-1 min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
          onClick={() => void temperatures.remove(series.at(-1)!)}
        >
          take the last away: {degrees(series.at(-1)!.tC)}
        </button>
      )}
      <p role="status" className="mt-2 text-[16px] text-yolk empty:hidden">
        {state.trouble}
      </p>
    </section>
  );
}

/** What the temperatures so far say: 'reaches' or 'does not', 'met' or 'late'; never 'safe'. */
function Verdict({
  step,
  curve,
  waterBoilsC,
  rule,
}: {
  readonly step: PlanStep;
  readonly curve: readonly Reading[];
  readonly waterBoilsC: number;
  readonly rule: CoolingRule;
}) {
  const last = curve.at(-1);
  const { heat } = step;
  if (!heat) return null;
  const line = 'mt-3 text-[19px]';
  if (!last) {
    const asks = {
      egg: 'Readings show whether the egg reaches the usual figure.',
      cooling: `${rule.key === 'own' ? 'Held against ' : 'The usual rule: '}${rule.name}. Follow your local food code.`,
      syrup: 'The boiling point says how strong the syrup is.',
      reach: step.tempC === null ? '' : `To reach: ${degrees(step.tempC)}.`,
    };
    return <p className={`${line} text-cocoa-soft`}>{asks[heat.use]}</p>;
  }
  if (heat.use === 'syrup') {
    const strength = sugarPctAtBoil(last[1], waterBoilsC);
    return (
      <p className={line}>
        {strength.ok ? (
          <>
            At {degrees(last[1])} it is <b className="fig">{withUnit(plainNumber(strength.value, 0), '%')}</b> sugar
            {step.tempC !== null && last[1] >= step.tempC ? ': it is there, off the hob.' : '.'}
          </>
        ) : (
          strength.fault.says
        )}
      </p>
    );
  }
  if (heat.use === 'egg') {
    const verdict = eggVerdict(heat.egg, curve, heat.richInSugar, heat.rule);
    if (!verdict.ok) return <p className={line}>{verdict.fault.says}</p>;
    const v = verdict.value;
    return (
      <p className={line} data-verdict={v.reaches ? 'reaches' : 'does-not'}>
        <b>{v.reaches ? 'Reaches the usual figure' : 'Does not reach the usual figure yet'}</b>: {EGG_KIND_NAMES[heat.egg]}, at most {degrees(v.peakC)}, worth{' '}
        {withUnit(plainNumber(v.equivalentMin, 1), 'min')} at {degrees(v.referenceC)} of {REFERENCE_MIN}. Follow your local food code.
      </p>
    );
  }
  if (heat.use === 'cooling') {
    const verdict = coolingVerdict(curve, rule);
    if (!verdict.ok) return <p className={line}>{verdict.fault.says}</p>;
    return (
      <ul
        className={line}
        data-verdict={verdict.value.stages.some((s) => s.state === 'late') ? 'late' : verdict.value.stages.every((s) => s.state === 'met') ? 'met' : 'running'}
      >
        {verdict.value.startMin === null && <li>The rule’s clock starts as it falls through {degrees(rule.fromC)}.</li>}
        {verdict.value.startMin !== null &&
          verdict.value.stages.map((s) => (
            <li key={s.toC}>
              To {degrees(s.toC)} within {minutes(s.withinMin)}:{' '}
              <b>
                {s.state === 'met'
                  ? `there after ${minutes(s.tookMin!)}`
                  : s.state === 'late'
                    ? 'too late by this rule'
                    : `${minutes(Math.max(0, s.withinMin - (last[0] - verdict.value.startMin!)))} left`}
              </b>
            </li>
          ))}
        <li className="text-[16px] text-cocoa-soft">A kitchen’s rule, not the law: follow your local food code and a qualified person’s advice.</li>
      </ul>
    );
  }
  return step.tempC === null ? null : (
    <p className={line}>
      Now {degrees(last[1])}; to reach {degrees(step.tempC)}.
    </p>
  );
}
