import type { MendCase } from './case';
import type { Evidence } from './evidence';
import { OFTEN, SAYS } from './house';
import { isSpokenOf, partOfSign, SIGNS } from './signs';
import { SIGN_IDS, SIGN_WORDS, type CauseId, type SignId } from './words';

/** Asked of everything that is served: no cause makes it, and it counts more than all signs. */
const DANGER: SignId = 'left-out';

/** What a cause does to another sign: how often it is behind it (house, 0–1); null where it is none of its causes. */
const behind = (cause: CauseId, sign: SignId): number | null => SIGNS[sign].causes.find(([id]) => id === cause)?.[1] ?? null;

/** The second sign that is seen, where the dessert can show it and it is another one; null otherwise. */
export const seenToo = (c: MendCase, sign: SignId): SignId | null =>
  c.seenToo !== undefined && c.seenToo !== sign && partOfSign(c.seenToo, c) !== null ? c.seenToo : null;

/**
 * What a second sign says of a cause of the first: for one that makes both, the more the oftener it is behind the second; against one that
 * does not make it. Two things may be wrong at once, so that nothing is ruled out by it. That it stood out of the cold comes of no cause.
 */
export function ofBoth(cause: CauseId, too: SignId): readonly Evidence[] {
  if (too === DANGER) return [];
  const often = behind(cause, too);
  const { name } = SIGN_WORDS[too];
  if (often === null) return [{ says: `It does not make the other: ${name}.`, ratio: SAYS.speaksAgainst }];
  return [{ says: `It makes the other too: ${name}.`, ratio: often >= OFTEN.often ? SAYS.points : SAYS.hints }];
}

/** At most so many are offered. */
const MOST = 5;

/**
 * Signs that come with this one in this dessert: those that have a cause with it, the likeliest to come of the same first; last whether it
 * stood out of the cold. Not the one that looks alike: for that there is the question that tells them apart.
 */
export function signsWith(c: MendCase, sign: SignId): readonly SignId[] {
  const shared = (other: SignId): number => SIGNS[sign].causes.reduce((sum, [cause, often]) => sum + often * (behind(cause, other) ?? 0), 0);
  const kin = SIGN_IDS.filter(
    (id) => id !== sign && id !== DANGER && id !== SIGNS[sign].twin?.sign && partOfSign(id, c) !== null && isSpokenOf(id, c) && shared(id) > 0,
  )
    .sort((a, b) => shared(b) - shared(a))
    .slice(0, MOST);
  return sign !== DANGER && partOfSign(DANGER, c) !== null ? [...kin, DANGER] : kin;
}
