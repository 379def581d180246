import { z } from 'zod';
import { guest } from '../heat/meeting';
import { ok } from '../result';
import { OTHER_SETTERS, SET_NEEDS, SHARE_SETTERS, type OtherSetter, type SetNeed, type ShareSetter } from '../setting/house';
import { readSetter, readShareSetter } from '../setting/others';
import { hoursToSet, setMaturity } from '../setting/set';
import { temper } from '../setting/tempering';
import { define } from './define';
import { PortionsSchema, readPortions } from './portions';

export const setTimeCalculator = define({
  name: 'set-time',
  answers: 'How far gelatin has set after hours under 15 °C, and how long until a glass, a slice, turning out.',
  input: z.object({ hours: z.number().min(0).max(1000) }),
  output: z.object({ maturity: z.number(), readyH: z.record(z.enum(Object.keys(SET_NEEDS) as [SetNeed, ...SetNeed[]]), z.number()) }),
  run: ({ hours }) =>
    ok({ maturity: setMaturity(hours), readyH: { glass: hoursToSet('glass'), slice: hoursToSet('slice'), 'turn-out': hoursToSet('turn-out') } }),
});

export const temperingCalculator = define({
  name: 'tempering',
  answers: 'Melted gelatin into something cold: does it string, and how large the first spoonful is.',
  input: z.object({ gelatinG: z.number(), waterG: z.number(), cold: PortionsSchema, coldC: z.number().min(-5).max(60) }),
  output: z.object({ atOnceC: z.number(), strings: z.boolean(), spoonfulG: z.number(), spoonfulC: z.number() }),
  run: ({ gelatinG, waterG, cold, coldC }) => {
    const read = readPortions(cold);
    if (!read.ok) return read;
    const totalG = read.value.mixture.massG + gelatinG + waterG;
    const t = temper(gelatinG, waterG, guest('the cold part', read.value.mixture, read.value.sucroseEqG, coldC), (1000 * gelatinG) / totalG);
    if (!t.ok) return t;
    const { atOnceC, strings, spoonfulG, spoonfulC } = t.value;
    return ok({ atOnceC, strings, spoonfulG, spoonfulC });
  },
});

const others = Object.keys(OTHER_SETTERS) as [OtherSetter, ...OtherSetter[]];
const shares = Object.keys(SHARE_SETTERS) as [ShareSetter, ...ShareSetter[]];

export const setterCalculator = define({
  name: 'setter',
  answers: 'A setter other than gelatin: dose, band, and what it asks of the cook.',
  input: z.object({ setter: z.enum([...others, ...shares]), massG: z.number(), ofG: z.number() }),
  output: z.object({
    dose: z.number(),
    unit: z.enum(['g/kg', '%']),
    low: z.number(),
    high: z.number(),
    verdict: z.enum(['under', 'in-band', 'over']),
    rule: z.string(),
  }),
  run: ({ setter, massG, ofG }) => {
    const read = (others as readonly string[]).includes(setter)
      ? readSetter(setter as OtherSetter, massG, ofG)
      : readShareSetter(setter as ShareSetter, massG, ofG);
    if (!read.ok) return read;
    const { dose, unit, low, high, verdict, rule } = read.value;
    return ok({ dose, unit, low, high, verdict, rule });
  },
});
