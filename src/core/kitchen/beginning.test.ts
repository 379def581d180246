import { isMetric } from '../measures/shown';
import { describe, expect, it } from 'vitest';
import { EGG_SIZES } from '../measures/units';
import { capacityMl } from '../vessel/profile';
import { VesselSchema } from '../vessel/schema';
import {
  AUTHORITIES,
  glassByWater,
  regionOf,
  REGIONS,
  shelfId,
  toggled,
  underAuthority,
  USUAL_MIXERS,
  USUAL_PLACES,
  USUAL_TINS,
  withVessel,
} from './beginning';
import { ColdPlaceSchema, KitchenRulesSchema, MixerSchema, ShelfVesselSchema, type KitchenRules } from './schema';

const RULES: KitchenRules = KitchenRulesSchema.parse({ kitchenName: 'A', cups: 'us', keepingH: null, fridgeC: 4, roomC: 20, scaleStepG: 1 });

describe('where a kitchen measures', () => {
  it('every region is a rule of its own that the schema takes, and is known again by it', () => {
    for (const r of REGIONS) {
      const rules = KitchenRulesSchema.parse({ ...RULES, ...r.rules });
      expect(regionOf(rules), r.name).toBe(r.id);
      // The size that it buys is one of its system.
      expect(Object.keys(EGG_SIZES[r.rules.eggs.system])).toContain(r.rules.eggs.size);
    }
    expect(new Set(REGIONS.map((r) => r.id)).size).toBe(REGIONS.length);
  });
  it('only one reads degrees Fahrenheit and ounces at first', () =>
    expect(REGIONS.filter((r) => !isMetric(r.shown)).map((r) => [r.id, r.shown])).toEqual([
      ['us', { temperature: '°F', mass: 'oz', volume: 'fl oz', length: 'in', clock: '12 h', currency: 'USD' }],
    ]));
  it('each has its money', () => expect(REGIONS.map((r) => r.shown.currency)).toEqual(['USD', 'GBP', 'EUR', 'AUD', 'CAD']));
  it('a mixture is of no region', () => expect(regionOf({ ...RULES, cups: 'us', standardDrinkG: 8 })).toBeNull());
  it('a standard drink as the national guideline has it, g of ethanol', () =>
    expect(REGIONS.map((r) => [r.id, r.rules.standardDrinkG])).toEqual([
      ['us', 14],
      ['uk', 8],
      ['europe', 10],
      ['australia', 10],
      ['canada', 13.45],
    ]));
});

describe('rules by the name of their authority', () => {
  it('sets whose rules, how egg is heated, how it is cooled, how warm a fridge may be; the rest stays', () => {
    const rules = underAuthority({ ...RULES, keepingH: 36, book: { fridgeAtMostC: 7, freezerAtMostC: -20, jobs: ['floor'] } }, 'canada');
    expect(rules).toMatchObject({
      authority: 'Food Retail and Food Services Code, Canada',
      eggRule: 'one-point',
      cooling: { fromC: 60, firstC: 20, firstMin: 120, secondC: 4, secondMin: 360 },
      keepingH: 36,
      book: { fridgeAtMostC: 4, freezerAtMostC: -20, jobs: ['floor'] },
    });
  });
  it('the cooling rules as their codes have them', () =>
    expect(AUTHORITIES.flatMap((a) => (a.rules.cooling ? [[a.id, ...Object.values(a.rules.cooling)]] : []))).toEqual([
      ['fda', 57, 21, 120, 5, 360],
      ['fsanz', 60, 21, 120, 5, 360],
      ['canada', 60, 20, 120, 4, 360],
    ]));
  it('each is a rule that the schema takes, says its own figures, and another takes its place wholly', () => {
    for (const a of AUTHORITIES) {
      const rules = KitchenRulesSchema.parse(underAuthority(RULES, a.id));
      expect(rules.authority).not.toBe('');
      expect(a.says).toContain(`${rules.book.fridgeAtMostC} °C`);
      if (rules.cooling) expect(a.says).toContain(`${rules.cooling.fromC} to ${rules.cooling.firstC} °C`);
      expect(underAuthority(underAuthority(RULES, 'fda'), a.id)).toEqual(rules);
    }
    expect(underAuthority(RULES, 'nobody')).toBe(RULES);
  });
});

describe('what is usual', () => {
  it('everything offered is what the schemas take, each with an id of its own', () => {
    for (const m of USUAL_MIXERS) MixerSchema.parse(m);
    for (const p of USUAL_PLACES) ColdPlaceSchema.parse(p);
    for (const v of USUAL_TINS) ShelfVesselSchema.parse({ id: shelfId(v), vessel: v, count: 1 });
    for (const list of [USUAL_MIXERS, USUAL_PLACES, USUAL_TINS.map((v) => ({ id: shelfId(v) }))]) expect(new Set(list.map((x) => x.id)).size).toBe(list.length);
  });
  it('a pan of 9 by 13 inches holds about 3.6 L, a two-pound loaf tin 1.8 L', () => {
    const holds = (name: RegExp) => capacityMl(USUAL_TINS.find((v) => name.test(v.name))!) / 1000;
    expect(holds(/9 × 13/)).toBeCloseTo(3.6, 1);
    expect(holds(/2 lb/)).toBeCloseTo(1.8, 1);
  });
  it('a glass by its water holds that water, and leans out', () => {
    for (const [ml, rim] of [
      [180, 70],
      [20, 40],
      [600, 95],
    ] as const) {
      const glass = VesselSchema.parse(glassByWater('Coupe', ml, rim));
      expect(capacityMl(glass)).toBeCloseTo(ml, 0);
      expect(glass).toMatchObject({ kind: 'glass', topMm: rim, baseMm: 0.75 * rim });
    }
    // h = 3·V / (π·(r₁² + r₁·r₂ + r₂²)) by hand: 180 mL, rim 70 mm.
    expect(glassByWater('', 180, 70).heightMm).toBeCloseTo(540_000 / (Math.PI * (35 * 35 + 35 * 26.25 + 26.25 * 26.25)), 1);
  });
});

describe('taking and leaving', () => {
  it('one of the usual comes in and goes out; what was changed of it stays while it is there', () => {
    const [first, second] = [USUAL_MIXERS[0]!, USUAL_MIXERS[1]!];
    const own = [{ ...first, bowlMl: 4500 }];
    expect(toggled(own, second)).toEqual([{ ...first, bowlMl: 4500 }, second]);
    expect(toggled(own, first)).toEqual([]);
    expect(toggled(toggled(own, second), second)).toEqual(own);
  });
  it('so many of a vessel; none takes it out, and others stay', () => {
    const tin = USUAL_TINS[0]!;
    const id = shelfId(tin);
    const shelf = [{ id: 'bowl', vessel: glassByWater('Cup', 100, 60), count: 4 }];
    const two = withVessel(shelf, id, tin, 2);
    expect(two).toEqual([...shelf, { id, vessel: tin, count: 2 }]);
    expect(withVessel(two, id, tin, 5)[1]!.count).toBe(5);
    expect(withVessel(two, id, tin, 0)).toEqual(shelf);
    expect(withVessel(shelf, id, tin, 0)).toEqual(shelf);
  });
});
