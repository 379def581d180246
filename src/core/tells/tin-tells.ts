import { isPerPortion } from '../vessel/profile';
import { plainNumber, showFigure, showHours, withUnit, type Figure } from '../figure';
import type { SheetAnalysis } from '../analysis/analysed';
import { buildIn } from '../analysis/build';
import { SOAK_BANDS } from '../tin/house';
import { soaksOf, soakServed, type PartSoak } from '../tin/sheet-soak';
import { crownOf } from '../tin/yield';
import { bearsFigure, leftOverFigure, softFigure, uptakeFigure } from './tin-figures';
import type { Stretch, Tell, TellState, Track } from './tell';

/** Judgements of building: layers against what there is, the soak, softening, a crown on its shell. */

const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });

export function tinTells(s: SheetAnalysis): readonly Tell[] {
  const soaks = soaksOf(s);
  return [...layersTell(s), ...soaks.flatMap((x) => soakTell(x)), ...syrupTell(s, soaks), ...soaks.flatMap((x) => softTell(x, s)), ...crownTell(s)];
}

/** From so much on it is worth a word, share of the part. */
const WORTH = 0.03;

function layersTell(s: SheetAnalysis): Tell[] {
  if (!s.sheet.tin.layers) return [];
  const build = buildIn(s);
  if (!build.ok) return [];
  const off = build.value.uses.filter((u) => Math.abs(u.leftMl) > WORTH * u.thereMl);
  if (off.length === 0) return [];
  const missing = off.filter((u) => u.leftMl < 0);
  const sentence = (missing.length > 0 ? missing : off).flatMap((u, i): Stretch[] => [
    i > 0 ? ', ' : '',
    show(leftOverFigure(u)),
    ` of ${u.layer.part.name.toLowerCase()}`,
  ]);
  return [
    {
      key: 'layers',
      state: missing.length > 0 ? 'out' : 'near',
      sentence: [missing.length > 0 ? 'The layers want more than there is: ' : 'Left over after the layers: ', ...sentence, '. See Tin.'],
      track: null,
      action: null,
    },
  ];
}

const SOAK_WORDS: Readonly<Record<NonNullable<PartSoak['served']>['reading'], string>> = {
  dry: 'a dry middle',
  right: 'right for a day’s rest',
  soggy: 'soggy',
  pools: 'it pools below',
};

/** The soak as a track: what the biscuit can hold is 1. */
export const soakTrack = (filled: number): Track => ({
  from: 0,
  to: 1.2,
  low: SOAK_BANDS.dry,
  high: SOAK_BANDS.right,
  value: Math.min(1.2, filled),
  range: null,
  says: `${plainNumber(100 * filled, 0)} % of what it can hold; ${plainNumber(100 * SOAK_BANDS.dry, 0)} to ${plainNumber(100 * SOAK_BANDS.right, 0)} % is right`,
});

function soakTell(x: PartSoak): Tell[] {
  const figure = uptakeFigure(x);
  if (!x.soak?.ok || !figure) return [];
  const { reading, filled } = x.soak.value;
  const state: TellState = reading === 'right' ? 'in' : reading === 'pools' ? 'out' : 'near';
  return [
    {
      key: `soak:${x.partId}`,
      state,
      sentence: [`${x.name} drink `, show(figure), ` of their weight: ${SOAK_WORDS[reading]}.`],
      track: soakTrack(filled),
      action: null,
    },
  ];
}

function syrupTell(s: SheetAnalysis, soaks: readonly PartSoak[]): Tell[] {
  const served = soakServed(s, soaks);
  if (!served || soaks.every((x) => x.way === 'brushed')) return [];
  const short = served.syrupNeededG - served.syrupThereG;
  if (short < 0.02 * served.syrupNeededG) return [];
  return [
    {
      key: 'syrup',
      state: 'near',
      sentence: [
        `The dip takes about ${withUnit(plainNumber(served.syrupNeededG, 0), 'g')} of soak; there is ${withUnit(plainNumber(served.syrupThereG, 0), 'g')}.`,
      ],
      track: null,
      action: null,
    },
  ];
}

function softTell(x: PartSoak, s: SheetAnalysis): Tell[] {
  const figure = softFigure(x);
  if (!figure || !x.softening.ok || !x.served || x.softening.value.sponge) return [];
  const hours = s.sheet.servedAfterH;
  const early = hours < x.softening.value.range[0];
  const near = hours < x.softening.value.range[1];
  const state: TellState = x.served.mush || early ? 'out' : near ? 'near' : 'in';
  const words = x.served.mush
    ? `: after ${showHours(hours)} they fall apart.`
    : early
      ? `; it is served after ${showHours(hours)}, with a hard middle.`
      : near
        ? `; it is served after ${showHours(hours)}: perhaps not quite.`
        : `, and it is served after ${showHours(hours)}.`;
  return [{ key: `soft:${x.partId}`, state, sentence: [`${x.name} bend after `, show(figure), words], track: null, action: null }];
}

function crownTell(s: SheetAnalysis): Tell[] {
  const crown = crownOf(s);
  if (!crown) return [];
  const state: TellState = crown.verdict === 'bears' ? 'in' : crown.verdict === 'near' ? 'near' : 'out';
  return [
    {
      key: 'crown-weight',
      state,
      sentence: [
        `${isPerPortion(s.sheet.vessel) ? 'Each nest' : 'The shell'} carries ${withUnit(plainNumber(crown.creamG, 0), 'g')}; it bears `,
        show(bearsFigure(crown)),
        `. Crown it at most ${withUnit(String(crown.withinMin), 'min')} before serving.`,
      ],
      track: null,
      action: null,
    },
  ];
}
