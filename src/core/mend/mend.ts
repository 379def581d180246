import { fail, ok, type Result } from '../result';
import type { PartAnalysis } from '../analysis/analysed';
import { afterRescue, type After } from './after';
import { readFacts, type Bowl, type MendCase } from './case';
import { likelyCauses, type Likely } from './likely';
import { preventions, type Prevention } from './prevent';
import type { Rescue } from './rescue';
import { RESCUES } from './rescues';
import { isSpokenOf, partOfSign } from './signs';
import { seenToo } from './together';
import { SIGN_IDS, SIGN_WORDS, type CauseId, type SignId } from './words';

/** All that is said of a sign for a batch. */
export interface Answer {
  readonly sign: SignId;
  readonly part: PartAnalysis;
  readonly causes: readonly Likely[];
  readonly cause: CauseId;
  readonly rescue: Rescue;
  readonly after: After | null;
  readonly prevents: readonly Prevention[];
}

/**
 * From a sign to its causes, its rescue with amounts, what it is then, and what keeps it from coming again.
 * @param cause the one that the cook holds true; the likeliest where none is named.
 * @returns a fault on `sign` when nothing in this dessert can show it, and on the fact that could not have been.
 */
export function mendOf(c: MendCase, sign: SignId, cause: CauseId | null = null): Result<Answer> {
  const facts = readFacts(c.facts);
  if (!facts.ok) return facts;
  const part = partOfSign(sign, c);
  if (!part) return fail('sign', 'not-in-it', `Nothing in ${c.s.sheet.name} can do that: ${SIGN_WORDS[sign].name}.`);
  const causes = likelyCauses(c, sign, part);
  const chosen = causes.find((l) => l.cause === cause)?.cause ?? causes[0]!.cause;
  const b: Bowl = { ...c, a: part };
  const rescue = goesFor(c, sign) ?? RESCUES[sign](b, chosen);
  return ok({ sign, part, causes, cause: chosen, rescue, after: afterRescue(b, rescue), prevents: preventions(b, chosen) });
}

/** What must go for its second sign goes, whatever could be done about the first; null where there is none such. */
function goesFor(c: MendCase, sign: SignId): Rescue | null {
  const too = seenToo(c, sign);
  const part = too === null ? null : partOfSign(too, c);
  if (too === null || part === null) return null;
  const [likeliest] = likelyCauses(c, too, part);
  const rescue = likeliest && RESCUES[too]({ ...c, a: part }, likeliest.cause);
  return rescue?.kind === 'discard' ? rescue : null;
}

/** The signs that can come of what is in this dessert, and those that cannot. */
export function signsOf(c: MendCase): { readonly can: readonly SignId[]; readonly cannot: readonly SignId[] } {
  const can = SIGN_IDS.filter((id) => partOfSign(id, c) !== null);
  // What is of the part in hand comes first, what nothing speaks of last.
  const first = (id: SignId): number => (!isSpokenOf(id, c) ? 2 : c.facts.partId !== null && partOfSign(id, c)?.part.id === c.facts.partId ? 0 : 1);
  return {
    can: can
      .map((id, i) => ({ id, i }))
      .sort((x, y) => first(x.id) - first(y.id) || x.i - y.i)
      .map((x) => x.id),
    cannot: SIGN_IDS.filter((id) => !can.includes(id)),
  };
}
