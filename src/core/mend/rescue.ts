import { plainNumber, showGrams, withUnit, type Figure, type FigureInput } from '../figure';
import type { Ingredient } from '../composition/ingredient';
import type { Sheet } from '../document/schema';
import { guest, type Guest } from '../heat/meeting';
import { FOLD_KEEPS, OVERRUN_BY_FAT, REFERENCE_FAT_PCT, STAGE_X } from '../foam/house';
import { airShareAt } from '../foam/overrun';
import { readTable } from '../interpolate';
import { heatContent } from '../heat/heat-content';
import type { MendRest } from '../batch/batch';
import type { LineReading } from '../lines/read-part';
import { bowlG, shareOfPart, type Bowl } from './case';
import { STEAM_W_PER_KG } from './house';
import { icedMin } from './warm-cream';
import type { SignId } from './words';

/** One thing to do, large enough for wet hands. */
export interface RescueStep {
  /** What is weighed in it, shown large; null where nothing is. */
  readonly amount: string | null;
  readonly does: string;
  /** Its timer, s. */
  readonly timerS: number | null;
  readonly stopIf: string | null;
  /** The temperature that it brings to; null where none is to be read. */
  readonly reads: ToRead | null;
  /** Where it stands by itself for as long as its timer says; null where hands are at it, or where it is one way of two. */
  readonly rests: MendRest['where'] | null;
}

/** A temperature that is to be reached, °C, warming or cooling. */
export interface ToRead {
  readonly toC: number;
  readonly cooling: boolean;
}

/** Nearer than this it is there, °C (house: what a kitchen thermometer tells). */
export const THERE_C = 0.5;

/** What a reading says of a temperature that is to be reached. @param tC as read, °C. */
export function readingSays({ toC, cooling }: ToRead, tC: number): { readonly there: boolean; readonly says: string } {
  const left = cooling ? tC - toC : toC - tC;
  if (Math.abs(left) <= THERE_C) return { there: true, says: 'It is there.' };
  const by = withUnit(plainNumber(Math.abs(left), Math.abs(left) < 10 ? 1 : 0), '°C');
  if (left > 0) return { there: false, says: `${by} to go.` };
  return { there: true, says: `${by} past it: ${cooling ? 'warm it a little before it goes on' : 'let it cool before it goes on'}.` };
}

/** Something that goes in besides. */
export interface Added {
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: number;
}

/** What can be done about a sign, worked out for one batch. */
export interface Rescue {
  /** It comes right; it becomes something else; or it must go. */
  readonly kind: 'mend' | 'instead' | 'discard';
  readonly title: string;
  readonly says: string;
  readonly steps: readonly RescueStep[];
  /** What goes into the part besides what it holds. */
  readonly adds: readonly Added[];
  /** What is weighed a second time for a fresh one: it leaves the larder, and the first is lost. */
  readonly again: readonly Added[];
  /** The sheet as it stands afterwards, but for what is added; null where nothing else of it changes. */
  readonly change: ((sheet: Sheet) => Sheet) | null;
  /** How long it takes with its rest, min. */
  readonly minutes: number;
  /** The share of that in which it stands by itself, and where most of it is; null where hands are at it throughout. */
  readonly rest: MendRest | null;
  /** What it leaves of the part's air and hold, against a part that never went wrong; 1 where it is whole again. */
  readonly airKept: number;
  readonly holdKept: number;
  /** Volume that what goes in brings with its own air, mL; 0 where it goes in without air. */
  readonly bringsMl: number;
  /** Where to go if it does not come back. */
  readonly otherwise: SignId | null;
  readonly figures: readonly Figure[];
}

const NB = '\u00a0';
export const deg = (tC: number): string => withUnit(plainNumber(tC, 0), '°C');
export const pct = (v: number, digits = 0): string => withUnit(plainNumber(v, digits), '%');
export const minutesWords = (min: number): string =>
  min < 1
    ? withUnit(plainNumber(Math.max(5, 5 * Math.round(12 * min)), 0), 's')
    : min < 100
      ? withUnit(plainNumber(min, 0), 'min')
      : withUnit(plainNumber(min / 60, 1), 'h');

/** An amount as it is weighed: half grams below ten, grams to two hundred, five grams above. */
export const weighable = (g: number): number => (g < 10 ? Math.max(0.5, Math.round(2 * g) / 2) : g < 200 ? Math.round(g) : 5 * Math.round(g / 5));

export const step = (
  does: string,
  more: {
    readonly g?: number;
    readonly amount?: string;
    readonly timerMin?: number;
    readonly stopIf?: string;
    readonly toC?: number;
    readonly cooling?: boolean;
    readonly rests?: MendRest['where'];
  } = {},
): RescueStep => ({
  amount: more.amount ?? (more.g === undefined ? null : showGrams(more.g)),
  does,
  timerS: more.timerMin === undefined ? null : Math.max(5, Math.round(60 * more.timerMin)),
  stopIf: more.stopIf ?? null,
  reads: more.toC === undefined ? null : { toC: more.toC, cooling: more.cooling === true },
  rests: more.rests ?? null,
});

const BASE = { adds: [], again: [], change: null, minutes: 5, airKept: 1, holdKept: 1, bringsMl: 0, otherwise: null, figures: [] } as const;
type Parts = Partial<Omit<Rescue, 'kind' | 'title' | 'says' | 'steps' | 'rest'>>;

/** The rests of some steps as one: as long as all of them, where the longest is. */
function restOf(steps: readonly RescueStep[]): MendRest | null {
  const rests = steps.flatMap((s) => (s.rests && s.timerS !== null ? [{ where: s.rests, min: s.timerS / 60 }] : []));
  const longest = [...rests].sort((a, b) => b.min - a.min)[0];
  return longest ? { where: longest.where, min: Math.round(rests.reduce((sum, r) => sum + r.min, 0)) } : null;
}

export const mended = (title: string, says: string, steps: readonly RescueStep[], more: Parts = {}): Rescue => ({
  ...BASE,
  ...more,
  kind: 'mend',
  title,
  says,
  steps,
  rest: restOf(steps),
});
export const instead = (title: string, says: string, steps: readonly RescueStep[], more: Parts = {}): Rescue => ({
  ...BASE,
  ...more,
  kind: 'instead',
  title,
  says,
  steps,
  rest: restOf(steps),
});
export const discard = (title: string, says: string, steps: readonly RescueStep[], more: Parts = {}): Rescue => ({
  ...BASE,
  ...more,
  kind: 'discard',
  title,
  says,
  steps,
  rest: null,
});

/** An input of a working. */
export const num = (symbol: string, name: string, value: number, unit: string, decimals: number, from: string): FigureInput => ({
  symbol,
  name,
  value: withUnit(plainNumber(value, decimals), unit),
  from,
});

/** An amount of a rescue with its working. */
export const amount = (
  key: string,
  name: string,
  massG: number,
  formula: string,
  words: string,
  inputs: readonly FigureInput[],
  source: string,
  spread: number | null = null,
): Figure => ({
  key,
  name,
  value: massG,
  unit: 'g',
  kind: spread === null ? 'physics' : 'house',
  spread,
  range: spread === null ? null : [massG / (1 + spread), massG * (1 + spread)],
  decimals: massG < 10 ? 1 : 0,
  formula,
  words,
  inputs,
  source,
});

export const ofRole = (b: Bowl, ...roles: readonly string[]): readonly LineReading[] =>
  b.a.reading.lines.filter((l) => roles.includes(l.role ?? '') && l.read !== null && l.ingredient !== null && l.read.massG > 0);
export const gramsOf = (lines: readonly LineReading[]): number => lines.reduce((g, l) => g + (l.read?.massG ?? 0), 0);
export const heaviest = (lines: readonly LineReading[]): LineReading | null => [...lines].sort((x, y) => y.read!.massG - x.read!.massG)[0] ?? null;

/** Some of a line of the part more. */
export const moreOf = (line: LineReading, massG: number): Added => ({ ingredientId: line.ingredient!.id, name: line.name, massG });
/** Something of the larder; null where the kitchen's larder has none of it. */
export function fromLarder(b: Bowl, massG: number, ...ids: readonly string[]): Added | null {
  const found = ids.map((id) => b.kitchen.larder.get(id)).find((i): i is Ingredient => i !== undefined);
  return found ? { ingredientId: found.id, name: found.name, massG } : null;
}
/** The same, by its usual name where the kitchen's larder has lost it. */
export const larderOr = (b: Bowl, massG: number, name: string, ...ids: readonly [string, ...string[]]): Added =>
  fromLarder(b, massG, ...ids) ?? { ingredientId: ids[0], name, massG };

/** The cream of the part, else one of the larder: of so much fat. */
export function creamFor(b: Bowl, massG: number): Added {
  const own = heaviest(ofRole(b, 'cream'));
  return own ? moreOf(own, massG) : larderOr(b, massG, 'cream', 'cream-36', 'cream-35', 'cream-38');
}

/** Every line of the part as it is written, for a fresh bowl. */
export const freshLines = (b: Bowl): readonly Added[] =>
  b.a.reading.lines.flatMap((l) =>
    l.ingredient && l.read && l.kind === 'ingredient' && l.read.massG > 0 ? [moreOf(l, l.read.massG * Math.min(1, shareOfPart(b)))] : [],
  );
export const freshStep = (lines: readonly Added[], how: string): RescueStep =>
  step(
    `A fresh bowl: ${lines
      .slice(0, 4)
      .map((l) => `${showGrams(l.massG)} ${l.name}`)
      .join(', ')}${lines.length > 4 ? ` and ${lines.length - 4} more` : ''}. ${how}`,
  );

/** The bowl as a guest at a meeting. */
export const bowlGuestOf = (b: Bowl, tC: number, massG = bowlG(b)): Guest => ({
  ...guest(b.a.part.name, b.a.reading.mixture, b.a.reading.freezingG, tC),
  massG,
});

/** Its heat content, J/g. */
export const heatOf = (b: Bowl) => heatContent(b.a.reading.mixture, b.a.reading.freezingG);

/** Minutes stirred in ice water from one temperature to another (house ±30 %); null where it never comes there. */
export function iceBathMin(b: Bowl, fromC: number, toC: number): number | null {
  const min = icedMin(heatOf(b), bowlG(b), fromC, Math.max(1, toC));
  return min.ok ? min.value : null;
}

/** Minutes over steam from one temperature to another: the heat it takes over what steam gives a bowl (house ±30 %). */
export function steamMin(b: Bowl, fromC: number, toC: number): number {
  const heat = heatOf(b);
  return Math.max(0, (1000 * (heat.at(toC) - heat.at(fromC))) / STEAM_W_PER_KG / 60);
}

export const between = (low: number, v: number, high: number): number => Math.min(high, Math.max(low, v));
export const nbRange = (low: number, high: number): string => `${plainNumber(low, 0)}–${plainNumber(high, 0)}${NB}`;

/** What cream at soft peak brings once it is folded in, mL a gram: its air as a plain cream has it, less what the fold takes. */
export function foldedMlPerG(): number {
  const softPct = (airShareAt(STAGE_X.soft) ?? 0) * (readTable(OVERRUN_BY_FAT, REFERENCE_FAT_PCT) ?? 0);
  return CREAM_ML_PER_G * (1 + (FOLD_KEEPS * softPct) / 100);
}
const CREAM_ML_PER_G = 1 / 1.009;
