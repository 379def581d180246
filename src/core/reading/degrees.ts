import { figured } from './figured';

/** A temperature that a text says, °C. */
export interface SaidTemperature {
  readonly c: number;
  readonly of: 'oven' | 'mix';
  readonly start: number;
  readonly end: number;
}

const DEGREES =
  /(?<![\d.,/])(-?\d{1,3})(?:[\s\u00a0]?(?:-|–|to)[\s\u00a0]?(\d{1,3}))?[\s\u00a0]?(?:(?:°|º|degrees?\b|deg\b\.?)[\s\u00a0]?((?:C|F|celsius|fahrenheit|centigrade)(?![\p{L}]))?|(C|F)(?![\p{L}\d])|(celsius|fahrenheit))/giu;
const GAS = /\bgas(?:[\s\u00a0]mark)?[\s\u00a0]?(\d{1,2}|½|1\/2|¼|1\/4)/i;
const WORD = /\boven|\bbak(?:e|ing)|\bpreheat|\broast|\bfan\b|\btoast|\bdry\b/i;
const OF_OVEN_FROM = 90;

/** 'Oven to 150', 'turn it down to 120', 'at 350 for 10 minutes': degrees of an oven that are not said to be any. */
const BARE = /\b(?:to|at|on|into|bake|oven)[\s\u00a0]+(\d{3})(?![\s\u00a0]?(?:g|grams?|ml|mm|mils?|min|[.,]?\d))\b/i;

/** °C of an oven whose degrees stand alone: 100 to 260 are °C, more is °F, and so are 200 and more where the recipe speaks so. @returns null where none stand. */
export function bareOvenC(text: string, fahrenheit: boolean): number | null {
  const n = Number(BARE.exec(figured(text))?.[1] ?? NaN);
  if (!(n >= OF_OVEN_FROM && n <= 550)) return null;
  return n > 260 || (fahrenheit && n >= 200) ? Math.round(((n - 32) * 50) / 9) / 10 : n;
}

/** 'Over the bain until it's 75': degrees of a mix that are not said to be any. */
const BARE_MIX =
  /\b(?:until|till|'til)[\s\u00a0]+(?:it|they)(?:['’](?:s|re)|[\s\u00a0]+(?:is|are|reach(?:es)?|hits?|gets? to|comes? to))[\s\u00a0]+(?:at |about )?(\d{2,3})(?![\s\u00a0]?(?:%|g\b|grams?|ml|cm|mm|min|sec|h\b|hours?|[.,]?\d))/i;
const HOT_FROM = 30;
/** 'Cook sugar and water to 121'. */
const COOKED_TO =
  /\b(?:cook|boil|heat|take|bring|warm|simmer)(?:ed|ing)?\b[^.;,]{0,48}?\bto[\s\u00a0]+(?:about[\s\u00a0]+)?(\d{2,3})(?=[\s\u00a0]*(?:[,;)]|\.(?!\d)|$|and\b|then\b))/i;

/** °C of a mix whose degrees stand alone: what is above boiling syrup is °F. @returns null where none stand. */
export function bareMixC(text: string): number | null {
  const said = figured(text);
  const n = Number((BARE_MIX.exec(said) ?? COOKED_TO.exec(said))?.[1] ?? NaN);
  if (!(n >= HOT_FROM && n <= 300)) return null;
  return n > 130 ? Math.round(((n - 32) * 50) / 9) / 10 : n;
}

/** 'Bake 8 minutes, then down to 140 for 20 more': it bakes on at that. */
export const BAKES_ON = /^(?:and |then )*(?:down|up) to (?:gas (?:mark )?)?\d/i;

/** So many cups nobody takes; so cold a 'c' may be meant in °C. */
const CUPS_UNDER = 12;

/** °C of a gas mark. Source: the usual British conversion table. */
const gasC = (mark: string): number => (/½|1\/2/.test(mark) ? 130 : /¼|1\/4/.test(mark) ? 110 : 121 + 14 * Number(mark));

const inC = (n: number, unit: string | undefined, text: string, oven: boolean): number => {
  if (unit) return /^f/i.test(unit) ? ((n - 32) * 5) / 9 : n;
  // Degrees of nothing: an oven of more than 260 is meant in °F, and so is what boils above 130.
  return n > (oven ? 260 : 130) || /\bfahrenheit\b/i.test(text) ? ((n - 32) * 5) / 9 : n;
};

/**
 * Every temperature that a clause says, in its order; of several ways to say one ('350 F (180 C, gas 4)') the first.
 * @param fahrenheit whether bare degrees of an oven are meant in °F: the recipe speaks so elsewhere.
 */
export function temperaturesIn(written: string, fahrenheit: boolean): readonly SaidTemperature[] {
  const text = figured(written);
  const out: SaidTemperature[] = [];
  const oven = WORD.test(text);
  let last = -1;
  for (const m of text.matchAll(DEGREES)) {
    const unit = m[3] ?? m[4] ?? m[5];
    const end = m.index + m[0].length;
    // The same heat said again in another measure stands behind a bar, a bracket or a comma.
    if (last >= 0 && /^[\s\u00a0]*(?:[/,(|=]|or\b|fan\b|\/?fan|[\s\u00a0])*[\s\u00a0]*$/i.test(text.slice(last, m.index))) {
      last = end;
      continue;
    }
    const n = Number(m[2] ?? m[1]);
    // '1 c. chocolate chips': a cup.
    if (m[4] === 'c' && Math.abs(n) < CUPS_UNDER && /^\.?[\s\u00a0]+\p{L}/u.test(text.slice(end))) continue;
    const hot = unit ? inC(n, unit, text, oven) : fahrenheit && oven && n >= 200 ? ((n - 32) * 5) / 9 : inC(n, undefined, text, oven);
    const mixed = /\b(?:thermometer|probe|syrup|mixture|internal|core|bowl)\b/i.test(text) && !/\bpreheat|\boven to\b|\bin (?:the|a) .{0,20}oven\b/i.test(text);
    if (hot >= -40 && hot <= 320) out.push({ c: Math.round(hot * 10) / 10, of: oven && hot >= OF_OVEN_FROM && !mixed ? 'oven' : 'mix', start: m.index, end });
    last = end;
  }
  const gas = out.length === 0 ? GAS.exec(text) : null;
  if (gas) out.push({ c: gasC(gas[1]!), of: 'oven', start: gas.index, end: gas.index + gas[0].length });
  return out;
}

/** Degrees and a time, of nothing else: only an oven is so hot for so long. */
export const IN_AN_OVEN =
  /^(?:and |then )?(?:\d{1,2} ?(?:["”″]|inch|in\b|cm)[\w -]{0,14} tin,? )?(?:at )?(?:(?:[89]\d|1\d\d|2[0-3]\d) ?(?:°|degrees|° ?C|C\b)|gas(?: mark)? ?\d)[^.;]{0,20}?\b(?:for )?(?:(?:an?|one|two|three|half)\b[^.;]*\b(?:min|hour|h\b)|\d+(?:\s?(?:min|h\b|hour)|\b[^.;]*\b(?:min|hour|h\b)))/i;
