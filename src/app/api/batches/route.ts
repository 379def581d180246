import { NextResponse } from 'next/server';
import { z } from 'zod';
import type { Sheet } from '../../../core/document/schema';
import { kitchenOf, type Kitchen } from '../../../core/kitchen/kitchen';
import { sheetAt } from '../../../core/trials/axes';
import { analyseSheet } from '../../../core/analysis/analyse';
import { readyHours } from '../../../core/cold/hours';
import { fitBowlfuls } from '../../../core/analysis/fit-bowlfuls';
import { batchPlan } from '../../../core/batch/make-batch';
import { scaleToPortions } from '../../../core/rewrite/scale';
import { servedSheet } from '../../../core/timetable/dish';
import { getBatch, startBatch } from '../../../data/batches';
import type { KitchenDb } from '../../../data/kitchen-file';
import { getService, setServingBatch } from '../../../data/services';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getSheet, getSheetVersion } from '../../../data/sheets';
import { addTrialEvent, getSeries } from '../../../data/trials';
import { MadeIdSchema, readBody, refuse, withKitchen } from '../answers';

const StartSchema = z.object({
  id: MadeIdSchema.optional(),
  sheetId: z.string().min(1).max(80),
  version: z.number().int().positive().optional(),
  portions: z.number().int().optional(),
  /** A trial of a series: the sheet at its point. */
  trial: z.object({ seriesId: z.string().min(8).max(64), code: z.string().max(2) }).optional(),
  serving: z.object({ serviceId: z.string().min(1).max(80), servingId: z.string().min(1).max(60) }).optional(),
});

/** Starts a batch of a version of a sheet, at a scale: its steps and forecast are frozen with it. Twice with one id it is one batch. */
export async function POST(request: Request) {
  const body = await readBody(request, StartSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const { id = crypto.randomUUID(), sheetId, version, portions, serving: of, trial } = body.value;
    // An answer that was lost is asked for again: the batch is there already.
    if (getBatch(db, id)) return NextResponse.json({ id }, { status: 200 });
    if (of) return startServing(db, of.serviceId, of.servingId);
    const sheet = getSheet(db, sheetId);
    if (!sheet) return refuse(404, 'This sheet is no longer in the kitchen.');
    const kitchen = kitchenOf(readKitchenFacts(db));
    const tried = trial && trialDoc(db, kitchen, trial);
    if (trial && !tried) return refuse(404, 'This trial is no longer in the kitchen.');
    const doc = tried ?? (version === undefined || version === sheet.version ? sheet.doc : getSheetVersion(db, sheetId, version));
    if (!doc) return refuse(404, `Version ${version} is no longer in the kitchen.`);
    const scaled = scaleToPortions(doc, portions ?? doc.portions);
    if (!scaled.ok) return refuse(422, scaled.fault.says);
    // A larger batch than the sheet is written for may need more bowlfuls.
    const fitting = scaled.value.portions > doc.portions ? fitBowlfuls(scaled.value, kitchen) : scaled.value;
    const plan = batchPlan(fitting, kitchen, scaled.value.portions / doc.portions, readyHours(analyseSheet(fitting, kitchen), kitchen));
    if (!plan.ok) return refuse(422, plan.fault.says);
    const batch = startBatch(db, {
      id,
      sheetId,
      sheetVersion: version ?? sheet.version,
      portions: scaled.value.portions,
      plan: plan.value,
      startedAt: Date.now(),
    });
    if (trial)
      addTrialEvent(db, sheetId, { id: `made-${batch.id}`, seriesId: trial.seriesId, says: { kind: 'made', code: trial.code, batchId: batch.id } }, Date.now());
    return NextResponse.json({ id: batch.id }, { status: 201 });
  });
}

/** The sheet at a trial's point, called by its code; null where there is no such trial. */
function trialDoc(db: KitchenDb, kitchen: Kitchen, { seriesId, code }: { readonly seriesId: string; readonly code: string }): Sheet | null {
  const series = getSeries(db, seriesId);
  const trial = series?.trials.find((t) => t.code === code);
  if (!series || !trial) return null;
  const doc = sheetAt(series.sheet, kitchen, series.axes, trial.point);
  return { ...doc, name: `${doc.name.slice(0, 105)}, trial ${code}` };
}

/** Starts the batch of a serving: at its size, in its vessel and place; the plan follows it from then on. */
function startServing(db: KitchenDb, serviceId: string, servingId: string) {
  const service = getService(db, serviceId);
  const serving = service?.doc.servings.find((s) => s.id === servingId);
  if (!serving) return refuse(404, 'This serving is no longer in the service.');
  // Another tablet was quicker: its batch is the one.
  const there = serving.batchId ? getBatch(db, serving.batchId) : null;
  if (there && there.status !== 'abandoned') return NextResponse.json({ id: there.id }, { status: 200 });
  const sheet = getSheet(db, serving.sheetId);
  if (!sheet) return refuse(404, 'Its sheet is no longer in the kitchen.');
  const kitchen = kitchenOf(readKitchenFacts(db));
  const served = servedSheet(sheet.doc, serving, kitchen);
  if (!served.ok) return refuse(422, served.fault.says);
  const plan = batchPlan(served.value, kitchen, serving.portions / sheet.doc.portions, readyHours(analyseSheet(served.value, kitchen), kitchen));
  if (!plan.ok) return refuse(422, plan.fault.says);
  const now = Date.now();
  const batch = startBatch(db, {
    id: crypto.randomUUID(),
    sheetId: serving.sheetId,
    sheetVersion: sheet.version,
    portions: serving.portions,
    plan: plan.value,
    startedAt: now,
  });
  setServingBatch(db, serviceId, servingId, batch.id, now);
  return NextResponse.json({ id: batch.id }, { status: 201 });
}
