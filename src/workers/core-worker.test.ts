import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const source = readFileSync('src/workers/core.worker.ts', 'utf8');

describe('the worker', () => {
  it('brings no part of the core before it is asked for it: what stands above is types, and how a fault is made', () => {
    const first = [...source.matchAll(/^import (type )?.* from '(.+)';$/gm)];
    expect(first.length).toBeGreaterThan(10);
    expect(first.filter((m) => m[1] === undefined).map((m) => m[2])).toEqual(['comlink', '../core/result']);
  });
  it('answers of the cold and of services are files of their own', () => {
    const later = [...source.matchAll(/import\('(.+?)'\)/g)].map((m) => m[1]);
    expect(new Set(later)).toEqual(
      new Set([
        './cold-answers',
        './service-answers',
        '../core/calculators/building',
        '../core/calculators/balance',
        '../core/calculators/define',
        '../core/kitchen/kitchen',
        '../core/rewrite/sweep',
      ]),
    );
  });
});
