import { NextResponse } from 'next/server';
import { unitsKey } from '../../../core/measures/shown';
import { unitsHere } from '../../../core/measures/shown-here';
import { UNITS_HEADER } from '../../../ui/units/units-header';
import { dueNow } from '../../../aside/plans';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export const GET = () => withKitchen(async (db) => NextResponse.json(await dueNow(db, Date.now()), { headers: { [UNITS_HEADER]: unitsKey(unitsHere()) } }));
