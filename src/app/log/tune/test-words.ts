import { inSentence } from '../../../core/figure';
import type { TuneKind } from '../../../core/tuning/measured';
import type { Band, TestOffered } from '../../../core/tuning/worth';

/** What each test is called and how it is done, in as few words as its hands need. */
export const TEST_WORDS: Readonly<Record<TuneKind, { readonly title: (thing: string) => string; readonly how: string }>> = {
  whisk: {
    title: (thing) => `A plain cream in the ${inSentence(thing)}`,
    how: 'Cold cream, no sugar. Start the watch with the mixer, and touch each stage as it is reached. Whip it into a dessert afterwards.',
  },
  cold: {
    title: (thing) => `A cup of water in the ${inSentence(thing)}`,
    how: 'A straight cup of tap water, covered, in the middle of the shelf. Read it now, then four times over the next hours: the later ones tell most.',
  },
  dip: {
    title: (thing) => `Five dipped: ${inSentence(thing)}`,
    how: 'Weigh five dry, dip each for the same time in cold coffee, let them drip, weigh them again.',
  },
  glass: {
    title: (thing) => `Water in the ${inSentence(thing)}`,
    how: 'Tare the glass, fill it to the brim, read the scale. Sheets that stand in it already keep its old sizes until the glass is chosen again in Tin.',
  },
  scale: {
    title: () => 'The scale against a known weight',
    how: 'A sealed litre of water is 998 g and its bottle; a coin or a weight whose mass is written is better.',
  },
  oven: { title: (thing) => `A thermometer in the ${inSentence(thing)}`, how: 'In the middle, door shut, twenty minutes after the lamp has gone out.' },
  hob: { title: () => 'A litre to the boil', how: 'The strongest ring, a pan that covers it, a lid. From cold until it boils all over.' },
};

/** Water freezes there: what a freezer's air is shows before. */
export const IN_A_FREEZER =
  'A straight cup of tap water, covered, in the middle of the shelf. Read it now, then every quarter of an hour, and stop before it freezes.';

/** Under three in a hundred a tenth counts. */
const percent = (share: number): string => `${share < 0.03 ? Number((100 * share).toFixed(1)) : Math.round(100 * share)}`;

/** The half of a band as it is shown: '±20 %', of an oven '±12 K'. */
export const halfSays = (kind: TuneKind, half: number): string => (kind === 'oven' ? `±${Math.round(half)}\u00a0K` : `±${percent(half)}\u00a0%`);

/** '±20 % → ±10 %'; where it narrows nothing that would be seen, what it is. */
export function bandSays(kind: TuneKind, { now, then }: Pick<Band, 'now' | 'then'>): string {
  const [before, after] = [halfSays(kind, now), halfSays(kind, then)];
  return before === after ? before : `${before} → ${after}`;
}

/** The band that a test narrows most: what stands large beside it. Null where no sheet rests on it. */
export const mainBand = ({ bands }: Pick<TestOffered, 'bands'>): Band | null =>
  bands.reduce<Band | null>((best, b) => (best && best.now / best.then >= b.now / b.then ? best : b), null);

/** 'Hours in the cold of 5 sheets'. */
export function whatOf(t: Pick<TestOffered, 'bands'>): string {
  const main = mainBand(t);
  if (!main) return 'no sheet rests on it yet';
  const sheets = new Set(t.bands.map((b) => b.sheetId)).size;
  return `${main.figure} of ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`;
}
