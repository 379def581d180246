import { z } from 'zod';
import { declarations } from '../files/tub-label';
import { matcherFor, type Matcher } from '../measures/match';
import { CUP_SYSTEM_KEYS } from '../measures/units';
import { readRecipe, type Reading } from '../reading/read';
import { readingToSheet } from '../reading/to-sheet';
import { LONGEST_TEXT } from '../reading/rows';
import { ok } from '../result';
import { analyseSheet } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { PART_KINDS, STEP_MACHINES, STEP_WORKS, USES } from '../document/kinds';
import type { Sheet } from '../document/schema';
import { newDishCache } from '../timetable/dish';
import { planService } from '../timetable/service-plan';
import { EMPTY_SERVICE } from '../timetable/usual';
import { DAILY } from '../kitchen/usual-crew';
import { minuteOf } from '../timetable/zone';
import { define } from './define';

const span = z.tuple([z.number(), z.number()]).nullable();

/** Served at seven in the evening, one cook from seven in the morning to eleven at night, a fortnight before it. */
const SERVED_AT = '2026-06-19T19:00';
const FROM = '2026-06-05T07:00';
const ONE_COOK = { id: 'cook', name: 'Cook', hours: [{ days: DAILY, from: '07:00', to: '23:00' }] };

/** A recipe in any form to parts, lines, steps, what the sheet starts with, a plan and a label: the same reader that Paste uses. */
export const readRecipeCalculator = define({
  name: 'read-recipe',
  answers: 'What a written or told recipe becomes: parts, lines in grams, steps in order, vessel, plan and label.',
  input: z.object({
    text: z.string().max(LONGEST_TEXT),
    cups: z.enum(['auto', ...CUP_SYSTEM_KEYS]).default('auto'),
    /** Whose larder, vessels and mixers. */
    kitchen: z.enum(['starting', 'gannet-quay']).default('starting'),
  }),
  output: z.object({
    title: z.string(),
    portions: z.object({ low: z.number(), high: z.number() }).nullable(),
    cups: z.enum(CUP_SYSTEM_KEYS),
    parts: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        kind: z.enum(PART_KINDS),
        stage: z.enum(['soft', 'medium', 'firm']).nullable(),
        takes: z.array(z.object({ part: z.string(), share: z.number() })),
      }),
    ),
    lines: z.array(
      z.object({
        text: z.string(),
        part: z.string(),
        ingredient: z.string().nullable(),
        grams: z.number().nullable(),
        step: z.number().int().nullable(),
        sure: z.boolean(),
      }),
    ),
    steps: z.array(
      z.object({
        text: z.string(),
        part: z.string().nullable(),
        work: z.enum(STEP_WORKS),
        minutes: span,
        temperature: z.object({ c: z.number(), of: z.enum(['oven', 'mix']) }).nullable(),
        lines: z.array(z.number().int()),
        machine: z.enum(STEP_MACHINES).nullable(),
      }),
    ),
    vessel: z
      .object({
        shape: z.string(),
        acrossMm: z.number().optional(),
        lengthMm: z.number().optional(),
        widthMm: z.number().optional(),
        heightMm: z.number().optional(),
        eachMl: z.number().optional(),
        count: z.number(),
      })
      .nullable(),
    mixer: z.enum(['planetary', 'hand-mixer', 'balloon-whisk', 'processor']).nullable(),
    use: z.enum(USES).nullable(),
    unread: z.array(z.string()),
    doubts: z.array(z.object({ about: z.string(), says: z.string() })),
    plan: z.array(z.object({ step: z.number().int(), startMin: z.number(), endMin: z.number() })),
    label: z.object({ rawEgg: z.boolean(), keepsH: z.number(), allergens: z.array(z.string()), alcoholNotForChildren: z.boolean() }),
  }),
  run: ({ text, cups, kitchen: name }, kitchens) => {
    const kitchen = kitchens(name);
    const context = { larder: kitchen.larder, matcher: matcherOf(kitchen), measures: { cups: kitchen.rules.cups, eggs: kitchen.rules.eggs } };
    const read = readRecipe(text, context, { cups });
    if (!read.ok) return read;
    const r = read.value;
    let n = 0;
    const { sheet, stepIds } = readingToSheet(r, { context, mixers: kitchen.mixers, vessels: kitchen.vessels, newId: () => `r${n++}` });
    const analysis = analyseSheet(sheet, kitchen);
    return ok({
      title: r.title,
      portions: r.portions,
      cups: r.cups.system,
      parts: r.parts.map((p) => ({ id: p.id, name: p.name, kind: p.kind, stage: p.stage, takes: p.takes.map((t) => ({ part: t.part, share: t.share })) })),
      lines: r.lines.map((l) => ({
        text: l.draft.text === l.draft.written || l.draft.text === '' ? l.draft.written : `${l.draft.text} (${l.draft.written})`,
        part: l.part,
        ingredient: l.draft.ingredient?.id ?? null,
        grams: l.draft.grams === null ? null : Math.round(l.draft.grams * 100) / 100,
        step: l.step,
        sure: l.sure,
      })),
      steps: r.steps.map((s) => ({
        text: s.text,
        part: s.part,
        work: s.work,
        minutes: s.minutes ? ([s.minutes[0], s.minutes[1]] as [number, number]) : null,
        temperature: s.temperature,
        lines: [...s.lines],
        machine: s.machine,
      })),
      vessel: r.vessel ? sizesOf(r.vessel) : null,
      mixer: r.mixer,
      use: r.use,
      unread: [...r.unread],
      doubts: r.doubts.map((d) => ({ about: d.about, says: d.says })),
      plan: planOf(sheet, stepIds, kitchen),
      label: labelOf(analysis),
    });
  },
});

function sizesOf(v: NonNullable<Reading['vessel']>) {
  const { shape, count } = v;
  return {
    shape,
    count,
    ...Object.fromEntries((['acrossMm', 'lengthMm', 'widthMm', 'heightMm', 'eachMl'] as const).flatMap((k) => (v[k] === undefined ? [] : [[k, v[k]]]))),
  };
}

const matchers = new WeakMap<Kitchen, Matcher>();
function matcherOf(kitchen: Kitchen): Matcher {
  const known = matchers.get(kitchen) ?? matcherFor([...kitchen.larder.values()]);
  matchers.set(kitchen, known);
  return known;
}

/** Minutes of each step before serving, by Clock's planner; empty where it finds no plan. */
function planOf(sheet: Sheet, stepIds: readonly string[], kitchen: Kitchen) {
  const zone = 'UTC';
  const service = {
    ...EMPTY_SERVICE,
    name: 'Read',
    zone,
    crew: [ONE_COOK],
    servings: [{ id: 's', sheetId: 'x', at: SERVED_AT, portions: sheet.portions, vessel: null, placeId: null, batchId: null }],
  };
  const planned = planService({ service, kitchen, sheets: new Map([['x', sheet]]), batches: new Map(), now: minuteOf(FROM, zone) }, newDishCache(), 'quick');
  if (!planned.ok || !planned.value.ok) return [];
  const served = minuteOf(SERVED_AT, zone);
  return planned.value.plan.tasks.flatMap((t) => {
    const step = t.stepId === null ? -1 : stepIds.indexOf(t.stepId);
    return step < 0 ? [] : [{ step, startMin: t.start - served, endMin: t.end - served }];
  });
}

function labelOf(a: SheetAnalysis) {
  return {
    rawEgg: a.keeping.rawEgg,
    keepsH: a.keeping.eatByH,
    allergens: [...new Set(a.parts.flatMap((p) => p.reading.allergens))].sort(),
    alcoholNotForChildren: declarations(a).some((d) => d.startsWith('Alcohol')),
  };
}
