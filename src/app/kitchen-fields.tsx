'use client';

import type { KitchenRules } from '../core/kitchen/schema';
import { CURRENCIES } from '../core/measures/shown';
import { Choice } from '../ui/choice';
import { useNow } from '../ui/use-now';

interface RuleField<K extends keyof KitchenRules> {
  readonly value: KitchenRules[K];
  readonly onChange: (value: KitchenRules[K]) => void;
}

/** How long this kitchen keeps dairy cream. */
export const KeepsCream = ({ value, onChange }: RuleField<'keepingH'>) => (
  <Choice
    label="Keeps dairy cream"
    value={String(value ?? 'usual')}
    options={[['usual', 'usual rule, 72 h'], ...[24, 36, 48, 60].map((h) => [String(h), `${h} h at most`] as const)]}
    onChange={(v) => onChange(v === 'usual' ? null : Number(v))}
  />
);

type Shown = KitchenRules['shown'];
const CURRENCY_NAMES = new Intl.DisplayNames(['en'], { type: 'currency' });
const UNIT_QUESTIONS: { readonly [K in keyof Shown]: readonly [asks: string, ...options: (readonly [Shown[K], string])[]] } = {
  temperature: ['Temperatures in', ['°C', 'degrees Celsius'], ['°F', 'degrees Fahrenheit']],
  mass: ['Weights in', ['g', 'grams'], ['oz', 'ounces and pounds']],
  volume: ['Volumes in', ['mL', 'millilitres'], ['fl oz', 'fl oz and quarts']],
  length: ['Lengths in', ['mm', 'millimetres'], ['in', 'inches']],
  clock: ['Times of day by', ['24 h', '24 hours'], ['12 h', '12 hours, am and pm']],
  currency: ['Prices in', ['', 'no currency'], ...CURRENCIES.map((c) => [c, CURRENCY_NAMES.of(c) ?? c] as const)],
};

/** In which units this kitchen reads its figures: each for itself, for a kitchen may weigh in grams and bake in Fahrenheit. */
export const ShownUnitsFields = ({ value, onChange }: RuleField<'shown'>) => (
  <>
    {(Object.keys(UNIT_QUESTIONS) as (keyof Shown)[]).map((kind) => {
      const [asks, ...options] = UNIT_QUESTIONS[kind];
      return <Choice<string> key={kind} label={asks} value={value[kind]} options={options} onChange={(unit) => onChange({ ...value, [kind]: unit })} />;
    })}
  </>
);

/** Whose wall clock it goes by; this browser's own zone stands first. */
export function ZoneField({ value, onChange }: RuleField<'zone'>) {
  // The browser's own list, once the page is alive: the server's may be another.
  const alive = useNow(true, 3_600_000) > 0;
  const zones = alive ? [Intl.DateTimeFormat().resolvedOptions().timeZone, ...Intl.supportedValuesOf('timeZone')] : [value];
  return (
    <Choice
      label="Time zone"
      value={value}
      options={[['', 'this machine’s'] as const, ...[...new Set(zones)].filter(Boolean).map((z) => [z, z] as const)]}
      onChange={onChange}
    />
  );
}
