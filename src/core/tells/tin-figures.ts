import { houseRange, plainNumber, withUnit, type Figure } from '../figure';
import { SHELL_BEARS, SOAK_SPREAD, SOFTENING, SYRUP_OVER } from '../tin/house';
import type { BiscuitCount } from '../tin/biscuits';
import type { Build, BuiltLayer, PartUse } from '../analysis/build';
import type { PartSoak, SoakServed } from '../tin/sheet-soak';
import { soakPace, uptakePct } from '../tin/soak';
import type { Crown, Slice } from '../tin/yield';
import type { SheetAnalysis } from '../analysis/analysed';
import { floorAreaMm2, floorAt } from '../vessel/profile';
import type { Plan } from '../vessel/packing/lay';
import { num } from './figures';

/** The figures of Tin, each with its working. */

const physics = { kind: 'physics', spread: null, range: null } as const;

export function layerFigure(build: Build, l: BuiltLayer): Figure {
  const laid = l.pieces !== null;
  return {
    ...physics,
    key: `layer:${l.id}`,
    name: `Thickness of ${l.layer.part.name.toLowerCase()}`,
    value: l.toMm - l.fromMm,
    unit: 'mm',
    decimals: l.toMm - l.fromMm < 10 ? 1 : 0,
    formula: laid ? 'h of one biscuit' : 'h = z(V₀ + V) − z(V₀)',
    words: laid
      ? 'Biscuits lie as high as they are; the next cream runs into the gaps between them.'
      : 'What lies below fills the vessel to z(V₀); with this layer it fills it to z(V₀ + V).',
    inputs: [
      num('z₀', 'it begins at', l.fromMm, 'mm', 1, 'what lies below'),
      num(
        'V',
        laid ? 'the biscuits themselves' : 'what it takes',
        l.volumeMl,
        'mL',
        0,
        l.by === 'share' && !laid
          ? 'an equal share of its part'
          : laid
            ? 'sizes from the larder'
            : `set to ${plainNumber(l.by === 'mm' ? l.toMm - l.fromMm : l.by === 'g' ? l.massG : l.volumeMl, 0)}\u00a0${l.by === 'ml' ? 'mL' : l.by}`,
      ),
      ...(l.inGapsMl > 0.5 ? [num('gaps', 'of it between biscuits', l.inGapsMl, 'mL', 0, 'the slice less the biscuits in it')] : []),
      num('A', 'inside of the vessel here', floorAreaMm2(floorAt(build.vessel, l.fromMm)) / 100, 'cm²', 0, 'the vessel'),
    ],
    source: 'Volumes add; geometry of the vessel.',
    limits: 'The air of a cream is a house figure (±12 %): its layers come out so much thicker or thinner.',
  };
}

export function leftOverFigure(u: PartUse): Figure {
  const g = (ml: number): number => (u.layer.volumeMl > 0 ? (ml * u.layer.massG) / u.layer.volumeMl : 0);
  return {
    ...physics,
    key: `left:${u.layer.part.id}`,
    name: `${u.layer.part.name} ${u.leftG < 0 ? 'missing' : 'left over'}`,
    value: Math.abs(u.leftG),
    unit: 'g',
    decimals: 0,
    formula: 'left = there − taken',
    words: 'In one vessel: its share of the part, less what its layers and the gaps between biscuits take.',
    inputs: [num('there', 'share of the part', g(u.thereMl), 'g', 0, 'the lines'), num('taken', 'by its layers', g(u.takenMl), 'g', 0, 'the build')],
    source: 'Mass balance.',
  };
}

export function biscuitsFigure(c: BiscuitCount, breakagePct: number): Figure {
  return {
    ...physics,
    key: `biscuits:${c.partId}`,
    name: `${c.ingredient.name} to buy`,
    value: c.toBuy,
    unit: '',
    decimals: 0,
    formula: 'n = ⌈(whole + cut from) · (1 + b)⌉',
    words: 'Counted from the drawings of all layers; an offcut serves again within its layer.',
    inputs: [
      num('whole', 'laid whole', c.whole, '', 0, `${c.layers} ${c.layers === 1 ? 'layer' : 'layers'}`),
      num('cut from', 'biscuits that are cut or broken', c.cutFrom, '', 0, 'the drawings'),
      num('b', 'for those that break', breakagePct, '%', 0, 'this page'),
    ],
    source: 'Packing: the better of a long search, a lattice, rings and rows; docs/science/packing.md.',
  };
}

export function coveredFigure(plan: Plan): Figure {
  return {
    ...physics,
    key: 'covered',
    name: 'Covered share',
    value: 100 * plan.coveredShare,
    unit: '%',
    decimals: 0,
    formula: 'c = Σ aᵢ / A',
    words: 'The area of all pieces over the inside of the vessel at the narrowest place of this layer.',
    inputs: [
      num('Σ a', 'pieces', (plan.coveredShare * floorAreaMm2(plan.floor)) / 100, 'cm²', 0, 'the drawing'),
      num('A', 'inside', floorAreaMm2(plan.floor) / 100, 'cm²', 0, 'the vessel'),
    ],
    source: 'Geometry.',
  };
}

export function uptakeFigure(x: PartSoak): Figure | null {
  if (!x.soak?.ok || !x.input) return null;
  const { soak, input } = x;
  const tested = input.test !== null;
  const pct = soak.value.uptakePct;
  return {
    key: `uptake:${x.partId}`,
    name: `${x.name} drink`,
    value: pct,
    unit: '%',
    kind: 'house',
    spread: tested ? 0.08 : SOAK_SPREAD,
    range: houseRange(pct, tested ? 0.08 : SOAK_SPREAD),
    decimals: 0,
    formula: x.way === 'brushed' ? 'u = 100 · soak / 1.1 / biscuits' : tested ? 'u = u(t) · test / u(t of the test)' : 'u = u(t) · √(η₁₀ / η)',
    words:
      x.way === 'brushed'
        ? 'All the soak is brushed on, but for a tenth that stays in the dish; grams for each 100 g of biscuit.'
        : 'Grams for each 100 g of dry biscuit: the larder’s dip figures, straight in √t between 1, 2 and 4 s, slower where the soak is thicker.',
    inputs: [
      num('t', 'dip', input.seconds, 's', 1, 'this page'),
      num('u(t)', 'thin cold soak', uptakePct(input.biscuit, input.seconds), '%', 0, `the larder: ${input.biscuit.uptakePct.join(', ')} % at 1, 2, 4 s`),
      ...(tested
        ? [num('test', 'the kitchen’s own', (100 * (input.test!.dippedG - input.test!.dryG)) / input.test!.dryG, '%', 0, `${input.test!.seconds} s`)]
        : [
            num(
              '√(η₁₀/η)',
              'pace of this soak',
              soakPace(input.sugarPct, input.soakC),
              '×',
              2,
              `${plainNumber(input.sugarPct, 0)} % sugar at ${plainNumber(input.soakC, 0)} °C; water and sucrose tables, capillary law (Washburn 1921)`,
            ),
          ]),
    ],
    source: tested ? 'The kitchen’s own dip test.' : 'House, ±20 %.',
    limits: 'Alcohol and cocoa thicken it, too, and are not in it.',
  };
}

export function syrupFigure(x: PartSoak): Figure | null {
  if (!x.soak?.ok) return null;
  const { syrupG, uptakePct: pct } = x.soak.value;
  return {
    key: `syrup:${x.partId}`,
    name: 'Soak needed',
    value: syrupG,
    unit: 'g',
    kind: 'house',
    spread: SOAK_SPREAD,
    range: houseRange(syrupG, x.input?.test ? 0.08 : SOAK_SPREAD),
    decimals: 0,
    formula: 'S = m · u · 1.10',
    words: 'What all biscuits drink, and a tenth that stays in the dish.',
    inputs: [
      num('m', 'dry biscuits', x.biscuitsG, 'g', 0, 'the lines'),
      num('u', 'uptake', pct, '%', 0, 'opened from the uptake'),
      num('over', 'stays in the dish', 100 * (SYRUP_OVER - 1), '%', 0, 'house'),
    ],
    source: 'House, ±20 %.',
  };
}

export function softFigure(x: PartSoak): Figure | null {
  if (!x.softening.ok) return null;
  const s = x.softening.value;
  const filled = x.soak?.ok ? x.soak.value.filled : 0;
  return {
    key: `soft:${x.partId}`,
    name: `${x.name} soft after`,
    value: s.softH,
    unit: 'h',
    kind: 'house',
    spread: SOFTENING.spread,
    range: s.range,
    decimals: 1,
    formula: 't = 0.85 · (h/2 · (1 − f))² / D',
    words: s.sponge
      ? 'A sponge has water of its own and bends from the start.'
      : 'Water from the cream on both sides reaches the middle: nine tenths soft. Only what the dip left dry has still to soften.',
    inputs: [
      num('h', 'height of one', x.ingredient.biscuit!.heightMm, 'mm', 1, 'the larder'),
      num('f', 'filled by the dip', 100 * Math.min(1, filled), '%', 0, 'opened from the uptake'),
      num(
        'D',
        'how fast water moves in it',
        (s.dense ? SOFTENING.denseMm2PerS : SOFTENING.plainMm2PerS) * (filled > 0 ? SOFTENING.dipped : 1) * 1e4,
        '·10⁻⁴ mm²/s',
        1,
        `house: ${s.dense ? 'dense' : 'plain and thin'}${filled > 0 ? ', dipped ×2' : ''}`,
      ),
    ],
    source: 'Diffusion into a plate, house ±30 %.',
    limits: 'At fridge temperature, in cream that touches it on both sides.',
  };
}

export function soakPortionFigure(s: SheetAnalysis, served: SoakServed): Figure {
  return {
    key: 'soak-portion',
    name: 'Soak in a portion',
    value: served.drunkPerPortionG,
    unit: 'g',
    kind: 'house',
    spread: SOAK_SPREAD,
    range: houseRange(served.drunkPerPortionG, SOAK_SPREAD),
    decimals: 0,
    formula: 's = m · u / n',
    words: 'What all biscuits drink, shared out; what stays in the dish is not eaten.',
    inputs: [
      num('m·u', 'drunk in all', served.drunkPerPortionG * s.sheet.portions, 'g', 0, 'opened from the uptake'),
      num('n', 'portions', s.sheet.portions, '', 0, 'the sheet'),
    ],
    source: 'House, ±20 %.',
  };
}

export function sliceFigure(s: SheetAnalysis, slice: Slice): Figure {
  return {
    ...physics,
    key: 'slice',
    name: slice.kind === 'wedge' ? 'A wedge' : 'A piece',
    value: slice.massG,
    unit: 'g',
    decimals: 0,
    formula: slice.kind === 'wedge' ? 'm = M · (1 − n·R·k / πR²) / n' : 'm = M · (1 − cuts·k / A) / n',
    words: 'What stands in the vessel, less what the knife takes with it at each cut, shared out.',
    inputs: [
      num('M', 'all that stands in it', slice.massG * slice.count + slice.lostG, 'g', 0, 'the build'),
      num('n', 'slices', slice.count, '', 0, 'this page'),
      num('k', 'the knife takes', s.sheet.tin.kerfMm, 'mm', 1, 'this page'),
      num('lost', 'on the knife in all', slice.lostG, 'g', 0, 'the cuts'),
    ],
    source: 'Geometry and mass balance.',
  };
}

export function bearsFigure(c: Crown): Figure {
  return {
    key: 'bears',
    name: 'A shell bears',
    value: c.bearsG,
    unit: 'g',
    kind: 'house',
    spread: SHELL_BEARS.spread,
    range: c.range,
    decimals: 0,
    formula: 'B = b · A',
    words: 'A baked shell bears so much on each square centimetre of its floor before it cracks.',
    inputs: [
      num('b', 'on a square centimetre', SHELL_BEARS.gPerCm2, 'g/cm²', 1, 'house, ours'),
      num('A', 'floor of the shell', c.bearsG / SHELL_BEARS.gPerCm2, 'cm²', 0, 'the vessel'),
    ],
    source: 'House, ours, ±40 %: weigh what yours bear.',
    limits: 'For a shell that is dry through; a soft one bears less.',
  };
}

/** A count of something piped or covered, with its working. */
export function pipedFigure(
  key: string,
  name: string,
  volumeMl: number,
  eachMl: number,
  range: readonly [number, number],
  formula: string,
  spread: number,
): Figure {
  return {
    key,
    name,
    value: volumeMl / eachMl,
    unit: '',
    kind: 'house',
    spread,
    range,
    decimals: 0,
    formula: `n = V / v, v = ${formula}`,
    words: 'What there is, over what one takes.',
    inputs: [
      num('V', 'what there is', volumeMl, 'mL', 0, 'the foam'),
      { symbol: 'v', name: 'one', value: withUnit(plainNumber(eachMl, eachMl < 20 ? 1 : 0), 'mL'), from: 'the nozzle, house' },
    ],
    source: `House, ±${Math.round(100 * spread)} %.`,
    limits: 'What stays in the bag is not taken off: about 3 % of it.',
  };
}
