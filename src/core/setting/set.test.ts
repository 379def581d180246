import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { mix } from '../composition/mixture';
import { guest, mixingC } from '../heat/meeting';
import { OTHER_SETTERS, SHARE_SETTERS, type OtherSetter, type ShareSetter } from './house';
import { readSetter, readShareSetter } from './others';
import { hoursToMaturity, hoursToSet, setMaturity } from './set';
import { temper } from './tempering';

describe('setting', () => {
  it('starts at 0, is whole at 18 h, and by hand 0.683 after 4 h', () => {
    expect(setMaturity(0)).toBe(0);
    expect(setMaturity(18)).toBeCloseTo(1, 12);
    expect(setMaturity(4)).toBeCloseTo((1 - Math.exp(-1)) / (1 - Math.exp(-(4.5 ** 0.6))), 12);
  });
  it('a glass is ready before a slice, a slice before what is turned out', () => {
    expect(hoursToSet('glass')).toBeLessThan(hoursToSet('slice'));
    expect(hoursToSet('slice')).toBeLessThan(hoursToSet('turn-out'));
  });
  it('is read both ways and never loosens', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (m) => {
        const h = hoursToMaturity(m);
        expect(h.ok && Math.abs(setMaturity(h.value) - m)).toBeLessThan(1e-9);
      }),
    );
    expect(hoursToMaturity(1.1).ok).toBe(false);
  });
});

describe('tempering', () => {
  const cream = (massG: number, tC = 5) => guest('cream', mix([{ massG, per100: ingredient('cream-36').composition }]), 0, tC);
  it('the spoonful is about 1.4 times the melted gelatin and lands at 25 °C; three times would land at 17', () => {
    const t = temper(10, 50, cream(1000), 9);
    if (!t.ok) throw new Error(t.fault.says);
    expect(Math.abs(t.value.spoonfulG / 60 - 1.4)).toBeLessThan(0.15);
    expect(t.value.strings).toBe(true);
    const [least, most] = t.value.spoonfulRangeG;
    expect(least).toBeLessThan(t.value.spoonfulG);
    expect(most).toBeGreaterThan(t.value.spoonfulG);
    const melted = guest(
      'm',
      mix([
        { massG: 10, per100: ingredient('gelatin-leaf-gold').composition },
        { massG: 50, per100: ingredient('water').composition },
      ]),
      0,
      55,
    );
    const three = mixingC([melted, cream(180)]);
    expect(three.ok && Math.abs(three.value - 17)).toBeLessThan(0.7);
    const back = mixingC([melted, cream(t.value.spoonfulG)]);
    expect(back.ok && Math.abs(back.value - 25)).toBeLessThan(0.2);
  });
  it('a small dose does not string, a warm base needs no spoonful', () => {
    const small = temper(1.9, 10, cream(1000), 1.9);
    expect(small.ok && small.value.strings).toBe(false);
    const some = temper(2, 10, cream(1000), 2);
    expect(some.ok && some.value.strings).toBe(true);
    expect(temper(10, 50, cream(500, 26), 9)).toMatchObject({ ok: true, value: { spoonfulG: 0, strings: false } });
    // All 40 g of cream in 60 g of melted gelatin: no 25 °C, and it is said.
    const little = temper(10, 50, cream(40), 100);
    expect(little.ok && little.value.spoonfulG).toBe(40);
    expect(little.ok && little.value.spoonfulC).toBeCloseTo(little.ok ? little.value.atOnceC : NaN, 9);
    expect(little.ok && little.value.spoonfulC).toBeGreaterThan(30);
    expect(temper(0, 50, cream(500), 9).ok).toBe(false);
  });
});

describe('other setters', () => {
  it.each(Object.keys(OTHER_SETTERS) as OtherSetter[])('%s is in its band in the middle of it', (k) => {
    const { low, high } = OTHER_SETTERS[k];
    const read = (g: number) => {
      const r = readSetter(k, g, 1000);
      return r.ok ? r.value.verdict : r.fault.code;
    };
    expect([low * 0.9, (low + high) / 2, high * 1.1].map(read)).toEqual(['under', 'in-band', 'over']);
  });
  it.each(Object.keys(SHARE_SETTERS) as ShareSetter[])('%s is a share of what it stabilises', (k) => {
    const r = readShareSetter(k, SHARE_SETTERS[k].low, 100);
    expect(r.ok && r.value).toMatchObject({ dose: SHARE_SETTERS[k].low, unit: '%', verdict: 'in-band' });
  });
  it('refuses more setter than mass', () => expect(readSetter('agar', 10, 5).ok).toBe(false));
});
