import { describe, expect, it } from 'vitest';
import { freshId, freshUuid, sendingIds } from './fresh-id';

describe('ids made in a browser', () => {
  it('are UUIDs of version 4, and never the same', () => {
    const many = Array.from({ length: 500 }, freshUuid);
    for (const id of many) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(new Set(many).size).toBe(500);
    expect(new Set(Array.from({ length: 500 }, freshId)).size).toBe(500);
  });
  it('of what is sent stay while the same is sent again, and are new for other words and after it arrived', () => {
    const ids = sendingIds();
    const first = ids.of('5 g weep');
    expect(ids.of('5 g weep')).toBe(first);
    const second = ids.of('6 g weep');
    expect(second).not.toBe(first);
    ids.arrived();
    expect(ids.of('6 g weep')).not.toBe(second);
  });
});
