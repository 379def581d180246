import { combine, mix } from '../composition/mixture';
import { composition } from '../composition/components';
import { sucroseEquivalentG, type FreezingPortion } from '../heat/freezing';
import {
  BOWL_TOUCHED,
  CUSTARD_OFF_HOB_C,
  FOLD_TOO_WARM_C,
  FOLD_WINDOWS,
  GANACHE_WINDOW,
  THICK_CHOCOLATE_SHARE,
  THIN_CHOCOLATE,
  ICE_BATH,
  POURED_C,
  USUAL_C,
  type BaseKind,
} from '../heat/house';
import { bowlGuest, guest, massFor, mixingC, temperatureFor, type Guest } from '../heat/meeting';
import { boilSyrup, reducingMinutes, type Syrup } from '../heat/syrup';
import type { Result } from '../result';
import { temper, type Tempering } from '../setting/tempering';
import { SOAK_WATER_PER_G } from '../setting/house';
import { optionOf, questionNamed } from '../schools/questions';
import type { PartAnalysis, SheetAnalysis } from './analysed';
import { isWhippedKind, USUAL_HEAT } from '../document/kinds';
import type { KitchenRules } from '../kitchen/schema';
import type { LineReading } from '../lines/read-part';
import type { Part } from '../document/schema';

/** Where parts of a sheet meet hot or cold, and what comes of it. */

/** Something that meets, as it is shown. */
export interface MeetingGuest {
  readonly name: string;
  readonly massG: number;
  readonly tC: number;
  /** Where its temperature is from. */
  readonly from: string;
}

export interface Meeting {
  readonly key: string;
  readonly kind: 'fold' | 'mix' | 'syrup' | 'ganache';
  readonly partId: string;
  readonly title: string;
  readonly guests: readonly MeetingGuest[];
  /** What they come to, °C. */
  readonly resultC: number;
  /** What is judged: the base before the fold, or the mix, °C. */
  readonly judgedC: number;
  readonly judged: 'base' | 'mix';
  readonly window: { readonly lowC: number; readonly highC: number } | null;
  readonly verdict: 'in' | 'cold' | 'warm' | 'too-warm-fold';
  /** What to bring to which temperature so that it lands in the window; null where it is right, or nothing does it. */
  readonly mend: { readonly partId: string; readonly name: string; readonly toC: number } | null;
}

const wayOf = (part: Part, key: string): string => optionOf(questionNamed(key)!, part.ways[key]).id;

const portionsOf = (lines: readonly LineReading[]): FreezingPortion[] =>
  lines.flatMap((l) => {
    if (l.kind === 'loss' || !l.read || !l.ingredient) return [];
    const own = { massG: l.read.massG, per100: l.read.per100, ownFreezing: l.ingredient.ownFreezing };
    return l.soakWaterG > 0 ? [own, { massG: l.soakWaterG, per100: WATER }] : [own];
  });
const WATER = composition({ water: 100 });
const guestOf = (name: string, lines: readonly LineReading[], tC: number): Guest => {
  const portions = portionsOf(lines);
  return guest(name, mix(portions), sucroseEquivalentG(portions), tC);
};

/** At which temperature a part meets the others, and why that is taken. */
export function meetsAt(a: PartAnalysis): { readonly tC: number; readonly from: string } {
  const { part, reading } = a;
  if (part.heat.atC !== null) return { tC: part.heat.atC, from: 'as written' };
  if (isWhippedKind(part.kind)) return { tC: part.whisk.creamC, from: 'the cream as it is whisked' };
  if (part.kind === 'custard') return { tC: USUAL_C.custard, from: 'usual: cooled' };
  if (part.kind === 'chocolate-base') return { tC: USUAL_C.chocolate, from: 'usual: lukewarm' };
  if (part.kind === 'egg-foam')
    return isWhiskedCold(a) ? { tC: USUAL_C['egg-foam-raw'], from: 'usual: whisked cold' } : { tC: USUAL_C['egg-foam'], from: 'usual: whisked cool' };
  if (reading.gelatin225G > 0) return { tC: USUAL_C.gelatin, from: 'usual: gelatin still liquid' };
  return { tC: USUAL_C.room, from: 'usual: room' };
}

/** Whether an egg foam was never heated: raw yolks, French whites. */
function isWhiskedCold(a: PartAnalysis): boolean {
  const foam = a.eggFoam?.foam;
  if (foam === 'swiss' || foam === 'italian' || foam === 'yolks-hot-syrup') return false;
  return foam === 'yolks-ribbon' || foam === 'whole-eggs' ? wayOf(a.part, 'eggs') === 'raw' : true;
}

/** What the foams are folded into, by what is in it; null where nothing asks for a window. */
function baseKindOf(a: PartAnalysis, sources: ReadonlyMap<string, PartAnalysis>): BaseKind | null {
  const { lines } = a.reading;
  // Grated, in chips or in pieces it stays as it is: nothing has to flow.
  if (lines.some((l) => (l.role === 'chocolate' && !STAYS_WHOLE.test(l.line.text)) || l.fromPart?.kind === 'chocolate-base')) return 'chocolate';
  const setsBase = lines.some(
    (l) => (l.ingredient?.bloom && l.read) || (l.fromPart && !isFoam(sources.get(l.fromPart.id)) && (sources.get(l.fromPart.id)?.reading.gelatin225G ?? 0) > 0),
  );
  if (setsBase) return 'gelatin';
  return lines.some((l) => l.fromPart?.kind === 'custard') ? 'custard' : null;
}

const STAYS_WHOLE = /\b(?:grated|shaved|shavings|chips?|chunks?|chopped|pieces|curls)\b/i;
/** Kinds that lie on something: nothing is folded into them. */
const LIES_ON: ReadonlySet<string> = new Set(['topping', 'crown', 'pressed-base', 'biscuit-layer', 'soak']);

const isFoam = (a: PartAnalysis | undefined): boolean =>
  a !== undefined && (isWhippedKind(a.part.kind) || a.part.kind === 'egg-foam' || a.part.kind === 'meringue');

const PERMANENT = 1e-6;

/** Every meeting of a sheet that has a figure. */
export function meetingsOf(s: SheetAnalysis): readonly Meeting[] {
  const byId = new Map(s.parts.map((a) => [a.part.id, a]));
  return s.parts.flatMap((a) => [...syrupMeeting(a), ...ganacheMeeting(a), ...foldMeeting(a, byId)]);
}

function foldMeeting(a: PartAnalysis, byId: ReadonlyMap<string, PartAnalysis>): Meeting[] {
  if (LIES_ON.has(a.part.kind)) return [];
  const fed = a.reading.lines.flatMap((l) => {
    const source = l.fromPart && l.read ? byId.get(l.fromPart.id) : undefined;
    return source && l.read ? [{ source, share: l.read.quantity }] : [];
  });
  if (fed.length === 0) return [];
  const own = a.reading.lines.filter((l) => l.kind === 'ingredient' && l.read && l.ingredient && l.role !== 'nut' && l.role !== 'biscuit');
  const kind = baseKindOf(a, byId);
  const ownC = a.part.heat.atC ?? (kind === 'gelatin' ? USUAL_C.gelatin : USUAL_C.room);
  const baseGuests: (Guest & { partId: string; from: string })[] = [];
  if (own.length > 0) baseGuests.push({ ...guestOf(a.part.name, own, ownC), partId: a.part.id, from: a.part.heat.atC === null ? 'usual' : 'as written' });
  const foams: (Guest & { partId: string; from: string })[] = [];
  for (const { source, share } of fed) {
    const { tC, from } = meetsAt(source);
    const one = {
      ...guest(source.part.name, combine([{ mixture: source.reading.mixture, share }]), source.reading.freezingG * share, tC),
      partId: source.part.id,
      from,
    };
    (isFoam(source) && (baseGuests.length > 0 || foams.length > 0 || fed.some((f) => !isFoam(f.source))) ? foams : baseGuests).push(one);
  }
  if (foams.length === 0) return plainMeeting(a, baseGuests);
  if (baseGuests.length === 0) return [];
  const base = mixingC(baseGuests);
  const all = mixingC([...baseGuests, ...foams]);
  if (!base.ok || !all.ok) return [];
  const window = kind ? windowFor(kind, a, fed) : null;
  // A window that a fold can never meet is none: at its lower end the fold is never called too warm.
  const atLow = window ? mixingC([...baseGuests.map((g) => ({ ...g, tC: window.lowC })), ...foams]) : null;
  const limitC = Math.max(FOLD_TOO_WARM_C, atLow?.ok ? atLow.value + GRACE_C : -Infinity);
  const tooWarm = all.value > limitC + PERMANENT;
  const verdict =
    window && base.value < window.lowC - PERMANENT ? 'cold' : window && base.value > window.highC + PERMANENT ? 'warm' : tooWarm ? 'too-warm-fold' : 'in';
  const warmest = [...baseGuests].sort((x, y) => y.massG - x.massG)[0]!;
  return [
    {
      key: `fold:${a.part.id}`,
      kind: 'fold',
      partId: a.part.id,
      title: a.part.name,
      guests: [...baseGuests, ...foams].map(({ name, massG, tC, from }) => ({ name, massG, tC, from })),
      resultC: all.value,
      judgedC: base.value,
      judged: 'base',
      window,
      verdict,
      mend: verdict === 'in' ? null : foldMend(verdict, warmest, baseGuests, foams, window),
    },
  ];
}

/** A little above the lower end of the window is still the lower end, °C. */
const GRACE_C = 1;

/** The window of a base: a chocolate base that is thinned with cream stays fluid colder than chocolate alone. */
function windowFor(
  kind: BaseKind,
  a: PartAnalysis,
  fed: readonly { readonly source: PartAnalysis; readonly share: number }[],
): { readonly lowC: number; readonly highC: number } {
  const usual = FOLD_WINDOWS[kind];
  if (kind !== 'chocolate') return usual;
  const bases = [a, ...fed.filter((f) => !isFoam(f.source)).map((f) => f.source)];
  const lines = bases.flatMap((b) => b.reading.lines.filter((l) => l.kind === 'ingredient' && l.read));
  const all = lines.reduce((g, l) => g + (l.read?.massG ?? 0), 0);
  const chocolate = lines.reduce((g, l) => g + (l.role === 'chocolate' ? (l.read?.massG ?? 0) : 0), 0);
  const share = all > 0 ? chocolate / all : 1;
  const thick = Math.min(1, Math.max(0, (share - THIN_CHOCOLATE.share) / (THICK_CHOCOLATE_SHARE - THIN_CHOCOLATE.share)));
  return { lowC: Math.round(THIN_CHOCOLATE.lowC + thick * (usual.lowC - THIN_CHOCOLATE.lowC)), highC: usual.highC };
}

/** Parts without air that are stirred together: custard and purée, fruit and syrup. */
function plainMeeting(a: PartAnalysis, guests: readonly (Guest & { readonly from: string })[]): Meeting[] {
  const mixed = guests.length > 1 ? mixingC(guests) : null;
  if (!mixed?.ok) return [];
  return [
    {
      key: `mix:${a.part.id}`,
      kind: 'mix',
      partId: a.part.id,
      title: a.part.name,
      guests: guests.map(({ name, massG, tC, from }) => ({ name, massG, tC, from })),
      resultC: mixed.value,
      judgedC: mixed.value,
      judged: 'mix',
      window: null,
      verdict: 'in',
      mend: null,
    },
  ];
}

/** The coldest that a fold of everything may end so that it keeps its air, with something in hand. */
const COOL_FOLD_C = FOLD_TOO_WARM_C - 0.5;

/** What to bring to which temperature: the base to the middle of its window, or as much cooler as the fold of it all asks for. */
function foldMend(
  verdict: Meeting['verdict'],
  main: Guest & { partId: string },
  base: readonly Guest[],
  foams: readonly Guest[],
  window: Meeting['window'],
): Meeting['mend'] {
  const at = base.findIndex((g) => g.name === main.name);
  const cool = temperatureFor([...base, ...foams], at, COOL_FOLD_C);
  const middle = window ? temperatureFor(base, at, (window.lowC + window.highC) / 2) : null;
  const wishes = [verdict === 'too-warm-fold' ? null : middle, cool].flatMap((r) => (r?.ok ? [r.value] : []));
  if (wishes.length === 0) return null;
  const lowest = window ? temperatureFor(base, at, window.lowC) : null;
  const toC = Math.floor(Math.min(...wishes) + 1e-6);
  // A base cooled out of its own window would only trade one fault for another: then its lower end is the best there is.
  const kept = lowest?.ok ? Math.max(toC, Math.ceil(lowest.value - 1e-6)) : toC;
  if (verdict === 'too-warm-fold' && kept > toC) return null;
  return kept < -10 || kept > 90 ? null : { partId: main.partId, name: main.name, toC: kept };
}

/** What of a part says how its eggs are cooked. */
export type EggBowl = Pick<PartAnalysis, 'part' | 'reading' | 'eggFoam' | 'ownHeat' | 'eggRule'>;

/** What of an egg foam is eggs, what goes into the syrup. */
interface SyrupParts {
  readonly eggs: readonly LineReading[];
  readonly syrup: readonly LineReading[];
}

function syrupPartsOf(a: EggBowl): SyrupParts | null {
  const { part } = a;
  const cooked = (part.kind === 'egg-foam' && a.eggFoam?.foam === 'yolks-hot-syrup') || a.eggFoam?.foam === 'italian';
  if (!cooked) return null;
  const there = a.reading.lines.filter((l) => l.kind === 'ingredient' && l.read && l.ingredient);
  const eggs = there.filter((l) => l.role === 'yolk' || l.role === 'white' || l.role === 'egg');
  // Without water in the pan the sugar is boiled with the juice.
  const wet = there.some((l) => l.role === 'liquid') ? 'liquid' : 'sour';
  const syrup = there.filter((l) => l.role === 'sugar' || l.role === wet);
  return eggs.length > 0 && syrup.length > 0 ? { eggs, syrup } : null;
}

export interface SyrupReading {
  readonly syrup: Result<Syrup>;
  /** Sugar and water in the pan at the start, g. */
  readonly sugarG: number;
  readonly waterG: number;
  /** What the sheet says boils off, g; null where no line says so. */
  readonly writtenG: number | null;
  readonly lossLineId: string | null;
}

/** A kitchen as far as a hob goes: where plain water boils, °C, and the power of its ring as boiling water said it, W. */
export type HobOfKitchen = Pick<KitchenRules, 'waterBoilsC' | 'hobW'>;

/** Power of the hob for a part, W: its own, where the cook has typed one; else the kitchen's, where it was measured; else the usual. */
export function hobOf(heat: Pick<Part['heat'], 'hobW'>, rules: HobOfKitchen): { readonly watts: number; readonly measured: boolean } {
  const own = heat.hobW !== USUAL_HEAT.hobW;
  return own || rules.hobW === null ? { watts: heat.hobW, measured: false } : { watts: rules.hobW, measured: true };
}

/** The syrup of a part that is cooked with one; null for any other. */
export function syrupOf(a: PartAnalysis, rules: HobOfKitchen): SyrupReading | null {
  const parts = syrupPartsOf(a);
  if (!parts) return null;
  const pan = mix(portionsOf(parts.syrup));
  const sugarG = pan.massG - pan.grams.water;
  const loss = a.reading.lines.find((l) => l.kind === 'loss' && l.read && /boil|evapor|reduc/i.test(l.name));
  const { syrupC } = a.part.heat;
  return {
    syrup: boilSyrup({
      sugarG,
      waterG: pan.grams.water,
      toC: syrupC,
      hobW: hobOf(a.part.heat, rules).watts,
      startC: USUAL_C.room,
      waterBoilsC: rules.waterBoilsC,
      stays: 0,
    }),
    sugarG,
    waterG: pan.grams.water,
    writtenG: loss?.read ? -loss.read.massG : null,
    lossLineId: loss?.line.id ?? null,
  };
}

/** Eggs, boiled syrup and the bowl that they meet in; null for a part that is cooked with none. */
export function syrupGuests(a: EggBowl, touched: number): { readonly guests: readonly Guest[]; readonly shown: readonly MeetingGuest[] } | null {
  const parts = syrupPartsOf(a);
  if (!parts) return null;
  const { syrupC, bowl, bowlG, eggC } = a.part.heat;
  const portions = portionsOf(parts.syrup);
  const pan = mix(portions);
  const losses = a.reading.lines.reduce((sum, l) => sum + (l.kind === 'loss' && l.read ? -l.read.massG : 0), 0);
  const offG = Math.min(losses, 0.98 * pan.grams.water);
  const hot = combine([
    { mixture: pan, share: 1 },
    { mixture: mix([{ massG: offG, per100: WATER }]), share: -1 },
  ]);
  const guests = [guestOf('eggs', parts.eggs, eggC), guest('syrup', hot, sucroseEquivalentG(portions), syrupC), bowlGuest(bowl, bowlG, USUAL_C.room, touched)];
  const from = ['as written', 'as boiled', `room; ${Math.round(100 * touched)} % of it is touched`];
  return { guests, shown: guests.map((g, i) => ({ name: g.name, massG: g.massG, tC: g.tC, from: from[i]! })) };
}

function syrupMeeting(a: PartAnalysis): Meeting[] {
  const found = syrupGuests(a, BOWL_TOUCHED.forecast);
  if (!found) return [];
  const mixed = mixingC(found.guests);
  if (!mixed.ok) return [];
  return [
    {
      key: `syrup:${a.part.id}`,
      kind: 'syrup',
      partId: a.part.id,
      title: a.part.name,
      guests: found.shown,
      resultC: mixed.value,
      judgedC: mixed.value,
      judged: 'mix',
      window: null,
      verdict: 'in',
      mend: null,
    },
  ];
}

function ganacheMeeting(a: PartAnalysis): Meeting[] {
  if (a.part.kind !== 'chocolate-base' || wayOf(a.part, 'ganache') !== 'hot-cream') return [];
  const there = a.reading.lines.filter((l) => l.kind === 'ingredient' && l.read && l.ingredient);
  const poured = there.filter((l) => l.role === 'cream' || l.role === 'milk');
  const rest = there.filter((l) => l.role === 'chocolate' || l.role === 'cocoa');
  if (poured.length === 0 || !rest.some((l) => l.role === 'chocolate')) return [];
  const guests = [guestOf('hot cream', poured, POURED_C), guestOf('chocolate', rest, USUAL_C.room)];
  const mixed = mixingC(guests);
  if (!mixed.ok) return [];
  const verdict = mixed.value < GANACHE_WINDOW.lowC ? 'cold' : mixed.value > GANACHE_WINDOW.highC ? 'warm' : 'in';
  const shown = guests.map((g, i) => ({ name: g.name, massG: g.massG, tC: g.tC, from: i === 0 ? 'just off the boil' : 'room' }));
  return [
    {
      key: `ganache:${a.part.id}`,
      kind: 'ganache',
      partId: a.part.id,
      title: a.part.name,
      guests: shown,
      resultC: mixed.value,
      judgedC: mixed.value,
      judged: 'mix',
      window: GANACHE_WINDOW,
      verdict,
      mend: null,
    },
  ];
}

/** Minutes on the hob for what a fruit, a wine or a milk is boiled down by; null for a part that says no such loss, or is cooked with syrup. */
export function reducingOf(a: PartAnalysis, rules: HobOfKitchen): { readonly boilsOffG: number; readonly minutes: Result<number> } | null {
  const loss = a.reading.lines.find((l) => l.kind === 'loss' && l.read && /boil|evapor|reduc/i.test(l.name));
  if (!loss?.read || syrupPartsOf(a)) return null;
  const portions = portionsOf(a.reading.lines);
  return {
    boilsOffG: -loss.read.massG,
    minutes: reducingMinutes(mix(portions), sucroseEquivalentG(portions), USUAL_C.room, -loss.read.massG, hobOf(a.part.heat, rules).watts),
  };
}

/** Ice of the bath; its heat content is worked out once. */
const ICE: Guest = guest('ice', mix([{ massG: 1000, per100: WATER }]), 0, ICE_BATH.iceC);

/** Ice that an ice bath needs at the least to bring a custard down, g (physics); null for a part that is not cooled so. */
export function iceForBath(a: PartAnalysis): Result<number> | null {
  if (a.part.kind !== 'custard' || wayOf(a.part, 'custard-cooling') !== 'ice-bath' || a.reading.mixture.massG <= 0) return null;
  const custard = guest(a.part.name, a.reading.mixture, a.reading.freezingG, a.part.heat.atC ?? CUSTARD_OFF_HOB_C);
  return massFor([custard, ICE], 1, ICE_BATH.toC);
}

/** Gelatin that goes melted into cold cream or cheese: what it comes to at once, and its first spoonful; null where there is none. */
export function temperingOf(a: PartAnalysis): Result<Tempering> | null {
  const gelatin = a.reading.lines.filter((l) => l.ingredient?.bloom && l.read);
  if (gelatin.length === 0 || !a.gelatin.ok || !(isWhippedKind(a.part.kind) || a.part.kind === 'set-filling')) return null;
  const gelatinG = gelatin.reduce((sum, l) => sum + (l.read?.massG ?? 0), 0);
  const waterG = gelatin.reduce((sum, l) => sum + (l.soakWaterG || SOAK_WATER_PER_G * (l.read?.massG ?? 0)), 0);
  const cold = a.reading.lines.filter((l) => l.kind === 'ingredient' && l.read && l.ingredient && !l.ingredient.bloom);
  if (cold.length === 0) return null;
  const tC = isWhippedKind(a.part.kind) ? a.part.whisk.creamC : (a.part.heat.atC ?? USUAL_C.gelatin);
  const found = temper(gelatinG, waterG, guestOf('cold part', cold, tC), a.gelatin.value.doseGPerKg);
  return found.ok || found.fault.code !== 'out-of-reach' ? found : null;
}

/** What a part comes to in a bowl that stood in the room instead of the cold, °C; as it is where nothing can be said. */
export function inRoomBowlC(a: PartAnalysis, roomC: number): number {
  const { reading, part } = a;
  if (reading.mixture.massG <= 0) return part.whisk.creamC;
  const cream = guest(part.name, reading.mixture, reading.freezingG, part.whisk.creamC);
  const mixed = mixingC([cream, bowlGuest(part.heat.bowl, part.heat.bowlG, roomC, BOWL_TOUCHED.forecast)]);
  return mixed.ok ? mixed.value : part.whisk.creamC;
}
