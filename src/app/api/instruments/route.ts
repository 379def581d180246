import { NextResponse } from 'next/server';
import { afterAct, StandInActSchema } from '../../../instruments/stand-ins';
import { readBody, refuse } from '../answers';
import { heldStandIns, holdStandIns } from './held';

/** What the stand-ins sense now. */
export const GET = () => NextResponse.json(heldStandIns(Date.now()));

/** A hand does something to the stand-ins. */
export async function POST(request: Request) {
  const body = await readBody(request, StandInActSchema);
  if (!body.ok) return body.answer;
  const now = Date.now();
  const next = afterAct(heldStandIns(now), body.value, now);
  if (!next.ok) return refuse(422, next.fault.says);
  holdStandIns(next.value);
  return NextResponse.json(next.value);
}
