import { plainName } from '../measures/match';
import { splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';
import type { Part } from './schema';

/** How much a line takes from another part of the sheet. */
export type FeedAmount =
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'mass'; readonly massG: number }
  /** Whatever the other lines leave. */
  | { readonly kind: 'rest' };

const ALL = /^\s*(?:all(?: of)?|the whole|whole)\b/i;
const REST = /^\s*(?:the )?(?:rest|remainder|remaining)\b/i;

/** The name without the words of amount, as it is compared with parts' names. */
const feedName = (text: string): string =>
  plainName(splitLine(text.replace(ALL, ' ').replace(REST, ' ')).name)
    .replace(/^(?:of )?(?:the )?/, '')
    .trim();

/** Whether a line names one of these parts in full. */
export function namesPart(text: string, partNames: readonly string[]): boolean {
  const name = feedName(text);
  return name !== '' && partNames.some((p) => plainName(p).replace(/^the /, '') === name);
}

/** The part that a line names, written in full: 'half of the chantilly', 'the rest of the custard'; null when it names none. */
export function partNamed(text: string, parts: readonly Part[], notPartId: string): Part | null {
  const name = feedName(text);
  if (name === '') return null;
  return parts.find((p) => p.id !== notPartId && plainName(p.name).replace(/^the /, '') === name) ?? null;
}

/** Reads how much of the other part a line takes: 'all', 'half', '1/3', '40 %', '300 g', 'the rest'. */
export function readFeedAmount(text: string): Result<FeedAmount> {
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
  return fail('text', 'unknown-unit', 'From another part take a share (half, 1/3, the rest) or grams: its foam is not measured in cups.');
}

const share = (value: number): Result<FeedAmount> =>
  value > 0 && value <= 1 ? ok({ kind: 'share', share: value }) : fail('text', 'out-of-range', 'Of another part at most all can be taken: write a share like 1/2, or grams.');
