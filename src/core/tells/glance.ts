import { inShownUnits, METRIC, type ShownUnits } from '../measures/shown';
import { GLANCE_WORDS, type TellName } from './glance-words';
import type { Stretch, Tell, TellKey } from './tell';

/** A tell as it is seen from two metres: its figure large, two words of what. */
export interface Glance {
  /** The first number of its figure; null where it has none. */
  readonly big: string | null;
  /** The rest of it: '–77 %', 'g/kg', '°C'. */
  readonly small: string;
  /** The part that it speaks of; '' where it speaks of the whole. */
  readonly part: string;
  readonly of: string;
}

const NUMBER = /^((?:≈\u00a0)?[−+-]?[\d\u202f.,:]+(?:\/\d+|\u00a0\d+\/\d+)?)(.*)$/su;

/** A shown figure as its first number and what follows it. */
export function splitFigure(shown: string): { readonly big: string; readonly small: string } {
  const m = NUMBER.exec(shown);
  return m ? { big: m[1]!, small: m[2]!.replace(/^[\u00a0\u2060\s]+/u, '') } : { big: shown, small: '' };
}

type FigureStretch = Exclude<Stretch, string>;
/** The figure of a tell that is shown large: its first. */
export const leadOf = (tell: Tell): FigureStretch | null => tell.sentence.find((s): s is FigureStretch => typeof s !== 'string') ?? null;

/** The kind of a tell: its key without the part that it is of. */
export const tellName = (key: TellKey): TellName => key.split(':')[0] as TellName;

/** @param partNames names of the sheet's parts: a sentence that begins with one speaks of that part. @param units in which its figure is shown. */
export function glanceOf(tell: Tell, partNames: readonly string[], units: ShownUnits = METRIC): Glance {
  const lead = leadOf(tell);
  const first = tell.sentence[0];
  const part = typeof first === 'string' ? (partNames.find((n) => n !== '' && first.startsWith(`${n}: `)) ?? '') : '';
  const { big, small } = lead ? splitFigure(inShownUnits(lead.shown, units)) : { big: null, small: '' };
  return { big, small, part, of: GLANCE_WORDS[tellName(tell.key)] };
}
