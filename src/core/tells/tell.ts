import type { Figure } from '../figure';
import type { TellName } from './glance-words';
import type { HeatPlan } from '../document/kinds';

/** A stretch of a tell's sentence: plain words, or a figure that opens its working. */
export type Stretch = string | { readonly figure: Figure; readonly shown: string };

/** A short ruler: its ends, the band that is right, the value on it and the range of a house figure. */
export interface Track {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  readonly value: number;
  readonly range: readonly [number, number] | null;
  /** The same in words, for those who do not see the track. */
  readonly says: string;
}

/** What a tell can do to the sheet with one touch. */
export type TellEdit =
  | { readonly kind: 'set-amount'; readonly partId: string; readonly lineId: string; readonly amount: string }
  | { readonly kind: 'add-line'; readonly partId: string; readonly text: string }
  | { readonly kind: 'set-portions'; readonly portions: number }
  | { readonly kind: 'set-batches'; readonly partId: string; readonly batches: number }
  | { readonly kind: 'set-heat'; readonly partId: string; readonly change: Partial<HeatPlan> }
  | { readonly kind: 'place-part'; readonly partIds: readonly string[] }
  | { readonly kind: 'carton-egg'; readonly partIds: readonly string[] }
  | { readonly kind: 'switch-way'; readonly partId: string; readonly question: string; readonly option: string }
  | { readonly kind: 'set-mixer'; readonly partId: string; readonly mixerId: string }
  | { readonly kind: 'set-wait'; readonly stepId: string; readonly waitH: readonly [number, number] }
  | { readonly kind: 'set-cream-temperature'; readonly partId: string; readonly creamC: number };

export interface TellAction {
  readonly label: string;
  readonly why: string;
  readonly edit: TellEdit;
}

/** 'in' its band, 'near' it, 'out' of it; 'silent' where the model has no figure and says why. */
export type TellState = 'in' | 'near' | 'out' | 'silent';

/** Which judgement it is; of one part with its id behind a colon. */
export type TellKey = TellName | `${TellName}:${string}`;

/** One judgement: a sentence with figures, a track, and one thing to do. */
export interface Tell {
  readonly key: TellKey;
  readonly state: TellState;
  readonly sentence: readonly Stretch[];
  readonly track: Track | null;
  readonly action: TellAction | null;
}

const WEIGHT: Readonly<Record<TellState, number>> = { out: 3, silent: 2, near: 1, in: 0 };

/** Worst first; the order of making among equals. */
export const worstFirst = (tells: readonly Tell[]): readonly Tell[] =>
  tells
    .map((t, i) => ({ t, i }))
    .sort((a, b) => WEIGHT[b.t.state] - WEIGHT[a.t.state] || a.i - b.i)
    .map(({ t }) => t);

/** The plain text of a tell, for reading aloud and for tests. */
export const tellText = (tell: Tell): string => tell.sentence.map((s) => (typeof s === 'string' ? s : s.shown)).join('');

/** A judgement in words alone. */
export const plainTell = (key: TellKey, state: TellState, sentence: string): Tell => ({ key, state, sentence: [sentence], track: null, action: null });
