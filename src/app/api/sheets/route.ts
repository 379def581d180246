import { NextResponse } from 'next/server';
import { z } from 'zod';
import { SheetSchema, type Sheet } from '../../../core/document/schema';
import { createSheet, listSheetNames } from '../../../data/sheets';
import { readBody, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** Every sheet's id and name, for the finder. */
export async function GET() {
  return withKitchen((db) => NextResponse.json(listSheetNames(db)));
}

/** Takes a whole document in as a new sheet; answers its id. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ doc: SheetSchema }));
  if (!body.ok) return body.answer;
  const id = crypto.randomUUID();
  return withKitchen((db) => {
    createSheet(db, id, body.value.doc as Sheet, Date.now());
    return NextResponse.json({ id }, { status: 201 });
  });
}
