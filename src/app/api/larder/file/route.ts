import { NextResponse } from 'next/server';
import { MOST_CHARACTERS } from '../../../../core/table/table';
import { aside } from '../../../../aside/aside';
import { takeOverLarder } from '../../../../data/larder';
import { refuse, textUpTo, withKitchen } from '../../answers';

export const dynamic = 'force-dynamic';

/** The whole larder as a CSV file. */
export async function GET() {
  return withKitchen(
    async (db) =>
      new NextResponse(await aside().ask('larderFile', { path: db.$client.name }), {
        headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': 'attachment; filename="larder.csv"', 'x-content-type-options': 'nosniff' },
      }),
  );
}

/** Takes a larder file over: what its rows name is added or replaced, in one transaction; what was edited since the file was taken out stays and is said; unreadable rows are left out and said. */
export async function POST(request: Request) {
  const text = await textUpTo(request, MOST_CHARACTERS);
  if (text === null) return refuse(413, 'That file is larger than 5 MB: no larder is. Nothing was taken over.');
  return withKitchen(async (db) => {
    const compared = await aside().ask('larderCompared', { path: db.$client.name, text });
    if (!compared.ok) return refuse(422, compared.fault.says);
    const { rows, faults } = compared.value;
    return NextResponse.json({ rows, faults, ...takeOverLarder(db, compared.value) });
  });
}
