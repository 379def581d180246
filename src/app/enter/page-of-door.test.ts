import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doorPage, wayOn } from './page-of-door';

describe('the page at the door', () => {
  it('goes on to a path of this kitchen and nowhere else', () => {
    for (const to of ['/log', '/sheet/x/bench?tab=1#a', '/']) expect(wayOn(to)).toBe(to);
    for (const to of [
      '',
      'log',
      '//elsewhere.example',
      '/\\elsewhere.example',
      'https://elsewhere.example',
      '/enter?to=/enter',
      '/a\nset-cookie: x',
      `/${'a'.repeat(2000)}`,
    ])
      expect(wayOn(to)).toBe('/');
  });
  it('shows what was typed as text, whatever it is', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (name, says) => {
        const bare = doorPage({ to: '/', name: '', given: '', says: '' });
        const page = doorPage({ to: '/', name: `${name}"><script>`, given: '', says });
        expect(page).not.toContain('<script');
        expect(page.split('<').length - bare.split('<').length).toBe(0);
      }),
    );
  });
  it('asks for no file of the kitchen', () => {
    expect(doorPage({ to: '/', name: '', given: '', says: '' })).not.toMatch(/src=|href=|_next/);
  });
});
