import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { whileShown } from './while-shown';

let shown: 'visible' | 'hidden';
let heard: (() => void) | null;
const to = (state: typeof shown): void => {
  shown = state;
  heard?.();
};
beforeEach(() => {
  shown = 'visible';
  heard = null;
  vi.stubGlobal('document', {
    get visibilityState() {
      return shown;
    },
    addEventListener: (_: string, f: () => void) => (heard = f),
    removeEventListener: () => (heard = null),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('what is open only while its page is on screen', () => {
  const line = (also?: () => boolean) => {
    let open = 0;
    let opened = 0;
    const end = whileShown(() => {
      open++;
      opened++;
      return () => void open--;
    }, also);
    return { open: () => open, opened: () => opened, end };
  };
  it('closes behind another tab and opens again in front, once each', () => {
    const l = line();
    expect(l.open()).toBe(1);
    to('hidden');
    to('hidden');
    expect(l.open()).toBe(0);
    to('visible');
    to('visible');
    expect(l.open()).toBe(1);
    expect(l.opened()).toBe(2);
    l.end();
    expect(l.open()).toBe(0);
    expect(heard).toBeNull();
  });
  it('a page that comes up behind opens nothing until it is looked at', () => {
    shown = 'hidden';
    const l = line();
    expect(l.open()).toBe(0);
    to('visible');
    expect(l.open()).toBe(1);
  });
  it('stays open behind as long as somebody needs it', () => {
    let needed = true;
    const l = line(() => needed);
    to('hidden');
    expect(l.open()).toBe(1);
    needed = false;
    to('hidden');
    expect(l.open()).toBe(0);
  });
});
