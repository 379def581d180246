import { NextResponse } from 'next/server';
import { listCopies, makeCopy } from '../../../data/copies';
import { openedKitchen } from '../../../data/kitchen';
import { refuse } from '../answers';

export const dynamic = 'force-dynamic';

/** The copies of the data file, newest first. */
export const GET = (): NextResponse => NextResponse.json(listCopies());

/** Makes a copy now, opens and counts it. */
export async function POST(): Promise<Response> {
  try {
    return NextResponse.json(await makeCopy(openedKitchen(), Date.now()));
  } catch (error) {
    return refuse(500, `No copy was made: ${error instanceof Error ? error.message : 'the folder cannot be written'}.`);
  }
}
