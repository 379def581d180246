import type { PartKind, StepWork } from '../document/kinds';
import { wordNumber } from '../measures/word-number';

/** A step as far as laying goes. */
interface Laid {
  readonly text: string;
  readonly work: StepWork;
  /** Parts that it puts into the dessert, in the order of its words. */
  readonly places: readonly string[];
}

const REPEAT =
  /\b(?:repeat|continue (?:layering|with|in layers)|do (?:that|this|it|the same)(?: (?:all|whole thing))? (?:again|once|twice|\w+ (?:more )?times)|(?:make|build|form) (?:\w+ )?more (?:such )?layers)\b/i;
/** 'Once', 'twice more', 'three times', 'two more layers'. */
const TIMES = /\b(once|twice|(?:\d{1,2}|two|three|four|five|six) (?:more )?(?:times|layers?))\b/i;
/** 'In three layers', 'make four layers of each'. */
const IN_ALL = /\b(?:in|make|build|for) (\d{1,2}|two|three|four|five|six) (?:even |equal |alternate |alternating )?layers\b/i;
/** 'Another layer of crackers', 'top with the rest of the crumbs': laid anew, though it lies there already. */
const ANEW =
  /\b(?:another|a second|a third|a last|a final|one more|more) (?:\w+ )?layer\b|(?:\bwith|\bw\/) (?:the )?(?:rest|remaining|remainder|other|another|more)\b/i;
const ENDS = /\b(?:ending|finishing|end|finish|close|topping off) (?:up )?(?:it )?with\b/i;
const MOST_LAYERS = 60;

const count = (words: string): number =>
  /^once/i.test(words) ? 1 : /^twice/i.test(words) ? 2 : /^\d/.test(words) ? Number.parseInt(words, 10) : (wordNumber(`${words} `, 0)?.value ?? 1);

/** How often more a sentence says that all is laid; null where it says no such thing. */
export const repeatsOf = (text: string): number | null => (REPEAT.test(text) ? count(TIMES.exec(text)?.[1] ?? 'once') : null);

/**
 * The layers of a dessert as its steps lay them, from the floor up, by part: a repeat lays again what was laid since the first layer of its
 * cycle. Null where nothing lies there twice: then each part lies once, in building order.
 * @param kinds of the parts: a base lies once, a soak is no layer.
 */
export function layersSaid(steps: readonly Laid[], kinds: ReadonlyMap<string, PartKind>): readonly string[] | null {
  const laid: string[] = [];
  let cycle = 0;
  for (const s of steps) {
    if (s.work !== 'fill' && s.work !== 'finish' && s.work !== 'soak') continue;
    const layers = s.places.filter((p) => kinds.get(p) !== 'soak');
    if (REPEAT.test(s.text)) {
      const again = laid.slice(cycle);
      const times = repeatsOf(s.text)!;
      for (let i = 0; i < times; i++) add(laid, again);
      if (ENDS.test(s.text)) add(laid, layers);
      cycle = laid.length;
      continue;
    }
    const all = IN_ALL.exec(s.text);
    if (all && layers.length > 1) {
      for (let i = 0; i < count(all[1]!); i++) add(laid, layers);
      cycle = laid.length;
      continue;
    }
    // What carries the new layer is named with it ('over the base'): it lies there already.
    const carries = (p: string): boolean =>
      laid.includes(p) && (LIES_ONCE.has(kinds.get(p) ?? 'topping') || (layers.length > 1 && p === laid.at(-1) && !ANEW.test(s.text)));
    add(
      laid,
      layers.filter((p) => !carries(p)),
    );
    // A base lies once, under all that is repeated.
    while (cycle < laid.length && kinds.get(laid[cycle]!) === 'pressed-base') cycle++;
  }
  return laid.length > new Set(laid).size ? laid : null;
}

const LIES_ONCE: ReadonlySet<PartKind> = new Set(['pressed-base', 'meringue']);

/** Puts layers on top; what lies there already is not laid on itself again: it was levelled. */
function add(laid: string[], layers: readonly string[]): void {
  for (const p of layers) if (laid.at(-1) !== p && laid.length < MOST_LAYERS) laid.push(p);
}
