import { NextResponse } from 'next/server';
import { aside } from '../../../aside/aside';
import { bookCsv } from '../../../core/book/book-csv';
import { DaySchema, NewEntrySchema } from '../../../core/book/entry';
import { addToBook } from '../../../data/book';
import { dataFilePath } from '../../../data/data-file-path';
import { readBody, refuse, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** Days of the book as a table: ?from=2026-11-01&to=2026-11-30, two months at most. */
export async function GET(request: Request) {
  const asked = new URL(request.url).searchParams;
  const from = DaySchema.safeParse(asked.get('from'));
  const to = DaySchema.safeParse(asked.get('to') ?? asked.get('from'));
  if (!from.success || !to.success || to.data < from.data) return refuse(400, 'The book is written from one day to another: ?from=2026-11-01&to=2026-11-30.');
  return withKitchen(async () => {
    const pages = await aside().ask('bookPages', { path: dataFilePath(), from: from.data, to: to.data, now: Date.now() });
    return new NextResponse(bookCsv(pages), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="book-${from.data}.csv"`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}

/** Adds an entry; nothing in the book is changed. 409 where another stands there already. */
export async function POST(request: Request) {
  const body = await readBody(request, NewEntrySchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const added = addToBook(db, body.value, Date.now());
    return added.ok ? NextResponse.json(added.value, { status: 201 }) : refuse(409, added.fault.says);
  });
}
