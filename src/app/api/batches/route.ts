import { NextResponse } from 'next/server';
import { z } from 'zod';
import { kitchenOf } from '../../../core/sheet/analyse';
import { batchPlan } from '../../../core/sheet/make-batch';
import { startBatch } from '../../../data/batches';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getSheet } from '../../../data/sheets';
import { readBody, refuse, withKitchen } from '../answers';

const StartSchema = z.object({ sheetId: z.string().min(1).max(80) });

/** Starts a batch of a sheet as it stands now: its steps and forecast are frozen with the version. */
export async function POST(request: Request) {
  const body = await readBody(request, StartSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const sheet = getSheet(db, body.value.sheetId);
    if (!sheet) return refuse(404, 'This sheet is no longer in the kitchen.');
    const plan = batchPlan(sheet.doc, kitchenOf(readKitchenFacts(db)));
    if (!plan.ok) return refuse(422, plan.fault.says);
    const batch = startBatch(db, {
      id: crypto.randomUUID(),
      sheetId: sheet.id,
      sheetVersion: sheet.version,
      portions: sheet.doc.portions,
      plan: plan.value,
      startedAt: Date.now(),
    });
    return NextResponse.json({ id: batch.id }, { status: 201 });
  });
}
