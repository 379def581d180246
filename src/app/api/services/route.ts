import { NextResponse } from 'next/server';
import { z } from 'zod';
import { readServiceDoc } from '../../../core/timetable/service-schema';
import { createService, listServices } from '../../../data/services';
import { MadeIdSchema, readBody, refuse, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export async function GET() {
  return withKitchen((db) => NextResponse.json(listServices(db).map((s) => ({ id: s.id, name: s.doc.name }))));
}

/** Keeps a new service: one that is begun, or one that was written as a file. Twice with one id it is one service, as it was first. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ id: MadeIdSchema.optional(), doc: z.unknown() }));
  if (!body.ok) return body.answer;
  const doc = readServiceDoc(body.value.doc);
  if (!doc.ok) return refuse(422, doc.fault.says);
  // Batches belong to the kitchen that made them.
  const fresh = { ...doc.value, servings: doc.value.servings.map((s) => ({ ...s, batchId: null })) };
  return withKitchen((db) => NextResponse.json({ id: createService(db, body.value.id ?? crypto.randomUUID(), fresh, Date.now()).id }, { status: 201 }));
}
