import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ColdPlaceSchema, KitchenRulesSchema, MixerSchema, ShelfVesselSchema } from '../../../core/kitchen/schema';
import { readThings } from '../../../data/kitchen-facts';
import { saveThings, thingsRevision } from '../../../data/kitchen-things';
import { readBody, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

const SaveSchema = z.object({
  things: z.object({
    vessels: z.array(ShelfVesselSchema).max(200),
    mixers: z.array(MixerSchema).min(1).max(50),
    places: z.array(ColdPlaceSchema).max(50),
    rules: KitchenRulesSchema,
  }),
  baseRevision: z.number().int(),
});

/** Saves vessels, mixers, cold places and rules together; answers 409 with what is there now when another screen saved since. */
export async function PUT(request: Request) {
  const body = await readBody(request, SaveSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const outcome = saveThings(db, body.value.things, body.value.baseRevision);
    if (outcome.kind === 'saved') return NextResponse.json(outcome);
    const current = { doc: readThings(db), revision: thingsRevision(db) };
    return NextResponse.json({ kind: 'refused', says: 'Another screen changed the kitchen meanwhile.', current }, { status: 409 });
  });
}
