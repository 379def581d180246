import { workOfStep } from '../ways/step-work';
import type { StepWork } from '../document/kinds';
import type { Step } from '../document/schema';
import type { MendCase } from './case';
import { likelyCauses, type Likely } from './likely';
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
