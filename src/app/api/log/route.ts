import { NextResponse } from 'next/server';
import { aside } from '../../../aside/aside';
import { dataFilePath } from '../../../data/data-file-path';
import { refuse, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** The log as a file: ?format=csv or json, ?sheet=… for one sheet. */
export async function GET(request: Request) {
  const asked = new URL(request.url).searchParams;
  const format = asked.get('format') ?? 'csv';
  if (format !== 'csv' && format !== 'json') return refuse(400, 'The log is written as csv or json.');
  return withKitchen(async () => {
    const file = await aside().ask('logFile', { path: dataFilePath(), sheetId: asked.get('sheet') ?? undefined, format });
    return new NextResponse(file, {
      headers: {
        'content-type': format === 'csv' ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="log.${format}"`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
