import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COOLING_RULES, coolingRulesOf } from '../heat/cooling';
import { heatContent } from '../heat/heat-content';
import { stirredCurve } from '../heat/stirred';
import { effectiveH } from '../heat/surface';
import { isotherm, roundValues } from '../heat/solver/isotherms';
import { analyseSheet } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import type { Sheet } from '../document/schema';
import { STARTING_VESSELS } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { baseWays, depthThatMeets, type HotBase } from './base';
import { bodyOf } from './body';
import { fitPlace } from './fit';
import { coldAnswers } from './ready';
import { hourAt, runCold, valueAt, warmUp, type ColdRun } from './run';
import type { ColdSetup } from '../document/cold-plan-schema';
import { mainReady, quickestFirst, tryEach } from './tries';
import { USUAL_SETUP } from '../document/usual-cold';
import { coldView } from './view';

const vessel = (name: string): Vessel => STARTING_VESSELS.find((v) => v.name === name)!;
const MOUSSE = (rest: Partial<Sheet> = {}): SheetAnalysis =>
  analyseSheet(
    partsSheet([['cream', 'whipped-cream', 'Cream', ['600 g cream 36 %', '80 g icing sugar', '5 leaves gelatin']]], {
      use: 'slice',
      vessel: vessel('Springform 20 cm'),
      portions: 8,
      ...rest,
    }),
    KITCHEN,
  );
const FROZEN = (): SheetAnalysis =>
  analyseSheet(
    partsSheet([['cream', 'whipped-cream', 'Cream', ['450 g cream 36 %', '130 g caster sugar']]], {
      family: 'semifreddo',
      use: 'slice',
      vessel: vessel('Terrine 1.2 L'),
      portions: 10,
    }),
    KITCHEN,
  );
const setup = (change: Partial<ColdSetup> = {}): ColdSetup => ({ ...USUAL_SETUP, ...change });
const run = (s: SheetAnalysis, change: Partial<ColdSetup> = {}, kitchen: Kitchen = KITCHEN): ColdRun => {
  const r = runCold(s, kitchen, setup({ startC: 20, ...change }));
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const coreAt = (r: ColdRun, tC: number): number => hourAt(r.curves.h, r.curves.core, tC) ?? Infinity;

describe('a dessert in the cold', () => {
  it('accounts for its heat, layers, ice bath and all', () => {
    for (const change of [{}, { iceBathMin: 15 }, { together: 6 }, { placeId: 'chest' }]) expect(run(MOUSSE(), change).energyError).toBeLessThan(1e-9);
  });
  it('is as its own grid twice as fine, within 1 %: springform, terrine frozen, glass, tray', () => {
    const glass = analyseSheet({ ...MOUSSE().sheet, vessel: vessel('Footed glass'), use: 'glass' }, KITCHEN);
    const tray = MOUSSE({ vessel: vessel('Small tray') });
    for (const [s, change, tC] of [
      [MOUSSE(), {}, 6],
      [FROZEN(), {}, -15],
      [glass, {}, 6],
      [tray, {}, 6],
    ] as const) {
      const fine = runCold(s, KITCHEN, setup({ startC: 20, ...change }), { fine: 2 });
      if (!fine.ok) throw new Error(fine.fault.says);
      expect(Math.abs(coreAt(run(s, change), tC) / coreAt(fine.value, tC) - 1)).toBeLessThan(0.01);
    }
  }, 60_000);
  it('colder, alone, in a fan, on metal, after an ice bath, from colder: never slower; crowded, under a lid: never faster', () => {
    const s = MOUSSE();
    const now = coreAt(run(s), 8);
    const grace = 1.003;
    for (const change of [{ airC: 2 }, { under: 'metal-shelf' as const }, { iceBathMin: 20 }, { startC: 12 }, { wall: 'aluminium' as const }])
      expect(coreAt(run(s, change), 8), JSON.stringify(change)).toBeLessThanOrEqual(now * grace);
    for (const change of [{ air: 'crowded-shelf' as const }, { cover: 'lid' as const }, { together: 8 }, { wall: 'card' as const, wallMm: 2 }, { startC: 30 }])
      expect(coreAt(run(s, change), 8) * grace, JSON.stringify(change)).toBeGreaterThanOrEqual(now);
  });
  it('gives the fridge the heat of the whole dessert, whatever part of it the grid holds', () => {
    for (const v of [
      vessel('Springform 20 cm'),
      vessel('Terrine 1.2 L'),
      vessel('Small tray'),
      { kind: 'terrine' as const, name: 'Short tin', lengthMm: 160, widthMm: 90, baseLengthMm: 160, baseWidthMm: 90, heightMm: 90 },
    ]) {
      const body = bodyOf(analyseSheet(sheetOf(['350 g cream 36 %'], {}, { vessel: v }), KITCHEN), KITCHEN, setup());
      if (!body.ok) throw new Error(body.fault.says);
      const { grid, airs, massG } = body.value;
      const gridG = grid.volumeM3.reduce((sum, m3, c) => sum + 1000 * m3 * grid.material[grid.of[c]!]!.rhoKgPerM3, 0);
      expect((gridG * airs[0]!.bodies) / massG, v.name).toBeCloseTo(1, 1);
    }
  });
  it('a bigger batch in the same tin never cools sooner', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1, noNaN: true }), (share) => {
        const of = (grams: number): number =>
          coreAt(run(analyseSheet(sheetOf([`${Math.round(grams)} g cream 36 %`], {}, { vessel: vessel('Springform 20 cm') }), KITCHEN)), 8);
        expect(of(700 * share)).toBeLessThanOrEqual(of(700) * 1.004);
      }),
      { numRuns: 8 },
    );
  });
  it('a chilled tin takes some of the heat', () => expect(coreAt(run(MOUSSE(), { chilledTin: true }), 8)).toBeLessThan(coreAt(run(MOUSSE()), 8)));
  it('says what never happens, and the nearest question that has an answer', () => {
    const s = MOUSSE();
    const warm = run(s, { airC: 9 });
    const ready = mainReady(coldAnswers(s, KITCHEN, warm).ready)!;
    expect(ready.atH).toBeNull();
    expect(ready.says).toBe('At 9\u00a0°C round it, its core never comes to 6\u00a0°C: ask for 10\u00a0°C, or take a colder place.');
    expect(effectiveH(0, 'steel', 1)).toMatchObject({ ok: false, fault: { code: 'nothing' } });
    expect(bodyOf(analyseSheet(partsSheet([['c', 'whipped-cream', 'C', []]]), KITCHEN), KITCHEN, setup()).ok).toBe(false);
    const none = runCold(FROZEN(), { ...KITCHEN, places: KITCHEN.places.filter((p) => p.airC > 0) }, setup());
    expect(none.ok ? '' : none.fault.says).toMatch(/^The kitchen has no freezer/);
  });
});

describe('ready', () => {
  it('is the latest of what must happen: core, set, biscuits', () => {
    const s = MOUSSE();
    const a = coldAnswers(s, KITCHEN, run(s));
    const slice = mainReady(a.ready)!;
    const of = (key: string): number => a.happenings.find((x) => x.key === key)!.toH!;
    expect(slice.key).toBe('slice');
    expect(slice.atH).toBeCloseTo(Math.max(of('core'), of('set')), 9);
    expect(of('set')).toBeGreaterThan(coreAt(run(s), 15));
  });
  it('softening runs on the temperatures: a warmer fridge softens sooner', () => {
    const s = analyseSheet(
      partsSheet(
        [
          ['cream', 'whipped-cream', 'Cream', ['600 g cream 36 %']],
          ['thins', 'biscuit-layer', 'Thins', ['34 ginger thins']],
        ],
        { use: 'slice', family: 'icebox', vessel: vessel('Springform 24 cm') },
      ),
      KITCHEN,
    );
    const soft = (airC: number): number => coldAnswers(s, KITCHEN, run(s, { airC })).happenings.find((x) => x.key === 'soft')!.toH!;
    expect(soft(7)).toBeLessThan(soft(2));
    expect(soft(4)).toBeGreaterThan(4);
  });
  it('a hot base breaks the cooling rule in a deep tin, and the kitchen’s own figures are taken', () => {
    const s = analyseSheet(
      partsSheet([['c', 'custard', 'Custard', ['1500 g milk', '6 yolks', '200 g caster sugar', '60 g corn starch']]], {
        family: 'pudding',
        vessel: vessel('Springform 20 cm'),
      }),
      KITCHEN,
    );
    const hot = run(s, { startC: 85 });
    expect(coldAnswers(s, KITCHEN, hot).broken[0]!.key).toMatch(/^cooling:/);
    const own = coolingRulesOf({ fromC: 80, firstC: 79, firstMin: 1, secondC: 5, secondMin: 2880 })[0]!;
    expect(coldAnswers(s, KITCHEN, hot, own).broken.map((b) => b.key)).toContain('cooling:79');
    expect(coolingRulesOf(null)).toBe(COOLING_RULES);
    expect(coldAnswers(s, KITCHEN, hot).bandMin).toBeGreaterThan(120);
  });
});

describe('freezing and out again', () => {
  it('freezes through, then warms into its knife window, sooner on the counter than in the fridge', () => {
    const s = FROZEN();
    const view = coldView(s, KITCHEN, setup());
    if (!view.ok) throw new Error(view.fault.says);
    expect(mainReady(view.value.answers.ready)!.key).toBe('frozen');
    expect(view.value.frames.every((f) => f.ice?.every((x) => x >= 0 && x <= 1))).toBe(true);
    const by = (place: string) => view.value.tempering.find((t) => t.place === place)!;
    expect(by('Counter').closesH!).toBeLessThan(by('Tall fridge').closesH!);
    for (const t of view.value.tempering) if (t.closesH !== null) expect(t.opensH!).toBeLessThanOrEqual(t.closesH);
    const already = warmUp(s, KITCHEN, setup(), -5, 'counter', [-10]);
    expect(already.ok && already.value[0]).toBe(0);
    expect(warmUp(s, KITCHEN, setup(), -18, 'no-such', [-10]).ok).toBe(false);
  }, 60_000);
});

describe('changes tried', () => {
  it('each by the solver, quickest first; a colder start and an ice bath save time', () => {
    const s = MOUSSE();
    const tried = [...tryEach(s, KITCHEN, setup({ startC: 22 }))];
    expect(tried.length).toBe(tried[0]!.of);
    const sorted = quickestFirst(tried.map((t) => t.tried));
    sorted.slice(1).forEach((t, i) => expect(t.readyH ?? Infinity).toBeGreaterThanOrEqual(sorted[i]!.readyH ?? Infinity));
    expect(sorted.find((t) => t.key === 'ice')!.savedMin).toBeGreaterThan(0);
    expect([...tryEach(s, KITCHEN, setup())].map((t) => t.tried.key)).toContain('start');
  }, 60_000);
});

describe('the probe', () => {
  it('finds the heat transfer that made the readings, within its own error', () => {
    const s = MOUSSE();
    const truth = { ...KITCHEN, places: KITCHEN.places.map((p) => (p.id === 'tall-fridge' ? { ...p, hWPerM2K: 11 } : p)) };
    const made = run(s, { placeId: 'tall-fridge' }, truth);
    const noise = [0.2, -0.3, 0.1, -0.1, 0.25, -0.2, 0.15];
    const readings = [0, 0.5, 1, 1.5, 2, 3, 4].map((h, i) => [h, valueAt(made.curves.h, made.curves.core, h) + (i === 0 ? 0 : noise[i]!)] as const);
    const fit = fitPlace(s, KITCHEN, setup({ placeId: 'tall-fridge' }), readings);
    if (!fit.ok) throw new Error(fit.fault.says);
    expect(Math.abs(fit.value.h - 11)).toBeLessThan(3 * fit.value.error);
    expect(fit.value.h).toBeGreaterThan(9);
    expect(fit.value.h).toBeLessThan(13);
    // The corrected place is what the next run takes.
    const corrected = { ...KITCHEN, places: KITCHEN.places.map((p) => (p.id === 'tall-fridge' ? { ...p, hWPerM2K: fit.value.h } : p)) };
    expect(coreAt(run(s, { placeId: 'tall-fridge' }, corrected), 8)).toBeLessThan(coreAt(run(s, { placeId: 'tall-fridge' }), 8));
  }, 60_000);
  it('four readings are enough, three are not', () => {
    const s = MOUSSE();
    const made = run(s, { placeId: 'tall-fridge' });
    const readings = [0, 1, 2, 4].map((h) => [h, valueAt(made.curves.h, made.curves.core, h)] as const);
    expect(fitPlace(s, KITCHEN, setup({ placeId: 'tall-fridge' }), readings).ok).toBe(true);
    expect(fitPlace(s, KITCHEN, setup({ placeId: 'tall-fridge' }), readings.slice(1))).toMatchObject({ ok: false, fault: { code: 'too-few' } });
  }, 60_000);
  it('a run is over when the core is half a degree from its air, and not before', () => {
    const made = run(MOUSSE(), { placeId: 'tall-fridge' });
    const air = KITCHEN.places.find((p) => p.id === 'tall-fridge')!.airC;
    const [before, last] = [made.curves.core.at(-2)!, made.curves.core.at(-1)!];
    expect(last - air).toBeLessThanOrEqual(0.5 + 1e-6);
    expect(before - air).toBeGreaterThan(0.5 - 0.02);
  }, 60_000);
  it('asks for more readings, and for some while it still cools', () => {
    expect(
      fitPlace(MOUSSE(), KITCHEN, setup(), [
        [0, 20],
        [1, 15],
      ]),
    ).toMatchObject({ ok: false, fault: { code: 'too-few' } });
    expect(
      fitPlace(MOUSSE(), KITCHEN, setup(), [
        [20, 4],
        [21, 4],
        [22, 4],
        [23, 4],
      ]).ok,
    ).toBe(false);
  }, 60_000);
});

const CUSTARD: HotBase = (() => {
  const a = analyseSheet(partsSheet([['c', 'custard', 'Custard', ['1000 g milk', '4 yolks', '120 g caster sugar', '45 g corn starch']]]), KITCHEN).parts[0]!;
  return { name: 'Custard', mixture: a.reading.mixture, freezingG: a.reading.freezingG, startC: 85 };
})();
const PLACE = { panMm: 200, depthMm: 40, placeH: 15, placeC: 4, placeName: 'Fan fridge', placeUaWPerK: 15, roomC: 20 };

describe('cooked bases', () => {
  it('the ice bath is followed down to 4 °C', () => {
    const ways = baseWays(CUSTARD, PLACE, COOLING_RULES[0]!);
    if (!ways.ok) throw new Error(ways.fault.says);
    const bath = ways.value.find((w) => w.key === 'bath')!.curve;
    expect(bath.at(-1)![1]).toBeCloseTo(4, 1);
  }, 60_000);
  it('an ice bath meets the rule, a deep pan does not, and the depth that meets it does', () => {
    const ways = baseWays(CUSTARD, PLACE, COOLING_RULES[0]!);
    if (!ways.ok) throw new Error(ways.fault.says);
    expect(ways.value.find((w) => w.key === 'bath')!.meets).toBe(true);
    const depth = depthThatMeets(CUSTARD, PLACE, COOLING_RULES[0]!);
    if (!depth.ok) throw new Error(depth.fault.says);
    const meets = (depthMm: number): boolean => {
      const at = baseWays(CUSTARD, { ...PLACE, depthMm }, COOLING_RULES[0]!);
      return at.ok && at.value.find((w) => w.key === 'tray')!.meets;
    };
    expect(meets(depth.value)).toBe(true);
    expect(meets(depth.value + 2)).toBe(false);
  }, 60_000);
  it('stirred: the exponential of a body of one temperature', () => {
    const heat = heatContent(CUSTARD.mixture, CUSTARD.freezingG);
    const i = { heat, massG: 1000, startC: 60, areaM2: 0.05, outerH: 250, wallM2KPerW: 0, bathC: 0 };
    const curve = stirredCurve(i, 20);
    if (!curve.ok) throw new Error(curve.fault.says);
    const ua = 0.05 / (1 / 250 + 1 / 200);
    const c = (heat.at(60) - heat.at(20)) / 40;
    expect(curve.value.at(-1)![0] / ((((1000 * c) / ua) * Math.log(60 / 20)) / 60)).toBeCloseTo(1, 1);
    expect(stirredCurve({ ...i, bathC: 25 }, 20)).toMatchObject({ ok: false, fault: { code: 'never' } });
    expect(stirredCurve({ ...i, outerH: 0 }, 20).ok).toBe(false);
  });
  it('refuses no pan, no depth, nothing in it', () => {
    expect(baseWays(CUSTARD, { ...PLACE, panMm: 0 }, COOLING_RULES[0]!).ok).toBe(false);
    expect(baseWays(CUSTARD, { ...PLACE, depthMm: 0 }, COOLING_RULES[0]!).ok).toBe(false);
    expect(depthThatMeets(CUSTARD, { ...PLACE, placeC: 19 }, COOLING_RULES[0]!)).toMatchObject({ ok: false, fault: { code: 'never' } });
  });
});

describe('isotherms', () => {
  it('of a plane field are straight lines where they should be', () => {
    const f = {
      across: 6,
      up: 8,
      halfMm: new Array<number>(8).fill(30),
      upMm: Array.from({ length: 8 }, (_, j) => 5 + 10 * j),
      value: Float64Array.from({ length: 48 }, (_, c) => Math.floor(c / 6)),
    };
    for (const [x0, z0, x1, z1] of isotherm(f, 2.5)) {
      expect(z0).toBeCloseTo(30, 9);
      expect(z1).toBeCloseTo(30, 9);
      expect(Math.max(x0, x1)).toBeLessThanOrEqual(27.5 + 1e-9);
    }
    expect(isotherm(f, 99)).toEqual([]);
    expect(roundValues(4.2, 21.7)).toEqual([5, 10, 15, 20]);
    expect(roundValues(3, 3)).toEqual([]);
  });
});
