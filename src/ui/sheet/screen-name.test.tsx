// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

/** The page comes anew: the module is loaded again, the tab's store stays. */
async function page(): Promise<{ readonly name: string; readonly count: () => number }> {
  vi.resetModules();
  const { screenName, nextCount } = await import('./screen-name');
  return { name: screenName(), count: nextCount };
}
const leaves = (): void => void window.dispatchEvent(new Event('pagehide'));

describe('the name of a screen', () => {
  beforeEach(() => sessionStorage.clear());
  afterEach(() => vi.restoreAllMocks());
  it('stays through a reload, with a count that goes on', async () => {
    const first = await page();
    expect([first.count(), first.count()]).toEqual([1, 2]);
    leaves();
    const again = await page();
    expect(again.name).toBe(first.name);
    expect(again.count()).toBe(3);
  });
  it('is another one in a copied tab, which has the store of a page that is still there', async () => {
    const first = await page();
    first.count();
    const copy = await page();
    expect(copy.name).not.toBe(first.name);
    expect(copy.count()).toBe(1);
  });
  it('is its own again when the browser brings the page back as it was', async () => {
    const first = await page();
    leaves();
    window.dispatchEvent(new Event('pageshow'));
    // Copied now, the copy is no other's.
    expect((await page()).name).not.toBe(first.name);
  });
  it('without a store is of this page alone, never one for all', async () => {
    vi.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new Error('refused');
    });
    const [a, b] = [await page(), await page()];
    expect(a.name).not.toBe(b.name);
    expect(a.name).toMatch(/^[0-9a-f-]{36}$/);
    expect([a.count(), a.count()]).toEqual([1, 2]);
  });
});
