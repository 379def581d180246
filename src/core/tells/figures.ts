import { houseRange, plainNumber, roughNumber, showFigure, showRange, showVolumeRange, withUnit, type Figure, type FigureInput } from '../figure';
import { HOLD_GAIN_CAP, OVERRUN_BY_FAT, SPREAD } from '../foam/house';
import { readTable } from '../interpolate';
import { foamVolumeMl } from '../foam/overrun';
import type { Hold } from '../foam/hold';
import type { StopWindow, Whip } from '../foam/whisk';
import type { WhiskInput } from '../foam/inputs';
import type { Mixture } from '../composition/mixture';
import type { Learnt } from '../learning/correction';
import { airRange, batchesSay, holdRange, timeRange } from '../analysis/learnt';
import type { GelatinDose } from '../setting/gelatin';
import type { Layer, PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { isPerPortion, isRound } from '../vessel/profile';

/** The figures of a sheet, each with the working that opens from it. */

/** An input of a working; written out only when the working is opened. */
export const num = (symbol: string, name: string, value: number, unit: string, decimals: number, from: string): FigureInput => ({
  symbol,
  name,
  get value() {
    return withUnit(plainNumber(value, decimals), unit);
  },
  from,
});

/** A house figure that the log has corrected: its band is then that of the next batch, four in five, and the plain one stays beside it. */
function corrected(figure: Figure, range: readonly [number, number], learnt: Learnt | null): Figure {
  if (!learnt || figure.spread === null) return figure;
  const value = figure.value / learnt.factor;
  const plain = showFigure({ ...figure, value, range: houseRange(value, figure.spread) });
  return {
    ...figure,
    range,
    learnt: { says: batchesSay(learnt), factor: learnt.factor, plain },
    inputs: [...figure.inputs, num('log', 'what the log found', learnt.factor, '×', 2, batchesSay(learnt))],
  };
}

export function fatFigure(a: PartAnalysis, fatPct: number): Figure {
  const { reading: r } = a;
  return {
    key: 'fat',
    name: 'Fat in the bowl',
    value: fatPct,
    unit: '%',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: Math.abs(fatPct - Math.round(fatPct)) < 0.05 ? 0 : 1,
    formula: 'F = 100 · fat / (m − s)',
    words: 'Fat in droplets, over all that is in the bowl but the added sugar, which has factors of its own.',
    inputs: [
      num('fat', 'milk fat, and the fat of plant creams', r.whippingFatG, 'g', 1, 'the lines, by the fat on each carton'),
      num(
        'm',
        'everything in the bowl',
        r.mixture.massG,
        'g',
        0,
        r.soakWaterG > 0 ? `the lines, with ${Math.round(r.soakWaterG)}\u00a0g of soak water` : 'the lines',
      ),
      num('s', 'added sugar, dry', r.addedSugarG, 'g', 1, 'the lines; the milk’s own lactose stays in'),
    ],
    source: 'Mass balance.',
    limits: 'Oils that are not in droplets (nuts, chocolate) are not counted: they build no network.',
  };
}

/** Of a part, or of everything that is served together. */
export function sweetnessFigure(of: { readonly mixture: Mixture; readonly sweetness: number }, name = 'Sweetness'): Figure {
  const c = of.mixture.grams;
  const sugars: [string, string, number, number][] = [
    ['suc', 'sucrose × 1', c.sucrose, 1],
    ['lac', 'lactose × 0.16', c.lactose, 0.16],
    ['glu', 'glucose × 0.72', c.glucose, 0.72],
    ['fru', 'fructose × 1.6', c.fructose, 1.6],
    ['hs', 'higher saccharides × 0.35', c.higher_saccharides, 0.35],
    ['pol', 'polyols × 0.6', c.polyol, 0.6],
  ];
  return {
    key: 'sweetness',
    name,
    value: of.sweetness,
    unit: '',
    kind: 'published',
    spread: null,
    range: null,
    decimals: 1,
    formula: 'S = 100 · Σ mᵢ·kᵢ / m',
    words: 'Each sugar times its sweetness against sucrose, per 100 g of the finished part. A 10 is as sweet as 10 g of sugar in 100 g.',
    inputs: [
      ...sugars.filter(([, , grams]) => grams > 0.05).map(([s, n, grams]) => num(s, n, grams, 'g', 1, 'the lines')),
      num('m', 'all of it', of.mixture.massG, 'g', 0, 'the lines'),
    ],
    source: 'Relative sweetness by weight, as in food-science handbooks; trehalose 0.45 and isomalt 0.5 carry their own.',
    limits: 'Cold dulls sweetness and air spreads it: taste at serving temperature.',
  };
}

export function overrunFigure(a: PartAnalysis, input: WhiskInput, w: Whip, overrunPct: number): Figure {
  const share = overrunPct / w.reachablePct;
  return corrected(
    {
      key: 'overrun',
      name: `Air at ${a.part.whisk.stage}`,
      value: overrunPct,
      unit: '%',
      kind: 'house',
      spread: SPREAD.overrun,
      range: houseRange(overrunPct, SPREAD.overrun),
      decimals: 0,
      formula: 'overrun = O(F) · (1 − c·s) · (1 − 0.06·(T − 7)) · (1 − 0.9·m₁) · (1 − 0.5·m₂) · g(x)',
      words: 'What a cream of this fat can reach, less for sugar, warmth and cheese, times the share that is in at this stage.',
      inputs: [
        num('F', 'fat in the bowl', input.fatPct, '%', 1, 'opened from the fat figure'),
        num('O(F)', 'a cream of this fat, plain and cold', readTable(OVERRUN_BY_FAT, input.fatPct) ?? 0, '%', 0, 'house table, 25–60\u00a0% fat'),
        num(
          'c',
          'loss per g of sugar',
          input.sugarAt === 'start' ? 0.006 : 0.003,
          '',
          3,
          input.sugarAt === 'start' ? 'sugar at the start' : 'sugar at soft peak',
        ),
        num('s', 'sugar per 100 g of dairy', input.sugarPer100, 'g', 1, 'the lines'),
        num('T', 'cream with its bowl', input.creamC, '°C', 1, 'Whisk'),
        num('m₁', 'soft or cream cheese in the dairy', 100 * input.softCheeseShare, '%', 0, 'the lines'),
        num('m₂', 'mascarpone in the dairy', 100 * input.mascarponeShare, '%', 0, 'the lines'),
        num('most', 'all but g', w.reachablePct / (a.learnt.air?.factor ?? 1), '%', 0, 'the factors above'),
        num('g', `share of it at ${a.part.whisk.stage}`, 100 * share, '%', 0, '√((x − 0.02)/0.53), x the fat network'),
      ],
      source: 'House table by fat, ±12 %; the cup method on Pass measures it.',
      limits: 'Fat 25–60 %, cream up to 20 °C. A whisk that hardly reaches the cream brings less.',
    },
    airRange(a, overrunPct),
    a.learnt.air,
  );
}

export function foamVolumeFigure(a: PartAnalysis, overrun: Figure): Figure {
  const [low, high] = overrun.range ?? [overrun.value, overrun.value];
  return {
    key: 'foam-volume',
    name: 'Volume it makes',
    value: foamVolumeMl(a.mixMl, overrun.value),
    unit: 'mL',
    kind: 'house',
    spread: SPREAD.overrun,
    range: [foamVolumeMl(a.mixMl, low), foamVolumeMl(a.mixMl, high)],
    decimals: 0,
    formula: 'V = V₀ · (1 + overrun/100)',
    words: 'The unwhipped mix and its air.',
    inputs: [
      num('V₀', 'the mix before whipping', a.mixMl, 'mL', 0, 'composition and density at the cream’s temperature (Choi & Okos 1986)'),
      { symbol: 'overrun', name: overrun.name.toLowerCase(), value: showRange(low, high, '%'), from: 'opened from the air figure' },
    ],
    source: 'The definition of overrun; the spread is that of the air.',
  };
}

/** All parts in the vessel together. */
export function sheetVolumeFigure(s: SheetAnalysis, volumeMl: number): Figure {
  const range = [volumeMl, volumeMl].map((_, i) => s.layers.reduce((sum, l) => sum + layerRange(l)[i]!, 0));
  return {
    key: 'sheet-volume',
    name: 'Volume of it all',
    value: volumeMl,
    unit: 'mL',
    kind: 'house',
    spread: SPREAD.overrun,
    range: [range[0]!, range[1]!],
    decimals: 0,
    formula: 'V = Σ Vᵢ · (1 + airᵢ/100)',
    words: 'Every part that lies in the vessel with the air that it keeps; what soaks into biscuits adds nothing.',
    inputs: s.layers.map((l, i) => ({
      symbol: `V${i + 1}`,
      name: l.part.name,
      value: showVolumeRange(...layerRange(l)),
      from:
        l.overrunPct > 1
          ? `${plainNumber(l.massG, 0)}\u00a0g with ${plainNumber(l.overrunPct, 0)}\u00a0% air`
          : `${plainNumber(l.massG, 0)}\u00a0g without air`,
    })),
    source: 'Volumes add (Choi & Okos densities); air of creams ±12 %, of egg foams ±15 %, each fold keeps 93 % or 85 % (house ±6 %).',
  };
}

/** The air is a house figure; the mix is not. */
function layerRange(l: Layer): readonly [number, number] {
  const mixMl = l.volumeMl / (1 + l.overrunPct / 100);
  const [low, high] = houseRange(l.overrunPct, SPREAD.overrun);
  return [mixMl * (1 + low / 100), mixMl * (1 + high / 100)];
}

export function portionVolumeFigure(s: SheetAnalysis, volume: Figure): Figure {
  const n = s.sheet.portions;
  const [low, high] = volume.range ?? [volume.value, volume.value];
  return {
    key: 'portion-volume',
    name: 'A portion',
    value: volume.value / n,
    unit: 'mL',
    kind: 'house',
    spread: SPREAD.overrun,
    range: [low / n, high / n],
    decimals: 0,
    formula: 'v = V / n',
    words: 'The whole volume shared out evenly; nothing is taken off for what stays in the bowl.',
    inputs: [
      { symbol: 'V', name: 'volume it makes', value: showVolumeRange(low, high), from: 'opened from the volume' },
      num('n', 'portions', n, '', 0, 'the sheet'),
    ],
    source: 'Division.',
  };
}

export function portionMassFigure(s: SheetAnalysis): Figure {
  const massG = s.mixture.massG;
  return {
    key: 'portion-mass',
    name: 'Weight of a portion',
    value: massG / s.sheet.portions,
    unit: 'g',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: massG / s.sheet.portions < 10 ? 1 : 0,
    formula: 'w = m / n',
    words: 'The whole mass shared out evenly.',
    inputs: [num('m', 'everything', massG, 'g', 0, 'the lines and soak water'), num('n', 'portions', s.sheet.portions, '', 0, 'the sheet')],
    source: 'Mass balance.',
  };
}

export function fillFigure(s: SheetAnalysis, perVesselMl: number, fillMm: number): Figure {
  const v = s.sheet.vessel;
  return {
    key: 'fill',
    name: `Height in the ${v.name.toLowerCase()}`,
    value: fillMm,
    unit: 'mm',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 0,
    formula: isRound(v) ? 'z where ∫₀ᶻ π·r² dz = v' : 'z where ∫₀ᶻ l·w dz = v',
    words: 'The height at which the vessel’s inner volume equals what goes into it.',
    inputs: [
      num('v', isPerPortion(v) ? 'a portion' : 'all of it', perVesselMl, 'mL', 0, 'the middle of the house range'),
      ...(isRound(v)
        ? [num('top', 'inner diameter at the rim', v.topMm, 'mm', 0, 'the vessel'), num('foot', 'inner diameter of the foot', v.baseMm, 'mm', 0, 'the vessel')]
        : [
            { symbol: 'rim', name: 'length × width at the rim', value: `${v.lengthMm}\u00a0×\u00a0${v.widthMm}\u00a0mm`, from: 'the vessel' },
            { symbol: 'floor', name: 'length × width of the floor', value: `${v.baseLengthMm}\u00a0×\u00a0${v.baseWidthMm}\u00a0mm`, from: 'the vessel' },
          ]),
      num('h', 'inner height', v.heightMm, 'mm', 0, 'the vessel'),
    ],
    source: isRound(v) ? 'Geometry of frusta.' : 'Geometry: the integral of length times width.',
    limits: 'Level and without a peak.',
  };
}

export function holdFigure(key: string, name: string, hold: Hold, a: PartAnalysis, tempC: number): Figure {
  const [low, high] = holdRange(a, hold.cleanH);
  const ruled = low >= hold.keepingH;
  const range: readonly [number, number] = [Math.min(low, hold.keepingH), Math.min(high, hold.keepingH)];
  return corrected(
    {
      key,
      name,
      value: hold.shownH,
      unit: 'h',
      kind: 'house',
      spread: SPREAD.hold,
      range,
      decimals: 0,
      formula: 'h = min(10 · (F/36)² · A · s · u · warmth · stage · sour ; keeping)',
      words: ruled
        ? 'Its shape would last longer than it may be kept, so the keeping rule decides.'
        : 'Hours until the first drop of whey or a softened edge; never longer than it may be kept.',
      inputs: [
        num('F', 'fat in the bowl', a.fatPct ?? 0, '%', 1, 'opened from the fat figure'),
        num(
          'A',
          'what the stabilisers multiply it by',
          hold.gain,
          '×',
          1,
          hold.gainCapped ? `at most ${HOLD_GAIN_CAP}: more is not known to help` : 'gelatin, cheeses, yoghurt, starch, xanthan, milk powder',
        ),
        num('T', 'where it stands', tempC, '°C', 0, 'the kitchen’s rules'),
        num('s', 'sugar binds water', hold.factors.sugar, '×', 2, 'the lines; at most 1.4'),
        num('u', 'kind of cream', hold.factors.kind, '×', 1, 'pasteurised 1, long-life 2, stabilised 3'),
        num('warmth', '3.5^((4 − T)/10)', hold.factors.warmth, '×', 2, 'each 10 °C warmer shortens it 3.5 times, above 25 °C twenty times'),
        num('stage', `whisked to ${a.part.whisk.stage}`, hold.factors.stage, '×', 1, 'medium and firm hold longest, butter not at all'),
        num('sour', 'juice or wine', hold.factors.sour, '×', 1, 'the lines'),
        num('clean', 'shape alone', hold.cleanH, 'h', hold.cleanH < 10 ? 1 : 0, 'the factors above, ±45 %'),
        num('keeping', 'may be kept', hold.keepingH, 'h', 0, '72 h to 5 °C, 24 h at 8 °C, 2 h from 12 °C on, or the kitchen’s stricter rule'),
      ],
      source: 'House rule ±45 %, corrected by what the log finds. Keeping follows your local food code and a qualified person’s advice.',
      limits: `Usable again (fill, re-whip) for about ${roughNumber(hold.usableH)} h by shape alone.`,
    },
    range,
    a.learnt.hold,
  );
}

export function gelatinFigure(a: PartAnalysis, dose: GelatinDose): Figure {
  return {
    key: 'gelatin',
    name: 'Gelatin dose',
    value: dose.doseGPerKg,
    unit: 'g/kg',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: dose.doseGPerKg === 0 ? 0 : 1,
    formula: 'd = 1000 · m·√(B/225) / M',
    words: 'Gelatin, counted as 225 bloom by the square-root school, per kg of everything that it sets.',
    inputs: [
      num('m·√(B/225)', 'gelatin as 225 bloom', a.reading.gelatin225G, 'g', 1, 'the lines, by the strength in the larder'),
      num('M', 'everything it sets, soak water counted', a.reading.mixture.massG, 'g', 0, 'the lines'),
      ...dose.supports.map((x) => num(x.name, `${x.name}, in gelatin’s worth (±40 %)`, x.gPerKg, 'g/kg', 1, 'its share of the mass')),
      num('band', dose.harsh ? 'more, for sour or strong' : 'for this use', dose.band.low, `to ${plainNumber(dose.band.high, 1)}\u00a0g/kg`, 1, 'house, ±20 %'),
    ],
    source: 'Mass balance; the square-root school (kitchens also count linearly, or leaf for leaf). The band is a house figure, ±20 %.',
    limits: 'Needs a cold place under 15 °C and hours to set; melts again at 27–32 °C.',
  };
}

export function windowFigure(a: PartAnalysis, w: Whip, window: StopWindow): Figure | null {
  if (window.closesS === null) return null;
  const width = window.closesS - window.opensS;
  return corrected(
    {
      key: 'window',
      name: 'Stop window',
      value: width,
      unit: 's',
      kind: 'house',
      spread: SPREAD.whiskTime,
      range: houseRange(width, SPREAD.whiskTime),
      decimals: 0,
      formula: 'Δt = [ln(x₂/(1 − x₂)) − ln(x₁/(1 − x₁))] / k',
      words: `From ${a.part.whisk.stage} to the next stage, at the speed of the whisk by then.`,
      inputs: [num('k', 'rate at that moment', 1000 * w.lateRatePerS, '/1000 s', 1, 'opened from the time on Whisk')],
      source: 'House: a fat network that grows on itself, ±18 %.',
    },
    timeRange(a, width),
    a.learnt.time,
  );
}

export function stageTimeFigure(a: PartAnalysis, input: WhiskInput, w: Whip, seconds: number): Figure {
  return corrected(
    {
      key: 'stage-time',
      name: `Time to ${a.part.whisk.stage}`,
      value: seconds,
      unit: 's',
      kind: 'house',
      spread: SPREAD.whiskTime,
      range: houseRange(seconds, SPREAD.whiskTime),
      decimals: 0,
      formula: 't = [ln(x/(1 − x)) + ln 49] / k,  k = 0.017075 · (F/36)^1.5 · m · b · τ · q',
      words: 'A fat network that grows on itself from 2 %; soft at 25 %, medium at 40 %, firm at 55 %.',
      inputs: [
        num('F', 'fat in the bowl', input.fatPct, '%', 1, 'opened from the fat figure'),
        num('(F/36)^1.5', 'fat factor', w.factors.fat, '×', 2, 'richer is quicker'),
        num('m', 'mixer and speed', w.factors.mixer, '×', 2, `${a.mixer?.name ?? 'mixer'}, ${input.mixer === 'planetary' ? input.speed : 'its own speed'}`),
        num('b', 'filling of the bowl', w.factors.fill, '×', 2, `${plainNumber(100 * w.fillShare, 0)}\u00a0% full of liquid`),
        num('τ', 'warmth', w.factors.warmth, '×', 2, `cream with its bowl at ${input.creamC}\u00a0°C`),
        num('q', 'sugar', w.factors.sugar, '×', 2, input.sugarAt === 'start' ? 'in at the start' : 'in at soft peak'),
        num('k', 'rate', 1000 * w.ratePerS * (a.learnt.time?.factor ?? 1), '/1000 s', 1, 'the product; firm at 240 s for the reference whip'),
      ],
      source: 'House ±18 %: calibrated on 1 L of 36 % cream at 5 °C in a 4.8 L planetary bowl on fast.',
      limits: 'Below 33 % fat and above 12 °C later stages may never come.',
    },
    timeRange(a, seconds),
    a.learnt.time,
  );
}
