import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Ingredient } from '../core/composition/ingredient';
import { readLarderCsv } from '../core/larder/larder-csv';
import { shelfId, USUAL_MIXERS, USUAL_PLACES } from '../core/kitchen/beginning';
import type { ColdPlace, KitchenRules, Mixer, ShelfVessel } from '../core/kitchen/schema';
import { METRIC } from '../core/measures/shown';
import { USUAL_CREW, USUAL_OVENS } from '../core/kitchen/usual-crew';
import { STARTING_VESSELS } from '../core/vessel/profile';

/** Where files that ship with the app lie; the server always runs from the project's folder. */
export const shipped = (...path: string[]): string => join(process.cwd(), 'src', 'data', ...path);

/** The ingredient facts every kitchen starts from. */
export function startingLarder(): readonly Ingredient[] {
  const read = readLarderCsv(readFileSync(shipped('seed', 'larder.csv'), 'utf8'));
  const fault = read.ok ? read.value.faults[0] : read.fault;
  if (!read.ok || fault) throw new Error(`the shipped larder: ${fault?.says}`);
  return read.value.ingredients;
}

const MIXERS_AT_FIRST = new Set(['planetary', 'hand-mixer', 'balloon']);
export const STARTING_MIXERS: readonly Mixer[] = USUAL_MIXERS.filter((m) => MIXERS_AT_FIRST.has(m.id));

/** What a kitchen is called that nobody has set up. */
export const NO_NAME_YET = 'My kitchen';

export const STARTING_RULES: KitchenRules = {
  kitchenName: NO_NAME_YET,
  cups: 'us',
  eggs: { system: 'us', size: 'large' },
  keepingH: null,
  fridgeC: 4,
  roomC: 20,
  scaleStepG: 1,
  standardDrinkG: 10,
  eggRule: 'table',
  book: { fridgeAtMostC: 5, freezerAtMostC: -18, jobs: [] },
  authority: '',
  waterBoilsC: 100,
  cooling: null,
  learning: true,
  ways: {},
  crew: USUAL_CREW,
  ovens: USUAL_OVENS,
  hobRings: 4,
  hobW: null,
  scaleOffPct: null,
  zone: '',
  shown: METRIC,
};

const PLACES_AT_FIRST = new Set(['under-counter', 'tall-fridge', 'chest', 'counter']);
export const STARTING_PLACES: readonly ColdPlace[] = USUAL_PLACES.filter((p) => PLACES_AT_FIRST.has(p.id));

const COUNTS: Readonly<Record<string, number>> = { 'Footed glass': 24, 'Small glass': 24, 'Steel tray': 4, 'Small tray': 4, Tub: 12, 'Nest on a plate': 24 };

/** The shelf that every kitchen starts from. */
export const startingVessels = (): readonly ShelfVessel[] =>
  STARTING_VESSELS.map((vessel) => ({ id: shelfId(vessel), vessel, count: COUNTS[vessel.name] ?? 2 }));
