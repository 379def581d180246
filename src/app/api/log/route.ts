import { NextResponse } from 'next/server';
import { logCsv, logJson } from '../../../core/files/log-files';
import { readLog } from '../../../data/log';
import { refuse, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** The log as a file: ?format=csv or json, ?sheet=… for one sheet. */
export async function GET(request: Request) {
  const asked = new URL(request.url).searchParams;
  const format = asked.get('format') ?? 'csv';
  if (format !== 'csv' && format !== 'json') return refuse(400, 'The log is written as csv or json.');
  return withKitchen((db) => {
    const entries = readLog(db, asked.get('sheet') ?? undefined);
    const csv = format === 'csv';
    return new NextResponse(csv ? logCsv(entries) : logJson(entries), {
      headers: {
        'content-type': csv ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="log.${format}"`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
