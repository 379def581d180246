import { NextResponse } from 'next/server';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** The names of the larder, for finding. */
export function GET() {
  return withKitchen((db) => NextResponse.json(readKitchenFacts(db).larder.map(({ id, name }) => ({ id, name }))));
}
