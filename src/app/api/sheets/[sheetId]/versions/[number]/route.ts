import { NextResponse } from 'next/server';
import { z } from 'zod';
import { getSheetVersion, nameVersion } from '../../../../../../data/sheets';
import { readBody, refuse, withKitchen } from '../../../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ sheetId: string; number: string }>;
}

const NONE = 'There is no such version of this sheet.';

/** The document of one version. */
export async function GET(_request: Request, { params }: Context) {
  const { sheetId, number } = await params;
  return withKitchen((db) => {
    const doc = getSheetVersion(db, sheetId, Number(number));
    return doc ? NextResponse.json(doc) : refuse(404, NONE);
  });
}

/** Names a version that was called `was`, so that it stays as it is; answers 409 with its name when another screen named it meanwhile. */
export async function PUT(request: Request, { params }: Context) {
  const { sheetId, number } = await params;
  const body = await readBody(request, z.object({ name: z.string().max(80), was: z.string().max(80) }));
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const outcome = nameVersion(db, sheetId, Number(number), body.value.name, body.value.was);
    if (outcome.kind === 'gone') return refuse(404, NONE);
    return NextResponse.json(outcome, { status: outcome.kind === 'conflict' ? 409 : 200 });
  });
}
