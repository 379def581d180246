import { z } from 'zod';
import { MIXER_KINDS } from '../foam/kinds';
import { ok } from '../result';
import { MeasuredSchema } from '../tuning/measured';
import { tuned } from '../tuning/tuned';
import { define } from './define';

export const tuneTestCalculator = define({
  name: 'tune-test',
  answers:
    'What a small test of a kitchen comes to: a timed cream, a cup of water in a fridge, a scale against a known weight, an oven against a thermometer, water to the boil.',
  input: z.object({
    measured: MeasuredSchema,
    /** Of a timed cream: what it was whisked in. */
    mixer: z.object({ kind: z.enum(MIXER_KINDS), bowlMl: z.number().min(50).max(500_000) }).default({ kind: 'planetary', bowlMl: 4800 }),
    waterBoilsC: z.number().min(80).max(101).default(100),
  }),
  output: z.object({
    /** Time over the formula’s; uptake over the larder’s; what it holds over its sizes. */
    ratio: z.number().nullable(),
    airC: z.number().nullable(),
    hWPerM2K: z.number().nullable(),
    /** Scale: %; oven: K. */
    off: z.number().nullable(),
    watts: z.number().nullable(),
  }),
  run: ({ measured: m, mixer, waterBoilsC }) => {
    const r = tuned(m, {
      larder: new Map(),
      mixers: [{ id: m.thing, name: 'mixer', ...mixer }],
      vessels: [],
      places: [{ id: m.thing, name: 'place', kind: 'still-fridge', airC: 4, litres: 100 }],
      rules: { ovens: [{ id: m.thing, name: 'oven', shelves: 1 }], waterBoilsC },
    });
    if (!r.ok) return r;
    const t = r.value;
    return ok({
      ratio: 'ratio' in t ? t.ratio : null,
      airC: t.kind === 'cold' ? t.airC : null,
      hWPerM2K: t.kind === 'cold' ? t.h : null,
      off: t.kind === 'scale' ? t.offPct : t.kind === 'oven' ? t.offC : null,
      watts: t.kind === 'hob' ? t.watts : null,
    });
  },
});
