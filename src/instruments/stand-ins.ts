import { z } from 'zod';
import { WhiskInputSchema } from '../core/foam/inputs';
import { whip, type Whip } from '../core/foam/whisk';
import { fail, ok, type Result } from '../core/result';
import { freshProbe, probeSays, stickInto, type ProbeBench } from './probe';
import { freshScale, putOn, scaleSays, tare, type ScaleBench } from './scale';
import { LOAD_HZ, loadSample, usualBench, type LoadBench } from './whisk-load';
import type { InstrumentLine } from './wire';

/** The stand-ins of a kitchen: one scale, two probes, the load of one mixer's motor. */
export interface StandIns {
  /** How much quicker than forecast the next cream goes that is whisked at this stand-in. */
  readonly pace: number;
  readonly scale: ScaleBench;
  readonly probes: readonly ProbeBench[];
  /** Null until a whisk is switched on. */
  readonly load: {
    readonly bench: LoadBench;
    readonly startedAt: number;
    readonly stoppedAt: number | null;
    readonly slowAt: number | null;
    readonly silent: boolean;
  } | null;
}

export const freshStandIns = (now: number): StandIns => ({
  pace: 1.1,
  scale: freshScale(now),
  probes: [freshProbe('stand-in-probe-1', 'probe 1', 20, now), freshProbe('stand-in-probe-2', 'probe 2', 4, now)],
  load: null,
});

/** What a hand does to the stand-ins. */
export const StandInActSchema = z.discriminatedUnion('act', [
  z.object({ act: z.literal('put-on'), grams: z.number().min(-5000).max(50_000) }),
  z.object({ act: z.literal('tare') }),
  z.object({
    act: z.literal('scale'),
    unit: z.enum(['g', 'oz']).optional(),
    driftGPerMin: z.number().min(-50).max(50).optional(),
    silent: z.boolean().optional(),
  }),
  z.object({
    act: z.literal('stick'),
    probe: z.number().int().min(0).max(1),
    tC: z.number().min(-40).max(200),
    perMin: z.number().min(-100).max(100).default(0),
    untilC: z.number().min(-40).max(200).optional(),
  }),
  z.object({
    act: z.literal('probe'),
    probe: z.number().int().min(0).max(1),
    name: z.string().trim().min(1).max(60).optional(),
    offC: z.number().min(-20).max(20).optional(),
    silent: z.boolean().optional(),
  }),
  z.object({
    act: z.literal('whisk-on'),
    input: WhiskInputSchema,
    seed: z.number().int().min(0).max(4_294_967_295).optional(),
    startedAt: z.number().optional(),
  }),
  z.object({ act: z.literal('pace'), pace: z.number().min(0.4).max(2.5) }),
  z.object({ act: z.literal('whisk-again'), startedAt: z.number() }),
  z.object({ act: z.literal('whisk-slow') }),
  z.object({ act: z.literal('whisk-off') }),
  z.object({ act: z.literal('load'), silent: z.boolean().optional(), zero: z.number().min(-500).max(500).optional() }),
]);
export type StandInAct = z.infer<typeof StandInActSchema>;

/** The stand-ins after a hand has done something. @returns a fault where a cream cannot be whisked, or no whisk is on. */
export function afterAct(s: StandIns, a: StandInAct, now: number): Result<StandIns> {
  switch (a.act) {
    case 'put-on':
      return ok({ ...s, scale: putOn(s.scale, a.grams, now) });
    case 'tare':
      return ok({ ...s, scale: tare(s.scale, now) });
    case 'scale':
      return ok({
        ...s,
        scale: {
          ...s.scale,
          unit: a.unit ?? s.scale.unit,
          silent: a.silent ?? s.scale.silent,
          ...(a.driftGPerMin === undefined ? {} : { driftGPerMin: a.driftGPerMin, driftFrom: now }),
        },
      });
    case 'stick':
      return ok({ ...s, probes: s.probes.map((p, i) => (i === a.probe ? stickInto(p, a.tC, a.perMin, a.untilC ?? a.tC, now) : p)) });
    case 'probe':
      return ok({
        ...s,
        probes: s.probes.map((p, i) => (i === a.probe ? { ...p, name: a.name ?? p.name, offC: a.offC ?? p.offC, silent: a.silent ?? p.silent } : p)),
      });
    case 'whisk-on': {
      const whipped = whip(a.input);
      if (!whipped.ok) return whipped;
      return ok({
        ...s,
        load: {
          bench: usualBench(alongFast(whipped.value), s.pace, a.seed ?? Math.floor(now) % 4_294_967_295),
          startedAt: a.startedAt ?? now,
          stoppedAt: null,
          slowAt: null,
          silent: false,
        },
      });
    }
    case 'whisk-again':
      return s.load ? ok({ ...s, load: { ...s.load, startedAt: a.startedAt, stoppedAt: null } }) : noWhisk();
    case 'pace':
      return ok({ ...s, pace: a.pace });
    case 'whisk-slow':
      return s.load && s.load.stoppedAt === null ? ok({ ...s, load: { ...s.load, slowAt: s.load.slowAt ?? now } }) : noWhisk();
    case 'whisk-off':
      return s.load ? ok({ ...s, load: { ...s.load, stoppedAt: s.load.stoppedAt ?? now } }) : noWhisk();
    case 'load':
      return s.load
        ? ok({ ...s, load: { ...s.load, silent: a.silent ?? s.load.silent, bench: { ...s.load.bench, zero: a.zero ?? s.load.bench.zero } } })
        : noWhisk();
  }
}

const noWhisk = (): Result<never> => fail('whisk', 'off', 'No whisk is on: switch one on at Live or on Pass first.');

/** The stand-in's cream knows no plan: it stays on fast until a hand drops the speed. */
const alongFast = (w: Whip): Whip => ({ ...w, lateRatePerS: w.ratePerS });

/** How much of the motor's work is left on slow, and how much of the network's rate. */
const ON_SLOW = { load: 0.72, rate: 0.4 };

/** What a page that comes late is still told of the past, and after what time a whisk that was left on goes off by itself, ms. */
export const REPLAY_MS = 15 * 60_000;
export const LEFT_ON_MS = 60 * 60_000;

/** Every line that the stand-ins say in (from, to], oldest first: of the last quarter of an hour at the most. */
export function standInsSay(s: StandIns, from: number, to: number): readonly InstrumentLine[] {
  const lines: InstrumentLine[] = [];
  const scale = scaleSays(s.scale, to);
  if (scale) lines.push(scale);
  for (const p of s.probes) {
    const says = probeSays(p, to);
    if (says) lines.push(says);
  }
  const { load } = s;
  if (load && !load.silent) {
    const stop = Math.min(to, load.stoppedAt ?? to, load.startedAt + LEFT_ON_MS);
    const since = Math.max(from, to - REPLAY_MS);
    const step = 1000 / LOAD_HZ;
    for (let i = Math.max(0, Math.floor((since - load.startedAt) / step) + 1); load.startedAt + i * step <= stop; i++) {
      const at = load.startedAt + i * step;
      const slowS = load.slowAt === null || at <= load.slowAt ? 0 : (at - load.slowAt) / 1000;
      // On slow the cream ages more slowly and the motor works less.
      const sample = loadSample(load.bench, i, slowS * (1 - ON_SLOW.rate));
      if (sample)
        lines.push({
          instrument: 'load',
          id: 'stand-in-load',
          name: 'whisk',
          unit: '%',
          value: Math.round(10 * (slowS > 0 ? load.bench.zero + ON_SLOW.load * (sample.load - load.bench.zero) : sample.load)) / 10,
          at,
        });
    }
  }
  return lines.sort((a, b) => a.at - b.at);
}
