'use client';

import { useId, useState } from 'react';
import { plainNumber, showGrams, withUnit } from '../../../../core/figure';
import { readCurve } from '../../../../core/heat/lethality';
import type { PartAnalysis, SheetAnalysis } from '../../../../core/analysis/analysed';
import { setPart } from '../../../../core/editing/edits';
import type { HeatPlan } from '../../../../core/document/kinds';
import { eggOf } from '../../../../core/analysis/egg';
import { hobOf, meetingsOf, meetsAt, syrupOf, type HobOfKitchen } from '../../../../core/analysis/warmth';
import { Choice } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** Changes what is hot or cold about a part. */
function useHeat(): (partId: string, change: Partial<HeatPlan>) => void {
  const { edit, context } = useSheet();
  return (partId, change) =>
    edit(`heat:${partId}:${Object.keys(change).join()}`, (d) => {
      const part = d.parts.find((p) => p.id === partId);
      return part ? setPart(d, partId, { heat: { ...part.heat, ...change } }, context) : d;
    });
}

/** Every meeting with what comes to it; the temperature of each part can be set. */
export function HeatOfParts({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const setHeat = useHeat();
  const meetings = meetingsOf(s).filter((m) => m.kind === 'fold');
  const inThem = s.parts.filter((a) => meetings.some((m) => m.partId === a.part.id || m.guests.some((g) => g.name === a.part.name)));
  return (
    <div className="grid grid-cols-2 gap-x-4 gap-y-2 pb-2 sm:grid-cols-3">
      {inThem.map((a) => {
        const own = meetings.some((m) => m.partId === a.part.id);
        const hasOwn = own && meetings.some((m) => m.partId === a.part.id && m.guests.some((g) => g.name === a.part.name));
        if (own && !hasOwn) return null;
        const { tC } = meetsAt(a);
        return (
          <QuantityField
            key={a.part.id}
            label={own ? `${a.part.name}, its base` : `${a.part.name}, at the fold`}
            unit="°C"
            value={tC}
            min={-30}
            max={120}
            onChange={(atC) => setHeat(a.part.id, { atC })}
          />
        );
      })}
    </div>
  );
}

/** Syrup, bowl, eggs and readings of every part that is cooked in the bowl. */
export function HeatFields({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { kitchen } = useSheet();
  const cooked = s.parts.filter((a) => {
    const egg = eggOf(a);
    return egg !== null && egg.way === 'heated';
  });
  return cooked.map((a) => <PartHeat key={a.part.id} a={a} rules={kitchen.rules} />);
}

function PartHeat({ a, rules }: { readonly a: PartAnalysis; readonly rules: HobOfKitchen }) {
  const setHeat = useHeat();
  const { heat } = a.part;
  const syrup = syrupOf(a, rules);
  const set = (change: Partial<HeatPlan>) => setHeat(a.part.id, change);
  return (
    <div className="pb-3">
      {syrup && (
        <>
          <div className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3">
            <QuantityField label="Syrup boiled to" unit="°C" value={heat.syrupC} min={80} max={140} onChange={(syrupC) => set({ syrupC })} />
            <QuantityField label="Eggs before" unit="°C" value={heat.eggC} min={0} max={60} onChange={(eggC) => set({ eggC })} />
            <QuantityField label="Hob" unit="W" value={hobOf(heat, rules).watts} min={50} max={20000} onChange={(hobW) => set({ hobW })} />
            <Choice
              label="Bowl"
              value={heat.bowl}
              options={[
                ['steel', 'steel'],
                ['glass', 'glass'],
                ['plastic', 'plastic'],
              ]}
              onChange={(bowl) => set({ bowl })}
            />
            <QuantityField label="Bowl, empty" unit="g" value={heat.bowlG} min={0} max={50000} onChange={(bowlG) => set({ bowlG })} />
            <Choice
              label="Whisked cool"
              value={heat.cools}
              options={[
                ['fast', 'fast, 3 °C a minute'],
                ['slow', 'slowly, 1.5 °C a minute'],
              ]}
              onChange={(cools) => set({ cools })}
            />
          </div>
          {syrup.syrup.ok && (
            <p className="pt-2 text-[14px] text-ink-soft">
              {showGrams(syrup.sugarG)} sugar and {showGrams(syrup.waterG)} water in the pan; {showGrams(syrup.syrup.value.arrivesG)} of syrup at{' '}
              {withUnit(plainNumber(syrup.syrup.value.sugarPct, 0), '%')} arrives.
            </p>
          )}
        </>
      )}
      <CurveField key={a.part.id} text={heat.curve} name={a.part.name} onText={(curve) => set({ curve })} />
    </div>
  );
}

/** Readings of a probe as the cook types them; they are taken before any forecast. */
function CurveField({ text, name, onText }: { readonly text: string; readonly name: string; readonly onText: (text: string) => void }) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const shown = draft ?? text;
  const read = shown.trim() === '' ? null : readCurve(shown);
  return (
    <div className="pt-2">
      <label htmlFor={id} className="block text-[13.5px] text-ink-soft">
        {name}, measured: minute and °C, one after the other
      </label>
      <input
        id={id}
        value={shown}
        maxLength={2000}
        placeholder="0 20, 4 62, 7:30 71"
        aria-invalid={(read && !read.ok) || undefined}
        aria-describedby={`${id}-fault`}
        onChange={(e) => {
          setDraft(e.target.value);
          onText(e.target.value);
        }}
        onBlur={() => setDraft(null)}
        className="field fig mt-0.5 w-full text-[16px]"
      />
      <p id={`${id}-fault`} role="alert" className="text-[13.5px] text-beet empty:hidden">
        {read && !read.ok ? read.fault.says : null}
      </p>
    </div>
  );
}
