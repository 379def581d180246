import { abvPct, volumeMl as mixVolumeMl } from '../composition/density';
import { combine } from '../composition/mixture';
import { foldAccount, type Fold } from '../foam/fold';
import { holdOf, type Hold } from '../foam/hold';
import { BUTTERCREAM_OVERRUN, SPONGE, STAGE_X, WARM_BASE_C } from '../foam/house';
import { ONE_POINT_C } from '../heat/house';
import { airShareAt, foamVolumeMl, reachableOverrunPct } from '../foam/overrun';
import { eggWhip } from '../foam/egg-whisk';
import { overrunAtStage, stopWindow, whip, type Whip } from '../foam/whisk';
import type { WhiskInput } from '../foam/inputs';
import { plainNumber } from '../figure';
import { fail, ok, type Result } from '../result';
import { gelatinDose } from '../setting/gelatin';
import { buildIn, shareOfOne } from './build';
import { capacityMl, fillHeightMm } from '../vessel/profile';
import { optionOf, questionNamed } from '../schools/questions';
import type { Layer, NamedFold, PartAnalysis, SheetAnalysis } from './analysed';
import { eggFoamOf, type EggFoamForecast } from './egg-foam';
import { bowlFatPct, type CreamKind, type LineReading, type PartReading } from '../lines/read-part';
import { readSheet } from '../lines/read-sheet';
import { isWhippedKind } from '../document/kinds';
import { eggHeated, eggOf, ownHeatOf } from './egg';
import { bringsRawEgg, keepingOf } from './keeping';
import { correctedHold, correctedWhip, learntFor, stabiliserFamily, type PartLearnt } from './learnt';
import type { Part, Sheet } from '../document/schema';
import type { Kitchen } from '../kitchen/kitchen';
import type { KitchenRules, Mixer } from '../kitchen/schema';

const chain = <A, B>(a: Result<A>, then: (value: A) => Result<B>): Result<B> => (a.ok ? then(a.value) : a);

/** Every figure of a sheet, from what is typed. Pure and quick: it runs at every keystroke. */
export function analyseSheet(sheet: Sheet, kitchen: Kitchen): SheetAnalysis {
  const measures = { cups: kitchen.rules.cups, eggs: kitchen.rules.eggs };
  const { parts: readings, givenG } = readSheet(sheet, kitchen.larder, measures);
  const done = new Map<string, PartAnalysis>();
  const open = new Set<string>();
  const analysed = (part: Part): PartAnalysis => {
    const known = done.get(part.id);
    if (known) return known;
    open.add(part.id);
    const sourceOf = (id: string): PartAnalysis | null => {
      const source = open.has(id) ? undefined : sheet.parts.find((p) => p.id === id);
      return source ? analysed(source) : null;
    };
    const a = analysePart(part, readings.get(part.id)!, givenG.get(part.id) ?? 0, sheet, kitchen, sourceOf);
    open.delete(part.id);
    done.set(part.id, a);
    return a;
  };
  const parts = sheet.parts.map(analysed);
  const mixture = combine(parts.map((a) => ({ mixture: a.reading.mixture, share: a.leftShare })));
  const sweetG = parts.reduce((sum, a) => sum + a.leftShare * a.reading.sweetG, 0);
  const layers = layersOf(parts);
  const volume = layers.ok ? ok(layers.value.reduce((sum, l) => sum + l.volumeMl, 0)) : layers;
  const perVesselMl = chain(volume, (ml) => ok(ml * shareOfOne({ sheet })));
  const analysis: SheetAnalysis = {
    keeping: keepingOf({ sheet, parts }, kitchen.rules),
    sheet,
    parts,
    mixture,
    sweetness: mixture.massG > 0 ? (100 * sweetG) / mixture.massG : 0,
    abvPct: abvPct(mixture),
    layers: layers.ok ? layers.value : [],
    volumeMl: volume,
    perVesselMl,
    vesselHoldsMl: capacityMl(sheet.vessel),
    fillMm: chain(perVesselMl, (ml) => fillHeightMm(sheet.vessel, ml)),
  };
  return sheet.tin.layers ? asLaid(analysis) : analysis;
}

/** With layers planned, what is laid fills the vessel; what is left over does not. */
function asLaid(s: SheetAnalysis): SheetAnalysis {
  const build = buildIn(s);
  if (!build.ok) return s;
  const { layers, topMm, overMl } = build.value;
  const perVesselMl = layers.reduce((sum, b) => sum + b.volumeMl, 0);
  return { ...s, perVesselMl: ok(perVesselMl), fillMm: overMl > 0 ? fillHeightMm(s.sheet.vessel, perVesselMl) : ok(topMm) };
}

/** Less than this of a part is not worth a layer, share of it. */
const CRUMB = 0.005;

function layersOf(parts: readonly PartAnalysis[]): Result<readonly Layer[]> {
  const layers: Layer[] = [];
  const laid = laidInOrder(parts.filter((a) => a.part.kind !== 'soak' && a.reading.mixture.massG > 0 && a.leftShare > CRUMB));
  const inside = laid.filter((a) => a.part.stands === 'in');
  // Where nothing stands in it, it is the vessel of what there is.
  for (const a of inside.length > 0 ? inside : laid) {
    if (!a.foamMl.ok) return a.foamMl;
    layers.push({ part: a.part, massG: a.leftG, volumeMl: a.foamMl.value * a.leftShare, overrunPct: a.overrunPct.ok ? a.overrunPct.value : 0 });
  }
  if (layers.length === 0) return parts[0] && !parts[0].foamMl.ok ? parts[0].foamMl : noLines();
  return ok(layers);
}

/** Building order; but what is left of a part lies above what was made of it, and toppings and crowns lie on top. */
function laidInOrder(parts: readonly PartAnalysis[]): readonly PartAnalysis[] {
  const rank = (a: PartAnalysis, i: number): number => {
    const takers = parts.flatMap((p, n) => (p.reading.lines.some((l) => l.fromPart?.id === a.part.id) ? [n + 0.5] : []));
    return (a.part.kind === 'topping' || a.part.kind === 'crown' ? parts.length : 0) + Math.max(i, ...takers);
  };
  return parts
    .map((a, i) => ({ a, at: rank(a, i) }))
    .sort((x, y) => x.at - y.at)
    .map((x) => x.a);
}

const noLines = (): Result<never> => fail('lines', 'empty', 'There is nothing in this sheet yet: add a line like 600\u00a0g cream 36\u00a0%.');

type SourceOf = (partId: string) => PartAnalysis | null;

function analysePart(part: Part, reading: PartReading, givenG: number, sheet: Sheet, kitchen: Kitchen, sourceOf: SourceOf): PartAnalysis {
  const mixer = kitchen.mixers.find((m) => m.id === part.whisk.mixerId) ?? null;
  const fatPct = bowlFatPct(reading);
  const mixMl = mixVolumeMl(reading.mixture, part.whisk.creamC);
  const whiskInput = isWhippedKind(part.kind) ? whiskInputOf(part, reading, mixer, fatPct, mixMl) : notWhipped();
  const learnt: PartLearnt = {
    time: learntFor(kitchen.corrections, 'whisk-time', part.whisk.mixerId),
    air: learntFor(kitchen.corrections, 'overrun', part.whisk.mixerId),
    hold: learntFor(kitchen.corrections, 'hold', stabiliserFamily(reading)),
  };
  const whipped = chain(chain(whiskInput, whip), (w) => ok(correctedWhip(w, learnt.time?.factor ?? 1, learnt.air?.factor ?? 1)));
  const eggFoam = eggFoamOf(part, reading);
  const ownHeat = ownHeatOf(part.id, sheet.steps);
  const egg = eggOf({ part, reading, eggFoam, ownHeat, eggRule: kitchen.rules.eggRule });
  const fedFrom = reading.lines.flatMap((l) => (l.fromPart && l.read ? [sourceOf(l.fromPart.id)] : [])).filter((x) => x !== null);
  const rawEgg = bringsRawEgg(egg !== null && !eggHeated(egg), ownHeat.baked || (ownHeat.tempC ?? 0) >= ONE_POINT_C, fedFrom);
  const foam = foamOf(part, reading, mixMl, whiskInput, whipped, eggFoam, sourceOf);
  const hold = (tempC: number): Result<Hold> =>
    fatPct === null || reading.dairyG === 0
      ? noCream()
      : chain(holdOf(holdInputOf(part, reading, fatPct, tempC, kitchen.rules, rawEgg)), (h) => ok(correctedHold(h, learnt.hold)));
  const massG = reading.mixture.massG;
  const leftShare = massG > 0 ? Math.max(0, 1 - givenG / massG) : 0;
  const abv = abvPct(reading.mixture);
  return {
    part,
    reading,
    mixer,
    fatPct,
    sweetness: reading.mixture.massG > 0 ? (100 * reading.sweetG) / reading.mixture.massG : 0,
    mixMl,
    whiskInput,
    whip: whipped,
    window: chain(whipped, (w) => {
      const window = stopWindow(w, part.whisk.stage);
      return window ? ok(window) : neverReaches(part);
    }),
    overrunPct: chain(foam, (f) => ok(f.overrunPct)),
    foamMl: chain(foam, (f) => ok(f.volumeMl)),
    folds: foam.ok ? (foam.value.folds ?? []) : [],
    foldBaseMl: foam.ok ? (foam.value.baseMl ?? 0) : 0,
    foldedStiff: foam.ok ? (foam.value.stiff ?? false) : false,
    eggFoam,
    eggWhip:
      eggFoam &&
      (mixer
        ? eggWhip({
            foam: eggFoam.foam,
            mixer: mixer.kind,
            bowlMl: mixer.bowlMl,
            speed: part.whisk.speed,
            mixMl,
            batches: part.whisk.batches,
            eggC: part.heat.eggC,
          })
        : noMixer()),
    learnt,
    ownHeat,
    eggRule: kitchen.rules.eggRule,
    rawEgg,
    holdFridge: hold(kitchen.rules.fridgeC),
    holdCounter: hold(kitchen.rules.roomC),
    gelatin: gelatinDose({
      gelatin225G: reading.gelatin225G,
      totalG: massG,
      use: sheet.use === 'spoon' ? 'hold-a-day' : sheet.use,
      acidGPerKg: massG > 0 ? (1000 * reading.mixture.grams.acid) / massG : 0,
      abvPct: abv,
      rawProteaseFruit: reading.rawProteaseFruit,
      ...setsWith(reading),
    }),
    abvPct: abv,
    leftG: massG * leftShare,
    leftShare,
  };
}

interface Foam {
  readonly overrunPct: number;
  readonly volumeMl: number;
  readonly folds?: readonly NamedFold[];
  readonly baseMl?: number;
  readonly stiff?: boolean;
}

/** The air of a part: whipped, an egg foam, folded from other parts, or none. */
function foamOf(
  part: Part,
  r: PartReading,
  mixMl: number,
  whiskInput: Result<WhiskInput>,
  whipped: Result<Whip>,
  eggFoam: EggFoamForecast | null,
  sourceOf: SourceOf,
): Result<Foam> {
  if (r.mixture.massG <= 0) return noLinesIn(part);
  if (isWhippedKind(part.kind)) {
    // Air does not ask which bowl: too little for this one is whisked in another.
    if (!whipped.ok && whipped.fault.code === 'not-reached' && whiskInput.ok) {
      return chain(reachableOverrunPct(whiskInput.value), (most) => {
        const overrun = most * (airShareAt(STAGE_X[part.whisk.stage]) ?? 0);
        return ok({ overrunPct: overrun, volumeMl: foamVolumeMl(mixMl, overrun) });
      });
    }
    return chain(whipped, (w) => {
      const overrun = overrunAtStage(w, part.whisk.stage);
      return overrun === null ? neverReaches(part) : ok({ overrunPct: overrun, volumeMl: foamVolumeMl(mixMl, overrun) });
    });
  }
  if (part.kind === 'buttercream') return ok({ overrunPct: BUTTERCREAM_OVERRUN, volumeMl: foamVolumeMl(mixMl, BUTTERCREAM_OVERRUN) });
  if (eggFoam) return ok({ overrunPct: eggFoam.overrunPct, volumeMl: foamVolumeMl(mixMl, eggFoam.overrunPct) });
  const laid = part.kind === 'biscuit-layer' ? (biscuitVolumeMl(r) ?? spongeMl(r)) : null;
  if (laid !== null) return ok({ overrunPct: 0, volumeMl: laid });
  if (r.fedG === 0) return ok({ overrunPct: 0, volumeMl: mixMl });
  return foldedFoam(part, r, mixMl, sourceOf);
}

function foldedFoam(part: Part, r: PartReading, mixMl: number, sourceOf: SourceOf): Result<Foam> {
  const folds: (Fold & Pick<NamedFold, 'name' | 'lineId' | 'fromPartId' | 'fragile'>)[] = [];
  let foldedMixMl = 0;
  const fatty = r.lines.some((l) => l.role === 'chocolate' || l.fromPart?.kind === 'chocolate-base' || l.role === 'cheese');
  const first = optionOf(questionNamed('first-portion')!, part.ways['first-portion']).id;
  const firstShare = first === 'third' ? 1 / 3 : first === 'quarter' ? 1 / 4 : 0;
  for (const line of r.lines) {
    if (line.kind !== 'part' || !line.read || !line.fromPart) continue;
    const source = sourceOf(line.fromPart.id);
    if (!source) continue;
    if (!source.overrunPct.ok) return source.overrunPct;
    if (source.overrunPct.value < 1) continue;
    const mixOfFold = source.mixMl * line.read.quantity;
    foldedMixMl += mixOfFold;
    folds.push({
      mixMl: mixOfFold,
      airMl: (mixOfFold * source.overrunPct.value) / 100,
      firstShare: folds.length === 0 ? firstShare : 0,
      whiskedIn: false,
      fragile: fatty && (source.eggFoam?.foam === 'whites' || source.eggFoam?.foam.startsWith('french') === true),
      name: source.part.name,
      lineId: line.line.id,
      fromPartId: source.part.id,
    });
  }
  const stiff = r.lines.some((l) => l.role === 'cheese' || l.role === 'chocolate' || l.fromPart?.kind === 'chocolate-base');
  const warm = [part, ...r.lines.flatMap((l) => (l.fromPart && !isWhippedKind(l.fromPart.kind) ? [l.fromPart] : []))].some(
    (p) => (p.heat.atC ?? 0) > WARM_BASE_C,
  );
  const baseMl = Math.max(0, mixMl - foldedMixMl);
  const account = foldAccount({ mixMl: baseMl, airMl: 0 }, folds, stiff || warm);
  const airMl = account.at(-1)?.airMl ?? 0;
  return ok({
    overrunPct: (100 * airMl) / mixMl,
    volumeMl: mixMl + airMl,
    folds: account.map((step, i) => ({
      ...step,
      name: folds[i]!.name,
      lineId: folds[i]!.lineId,
      fromPartId: folds[i]!.fromPartId,
      firstShare: folds[i]!.firstShare,
      fragile: folds[i]!.fragile,
    })),
    baseMl,
    stiff: stiff || warm,
  });
}

/** A sponge of eggs and flour as it lies once it is baked; null for anything else. */
function spongeMl(r: PartReading): number | null {
  const has = (...roles: readonly LineReading['role'][]): boolean => r.lines.some((l) => l.read && roles.includes(l.role));
  return has('egg', 'yolk', 'white') && has('starch') ? (SPONGE.bakedShare * r.mixture.massG) / SPONGE.gPerMl : null;
}

/** What biscuits take up as they lie, from their sizes; null where the larder has none for some of them. */
function biscuitVolumeMl(r: PartReading): number | null {
  let ml = 0;
  for (const { ingredient, read } of r.lines) {
    if (!ingredient || !read) continue;
    const b = ingredient.biscuit;
    if (!b || !ingredient.piece) return null;
    const area = b.shape === 'round' ? (Math.PI / 4) * b.widthMm * b.lengthMm : b.widthMm * b.lengthMm;
    ml += ((read.massG / ingredient.piece.grams) * area * b.heightMm) / 1000;
  }
  return ml;
}

const noLinesIn = (part: Part): Result<never> => fail('lines', 'empty', `${part.name || 'This part'} has no lines that can be read yet.`);
const noMixer = (): Result<never> => fail('mixerId', 'no-mixer', 'This sheet’s mixer is no longer in the kitchen: choose another on Whisk.');
const notWhipped = (): Result<never> => fail('kind', 'not-whipped', 'This part is not whipped cream.');
const noCream = (): Result<never> => fail('lines', 'no-cream', 'There is no cream in the bowl yet: add a line like 600\u00a0g cream 36\u00a0%.');

const neverReaches = (part: Part): Result<never> =>
  fail(
    'creamC',
    'never-reached',
    `At ${plainNumber(part.whisk.creamC, 1)}\u00a0°C the cream churns before it stands ${part.whisk.stage}: chill it and its bowl to 5\u00a0°C.`,
  );

function whiskInputOf(part: Part, r: PartReading, mixer: Mixer | null, fatPct: number | null, mixMl: number): Result<WhiskInput> {
  if (fatPct === null || r.dairyG <= 0) return noCream();
  if (!mixer) return noMixer();
  const plan = part.whisk;
  return ok({
    fatPct,
    sugarPer100: (100 * r.addedSugarG) / r.dairyG,
    sugarAt: plan.sugarAt,
    creamC: plan.creamC,
    softCheeseShare: r.roleG['soft-cheese'] / r.dairyG,
    mascarponeShare: r.roleG.mascarpone / r.dairyG,
    acidGPerKg: (1000 * r.mixture.grams.acid) / r.mixture.massG,
    ...kindShares(r),
    mixer: mixer.kind,
    bowlMl: mixer.bowlMl,
    speed: plan.speed,
    slowFromSoft: plan.slowFromSoft,
    mixMl,
    batches: plan.batches,
    target: plan.stage,
  });
}

/** Fat and what else sets of a part, % of its mass. */
function setsWith(r: PartReading) {
  const { massG, grams } = r.mixture;
  const pct = (g: number): number => (massG > 0 ? (100 * g) / massG : 0);
  return {
    fatPct: pct(grams.milk_fat + grams.cocoa_fat + grams.egg_fat + grams.other_fat),
    supportPct: {
      cheese: pct(r.roleG['soft-cheese']),
      cocoaButter: pct(grams.cocoa_fat),
      cookedStarch: pct(r.cookedStarchG),
      custardYolk: pct(r.custardYolkG),
      hardFat: pct(r.hardFatG),
    },
  };
}

/** Of all cream in the bowl, what is long-life, stabilised or of plants, 0–1. */
function kindShares(r: PartReading): { readonly longLifeShare: number; readonly stabilisedShare: number; readonly plantShare: number } {
  const of = (kind: CreamKind): number => (r.roleG.cream > 0 ? (r.creamKindG[kind] ?? 0) / r.roleG.cream : 0);
  return { longLifeShare: of('long-life'), stabilisedShare: of('stabilised'), plantShare: of('plant') };
}

/** What the hold of a part rests on, at a place. */
export function holdInputOf(part: Part, r: PartReading, fatPct: number, tempC: number, rules: KitchenRules, rawEgg: boolean) {
  const totalG = r.mixture.massG;
  return {
    fatPct,
    gelatinGPerKg: (1000 * r.gelatin225G) / totalG,
    mascarponeShare: r.roleG.mascarpone / r.dairyG,
    softCheeseShare: r.roleG['soft-cheese'] / r.dairyG,
    strainedYoghurtShare: r.roleG['strained-yoghurt'] / r.dairyG,
    rawStarchPct: (100 * r.rawStarchG) / totalG,
    xanthanGPerKg: (1000 * r.roleG.xanthan) / totalG,
    powderGPerKg: (1000 * r.roleG['milk-powder']) / totalG,
    sourLiquidPct: (100 * r.roleG['sour-liquid']) / totalG,
    sugarPer100: (100 * r.addedSugarG) / r.dairyG,
    ...kindShares(r),
    stage: part.whisk.stage,
    tempC,
    rawEgg,
    keepingRuleH: rules.keepingH,
  };
}

/** The part whose whisking the sheet turns on: the first that is whipped cream, else the first. */
export const mainPart = (s: SheetAnalysis): PartAnalysis =>
  s.parts.find((a) => isWhippedKind(a.part.kind) && a.reading.dairyG > 0) ?? s.parts.find((a) => isWhippedKind(a.part.kind)) ?? s.parts[0]!;
