import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { allChecks, checksPage } from './checks';
import { modelPages, scienceFiles } from './models';

const FOLDER = 'docs/science';

describe('published and analytic checks', () => {
  it.each(allChecks().map((c) => [c.of, c] as const))('%s', (_, c) => expect(Math.abs(c.computed - c.expected)).toBeLessThanOrEqual(c.within));
});

describe('docs/science', () => {
  it('is what the code writes: run npm run science', () => {
    const files = scienceFiles(checksPage());
    expect(readdirSync(FOLDER).sort()).toEqual([...files.keys()].sort());
    for (const [name, text] of files) expect([name, readFileSync(`${FOLDER}/${name}`, 'utf8') === text]).toEqual([name, true]);
  });
  it('draws every curve from finite numbers', () => {
    for (const p of modelPages()) {
      expect(p.picture).not.toMatch(/NaN|Infinity|undefined/);
      expect(p.picture.match(/<path/g)!.length).toBeGreaterThan(0);
    }
  });
});
