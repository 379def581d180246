import { describe, expect, it } from 'vitest';
import { KITCHEN } from '../../testing/sample';
import { USUAL_SETUP } from '../document/usual-cold';
import { FAMILIES, PLACE_KINDS } from '../document/kinds';
import { AIR_H } from '../heat/surface';
import type { Vessel } from '../vessel/schema';
import { airNow, isFreezer, placeOf, wallOfVessel, type AirNow } from './place';
import type { ColdPlace } from './schema';

const setup = (of: Partial<typeof USUAL_SETUP> = {}) => ({ ...USUAL_SETUP, ...of });
const kitchenWith = (...places: ColdPlace[]) => ({ ...KITCHEN, places });
const place = (kind: ColdPlace['kind'], more: Partial<ColdPlace> = {}): ColdPlace => ({ id: kind, name: kind, kind, airC: 4, litres: 100, ...more });
const air = (kitchen: typeof KITCHEN, s = setup(), family: Parameters<typeof placeOf>[2] = 'tiramisu'): AirNow => {
  const r = airNow(kitchen, s, family);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('which place a dessert goes to', () => {
  it('is the one that the set-up names, whatever it is', () => expect(placeOf(KITCHEN, setup({ placeId: 'counter' }), 'semifreddo')?.id).toBe('counter'));
  it('else the first freezer for what is frozen and the first fridge for all else, never the counter', () => {
    for (const family of FAMILIES)
      expect(placeOf(KITCHEN, setup({ placeId: null }), family)?.id, family).toBe(family === 'semifreddo' ? 'chest' : 'under-counter');
    expect(placeOf(kitchenWith(place('counter'), place('blast-chiller')), setup({ placeId: null }), 'mousse')).toBeNull();
  });
  it('one that is no longer there is none', () => expect(placeOf(KITCHEN, setup({ placeId: 'sold' }), 'mousse')?.id).toBe('under-counter'));
  it('freezers are the two that freeze for keeping', () =>
    expect(PLACE_KINDS.filter((kind) => isFreezer({ kind }))).toEqual(['chest-freezer', 'frost-free-freezer']));
});

describe('the air of a place', () => {
  it('takes heat as its kind does, until probe readings say better', () => {
    for (const kind of PLACE_KINDS) {
      const kitchen = kitchenWith(place(kind));
      expect(air(kitchen, setup({ placeId: kind })), kind).toMatchObject({ h: AIR_H[kind], fitted: false, airC: 4 });
      expect(air(kitchenWith(place(kind, { hWPerM2K: 9.5 })), setup({ placeId: kind }))).toMatchObject({ h: 9.5, fitted: true });
    }
  });
  it('on a crowded shelf it is the usual one of such a shelf, fitted or not', () =>
    expect(air(kitchenWith(place('fan-fridge', { hWPerM2K: 20 })), setup({ placeId: 'fan-fridge', air: 'crowded-shelf' }))).toMatchObject({
      h: AIR_H['crowded-shelf'],
      fitted: false,
    }));
  it('is as cold as the place, or as the cook measured', () => {
    expect(air(KITCHEN, setup({ placeId: 'chest' })).airC).toBe(-20);
    expect(air(KITCHEN, setup({ placeId: 'chest', airC: -14 })).airC).toBe(-14);
  });
  it('on a crowded shelf hardly moves, a fan or none; a counter has no shelf', () => {
    expect(air(KITCHEN, setup({ placeId: 'under-counter', air: 'crowded-shelf' }))).toMatchObject({
      h: AIR_H['crowded-shelf'],
      name: 'Under-counter fridge, crowded',
    });
    expect(air(kitchenWith(place('still-fridge', { hWPerM2K: 3 })), setup({ placeId: 'still-fridge', air: 'crowded-shelf' })).h).toBe(3);
    expect(air(KITCHEN, setup({ placeId: 'counter', air: 'crowded-shelf' }))).toMatchObject({ h: AIR_H.counter, name: 'Counter' });
  });
  it('is warmed by a load where a machine must carry its heat off, more in a home’s than under a counter than in a blast; a room is not', () => {
    const ua = (kind: ColdPlace['kind']): number | null => air(kitchenWith(place(kind)), setup({ placeId: kind })).uaWPerK;
    expect([ua('still-fridge'), ua('chest-freezer')]).toEqual([7, 7]);
    expect([ua('fan-fridge'), ua('frost-free-freezer')]).toEqual([15, 15]);
    expect([ua('blast-chiller'), ua('counter')]).toEqual([60, null]);
  });
  it('where there is no such place it is said which is missing', () => {
    expect(airNow(kitchenWith(place('counter')), setup({ placeId: null }), 'semifreddo')).toMatchObject({
      ok: false,
      fault: { field: 'placeId', code: 'no-place', says: expect.stringContaining('no freezer') },
    });
    expect(airNow(kitchenWith(place('chest-freezer')), setup({ placeId: null }), 'mousse')).toMatchObject({
      ok: false,
      fault: { says: expect.stringContaining('no fridge') },
    });
  });
});

describe('the wall of a vessel', () => {
  const vessel = (kind: Vessel['kind']): Vessel => ({ kind }) as Vessel;
  it('is that of its kind until the cook says: glass for glasses, plastic for tubs, none for what stands free, else what is set', () => {
    expect(wallOfVessel(vessel('glass'), setup({ wall: 'steel', wallMm: 0.6 }))).toEqual({ wall: 'glass', wallMm: 3 });
    expect(wallOfVessel(vessel('tub'), setup({ wall: 'steel', wallMm: 0.6 }))).toEqual({ wall: 'plastic', wallMm: 1.5 });
    expect(wallOfVessel(vessel('free'), setup({ wall: 'ceramic', wallMm: 5 }))).toEqual({ wall: 'none', wallMm: 0 });
    expect(wallOfVessel(vessel('tray'), setup({ wall: 'steel', wallMm: 0.6 }))).toEqual({ wall: 'steel', wallMm: 0.6 });
    expect(wallOfVessel(vessel('glass'), setup({ wall: 'ceramic', wallMm: 4 }))).toEqual({ wall: 'ceramic', wallMm: 4 });
  });
});
