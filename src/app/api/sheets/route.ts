import { NextResponse } from 'next/server';
import { z } from 'zod';
import { SheetSchema, type Sheet } from '../../../core/document/schema';
import { createSheet, listSheetNames } from '../../../data/sheets';
import { MadeIdSchema, readBody, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** Every sheet's id and name, for the finder. */
export async function GET() {
  return withKitchen((db) => NextResponse.json(listSheetNames(db)));
}

/** Takes a whole document in as a new sheet; answers its id. Twice with one id it is one sheet, as it was first. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ id: MadeIdSchema.optional(), doc: SheetSchema }));
  if (!body.ok) return body.answer;
  const { id = crypto.randomUUID(), doc } = body.value;
  return withKitchen((db) => NextResponse.json({ id: createSheet(db, id, doc as Sheet, Date.now()).id }, { status: 201 }));
}
