import { CUSTOMARY, METRIC } from '../measures/shown';
import type { Vessel } from '../vessel/schema';
import type { ColdPlace, KitchenRules, Mixer, ShelfVessel } from './schema';

/*
 * What a new kitchen is asked in its first hour: lists of what is usual, each a change of the same things that the kitchen's own page changes.
 */

/** Where a kitchen's recipes and eggs come from. */
export interface Region {
  readonly id: string;
  readonly name: string;
  readonly rules: Pick<KitchenRules, 'cups' | 'eggs' | 'standardDrinkG'>;
  /** In which units its figures are shown at first. */
  readonly shown: KitchenRules['shown'];
}

/**
 * Cups, eggs and standard drinks by place. Sources: the legal measures and egg classes of `measures/units.ts`; standard drinks of the national
 * drinking guidelines (US 14 g, UK unit 8 g, Canada 13.45 g, Australia and Ireland 10 g).
 */
export const REGIONS: readonly Region[] = [
  { id: 'us', name: 'United States', rules: { cups: 'us', eggs: { system: 'us', size: 'large' }, standardDrinkG: 14 }, shown: CUSTOMARY },
  {
    id: 'uk',
    name: 'United Kingdom',
    rules: { cups: 'imperial', eggs: { system: 'eu', size: 'large' }, standardDrinkG: 8 },
    shown: { ...METRIC, currency: 'GBP' },
  },
  {
    id: 'europe',
    name: 'Ireland, continental Europe',
    rules: { cups: 'metric', eggs: { system: 'eu', size: 'medium' }, standardDrinkG: 10 },
    shown: { ...METRIC, currency: 'EUR' },
  },
  {
    id: 'australia',
    name: 'Australia, New Zealand',
    rules: { cups: 'australian', eggs: { system: 'us', size: 'large' }, standardDrinkG: 10 },
    shown: { ...METRIC, currency: 'AUD' },
  },
  {
    id: 'canada',
    name: 'Canada',
    rules: { cups: 'metric', eggs: { system: 'us', size: 'large' }, standardDrinkG: 13.45 },
    shown: { ...METRIC, currency: 'CAD' },
  },
];

/** The region whose measures a kitchen has; null where they are a mixture of its own. */
export const regionOf = (rules: KitchenRules): string | null =>
  REGIONS.find(
    (r) =>
      r.rules.cups === rules.cups &&
      r.rules.eggs.system === rules.eggs.system &&
      r.rules.eggs.size === rules.eggs.size &&
      r.rules.standardDrinkG === rules.standardDrinkG,
  )?.id ?? null;

/** A food authority, by what it asks of a kitchen like this. */
export interface Authority {
  readonly id: string;
  readonly name: string;
  /** What it sets here, in words. */
  readonly says: string;
  readonly rules: Pick<KitchenRules, 'authority' | 'eggRule' | 'cooling'> & { readonly fridgeAtMostC: number };
}

/**
 * Rules by the name of their authority; the local code and whoever inspects the kitchen come first. Sources: US FDA Food Code 3-501.14 and
 * 3-501.16 (135 to 70 °F within 2 h, to 41 °F within 6 h) and USDA's 160 °F for egg dishes; UK FSA's guidance for caterers (70 °C for 2 min, chilled
 * food at 8 °C at most, 5 °C advised); FSANZ Standard 3.2.2 (60 to 21 °C within 2 h, to 5 °C within 6 h); Canada's Food Retail and Food Services
 * Code (60 to 20 °C within 2 h, to 4 °C within 6 h); Regulation (EC) 852/2004 names no figures: the usual ones stay.
 */
export const AUTHORITIES: readonly Authority[] = [
  {
    id: 'fda',
    name: 'US Food and Drug Administration',
    says: 'egg at 71 °C; 57 to 21 °C within 2 h, to 5 °C within 6 h; fridges at 5 °C',
    rules: {
      authority: 'US FDA Food Code, as the state adopts it',
      eggRule: 'one-point',
      cooling: { fromC: 57, firstC: 21, firstMin: 120, secondC: 5, secondMin: 360 },
      fridgeAtMostC: 5,
    },
  },
  {
    id: 'fsa',
    name: 'UK Food Standards Agency',
    says: 'egg at 70 °C for 2 min; the usual cooling; fridges at 5 °C, 8 °C at most by law',
    rules: { authority: 'UK FSA guidance for caterers', eggRule: 'two-minutes', cooling: null, fridgeAtMostC: 5 },
  },
  {
    id: 'eu',
    name: 'An authority of the European Union',
    says: 'egg by the tables or at 71 °C; the usual cooling; fridges at 5 °C',
    rules: { authority: 'Regulation (EC) 852/2004 and national guides', eggRule: 'table', cooling: null, fridgeAtMostC: 5 },
  },
  {
    id: 'fsanz',
    name: 'Food Standards Australia New Zealand',
    says: 'egg by the tables or at 71 °C; 60 to 21 °C within 2 h, to 5 °C within 6 h; fridges at 5 °C',
    rules: {
      authority: 'FSANZ Standard 3.2.2',
      eggRule: 'table',
      cooling: { fromC: 60, firstC: 21, firstMin: 120, secondC: 5, secondMin: 360 },
      fridgeAtMostC: 5,
    },
  },
  {
    id: 'canada',
    name: 'Canadian Food Inspection Agency and the province',
    says: 'egg at 71 °C; 60 to 20 °C within 2 h, to 4 °C within 6 h; fridges at 4 °C',
    rules: {
      authority: 'Food Retail and Food Services Code, Canada',
      eggRule: 'one-point',
      cooling: { fromC: 60, firstC: 20, firstMin: 120, secondC: 4, secondMin: 360 },
      fridgeAtMostC: 4,
    },
  },
];

/** The rules with those of an authority. */
export function underAuthority(rules: KitchenRules, id: string): KitchenRules {
  const found = AUTHORITIES.find((a) => a.id === id);
  if (!found) return rules;
  const { fridgeAtMostC, ...own } = found.rules;
  return { ...rules, ...own, book: { ...rules.book, fridgeAtMostC } };
}

/** Mixers that pastry kitchens have, bowls brimful, mL. */
export const USUAL_MIXERS: readonly Mixer[] = [
  { id: 'planetary', name: 'Planetary mixer 4.8 L', kind: 'planetary', bowlMl: 4800 },
  { id: 'planetary-7', name: 'Planetary mixer 6.9 L', kind: 'planetary', bowlMl: 6900 },
  { id: 'planetary-10qt', name: 'Planetary mixer 10 qt', kind: 'planetary', bowlMl: 9460 },
  { id: 'planetary-20qt', name: 'Planetary mixer 20 qt', kind: 'planetary', bowlMl: 18_930 },
  { id: 'hand-mixer', name: 'Hand mixer, 3 L bowl', kind: 'hand-mixer', bowlMl: 3000 },
  { id: 'balloon', name: 'Balloon whisk, 5 L bowl', kind: 'balloon-whisk', bowlMl: 5000 },
  { id: 'processor', name: 'Food processor 3 L', kind: 'processor', bowlMl: 3000 },
];

/** Cold places that pastry kitchens have. */
export const USUAL_PLACES: readonly ColdPlace[] = [
  { id: 'under-counter', name: 'Under-counter fridge', kind: 'fan-fridge', airC: 4, litres: 140 },
  { id: 'tall-fridge', name: 'Tall fridge', kind: 'still-fridge', airC: 4, litres: 350 },
  { id: 'cold-room', name: 'Walk-in cold room', kind: 'fan-fridge', airC: 3, litres: 6000 },
  { id: 'chest', name: 'Chest freezer', kind: 'chest-freezer', airC: -20, litres: 200 },
  { id: 'upright-freezer', name: 'Upright freezer', kind: 'frost-free-freezer', airC: -19, litres: 300 },
  { id: 'blast', name: 'Blast chiller', kind: 'blast-chiller', airC: -25, litres: 100 },
  { id: 'counter', name: 'Counter', kind: 'counter', airC: 20, litres: 0 },
];

const round = (name: string, acrossMm: number, heightMm: number): Vessel => ({ kind: 'springform', name, topMm: acrossMm, baseMm: acrossMm, heightMm });

/** Tins that many recipes name, which no kitchen starts with. */
export const USUAL_TINS: readonly Vessel[] = [
  round('Springform 18 cm', 180, 70),
  round('Springform 23 cm, 9 in', 229, 70),
  round('Springform 26 cm', 260, 70),
  { kind: 'tray', name: 'Pan 9 × 13 in', lengthMm: 330, widthMm: 229, baseLengthMm: 318, baseWidthMm: 216, heightMm: 50 },
  { kind: 'tray', name: 'Pan 8 in square', lengthMm: 203, widthMm: 203, baseLengthMm: 197, baseWidthMm: 197, heightMm: 50 },
  { kind: 'terrine', name: 'Loaf tin 900 g, 2 lb', lengthMm: 235, widthMm: 130, baseLengthMm: 210, baseWidthMm: 105, heightMm: 70 },
];

/** How much narrower the foot of a glass is than its rim, where only water and rim were measured (house). */
const FOOT_SHARE = 0.75;

/**
 * A glass by the water that it holds to the brim and its width at the rim, as a straight wall that leans out (house).
 * Height from the frustum's volume, h = 3·V / (π·(r₁² + r₁·r₂ + r₂²)).
 * @param ml 20 to 2000. @param rimMm 30 to 200.
 */
export function glassByWater(name: string, ml: number, rimMm: number): Vessel {
  const [top, foot] = [rimMm / 2, (rimMm * FOOT_SHARE) / 2];
  const heightMm = (3000 * ml) / (Math.PI * (top * top + top * foot + foot * foot));
  return { kind: 'glass', name, topMm: rimMm, baseMm: rimMm * FOOT_SHARE, heightMm: Math.round(heightMm * 10) / 10 };
}

interface Named {
  readonly id: string;
}

/** With one of the usual, or without it: what a kitchen named or measured anew stays as it is. */
export const toggled = <T extends Named>(list: readonly T[], usual: T): readonly T[] =>
  list.some((x) => x.id === usual.id) ? list.filter((x) => x.id !== usual.id) : [...list, usual];

/** So many of a vessel on the shelf; none takes it out. */
export function withVessel(shelf: readonly ShelfVessel[], id: string, vessel: Vessel, count: number): readonly ShelfVessel[] {
  const there = shelf.some((s) => s.id === id);
  if (count === 0) return shelf.filter((s) => s.id !== id);
  return there ? shelf.map((s) => (s.id === id ? { ...s, count } : s)) : [...shelf, { id, vessel, count }];
}

/** The id that a vessel has on the shelf by its name. */
export const shelfId = (v: Vessel): string =>
  v.name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);
