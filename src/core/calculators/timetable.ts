import { z } from 'zod';
import { ok } from '../result';
import { planProject } from '../timetable/plan';
import { define } from './define';

const id = z.string().min(1).max(200);
const minute = z.number().int().min(-1e9).max(1e9);
const UseSchema = z.object({ pool: id, amount: z.number().min(0).max(1e6), setting: z.string().max(40).optional() });
const HeldSchema = z.array(z.tuple([minute, minute])).max(2000);

const without = <T extends { setting?: string | undefined }>(u: T): Omit<T, 'setting'> & { setting?: string } => {
  const { setting, ...rest } = u;
  return setting === undefined ? rest : { ...rest, setting };
};

export const timetableCalculator = define({
  name: 'timetable',
  answers:
    'Tasks planned backwards from what has a fixed time: when each begins as late as it can, on what, and the lead against the shortest that any plan can have.',
  input: z.object({
    /** Nothing begins before it, min. */
    from: minute.default(0),
    tasks: z
      .array(
        z.object({
          id,
          name: z.string().max(200).default(''),
          minutes: z.number().int().min(0).max(100_000),
          notBefore: minute.nullable().default(null),
          at: minute.nullable().default(null),
          oneOf: z.array(z.array(id).max(50)).max(5).default([]),
          uses: z.array(UseSchema).max(20).default([]),
        }),
      )
      .min(1)
      .max(400),
    gaps: z
      .array(
        z.object({
          from: id,
          to: id,
          min: z.number().int().min(0).max(1e6).default(0),
          max: z.number().int().min(0).max(1e6).nullable().default(null),
          says: z.string().max(200).default(''),
        }),
      )
      .max(2000)
      .default([]),
    stays: z
      .array(z.object({ from: id, until: id, use: UseSchema }))
      .max(400)
      .default([]),
    machines: z
      .array(z.object({ id, name: z.string().max(80).default(''), open: HeldSchema.nullable().default(null) }))
      .max(60)
      .default([]),
    pools: z
      .array(z.object({ id, name: z.string().max(80).default(''), capacity: z.number().min(0).max(1e6), unit: z.string().max(20).default('') }))
      .max(60)
      .default([]),
    goals: z
      .array(z.object({ serve: id, tasks: z.array(id).max(400) }))
      .max(60)
      .default([]),
  }),
  output: z.object({
    /** By task; empty where there is no plan. */
    starts: z.record(z.string(), z.object({ start: z.number().int(), machines: z.array(z.string()) })),
    leads: z.array(z.object({ serve: z.string(), minutes: z.number(), atLeast: z.number() })),
    proved: z.boolean(),
    /** Why there is no plan; null where there is one. */
    impossible: z.object({ kind: z.enum(['bad', 'circle', 'clash', 'stuck']), tasks: z.array(z.string()) }).nullable(),
  }),
  run: (ask) => {
    const project = {
      ...ask,
      tasks: ask.tasks.map((t) => ({ ...t, name: t.name || t.id, uses: t.uses.map(without) })),
      stays: ask.stays.map((s) => ({ ...s, use: without(s.use) })),
    };
    const planned = planProject(project);
    if (!planned.ok) return planned;
    if (!planned.value.ok) {
      const { why } = planned.value;
      const tasks = why.kind === 'bad' ? [why.task] : why.kind === 'circle' ? why.tasks : why.kind === 'clash' ? [why.clash.task] : [why.stuck.task];
      return ok({ starts: {}, leads: [], proved: why.kind !== 'stuck', impossible: { kind: why.kind, tasks: tasks.map((i) => ask.tasks[i]?.id ?? '') } });
    }
    const { plan } = planned.value;
    return ok({
      starts: Object.fromEntries(plan.placed.map((p, i) => [ask.tasks[i]!.id, { start: p.start, machines: [...p.machines] }])),
      leads: plan.leads.map((l, i) => ({ serve: ask.goals[i]?.serve ?? '', ...l })),
      proved: plan.proved,
      impossible: null,
    });
  },
});
