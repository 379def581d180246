'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { AUTHORITIES, regionOf, REGIONS, toggled, underAuthority, USUAL_MIXERS, USUAL_PLACES } from '../../core/kitchen/beginning';
import type { ColdPlace, KitchenRules, Mixer } from '../../core/kitchen/schema';
import { CUP_SYSTEMS, EGG_SIZES } from '../../core/measures/units';
import { plainNumber } from '../../core/figure';
import type { KitchenThings } from '../../data/kitchen-things';
import { QuantityField } from '../../ui/quantity-field';
import { KeepsCream, ShownUnitsFields, ZoneField } from '../kitchen-fields';

export interface StepProps {
  readonly things: KitchenThings;
  readonly change: (next: Partial<KitchenThings>) => void;
}

/** A figure and its unit stay on one line. */
const together = (says: string): string => says.replace(/(?<=\d) (?=(?:°C|h|min|mL|g)\b|°)/g, '\u00a0');

/** One of several, each with what it means. */
function OneOf<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly { readonly id: T; readonly name: string; readonly says: string }[];
  readonly onChange: (id: T) => void;
}) {
  return (
    <fieldset>
      <legend className="sr-only">{label}</legend>
      <div className="border-t border-steel-light">
        {options.map((o) => (
          <label
            key={o.id}
            className={`grid min-h-11 cursor-pointer items-baseline gap-x-6 border-b border-steel-light px-2 py-2 has-focus-visible:outline-2 has-focus-visible:outline-ink sm:grid-cols-[250px_minmax(0,1fr)] ${value === o.id ? 'bg-yolk-pale' : 'hover:bg-paper'}`}
          >
            <input type="radio" name={label} checked={value === o.id} onChange={() => onChange(o.id)} className="sr-only" />
            <span className={value === o.id ? 'font-[650]' : ''}>{o.name}</span>
            <span className="text-[14.5px] text-ink-soft">{together(o.says)}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** A thing that is there or not, with its fields beside it where it is. */
function Have({ name, on, onToggle, children }: { readonly name: string; readonly on: boolean; readonly onToggle: () => void; readonly children?: ReactNode }) {
  return (
    <li className="grid items-center gap-x-4 border-b border-steel-light py-1 sm:grid-cols-[270px_minmax(0,1fr)]">
      <label className="flex min-h-11 cursor-pointer items-center gap-3">
        <input type="checkbox" className="size-5 shrink-0 accent-ink" checked={on} onChange={onToggle} />
        {name}
      </label>
      {on && children && <div className="grid grid-cols-2 gap-x-4 pb-2 sm:max-w-[340px] sm:pb-0">{children}</div>}
    </li>
  );
}

const eggs = (r: Pick<KitchenRules, 'eggs'>): string => `${r.eggs.size} eggs of ${EGG_SIZES[r.eggs.system][r.eggs.size]}\u00a0g`;

export function MeasuresStep({ things: { rules }, change }: StepProps) {
  const set = (next: Partial<KitchenRules>) => change({ rules: { ...rules, ...next } });
  return (
    <>
      <label className="mb-4 block max-w-[420px]">
        <span className="block text-[13.5px] text-ink-soft">What the kitchen is called</span>
        <input
          defaultValue={rules.kitchenName}
          maxLength={80}
          onChange={(e) => e.target.value.trim() !== '' && set({ kitchenName: e.target.value.trim() })}
          className="field mt-0.5 w-full text-[17px]"
        />
      </label>
      <OneOf
        label="Where it measures"
        value={regionOf(rules)}
        options={REGIONS.map((r) => ({
          id: r.id,
          name: r.name,
          says: `cups of ${plainNumber(CUP_SYSTEMS[r.rules.cups].cup, 0)}\u00a0mL, ${eggs(r.rules)}, a drink of ${r.rules.standardDrinkG}\u00a0g`,
        }))}
        onChange={(id) => {
          const { rules: theirs, shown } = REGIONS.find((r) => r.id === id)!;
          set({ ...theirs, shown });
        }}
      />
      {regionOf(rules) === null && (
        <p className="mt-2 text-[14px] text-ink-soft">
          Measures of its own: cups of {plainNumber(CUP_SYSTEMS[rules.cups].cup, 0)}&nbsp;mL, {eggs(rules)}.
        </p>
      )}
      <div className="mt-4 grid grid-cols-2 gap-x-4 gap-y-3 sm:max-w-[560px] sm:grid-cols-3">
        <QuantityField label="The scale shows" unit="g" value={rules.scaleStepG} min={0.01} max={50} onChange={(scaleStepG) => set({ scaleStepG })} />
        <QuantityField label="Water boils at" unit="°C" value={rules.waterBoilsC} min={80} max={101} onChange={(waterBoilsC) => set({ waterBoilsC })} />
        <ZoneField value={rules.zone} onChange={(zone) => set({ zone })} />
      </div>
      <div className="mt-4 grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4">
        <ShownUnitsFields value={rules.shown} onChange={(shown) => set({ shown })} />
      </div>
    </>
  );
}

export function ColdStep({ things: { places, rules }, change }: StepProps) {
  const put = (next: ColdPlace) => change({ places: places.map((p) => (p.id === next.id ? next : p)) });
  const rest = places.filter((p) => !USUAL_PLACES.some((u) => u.id === p.id));
  return (
    <>
      <div className="mb-4 grid grid-cols-2 gap-x-4 sm:max-w-[340px]">
        <QuantityField label="The room" unit="°C" value={rules.roomC} min={5} max={40} onChange={(roomC) => change({ rules: { ...rules, roomC } })} />
        <QuantityField
          label="A fridge mostly"
          unit="°C"
          value={rules.fridgeC}
          min={0}
          max={10}
          onChange={(fridgeC) => change({ rules: { ...rules, fridgeC } })}
        />
      </div>
      <ul aria-label="Cold places" className="border-t border-steel-light">
        {[...USUAL_PLACES, ...rest].map((usual) => {
          const there = places.find((p) => p.id === usual.id);
          return (
            <Have key={usual.id} name={there?.name ?? usual.name} on={there !== undefined} onToggle={() => change({ places: toggled(places, usual) })}>
              {there && (
                <>
                  <QuantityField label="Air" unit="°C" value={there.airC} min={-45} max={40} onChange={(airC) => put({ ...there, airC })} />
                  {there.kind !== 'counter' && (
                    <QuantityField label="Room in it" unit="L" value={there.litres} min={0} max={100_000} onChange={(litres) => put({ ...there, litres })} />
                  )}
                </>
              )}
            </Have>
          );
        })}
      </ul>
    </>
  );
}

export function MixersStep({ things: { mixers }, change }: StepProps) {
  const put = (next: Mixer) => change({ mixers: mixers.map((m) => (m.id === next.id ? next : m)) });
  const rest = mixers.filter((m) => !USUAL_MIXERS.some((u) => u.id === m.id));
  return (
    <ul aria-label="Mixers" className="border-t border-steel-light">
      {[...USUAL_MIXERS, ...rest].map((usual) => {
        const there = mixers.find((m) => m.id === usual.id);
        const only = there !== undefined && mixers.length === 1;
        return (
          <Have
            key={usual.id}
            name={there?.name ?? usual.name}
            on={there !== undefined}
            // There is always one: figures of whipping are of a mixer.
            onToggle={() => !only && change({ mixers: toggled(mixers, usual) })}
          >
            {there && (
              <QuantityField label="Bowl, brimful" unit="mL" value={there.bowlMl} min={50} max={500_000} onChange={(bowlMl) => put({ ...there, bowlMl })} />
            )}
          </Have>
        );
      })}
    </ul>
  );
}

export function RulesStep({ things: { rules }, change }: StepProps) {
  return (
    <>
      <OneOf
        label="Whose food rules"
        value={AUTHORITIES.find((a) => a.rules.authority === rules.authority)?.id ?? null}
        options={AUTHORITIES}
        onChange={(id) => change({ rules: underAuthority(rules, id) })}
      />
      <div className="mt-4 grid gap-x-4 gap-y-3 sm:grid-cols-[minmax(0,1fr)_200px]">
        <label className="block">
          <span className="block text-[13.5px] text-ink-soft">In your own words, as it stands on labels and in the book</span>
          <input
            value={rules.authority}
            maxLength={400}
            placeholder="the local food authority and its code"
            onChange={(e) => change({ rules: { ...rules, authority: e.target.value } })}
            className="field mt-0.5 w-full"
          />
        </label>
        <KeepsCream value={rules.keepingH} onChange={(keepingH) => change({ rules: { ...rules, keepingH } })} />
      </div>
    </>
  );
}

/** @param families drawn by the server: their list needs nothing of the browser. */
export function SheetStep({ families }: { readonly families: ReactNode }) {
  return (
    <div className="grid gap-y-6">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Link href="/paste" className="btn btn-act min-h-12 px-6 text-[16px]">
          Paste a recipe
        </Link>
        <p className="text-[15px] text-ink-soft">Written, in short hand, in cups, or told: as it is.</p>
      </div>
      <div>
        <h3 className="pb-1 text-[17px] font-[650]">Or from its family</h3>
        {families}
      </div>
    </div>
  );
}
