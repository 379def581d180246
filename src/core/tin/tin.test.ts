import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { analyseSheet } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import { cutLayers } from './cut-layers';
import type { Sheet } from '../document/schema';
import { capacityMl, STARTING_VESSELS, volumeBelowMl } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { CONTEXT, ingredient, KITCHEN, LARDER, partsSheet } from '../../testing/sample';
import { biscuitLayers, countBiscuits, layAsk, whyNoBiscuits } from './biscuits';
import { laidAs } from './laid-as';
import { biscuitOfPart, buildIn, filledVessels, shareOfOne, type Build } from '../analysis/build';
import { chooseVessels, WELL_FILLED } from './choose';
import { layersInRepeats, repeatLimits } from './repeats';
import { soakServed, soaksOf } from './sheet-soak';
import { heightFactor, standLines } from './stand';
import { cakesFrom, crownOf, discsFrom, gridFor, pipedFrom, rosetteMl, shellMl, sliceOf } from './yield';
import { USUAL_TIN } from '../document/usual-tin';

const vessel = (name: string): Vessel => STARTING_VESSELS.find((v) => v.name === name)!;
const tin = (change: Partial<Sheet['tin']>): Partial<Sheet> => ({ tin: { ...USUAL_TIN, ...change } });
const ICEBOX = (rest: Partial<Sheet> = {}): Sheet =>
  partsSheet(
    [
      ['cream', 'cheese-cream', 'Tea cream', ['900 g cream 36 %', '300 g mascarpone', '120 g icing sugar', '8 leaves gelatin']],
      ['thins', 'biscuit-layer', 'Ginger thins', ['68 ginger thins']],
    ],
    { family: 'icebox', use: 'slice', vessel: vessel('Springform 24 cm'), portions: 12, ...rest },
  );
const analysed = (sheet: Sheet): SheetAnalysis => analyseSheet(sheet, KITCHEN);
const built = (s: SheetAnalysis, v?: Vessel): Build => {
  const b = buildIn(s, v);
  if (!b.ok) throw new Error(b.fault.says);
  return b.value;
};
/** The icebox cake in so many repeats. */
const repeated = (times: number, rest: Partial<Sheet> = {}): SheetAnalysis => {
  const s = analysed(ICEBOX(rest));
  return analysed({ ...s.sheet, tin: { ...s.sheet.tin, layers: layersInRepeats(s, times) } });
};

describe('a build', () => {
  it('without a plan lays each part once, all of it', () => {
    const b = built(analysed(ICEBOX()));
    expect(b.uses.every((u) => u.leftMl === 0)).toBe(true);
    expect(b.layers.map((l) => l.layer.part.id)).toEqual(['cream', 'thins']);
  });
  it('conserves volume: layers fill the vessel to the top of the last, and what is laid and left is what there is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('Springform 24 cm', 'Springform 20 cm', 'Steel tray', 'Terrine 1.2 L', 'Serving bowl', 'Baking tray'),
        fc.integer({ min: 0, max: 20 }),
        (times, name, mm) => {
          const s = repeated(times, { vessel: vessel(name) });
          const layers = s.sheet.tin.layers!.map((l, i) => (i === 2 && mm > 0 ? { ...l, by: 'mm' as const, amount: mm } : l));
          const b = built(analysed({ ...s.sheet, tin: { ...s.sheet.tin, layers } }));
          const laid = b.layers.reduce((sum, l) => sum + l.volumeMl, 0);
          // Gaps between biscuits that no cream is there for stay air.
          if (b.overMl === 0 && b.layers.every((l) => l.volumeMl >= 0) && b.uses.every((u) => u.leftMl >= 0))
            expect(Math.abs(volumeBelowMl(b.vessel, b.topMm) - laid)).toBeLessThan(1e-4 * laid);
          for (const u of b.uses) expect(u.takenMl + u.leftMl).toBeCloseTo(u.thereMl, 5);
          b.layers.forEach((l, i) => expect(l.fromMm).toBeCloseTo(i === 0 ? 0 : b.layers[i - 1]!.toMm, 9));
        },
      ),
      { numRuns: 120 },
    );
  });
  it('lays biscuits as high as they are, and cream runs into their gaps', () => {
    const b = built(repeated(3));
    const thins = b.layers.filter((l) => l.pieces !== null);
    expect(thins).toHaveLength(3);
    for (const l of thins) expect(l.toMm - l.fromMm).toBeCloseTo(4, 6);
    const above = b.layers[b.layers.indexOf(thins[0]!) + 1]!;
    expect(above.inGapsMl).toBeCloseTo((Math.PI * 120 ** 2 * 4) / 1000 - thins[0]!.volumeMl, 4);
  });
  it('gives what is fixed its mm and shares the rest equally', () => {
    const s = repeated(3);
    const b = built(s);
    expect(b.layers[0]!.toMm).toBeCloseTo(4, 9);
    const shares = b.layers.filter((l) => l.by === 'share' && l.pieces === null).map((l) => l.volumeMl - l.inGapsMl);
    for (const v of shares) expect(v).toBeCloseTo(shares[0]!, 4);
  });
  it('by grams and by mL takes so much', () => {
    const s = repeated(1);
    const layers = s.sheet.tin.layers!.map((l) => (l.partId === 'cream' && l.by === 'share' ? { ...l, by: 'g' as const, amount: 200 } : l));
    const b = built(analysed({ ...s.sheet, tin: { ...s.sheet.tin, layers } }));
    const top = b.layers.at(-1)!;
    expect(top.massG - (top.inGapsMl * top.layer.massG) / top.layer.volumeMl).toBeCloseTo(200, 6);
    expect(b.uses.find((u) => u.layer.part.id === 'cream')!.leftG).toBeGreaterThan(500);
  });
  it('says what is missing where layers want more than there is', () => {
    const s = repeated(2);
    const layers = s.sheet.tin.layers!.map((l) => (l.partId === 'cream' ? { ...l, by: 'ml' as const, amount: 2000 } : l));
    const b = built(analysed({ ...s.sheet, tin: { ...s.sheet.tin, layers } }));
    expect(b.uses.find((u) => u.layer.part.id === 'cream')!.leftMl).toBeLessThan(-1000);
    expect(b.overMl).toBeGreaterThan(0);
  });
  it('has nothing to lay without lines, and says so', () => {
    const b = buildIn(analysed(partsSheet([['cream', 'whipped-cream', 'Cream', []]])));
    expect(b.ok ? '' : b.fault.code).toBe('empty');
    const gone = buildIn(analysed(ICEBOX(tin({ layers: [{ id: 'a', partId: 'no-such-part', by: 'share', amount: 0 }] }))));
    expect(gone.ok ? '' : gone.fault.says).toBe('No layer is planned: add one, or lay each part once.');
  });
  it('fills every vessel equally full', () => {
    const s = analysed(ICEBOX({ vessel: vessel('Footed glass'), portions: 16, ...tin({ also: [{ vessel: vessel('Small glass'), count: 6 }] }) }));
    expect(filledVessels(s).map((f) => f.count)).toEqual([10, 6]);
    const total = 10 * shareOfOne(s) + 6 * shareOfOne(s, vessel('Small glass'));
    expect(total).toBeCloseTo(1, 12);
    expect(shareOfOne(s) / shareOfOne(s, vessel('Small glass'))).toBeCloseTo(capacityMl(vessel('Footed glass')) / capacityMl(vessel('Small glass')), 9);
  });
  it('is what the cut shows, and what the fill of the sheet says', () => {
    const s = repeated(3);
    const b = built(s);
    expect(cutLayers(s).map((l) => l.toMm)).toEqual(b.layers.map((l) => l.toMm));
    expect(s.fillMm.ok && s.fillMm.value).toBeCloseTo(b.topMm, 9);
  });
});

describe('repeats', () => {
  it('base, bed, biscuits and cream, closed by cream, topped', () => {
    expect(layersInRepeats(analysed(ICEBOX()), 2).map((l) => `${l.partId} ${l.by}`)).toEqual([
      'cream mm',
      'thins share',
      'cream share',
      'thins share',
      'cream share',
    ]);
    const base = partsSheet([
      ['base', 'pressed-base', 'Base', ['200 g oat thins', '80 g butter']],
      ['cream', 'whipped-cream', 'Cream', ['500 g cream 36 %']],
      ['thins', 'biscuit-layer', 'Thins', ['20 ginger thins']],
      ['figs', 'topping', 'Figs', ['4 figs']],
    ]);
    expect(layersInRepeats(analysed(base), 1).map((l) => l.partId)).toEqual(['base', 'thins', 'cream', 'figs']);
  });
  it('a layer that is fixed in mm stays fixed, and takes its room', () => {
    const laid = (amount: number) =>
      analysed(
        partsSheet(
          [
            ['base', 'pressed-base', 'Base', ['200 g oat thins', '80 g butter']],
            ['cream', 'whipped-cream', 'Cream', ['500 g cream 36 %']],
            ['thins', 'biscuit-layer', 'Thins', ['20 ginger thins']],
          ],
          {
            vessel: vessel('Springform 24 cm'),
            ...tin({
              layers: [
                { id: 'a', partId: 'base', by: 'mm', amount },
                { id: 'b', partId: 'thins', by: 'share', amount: 0 },
                { id: 'c', partId: 'cream', by: 'share', amount: 0 },
              ],
            }),
          },
        ),
      );
    expect(layersInRepeats(laid(8), 2)[0]).toMatchObject({ partId: 'base', by: 'mm', amount: 8 });
    const { eachMm, byDepth } = repeatLimits(laid(8), 12);
    // 70 mm less 3 under the rim and 8 of base, in whole repeats; one repeat more of base takes one away.
    expect(byDepth).toBe(Math.floor((70 - 3 - 8) / eachMm));
    expect(repeatLimits(laid(8 + eachMm), 12).byDepth).toBe(byDepth - 1);
  });
  it('several creams keep their order, and biscuits never close it', () => {
    const s = analysed(
      partsSheet([
        ['custard', 'custard', 'Custard', ['400 g milk', '4 yolks', '30 g corn starch']],
        ['cream', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
        ['sponge', 'biscuit-layer', 'Sponge', ['160 g genoise']],
      ]),
    );
    expect(layersInRepeats(s, 1).map((l) => l.partId)).toEqual(['custard', 'cream', 'sponge', 'cream']);
  });
  it('as many as the depth allows: a deeper tin never fewer, thicker cream never more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 150 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 4, max: 30 }), (height, more, cream) => {
        const at = (heightMm: number, mm: number): number =>
          repeatLimits(analysed(ICEBOX({ vessel: { ...vessel('Springform 24 cm'), heightMm } })), mm).byDepth;
        expect(at(height + more, cream)).toBeGreaterThanOrEqual(at(height, cream));
        expect(at(height, cream + 3)).toBeLessThanOrEqual(at(height, cream));
      }),
      { numRuns: 60 },
    );
    // 70 mm less 3 under the rim and 4 of bed: three of 4 + 12 mm and some.
    expect(repeatLimits(analysed(ICEBOX()), 12)).toMatchObject({ byDepth: 3, eachMm: 16 });
    expect(repeatLimits(analysed(ICEBOX()), 12, 17).byBiscuits).toBeCloseTo(4, 9);
  });
});

describe('biscuits of a sheet', () => {
  it('are counted from the drawing: over layers, vessels, breakage, packs', () => {
    const s = repeated(3);
    const layers = biscuitLayers(s);
    const plans = layers.map((l) => laidAs(layAsk(s, l)));
    const drawn = plans.reduce((n, p) => n + (p.ok ? new Set(p.value.pieces.map((x) => x.biscuit)).size : 0), 0);
    const [count] = countBiscuits(
      s,
      layers,
      plans.map((p) => (p.ok ? p.value : null)),
    );
    expect(count).toMatchObject({ layers: 3, needed: drawn, there: 68, whole: 51 });
    expect(count!.toBuy).toBe(Math.ceil(drawn * 1.05));
    // A pack of 300 g has 50 of 6 g.
    expect(count!.packs).toBe(Math.ceil(count!.toBuy / 50));
    expect(count!.spare).toBe(count!.packs! * 50 - drawn);
    expect(layers.map((l) => layAsk(s, l).turned)).toEqual([false, true, false]);
  });
  it('in two kinds of glass each layer fits its own height', () => {
    const s = analysed(
      partsSheet(
        [
          ['cream', 'whipped-cream', 'Cream', ['600 g cream 36 %']],
          ['wafers', 'biscuit-layer', 'Wafers', ['24 vanilla wafers']],
        ],
        { vessel: vessel('Footed glass'), portions: 10, ...tin({ also: [{ vessel: vessel('Small glass'), count: 4 }] }) },
      ),
    );
    const layers = biscuitLayers(s);
    expect(layers.map((l) => [l.vessel.name, l.vessels])).toEqual([
      ['Footed glass', 6],
      ['Small glass', 4],
    ]);
    for (const l of layers) expect(l.floor.kind === 'round' && l.floor.radiusMm).toBeLessThan(37);
  });
  it('say why there are none', () => {
    const none = whyNoBiscuits(analysed(partsSheet([['cream', 'whipped-cream', 'Cream', ['300 g cream 36 %']]])), CONTEXT.larder);
    expect(none.ok ? '' : none.fault.code).toBe('no-biscuits');
    expect(whyNoBiscuits(analysed(ICEBOX()), new Map()).ok).toBe(false);
    const bare = whyNoBiscuits(analysed(ICEBOX()), new Map(LARDER.filter((i) => !i.biscuit).map((i) => [i.id, i])));
    expect(bare.ok ? '' : bare.fault.field).toBe('larder');
    expect(biscuitOfPart(analysed(ICEBOX()), 'thins')).toMatchObject({ pieces: 68 });
  });
});

const TRAY = (rest: Partial<Sheet> = {}): Sheet =>
  partsSheet(
    [
      ['soak', 'soak', 'Soak', ['500 g coffee', '60 g dark rum', '40 g caster sugar']],
      ['fingers', 'biscuit-layer', 'Fingers', ['48 ladyfingers']],
      ['cream', 'whipped-cream', 'Cream', ['900 g cream 36 %']],
    ],
    { family: 'tiramisu', use: 'slice', vessel: vessel('Steel tray'), portions: 24, ...rest },
  );

describe('soaking of a sheet', () => {
  it('syrup for all, and what a portion gets of it', () => {
    const s = analysed(TRAY(tin({ dipS: 2, soakC: 10 })));
    const [fingers] = soaksOf(s);
    expect(fingers).toMatchObject({ pieces: 48, way: 'dipped' });
    const served = soakServed(s)!;
    expect(served.syrupNeededG).toBeCloseTo(1.1 * 24 * served.drunkPerPortionG, 6);
    expect(served.caffeinatedPerPortionG / served.drunkPerPortionG).toBeCloseTo(500 / 600, 6);
    expect(served.ethanolPerPortionG).toBeGreaterThan(0);
    expect(soakServed(analysed(ICEBOX()))).toBeNull();
  });
  it('the kitchen’s own dip test replaces the table', () => {
    const test = { seconds: 2, dryG: 40, dippedG: 70 };
    const [fingers] = soaksOf(analysed(TRAY(tin({ dipTests: { ladyfinger: test } }))));
    expect(fingers!.soak?.ok && fingers!.soak.value.uptakePct).toBeCloseTo(75, 9);
  });
  it('gets wetter over the rest, never past what it holds by the cream alone', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), fc.double({ min: 0, max: 72, noNaN: true }), (dipS, servedAfterH) => {
        const [f] = soaksOf(analysed(TRAY({ servedAfterH, ...tin({ dipS }) })));
        const filled = f!.soak?.ok ? f!.soak.value.filled : 0;
        expect(f!.served!.filled).toBeGreaterThanOrEqual(filled);
        expect(f!.served!.filled).toBeLessThanOrEqual(Math.max(1, filled));
      }),
      { numRuns: 40 },
    );
  });
});

describe('choosing vessels', () => {
  const shelf = KITCHEN.vessels;
  it('finds two kinds of glass for one batch, no more than there are', () => {
    const found = chooseVessels(5600, 30, 'glass', shelf);
    if (!found.ok) throw new Error(found.fault.says);
    for (const c of found.value) {
      const ml = c.filled.reduce((n, f) => n + f.count * capacityMl(f.vessel), 0);
      expect(c.fullShare).toBeCloseTo(5600 / ml, 9);
      expect(c.fullShare).toBeLessThanOrEqual(WELL_FILLED.high);
      for (const f of c.filled) expect(f.count).toBeLessThanOrEqual(24);
    }
    expect(found.value.some((c) => c.filled.length === 2)).toBe(true);
  });
  it('never overfills, whatever the batch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 30_000, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('spoon' as const, 'slice' as const, 'glass' as const, 'turn-out' as const),
        (ml, portions, use) => {
          const found = chooseVessels(ml, portions, use, shelf);
          if (!found.ok) return;
          for (const c of found.value) expect(c.filled.reduce((n, f) => n + f.count * capacityMl(f.vessel), 0)).toBeGreaterThanOrEqual(ml);
        },
      ),
      { numRuns: 80 },
    );
  });
  it('says what comes nearest where none fits', () => {
    const r = chooseVessels(200_000, 10, 'slice', shelf);
    expect(r.ok ? '' : r.fault.says).toMatch(/^Nothing on the shelf is well filled by 200\.0\u00a0L: /);
    expect(chooseVessels(0, 10, 'slice', shelf).ok).toBe(false);
    expect(chooseVessels(1000, 10, 'slice', []).ok).toBe(false);
  });
});

describe('yield', () => {
  it('slices and what the knife takes are the whole', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 24 }),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom('Springform 24 cm', 'Steel tray', 'Terrine 1.2 L'),
        (cutAlong, cutAcross, kerfMm, name) => {
          const s = repeated(2, { vessel: vessel(name) });
          const sheet = { ...s.sheet, tin: { ...s.sheet.tin, cutAlong, cutAcross, kerfMm } };
          const b = built(analysed(sheet));
          const slice = sliceOf(analysed(sheet), b);
          if (!slice.ok) return;
          const massG = b.layers.reduce((sum, l) => sum + l.massG, 0);
          expect(slice.value.count * slice.value.massG + slice.value.lostG).toBeCloseTo(massG, 4);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('too many cuts leave nothing, and it says so', () => {
    const s = analysed({ ...ICEBOX({ vessel: vessel('Terrine 1.2 L') }), tin: { ...USUAL_TIN, cutAlong: 60, kerfMm: 10 } });
    const slice = sliceOf(s, built(s));
    expect(slice.ok ? '' : slice.fault.code).toBe('too-many');
  });
  it('a rosette is a cone, a shell is smaller, and a wider nozzle pipes fewer', () => {
    expect(rosetteMl(12)).toBeCloseTo((Math.PI * 15 ** 2 * 24) / 3 / 1000, 9);
    expect(shellMl(12)).toBeLessThan(rosetteMl(12));
    const a = analysed(ICEBOX()).parts[0]!;
    expect(pipedFrom(a, 10)!.rosettes[1]).toBeGreaterThan(pipedFrom(a, 14)!.rosettes[1]);
  });
  it('covers cakes whole, and says what is left', () => {
    const c = cakesFrom(3000, { acrossMm: 180, heightMm: 90 }, 3, 8, 6);
    expect(c.cakes * c.eachMl + c.leftMl).toBeCloseTo(3000, 9);
    expect(c.cakes).toBe(3);
  });
  it('a nest bears a light crown and cracks under a heavy one', () => {
    const nest = (grams: number, portions: number): SheetAnalysis =>
      analysed(
        partsSheet(
          [
            ['n', 'meringue', 'Nests', ['4 whites', '220 g caster sugar']],
            ['c', 'crown', 'Cream', [`${grams} g cream 36 %`]],
          ],
          { family: 'nest', portions, vessel: vessel('Nest on a plate') },
        ),
      );
    expect(crownOf(nest(300, 8))!.verdict).toBe('bears');
    expect(crownOf(nest(1200, 3))!.verdict).toBe('cracks');
    expect(crownOf(analysed(ICEBOX()))).toBeNull();
  });
  it('discs: the inner diameter there less 2 mm', () => {
    const d = discsFrom(vessel('Footed glass'), 47.5, { lengthMm: 380, widthMm: 280 }, 30);
    expect(d.ok && d.value.cutterMm).toBe(58);
    expect(d.ok && d.value.sheets).toBe(Math.ceil(30 / (d.ok ? d.value.perSheet : 1)));
    expect(discsFrom(vessel('Springform 24 cm'), 10, { lengthMm: 200, widthMm: 200 }, 2).ok).toBe(false);
  });
  it('pieces come near the portions and near to square', () => {
    expect(gridFor(vessel('Steel tray'), 24)).toMatchObject({ along: 6, across: 4 });
    expect(gridFor(vessel('Springform 24 cm'), 12)).toEqual({ along: 12, across: 1 });
  });
});

describe('standing', () => {
  it('taller never wants less', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 0, max: 50, noNaN: true }), (h, more) => {
        expect(heightFactor('slice', h + more)).toBeGreaterThanOrEqual(heightFactor('slice', h));
      }),
    );
  });
  it('judges the dose, the top and the rim', () => {
    const keys = (s: SheetAnalysis): string[] => standLines(s, built(s)).map((l) => `${l.key} ${l.state}`);
    expect(keys(repeated(3))).toContain('lining in');
    expect(keys(analysed(ICEBOX()))).toContain('top near');
    const s = repeated(3);
    const over = { ...s.sheet, tin: { ...s.sheet.tin, layers: s.sheet.tin.layers!.map((l) => ({ ...l, by: 'mm' as const, amount: 30 })) } };
    expect(keys(analysed(over))).toContain('over out');
    const weak = analysed({ ...ICEBOX(), parts: ICEBOX().parts.map((p) => ({ ...p, lines: p.lines.filter((l) => !l.text.includes('leaves')) })) });
    expect(standLines(weak, built(weak)).find((l) => l.key === 'dose')?.says).toMatch(/No gelatin/);
  });
});

it('every biscuit of the larder can be laid or is scattered', () => {
  for (const i of LARDER.filter((x) => x.biscuit)) expect(['round', 'rect', 'loose']).toContain(i.biscuit!.shape);
  expect(ingredient('ladyfinger').biscuit).not.toBeNull();
});

describe('what stands free', () => {
  const shell = (acrossMm: number, portions: number) =>
    analyseSheet(
      partsSheet(
        [
          ['m', 'meringue', 'Shell', ['140 g egg whites', '280 g caster sugar']],
          ['c', 'crown', 'Cream', ['800 g cream 36 %']],
        ],
        { family: 'nest', portions, vessel: { kind: 'free', name: 'Shell', topMm: acrossMm, baseMm: acrossMm, heightMm: 60 } },
      ),
      KITCHEN,
    );
  it('a wide shell is one for all: it carries all of the cream, and holds it once', () => {
    expect(crownOf(shell(240, 8))!.creamG).toBeCloseTo(800, 0);
    expect(crownOf(shell(90, 8))!.creamG).toBeCloseTo(100, 0);
    const [wide, nests] = [shell(240, 8), shell(90, 8)];
    if (!wide.perVesselMl.ok || !nests.perVesselMl.ok || !wide.volumeMl.ok) throw new Error('no volume');
    expect(wide.perVesselMl.value).toBeCloseTo(wide.volumeMl.value, 6);
    expect(nests.perVesselMl.value).toBeCloseTo(wide.volumeMl.value / 8, 6);
  });
});
