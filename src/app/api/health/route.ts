import { NextResponse } from 'next/server';
import { listCopies } from '../../../data/copies';
import { dataFilePath } from '../../../data/data-file-path';
import { freeBytes, isNearlyFull } from '../../../data/disk';
import { longestHeld } from '../../../data/held';
import { kitchen } from '../../../data/kitchen';

export const dynamic = 'force-dynamic';

/** How the server is, for whoever watches over it: 200 while the data file can be used, 503 where it cannot. Times are ms since 1970. */
export function GET(): Response {
  const access = kitchen();
  const free = freeBytes(dataFilePath());
  const body = {
    dataFile: access.ok ? 'open' : access.error.code,
    upS: Math.round(process.uptime()),
    memoryMb: Math.round(process.memoryUsage().rss / 1_048_576),
    ...longestHeld(),
    diskFreeBytes: free,
    diskNearlyFull: isNearlyFull(free),
    lastCopyAt: listCopies()[0]?.at ?? null,
  };
  return NextResponse.json(body, { status: access.ok ? 200 : 503, headers: { 'cache-control': 'no-store' } });
}
