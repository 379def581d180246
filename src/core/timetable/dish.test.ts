import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { analyseSheet } from '../analysis/analyse';
import { capacityMl, isPerPortion } from '../vessel/profile';
import { servedSheet } from './dish';

const served = (id: string, portions: number, change: object = {}) => {
  const sheet = { ...SHEETS.get(id)!, ...change };
  const out = servedSheet(sheet, { portions, vessel: null, placeId: null }, GANNET_QUAY);
  if (!out.ok) throw new Error(out.fault.says);
  return { sheet, out: out.value };
};

describe('the vessels of a dessert as it is served', () => {
  const id = [...SHEETS].find(([, s]) => !isPerPortion(s.vessel) && s.tin.also.length === 0)![0];
  const own = SHEETS.get(id)!;
  it('are as many as Tin says at its own size, however full they are', () => {
    for (const count of [1, 3, 5]) expect(served(id, own.portions, { tin: { ...own.tin, count } }).out.tin.count).toBe(count);
  });
  it('are as many more as more portions fill', () => {
    const { out } = served(id, own.portions * 4);
    const volume = analyseSheet({ ...out, tin: { ...out.tin, count: 1, layers: null } }, GANNET_QUAY).volumeMl;
    if (!volume.ok) throw new Error(volume.fault.says);
    expect(out.tin.count).toBeGreaterThanOrEqual(2);
    expect(out.tin.count).toBe(Math.ceil(volume.value / (Math.max(capacityMl(out.vessel), volume.value / 4 / own.tin.count) * 1.02)));
  });
  it('of another name are as many as hold it', () => {
    const small = GANNET_QUAY.vessels.filter((v) => !isPerPortion(v.vessel)).sort((a, b) => capacityMl(a.vessel) - capacityMl(b.vessel))[0]!;
    const out = servedSheet(own, { portions: own.portions, vessel: small.vessel.name, placeId: null }, GANNET_QUAY);
    if (!out.ok) throw new Error(out.fault.says);
    const volume = analyseSheet({ ...out.value, tin: { ...out.value.tin, count: 1, layers: null } }, GANNET_QUAY).volumeMl;
    expect(volume.ok && out.value.tin.count * capacityMl(small.vessel) * 1.02).toBeGreaterThanOrEqual(volume.ok ? volume.value : Infinity);
    expect(servedSheet(own, { portions: own.portions, vessel: 'No such tin', placeId: null }, GANNET_QUAY)).toMatchObject({
      ok: false,
      fault: { field: 'vessel' },
    });
  });
});
