'use client';

import { plainNumber, showRange, withUnit } from '../../../core/figure';
import type { ReadingKind } from '../../../core/batch/method';
import { compareOutcome, readReading, type Readings } from '../../../core/batch/readings';
import type { ClientState } from '../../../ui/batch/batch-client';
import { ReadingField } from '../../../ui/batch/reading-field';
import { gramsOf } from '../../../instruments/wire';
import { devicesOf, useInstruments } from '../../../ui/instruments/use-instruments';
import { warmCreamSays } from '../../../core/mend/warm-cream';
import { useOnPass } from './on-pass';

/** What the fields say, as far as it can be read. */
function readingsFrom(fields: ClientState['progress']['fields']): Readings {
  const readings: Partial<Record<ReadingKind, number>> = {};
  for (const [kind, text] of Object.entries(fields) as [ReadingKind, string][]) {
    const read = readReading(kind, text);
    if (read.ok) readings[kind] = read.value;
  }
  return readings;
}

/** Values that the step asks for: typed, or taken over from an instrument. */
export function StepReadings({ kinds }: { readonly kinds: readonly ReadingKind[] }) {
  const { plan, state, client, fridgeC } = useOnPass();
  const feed = useInstruments(kinds.length > 0);
  if (kinds.length === 0) return null;
  const { fields } = state.progress;
  const write = (reading: ReadingKind) => (text: string) => void client.act({ kind: 'write', reading, text, was: fields[reading] ?? '' });
  const typedC = readReading('cream-temperature', fields['cream-temperature'] ?? '');
  const { whisk } = plan.forecast;
  const warm =
    typedC.ok && whisk
      ? warmCreamSays(typedC.value, { massG: plan.forecast.massG * state.progress.scale, fatPct: whisk.fatPct, sugarPer100: whisk.sugarPer100, fridgeC })
      : null;
  const air = compareOutcome(plan.forecast, readingsFrom(fields)).find((c) => c.key === 'overrun');
  /** What an instrument shows now that would fit a field. */
  const offers = (kind: ReadingKind): readonly (readonly [label: string, text: string])[] => {
    if (kind === 'cream-temperature')
      return devicesOf(feed, 'probe').map((p) => [`${plainNumber(p.line.value, 1)}\u00a0°C from ${p.label}`, `${p.line.value}`] as const);
    if (kind === 'cup-liquid' || kind === 'cup-foam')
      return devicesOf(feed, 'scale')
        .filter((s) => gramsOf(s.line) > 0)
        .map((s) => [`${plainNumber(gramsOf(s.line), 0)}\u00a0g from the scale`, `${Math.round(gramsOf(s.line))}`] as const);
    return [];
  };
  return (
    <section className="mt-6 grid max-w-[620px] grid-cols-[repeat(auto-fit,minmax(240px,1fr))] gap-5" aria-label="Readings">
      {kinds.map((kind) => (
        <div key={kind}>
          <ReadingField dark kind={kind} text={fields[kind] ?? ''} onWrite={write(kind)} fault={kind === 'cup-foam' ? (air?.fault ?? null) : null} />
          {kind === 'cream-temperature' && warm && (
            <p role="status" className="mt-1 text-[17px] text-yolk">
              {warm}
            </p>
          )}
          <p className="flex flex-wrap gap-x-4">
            {offers(kind).map(([label, text]) => (
              <button
                key={label}
                type="button"
                className="min-h-11 text-[16px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
                onClick={() => write(kind)(text)}
              >
                {label}
              </button>
            ))}
          </p>
        </div>
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
