import { NextResponse } from 'next/server';
import { pagesToKeep } from '../../../data/pages-to-keep';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

/** The pages that a tablet keeps for the time when the server is away. */
export const GET = () => withKitchen((db) => NextResponse.json(pagesToKeep(db, Date.now())));
