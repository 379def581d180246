import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Ingredient } from '../core/composition/ingredient';
import { readLarderCsv } from '../core/larder/larder-csv';
import type { ColdPlace, KitchenRules, Mixer, ShelfVessel } from '../core/kitchen/schema';
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

export const STARTING_MIXERS: readonly Mixer[] = [
  { id: 'planetary', name: 'Planetary mixer 4.8 L', kind: 'planetary', bowlMl: 4800 },
  { id: 'hand-mixer', name: 'Hand mixer, 3 L bowl', kind: 'hand-mixer', bowlMl: 3000 },
  { id: 'balloon', name: 'Balloon whisk, 5 L bowl', kind: 'balloon-whisk', bowlMl: 5000 },
];

export const STARTING_RULES: KitchenRules = {
  kitchenName: 'My kitchen',
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
  zone: '',
};

export const STARTING_PLACES: readonly ColdPlace[] = [
  { id: 'under-counter', name: 'Under-counter fridge', kind: 'fan-fridge', airC: 4, litres: 140 },
  { id: 'tall-fridge', name: 'Tall fridge', kind: 'still-fridge', airC: 4, litres: 350 },
  { id: 'chest', name: 'Chest freezer', kind: 'chest-freezer', airC: -20, litres: 200 },
  { id: 'counter', name: 'Counter', kind: 'counter', airC: 20, litres: 0 },
];

const COUNTS: Readonly<Record<string, number>> = { 'Footed glass': 24, 'Small glass': 24, 'Steel tray': 4, 'Small tray': 4, Tub: 12, 'Nest on a plate': 24 };

/** The shelf that every kitchen starts from. */
export const startingVessels = (): readonly ShelfVessel[] =>
  STARTING_VESSELS.map((vessel) => ({ id: vessel.name.toLowerCase().replace(/[^a-z0-9]+/g, '-'), vessel, count: COUNTS[vessel.name] ?? 2 }));
