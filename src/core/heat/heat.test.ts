import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { composition } from '../composition/components';
import { mix } from '../composition/mixture';
import { sucroseEquivalentG } from './freezing';
import { heatContent } from './heat-content';
import { eggVerdict, equivalentMinutes, readCurve, whiskedCurve } from './lethality';
import { bowlGuest, guest, massFor, mixingC, temperatureFor, type Guest } from './meeting';
import { boilingC, boilSyrup, reducingMinutes, sugarPctAtBoil } from './syrup';

const grams = (massG: number, id: string) => ({ massG, per100: ingredient(id).composition });
const at = (id: string, massG: number, tC: number): Guest => guest(id, mix([grams(massG, id)]), sucroseEquivalentG([grams(massG, id)]), tC);
const IDS = ['cream-36', 'milk-whole', 'egg-yolk', 'sugar-caster', 'chocolate-dark-70', 'rum-40', 'mascarpone', 'raspberry'];
const value = <T>(r: { ok: true; value: T } | { ok: false; fault: { says: string } }): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('heat content', () => {
  it('of water: 0 at 0 °C, 333.6 J/g less as ice, and a little more below', () => {
    const h = heatContent(mix([{ massG: 1, per100: composition({ water: 100 }) }]), 0);
    expect(h.at(0)).toBe(0);
    expect(h.at(-1e-6)).toBeCloseTo(-333.6, 3);
    expect(h.at(-10)).toBeCloseTo(-333.6 - 10 * 2.0623 + 0.5 * 6.0769e-3 * 100, 2);
    expect(h.temperatureOf(-100)).toBeCloseTo(0, 6);
  });
  it('rises with temperature and is read back to 0.01 °C, frozen or not', () => {
    fc.assert(
      fc.property(fc.constantFrom(...IDS), fc.double({ min: -39, max: 140, noNaN: true }), (id, t) => {
        const h = at(id, 100, 5).heat;
        expect(h.at(t + 0.05)).toBeGreaterThan(h.at(t));
        expect(Math.abs(h.temperatureOf(h.at(t)) - t)).toBeLessThan(0.01);
      }),
    );
  });
  it('milk fat takes 84 J/g between 10 and 35 °C on top of warming', () => {
    const fat = heatContent(mix([{ massG: 1, per100: composition({ milk_fat: 100 }) }]), 0);
    const oil = heatContent(mix([{ massG: 1, per100: composition({ other_fat: 100 }) }]), 0);
    expect(fat.at(40) - oil.at(40)).toBeCloseTo(84, 9);
    expect(fat.at(10) - oil.at(10)).toBeCloseTo(0, 9);
  });
});

describe('meetings', () => {
  it('a litre at 0 and one at 100 °C meet near 50, by a hand calculation with c(T)', () => {
    const t = value(mixingC([at('water', 1000, 0), at('water', 1000, 100)]));
    expect(Math.abs(t - 50.1)).toBeLessThan(0.3);
  });
  it('conserves heat to 1e-9 of what changes hands and lies between the extremes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ id: fc.constantFrom(...IDS), g: fc.double({ min: 1, max: 2000, noNaN: true }), t: fc.double({ min: -25, max: 110, noNaN: true }) }),
          { minLength: 1, maxLength: 5 },
        ),
        (list) => {
          const guests = list.map(({ id, g, t }) => at(id, g, t));
          const t = value(mixingC(guests));
          expect(t).toBeGreaterThanOrEqual(Math.min(...list.map((x) => x.t)) - 1e-9);
          expect(t).toBeLessThanOrEqual(Math.max(...list.map((x) => x.t)) + 1e-9);
          const moved = guests.map((g) => g.massG * (g.heat.at(t) - g.heat.at(g.tC)));
          expect(Math.abs(moved.reduce((a, b) => a + b, 0))).toBeLessThan(1e-9 * Math.max(100, ...moved.map(Math.abs)));
        },
      ),
    );
  });
  it('which temperature, or how much, is the way back', () => {
    const guests = [at('chocolate-dark-70', 220, 38), at('cream-36', 240, 5)];
    const wish = 30;
    const tC = value(temperatureFor(guests, 0, wish));
    expect(value(mixingC([{ ...guests[0]!, tC }, guests[1]!]))).toBeCloseTo(wish, 6);
    const massG = value(massFor(guests, 1, wish));
    expect(value(mixingC([guests[0]!, { ...guests[1]!, massG }]))).toBeCloseTo(wish, 6);
    expect(massFor(guests, 1, 60).ok).toBe(false);
    expect(temperatureFor(guests, 0, 149).ok).toBe(false);
  });
  it('a bowl takes its share, the untouched rest nothing', () => {
    const syrup = [at('water', 100, 100)];
    const all = value(mixingC([...syrup, bowlGuest('steel', 800, 20, 1)]));
    const part = value(mixingC([...syrup, bowlGuest('steel', 800, 20, 0.6)]));
    expect(all).toBeLessThan(part);
    expect(part).toBeLessThan(100);
  });
  it('ice brings tea to 0 °C as long as there is ice left', () => {
    expect(value(mixingC([at('water', 100, 30), at('water', 500, -1)]))).toBeCloseTo(0, 6);
  });
  it.each([[[]], [[at('water', 0, 5)]], [[at('water', 10, 200)]], [[at('water', 10, NaN)]]])('refuses what cannot meet', (guests) =>
    expect(mixingC(guests).ok).toBe(false),
  );
});

describe('boiling sugar', () => {
  it.each([
    [100.6, 30],
    [103, 60],
    [112, 80],
    [118, 87],
    [121, 89.5],
    [130, 94.5],
  ])('%s °C is %s %% sugar', (t, pct) => {
    expect(value(sugarPctAtBoil(t))).toBeCloseTo(pct, 9);
    expect(value(boilingC(pct))).toBeCloseTo(t, 9);
  });
  it('bends: 64.5 % at 104 °C and 70.5 % at 106 °C, each degree adding less than the one before', () => {
    expect(value(sugarPctAtBoil(104))).toBeCloseTo(64.5, 9);
    expect(value(sugarPctAtBoil(106))).toBeCloseTo(70.5, 9);
    const slopes = [103, 104, 106, 108.4, 112, 116].map((t, i, all) =>
      i === 0 ? Infinity : (value(sugarPctAtBoil(t)) - value(sugarPctAtBoil(all[i - 1]!))) / (t - all[i - 1]!),
    );
    for (let i = 1; i < slopes.length; i++) expect(slopes[i]!).toBeLessThan(slopes[i - 1]!);
  });
  it('on a mountain where water boils at 95 °C, 113 °C is what 118 is at the sea', () => expect(value(sugarPctAtBoil(113, 95))).toBeCloseTo(87, 9));
  it.each([[100], [131], [NaN]])('has no figure at %s °C', (t) => expect(sugarPctAtBoil(t).ok).toBe(false));
  const pan = { sugarG: 200, waterG: 60, toC: 118, hobW: 1800, startC: 20, waterBoilsC: 100, stays: 0 };
  it('200 g sugar to 118 °C holds 29.9 g water: 30.1 of 60 boil off', () => {
    const s = value(boilSyrup(pan));
    expect(s.inPanG).toBeCloseTo(200 / 0.87, 6);
    expect(s.boilsOffG).toBeCloseTo(60 - (200 * 13) / 87, 6);
    expect(s.inPanG + s.boilsOffG).toBeCloseTo(260, 9);
    expect(s.minutes).toBeGreaterThan(1);
    expect(value(boilSyrup({ ...pan, stays: 0.1 })).arrivesG).toBeCloseTo(s.inPanG * 0.9, 9);
    expect(value(boilSyrup({ ...pan, hobW: 900 })).minutes).toBeCloseTo(2 * s.minutes, 9);
  });
  it('too little water is said, with how much there must be', () => {
    const s = boilSyrup({ ...pan, waterG: 10 });
    expect(!s.ok && s.fault.says).toContain('30');
  });
  it('reducing fruit takes longer for more water', () => {
    const fruit = mix([grams(400, 'plum')]);
    expect(value(reducingMinutes(fruit, 30, 20, 90, 1800))).toBeGreaterThan(value(reducingMinutes(fruit, 30, 20, 40, 1800)));
    expect(reducingMinutes(fruit, 30, 20, 5000, 1800).ok).toBe(false);
  });
});

describe('egg', () => {
  it.each([
    ['white', 56.7],
    ['whole', 60],
    ['sweet-whole', 61.1],
    ['yolk', 61.1],
    ['sweet-yolk', 63.3],
  ] as const)('%s held 3.5 min at %s °C is just the table', (kind, t) => {
    const v = value(
      eggVerdict(
        kind,
        [
          [0, t],
          [3.5, t],
        ],
        false,
      ),
    );
    expect(v.equivalentMin).toBeCloseTo(3.5, 9);
    expect(v.reaches).toBe(true);
    expect(
      value(
        eggVerdict(
          kind,
          [
            [0, t],
            [3.49, t],
          ],
          false,
        ),
      ).reaches,
    ).toBe(false);
    // One z more needs a tenth of the time.
    expect(
      value(
        equivalentMinutes(
          [
            [0, t + 4.6],
            [0.35, t + 4.6],
          ],
          t,
        ),
      ),
    ).toBeCloseTo(3.5, 9);
  });
  it('a ramp is integrated exactly: against a fine sum of steps', () => {
    const exact = value(
      equivalentMinutes(
        [
          [0, 50],
          [6, 66],
        ],
        60,
      ),
    );
    let sum = 0;
    const n = 200_000;
    for (let i = 0; i < n; i++) sum += (6 / n) * 10 ** ((50 + (16 * (i + 0.5)) / n - 60) / 4.6);
    expect(exact).toBeCloseTo(sum, 6);
  });
  it('only time at 55 °C (white) or 57 °C (whole, yolk) and above counts: below it germs grow', () => {
    const reaches = (kind: 'white' | 'whole' | 'yolk' | 'sweet-yolk', c: number, min: number): boolean =>
      value(
        eggVerdict(
          kind,
          [
            [0, c],
            [min, c],
          ],
          false,
        ),
      ).reaches;
    expect([
      reaches('white', 45, 1320),
      reaches('white', 54.9, 600),
      reaches('white', 55, 20),
      reaches('yolk', 45, 11_500),
      reaches('whole', 56.9, 600),
      reaches('whole', 57, 60),
    ]).toEqual([false, false, true, false, false, true]);
    // A ramp through the limit counts from where it crosses.
    const ramp = value(
      eggVerdict(
        'white',
        [
          [0, 45],
          [20, 65],
        ],
        false,
      ),
    ).equivalentMin;
    expect(ramp).toBeCloseTo(
      value(
        equivalentMinutes(
          [
            [0, 55],
            [10, 65],
          ],
          56.7,
        ),
      ),
      9,
    );
  });
  it('an authority may ask for 71 °C alone, or for 70 °C for two minutes', () => {
    const by = (curve: readonly (readonly [number, number])[], rule: 'table' | 'one-point' | 'two-minutes') => value(eggVerdict('yolk', curve, false, rule)).by;
    expect([
      by(
        [
          [0, 66],
          [5, 66],
        ],
        'table',
      ),
      by(
        [
          [0, 66],
          [5, 66],
        ],
        'one-point',
      ),
      by([[0, 71]], 'one-point'),
    ]).toEqual(['hold', null, 'one-point']);
    expect([
      by(
        [
          [0, 70],
          [2, 70],
        ],
        'two-minutes',
      ),
      by(
        [
          [0, 70],
          [1.9, 70],
        ],
        'two-minutes',
      ),
      by([[0, 75]], 'two-minutes'),
    ]).toEqual(['hold', null, null]);
  });
  it('rich in sugar, only the one-point rule counts', () => {
    expect(
      value(
        eggVerdict(
          'sweet-yolk',
          [
            [0, 66],
            [10, 66],
          ],
          true,
        ),
      ).reaches,
    ).toBe(false);
    expect(value(eggVerdict('sweet-yolk', [[0, 71]], true))).toMatchObject({ reaches: true, by: 'one-point' });
  });
  it('hotter never does less', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 80, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (temps, more) => {
          const curve = temps.map((t, i) => [i, t] as const);
          const warmer = temps.map((t, i) => [i, t + more] as const);
          expect(value(equivalentMinutes(warmer, 61.1))).toBeGreaterThanOrEqual(value(equivalentMinutes(curve, 61.1)) * (1 - 1e-12));
        },
      ),
    );
  });
  it('a foam whisked fast leaves the hot range twice as fast as one whisked slowly', () => {
    const [fast, slow] = [value(equivalentMinutes(whiskedCurve(68, 'fast'), 63.3)), value(equivalentMinutes(whiskedCurve(68, 'slow'), 63.3))];
    expect(slow).toBeCloseTo(2 * fast, 9);
  });
  it('reads what a cook types, and says what it cannot read', () => {
    expect(value(readCurve('0 20, 4 62\n7:30 71 °C'))).toEqual([
      [0, 20],
      [4, 62],
      [7.5, 71],
    ]);
    for (const text of ['', 'hot', '5 60, 3 62', '0 20, 4 400', '4']) expect(readCurve(text).ok).toBe(false);
    fc.assert(fc.property(fc.string(), (text) => void readCurve(text)));
  });
});
