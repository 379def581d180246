import { NextResponse } from 'next/server';
import { listVersions } from '../../../../../data/sheets';
import { withKitchen } from '../../../answers';

export const dynamic = 'force-dynamic';

/** The versions of a sheet, newest first. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ sheetId: string }> }) {
  const { sheetId } = await params;
  return withKitchen((db) => NextResponse.json(listVersions(db, sheetId)));
}
