import { spawnSync } from 'node:child_process';
import { CALCULATORS } from './core/calculators';
import { describe, expect, it } from 'vitest';

const calc = (args: readonly string[], input = '') => spawnSync('node_modules/.bin/tsx', ['scripts/calc.ts', ...args], { input, encoding: 'utf8' });

describe('the calc command', () => {
  it('lists the calculators, a line each', () => {
    const { stdout, status } = calc(['--list']);
    expect(status).toBe(0);
    expect(
      stdout
        .trim()
        .split('\n')
        .map((l) => l.split('\t')[0]),
    ).toEqual(Object.keys(CALCULATORS));
  });
  it('shows a schema that says what it needs', () => {
    const schema = JSON.parse(calc(['--schema', 'fat-blend']).stdout) as { input: { required: string[] } };
    expect(schema.input.required).toEqual(['targetPct', 'aPct', 'bPct', 'totalG']);
  });
  it('answers on standard output, faults on standard error with status 1', () => {
    const good = calc(['overrun'], '{"liquidG":120,"foamG":60}');
    expect(JSON.parse(good.stdout)).toEqual({ overrunPct: 100, airVolumeShare: 0.5 });
    const bad = calc(['overrun'], '{"liquidG":60,"foamG":120}');
    expect([bad.status, bad.stdout]).toEqual([1, '']);
    expect(bad.stderr).toContain('tared');
  });
  it.each([
    [['butter'], ''],
    [[], ''],
    [['overrun'], '{'],
    [['--schema', 'butter'], ''],
  ])('wrong use %j is said with status 2', (args, input) => {
    const r = calc(args, input);
    expect(r.status).toBe(2);
    expect(r.stderr.length).toBeGreaterThan(10);
  });
});
