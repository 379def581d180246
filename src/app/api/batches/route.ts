import { NextResponse } from 'next/server';
import { z } from 'zod';
import { kitchenOf } from '../../../core/kitchen/kitchen';
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
import { MadeIdSchema, readBody, refuse, withKitchen } from '../answers';

const StartSchema = z.object({
  id: MadeIdSchema.optional(),
  sheetId: z.string().min(1).max(80),
  version: z.number().int().positive().optional(),
  portions: z.number().int().optional(),
  serving: z.object({ serviceId: z.string().min(1).max(80), servingId: z.string().min(1).max(60) }).optional(),
});

/** Starts a batch of a version of a sheet, at a scale: its steps and forecast are frozen with it. Twice with one id it is one batch. */
export async function POST(request: Request) {
  const body = await readBody(request, StartSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const { id = crypto.randomUUID(), sheetId, version, portions, serving: of } = body.value;
    // An answer that was lost is asked for again: the batch is there already.
    if (getBatch(db, id)) return NextResponse.json({ id }, { status: 200 });
    if (of) return startServing(db, of.serviceId, of.servingId);
    const sheet = getSheet(db, sheetId);
    if (!sheet) return refuse(404, 'This sheet is no longer in the kitchen.');
    const doc = version === undefined || version === sheet.version ? sheet.doc : getSheetVersion(db, sheetId, version);
    if (!doc) return refuse(404, `Version ${version} is no longer in the kitchen.`);
    const scaled = scaleToPortions(doc, portions ?? doc.portions);
    if (!scaled.ok) return refuse(422, scaled.fault.says);
    const kitchen = kitchenOf(readKitchenFacts(db));
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
    return NextResponse.json({ id: batch.id }, { status: 201 });
  });
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
