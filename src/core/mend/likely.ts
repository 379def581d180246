import { plainNumber } from '../figure';
import type { PartAnalysis } from '../analysis/analysed';
import type { Bowl, MendCase } from './case';
import { EVIDENCE, type Evidence } from './evidence';
import { PRIOR_WEIGHS } from './house';
import { SIGNS } from './signs';
import { ofBoth, seenToo } from './together';
import { CAUSES, type CauseId, type SignId } from './words';

/** A cause of a sign with how likely it is for this batch, and why. */
export interface Likely {
  readonly cause: CauseId;
  readonly name: string;
  /** Posterior, 0–1: each cause is held against its own absence, for two may be true at once. */
  readonly p: number;
  readonly prior: number;
  /** What speaks for or against it, strongest first; a sentence for none. */
  readonly evidence: readonly Evidence[];
  readonly says: string;
}

/** How often it was this cause in the kitchen's own log, mixed with the house prior as if that stood on a few mends. */
export function priorOf(c: MendCase, sign: SignId, cause: CauseId, house: number): { readonly prior: number; readonly says: string | null } {
  const seen = c.log.filter((l) => l.sign === sign);
  if (seen.length === 0) return { prior: house, says: null };
  const n = seen.filter((l) => l.cause === cause).length;
  const prior = (house * PRIOR_WEIGHS + n) / (PRIOR_WEIGHS + seen.length);
  return { prior: Math.min(0.95, Math.max(0.01, prior)), says: n > 0 ? `${n} of ${seen.length} times in this kitchen.` : null };
}

/** The posterior of a prior and independent observations: odds times what each says (Bayes). */
export function posterior(prior: number, ratios: readonly number[]): number {
  const odds = ratios.reduce((o, r) => o * r, prior / (1 - prior));
  return odds / (1 + odds);
}

/**
 * The causes of a sign, likeliest first, for this batch: house priors, moved by this kitchen's log, times what is known of the batch.
 * Empty where the dessert has nothing that it could happen to.
 */
export function likelyCauses(c: MendCase, sign: SignId, part: PartAnalysis | null = SIGNS[sign].of(c)): readonly Likely[] {
  if (!part) return [];
  const b: Bowl = { ...c, a: part };
  const too = seenToo(c, sign);
  return SIGNS[sign].causes
    .map(([cause, house]): Likely => {
      const { prior, says } = priorOf(c, sign, cause, house);
      const evidence = [...EVIDENCE[cause](b), ...(too === null ? [] : ofBoth(cause, too))].sort(
        (x, y) => Math.abs(Math.log(y.ratio)) - Math.abs(Math.log(x.ratio)),
      );
      const sentences = [...evidence.map((e) => e.says), ...(says ? [says] : [])];
      return {
        cause,
        name: CAUSES[cause],
        p: posterior(
          prior,
          evidence.map((e) => e.ratio),
        ),
        prior,
        evidence,
        says: sentences.join(' ') || 'Nothing noted: as often as usual.',
      };
    })
    .sort((x, y) => y.p - x.p);
}

/** '86 %', never 0 or 100. */
export const showLikely = (p: number): string => `${plainNumber(Math.min(99, Math.max(1, 100 * p)), 0)}\u00a0%`;
