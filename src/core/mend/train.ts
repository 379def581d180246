import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { NO_FACTS, type BatchFacts, type MendCase } from './case';
import { mendOf, signsOf, type Answer } from './mend';
import { SIGNS } from './signs';
import { SIGN_IDS, SIGN_WORDS, type SignId } from './words';
import { seededNumbers } from '../random';

/** A made-up batch with something wrong: what is it, and what is done first? */
export interface EyeQuestion {
  readonly seed: number;
  readonly sheetName: string;
  /** What is seen, in words; its drawing is the sign's. */
  readonly look: string;
  /** What is known of the batch. */
  readonly known: readonly string[];
  readonly sign: SignId;
  readonly signs: readonly SignId[];
  readonly first: string;
  readonly firsts: readonly string[];
  readonly answer: Answer;
}

const CHOICES = 4;

/**
 * The question of a seed over some desserts: a sign that can be of one of them, its twin among the choices, and the first thing to do among
 * the first things of others. Null where no dessert can show any. @param seed whole number, 0 to 2³² − 1.
 */
export function eyeQuestion(seed: number, desserts: readonly SheetAnalysis[], kitchen: Kitchen): EyeQuestion | null {
  const next = seededNumbers(seed);
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const shuffled = <T>(list: readonly T[]): T[] =>
    list
      .map((v) => [next(), v] as const)
      .sort((a, b) => a[0] - b[0])
      .map(([, v]) => v);
  const able = desserts
    .map((s): { s: SheetAnalysis; can: readonly SignId[] } => ({ s, can: signsOf({ s, kitchen, facts: NO_FACTS, log: [] }).can }))
    .filter((d) => d.can.length >= CHOICES);
  if (able.length === 0) return null;
  const { s, can } = oneOf(able);
  const sign = oneOf(can);
  const facts: BatchFacts = { ...NO_FACTS, ...madeUp(sign, { s, kitchen, facts: NO_FACTS, log: [] }, next) };
  const c: MendCase = { s, kitchen, facts, log: [] };
  const answer = mendOf(c, sign);
  if (!answer.ok) return null;
  const twin = SIGNS[sign].twin?.sign;
  const group = SIGN_WORDS[sign].group;
  const others = shuffled(SIGN_IDS.filter((id) => id !== sign && id !== twin)).sort(
    (a, b) => Number(SIGN_WORDS[b].group === group) - Number(SIGN_WORDS[a].group === group),
  );
  const signs = shuffled([sign, ...(twin ? [twin] : []), ...others].slice(0, CHOICES));
  const titles = shuffled(can.filter((id) => id !== sign)).flatMap((id) => {
    const other = mendOf(c, id);
    return other.ok && other.value.rescue.title !== answer.value.rescue.title ? [other.value.rescue.title] : [];
  });
  const firsts = shuffled([answer.value.rescue.title, ...[...new Set(titles)].slice(0, 2)]);
  return {
    seed,
    sheetName: s.sheet.name,
    look: SIGN_WORDS[sign].look,
    known: answer.value.causes[0]!.evidence.filter((e) => e.ratio > 1).map((e) => e.says),
    sign,
    signs,
    first: answer.value.rescue.title,
    firsts,
    answer: answer.value,
  };
}

/** Facts as a batch with that sign could have had them. */
function madeUp(sign: SignId, c: MendCase, next: () => number): Partial<BatchFacts> {
  const a = SIGNS[sign].of(c);
  const window = a?.window.ok ? a.window.value : null;
  const between = (low: number, high: number): number => Math.round(low + next() * (high - low));
  switch (sign) {
    case 'grains':
    case 'butter':
      return window?.closesS ? { whiskedS: Math.round(window.closesS * (1.1 + 0.4 * next())), creamC: between(5, 13) } : {};
    case 'runs':
      return window ? { whiskedS: Math.round(window.opensS * (0.3 + 0.5 * next())), creamC: between(5, 15) } : {};
    case 'weeps':
    case 'softens':
      return { coldH: between(6, 40), nowC: between(4, 10) };
    case 'unset':
      return { coldH: between(1, 12) };
    case 'bc-curdled':
      return { nowC: between(11, 16) };
    case 'bc-soup':
      return { nowC: between(24, 29) };
    case 'scrambled':
      return { nowC: between(84, 94) };
    case 'left-out':
      return { outH: between(0, 5) };
    default:
      return {};
  }
}
