import { clockFace, plainNumber, withUnit } from '../figure';
import { dairyCream } from '../composition/cream';
import { mix } from '../composition/mixture';
import { composition } from '../composition/components';
import { ok, type Result } from '../result';
import { heatContent } from '../heat/heat-content';
import { stirredCurve } from '../heat/stirred';
import { AIR_H, WALLS } from '../heat/surface';
import { CHURNS_FROM_C, COLD_ENOUGH_C, NO_PEAK_FROM_C } from '../foam/house';
import { workOfStep } from '../ways/step-work';
import type { StepWork } from '../document/kinds';
import type { Step } from '../document/schema';
import type { MendCase } from './case';
import { WHISK_AT_C } from './house';
import { likelyCauses, type Likely } from './likely';
import { touchedM2 } from './rescue';
import { partOfSign } from './signs';
import { SIGN_WORDS, type SignId } from './words';

/** What may go wrong in a step, before it does. */
export interface Ahead {
  readonly sign: SignId;
  readonly name: string;
  /** The sheet's own figure that makes it likely. */
  readonly says: string;
  readonly p: number;
}

/** Signs that a kind of work brings about. */
const SIGNS_OF_WORK: Readonly<Partial<Record<StepWork, readonly SignId[]>>> = {
  whisk: ['grains', 'runs', 'whites-flat', 'yolks-thin', 'sandy', 'bc-curdled', 'bc-soup', 'cheese-curdled'],
  beat: ['cheese-curdled', 'cheese-lumps', 'bc-curdled', 'bc-soup'],
  fold: ['strings', 'base-hot', 'base-set', 'specks', 'flat'],
  heat: ['scrambled', 'seized', 'ganache-split', 'syrup-grainy', 'egg-cold', 'lumpy'],
  wait: ['custard-warm', 'strings'],
  chill: ['unset', 'weeps', 'custard-warm', 'soggy', 'hard'],
  freeze: ['never-froze', 'too-hard'],
  bake: ['cracked'],
  soak: ['soggy', 'hard'],
  fill: ['few-biscuits', 'soggy'],
  finish: ['stuck', 'leans', 'too-hard', 'juice-runs'],
  serve: ['too-hard', 'leans'],
};

/** No more are said at a step. */
const MOST = 3;
/** From here on a cause is worth a word beforehand, and what it must rest on: a figure that speaks for it. */
const LIKELY_FROM = 0.35;

/** The likeliest things to go wrong in a step, from the sheet's own figures; empty where nothing speaks for any. */
export function aheadOf(c: MendCase, step: Pick<Step, 'partId' | 'work' | 'whisks' | 'ovenC' | 'key'>): readonly Ahead[] {
  const here: MendCase = { ...c, facts: { ...c.facts, partId: step.partId } };
  const found = (SIGNS_OF_WORK[workOfStep(step)] ?? []).flatMap((sign): Ahead[] => {
    const part = partOfSign(sign, here);
    if (!part || (step.partId !== null && part.part.id !== step.partId)) return [];
    const speaks = likelyCauses(here, sign, part).filter((l) => l.p >= LIKELY_FROM && strongest(l) !== null)[0];
    return speaks ? [{ sign, name: SIGN_WORDS[sign].name, says: strongest(speaks)!, p: speaks.p }] : [];
  });
  return found.sort((a, b) => b.p - a.p).slice(0, MOST);
}

const strongest = (l: Likely): string | null => l.evidence.find((e) => e.ratio > 1)?.says ?? null;

/** How long a bowl of cream takes down to whisking temperature, min: stirred in ice water, and left in the fridge (house ±30 %). */
export function coolCreamMin(massG: number, fatPct: number, sugarPer100: number, fromC: number, fridgeC: number): Result<{ readonly iceMin: number; readonly fridgeMin: number | null }> {
  const cream = dairyCream(Math.min(60, Math.max(0, fatPct)));
  if (!cream.ok) return cream;
  const sugarG = (massG * sugarPer100) / (100 + sugarPer100);
  const heat = heatContent(mix([{ massG: massG - sugarG, per100: cream.value }, { massG: sugarG, per100: composition({ sucrose: 100 }) }]), sugarG);
  const common = { heat, massG, startC: fromC, areaM2: touchedM2(massG), wallM2KPerW: 0.0008 / WALLS.steel.k };
  const ice = stirredCurve({ ...common, outerH: AIR_H['ice-bath'], bathC: 0 }, WHISK_AT_C);
  if (!ice.ok) return ice;
  const fridge = fridgeC < WHISK_AT_C - 0.5 ? stirredCurve({ ...common, outerH: AIR_H['still-fridge'], bathC: fridgeC }, WHISK_AT_C) : null;
  return ok({ iceMin: ice.value.at(-1)![0], fridgeMin: fridge?.ok ? fridge.value.at(-1)![0] : null });
}

/** What a cream temperature that was just typed means, and what to do: null while it is cold enough. */
export function warmCreamSays(tC: number, bowl: { readonly massG: number; readonly fatPct: number; readonly sugarPer100: number; readonly fridgeC: number }): string | null {
  if (!(tC > COLD_ENOUGH_C) || tC > 60) return null;
  const deg = withUnit(plainNumber(tC, 0), '°C');
  const what = tC > NO_PEAK_FROM_C ? 'no peak stands, it turns to butter' : tC > CHURNS_FROM_C ? 'it churns: grain comes right after its peak' : 'it is slower and takes less air';
  const cool = coolCreamMin(bowl.massG, bowl.fatPct, bowl.sugarPer100, tC, bowl.fridgeC);
  if (!cool.ok) return `At ${deg} ${what}.`;
  const min = (m: number): string => (m < 2 ? clockFace(60 * m) : plainNumber(m, 0));
  return `At ${deg} ${what}. Stirred in ice water ${min(cool.value.iceMin)}\u00a0min to ${withUnit(String(WHISK_AT_C), '°C')}${cool.value.fridgeMin === null ? '' : `; in the fridge ${min(cool.value.fridgeMin)}`}.`;
}
