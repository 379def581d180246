import { NextResponse } from 'next/server';
import { z } from 'zod';
import { NewTrialEventSchema } from '../../../core/trials/series';
import { getSheet } from '../../../data/sheets';
import { addTrialEvent } from '../../../data/trials';
import { readBody, refuse, withKitchen } from '../answers';

const BodySchema = z.object({ sheetId: z.string().min(1).max(80), event: NewTrialEventSchema });

/** Adds an event to a series of trials: it begins, asks for a next trial, is tasted, something is taken back. 409 where it cannot follow. */
export async function POST(request: Request) {
  const body = await readBody(request, BodySchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const { sheetId, event } = body.value;
    if (!getSheet(db, sheetId)) return refuse(404, 'This sheet is no longer in the kitchen.');
    const added = addTrialEvent(db, sheetId, event, Date.now());
    return added.ok ? NextResponse.json({ trials: added.value?.trials.length ?? 0 }, { status: 201 }) : refuse(409, added.fault.says);
  });
}
