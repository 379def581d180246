import { NextResponse } from 'next/server';
import { readDueMoments } from '../../../data/due';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export const GET = () => withKitchen((db) => NextResponse.json(readDueMoments(db, Date.now())));
