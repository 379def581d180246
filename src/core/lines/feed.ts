import { plainName } from '../measures/match';
import { splitLine } from '../measures/line';
import { unitSize, type CupSystem } from '../measures/units';
import { fail, ok, type Result } from '../result';
import type { PartKind } from '../document/kinds';
import type { Part } from '../document/schema';

/** How much a line takes from another part of the sheet. */
export type FeedAmount =
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'mass'; readonly massG: number }
  /** As a cup is filled with it, air and all. */
  | { readonly kind: 'volume'; readonly ml: number }
  /** Whatever the other lines leave. */
  | { readonly kind: 'rest' };

const ALL = /^\s*(?:all(?: of)?|the whole|whole)\b/i;
const REST = /^\s*(?:the )?(?:rest|remainder|remaining)\b/i;

/** The name without the words of amount, as it is compared with parts' names. */
const feedNames = (text: string): readonly string[] => {
  const rest = text.replace(ALL, ' ').replace(REST, ' ');
  // 'All of the Cream 2': the number may be of the name.
  return [rest, splitLine(rest).name]
    .map((n) =>
      plainName(n)
        .replace(/^(?:of )?(?:the )?/, '')
        .trim(),
    )
    .filter((n) => n !== '');
};
const partName = (name: string): string => plainName(name).replace(/^the /, '');

/** Whether a line names one of these parts in full. */
export function namesPart(text: string, partNames: readonly string[]): boolean {
  return feedNames(text).some((name) => partNames.some((p) => partName(p) === name));
}

/** The part that a line names, written in full: 'half of the chantilly', 'the rest of the custard'; null when it names none. */
export function partNamed(text: string, parts: readonly Part[], notPartId: string): Part | null {
  for (const name of feedNames(text)) {
    const named = parts.find((p) => p.id !== notPartId && partName(p.name) === name);
    if (named) return named;
  }
  return null;
}

/** Reads how much of the other part a line takes: 'all', 'half', '1/3', '40 %', '300 g', '1 cup', 'the rest'. */
export function readFeedAmount(text: string, cups: CupSystem = 'us'): Result<FeedAmount> {
  if (REST.test(text)) return ok({ kind: 'rest' });
  if (ALL.test(text)) return ok({ kind: 'share', share: 1 });
  const { amounts, fatText } = splitLine(text);
  const amount = amounts[0];
  if (!amount) {
    if (fatText !== null) return share(Number(fatText.replace(',', '.')) / 100);
    return ok({ kind: 'share', share: 1 });
  }
  if (!amount.quantity.ok) return amount.quantity;
  if (amount.unit === null) return share(amount.quantity.value);
  if (amount.unit.dimension === 'mass' && amount.quantity.value > 0) return ok({ kind: 'mass', massG: amount.quantity.value * amount.unit.size });
  if (amount.unit.dimension === 'volume' && amount.quantity.value > 0)
    return ok({ kind: 'volume', ml: amount.quantity.value * unitSize(amount.unit, cups, amount.system) });
  return fail('text', 'unknown-unit', 'From another part take a share (half, 1/3, the rest), grams, or cups.');
}

const share = (value: number): Result<FeedAmount> =>
  value > 0 && value <= 1
    ? ok({ kind: 'share', share: value })
    : fail('text', 'out-of-range', 'Of another part at most all can be taken: write a share like 1/2, or grams.');

/** What a cup of a finished part weighs, g/mL, its air counted (house ±20 %): about half of its mix for whipped cream, less for an egg foam. */
const FOAM_G_PER_ML: Readonly<Partial<Record<PartKind, number>>> = {
  'whipped-cream': 0.5,
  crown: 0.5,
  'cheese-cream': 0.62,
  'egg-foam': 0.25,
  'set-filling': 0.65,
  buttercream: 0.8,
  meringue: 0.25,
};

/** Which share of a part an amount takes, 0 and more; null for what the others leave. @param massG of all of the part. */
export function shareTaken(amount: FeedAmount, kind: PartKind, massG: number): number | null {
  switch (amount.kind) {
    case 'share':
      return amount.share;
    case 'mass':
      return massG > 0 ? amount.massG / massG : 0;
    case 'volume':
      return massG > 0 ? (amount.ml * (FOAM_G_PER_ML[kind] ?? 1)) / massG : 0;
    case 'rest':
      return null;
  }
}
