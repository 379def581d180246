import { NextResponse } from 'next/server';
import { dueNow } from '../../../aside/plans';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export const GET = () => withKitchen(async (db) => NextResponse.json(await dueNow(db, Date.now())));
