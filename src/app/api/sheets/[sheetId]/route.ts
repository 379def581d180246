import { NextResponse } from 'next/server';
import { z } from 'zod';
import { SheetSchema } from '../../../../core/document/schema';
import { getSheet, placeSheet, saveSheet } from '../../../../data/sheets';
import { readBody, refuse, withKitchen } from '../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ sheetId: string }>;
}

const GONE = 'This sheet is no longer in the kitchen. Its text is still in this browser.';

export async function GET(_request: Request, { params }: Context) {
  const { sheetId } = await params;
  return withKitchen((db) => {
    const sheet = getSheet(db, sheetId);
    return sheet ? NextResponse.json(sheet) : refuse(404, GONE);
  });
}

const SaveSchema = z.object({
  doc: SheetSchema,
  baseRevision: z.number().int(),
  asNewVersion: z.boolean().default(false),
  by: z.object({ screen: z.string().max(80), count: z.number().int() }).optional(),
});

/** Saves a sheet read at `baseRevision`; answers 409 with the current one when somebody else saved since. */
export async function PUT(request: Request, { params }: Context) {
  const { sheetId } = await params;
  const body = await readBody(request, SaveSchema);
  if (!body.ok) return body.answer;
  const { doc, baseRevision, asNewVersion, by } = body.value;
  return withKitchen((db) => {
    const outcome = saveSheet(db, sheetId, { doc, baseRevision, now: Date.now(), asNewVersion, ...(by ? { by } : {}) });
    if (outcome.kind === 'gone') return refuse(404, GONE);
    return NextResponse.json(outcome, { status: outcome.kind === 'conflict' ? 409 : 200 });
  });
}

const PlaceSchema = z.object({ folder: z.string().max(60).optional(), archived: z.boolean().optional() }).strict();

/** Puts a sheet into a folder, away, or back into use. */
export async function PATCH(request: Request, { params }: Context) {
  const { sheetId } = await params;
  const body = await readBody(request, PlaceSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => (placeSheet(db, sheetId, body.value, Date.now()) ? NextResponse.json({ ok: true }) : refuse(404, GONE)));
}
