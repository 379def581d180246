import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ServiceSchema } from '../../../../core/timetable/service-schema';
import { bringServiceBack, getService, removeService, saveService } from '../../../../data/services';
import { soFarByServing } from '../../../../data/service-plans';
import { readBody, refuse, withKitchen } from '../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string }>;
}

const GONE = 'This service is no longer in the kitchen. Its text is still in this browser.';

/** A service with how far its batches have come. */
export async function GET(_request: Request, { params }: Context) {
  const { serviceId } = await params;
  return withKitchen((db) => {
    const service = getService(db, serviceId);
    return service ? NextResponse.json({ ...service, soFar: [...soFarByServing(db, service.doc, Date.now())] }) : refuse(404, GONE);
  });
}

const SaveSchema = z.object({ doc: ServiceSchema, baseRevision: z.number().int() });

/** Saves a service read at `baseRevision`; answers 409 with the current one when somebody else saved since. */
export async function PUT(request: Request, { params }: Context) {
  const { serviceId } = await params;
  const body = await readBody(request, SaveSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const outcome = saveService(db, serviceId, body.value.doc, body.value.baseRevision, Date.now());
    if (outcome.kind === 'gone') return refuse(404, GONE);
    return NextResponse.json(outcome, { status: outcome.kind === 'conflict' ? 409 : 200 });
  });
}

export async function DELETE(_request: Request, { params }: Context) {
  const { serviceId } = await params;
  return withKitchen((db) => (removeService(db, serviceId, Date.now()) ? NextResponse.json({ kind: 'removed' }) : refuse(404, GONE)));
}

/** Brings a service back that was taken away within the last month. */
export async function POST(request: Request, { params }: Context) {
  const { serviceId } = await params;
  const body = await readBody(request, z.object({ back: z.literal(true) }));
  if (!body.ok) return body.answer;
  return withKitchen((db) =>
    bringServiceBack(db, serviceId)
      ? NextResponse.json({ kind: 'back' })
      : refuse(404, 'It is not among what was taken away: it may be back already, or it has been away for more than a month.'),
  );
}
