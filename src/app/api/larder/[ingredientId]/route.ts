import { NextResponse } from 'next/server';
import { z } from 'zod';
import { IngredientSchema } from '../../../../core/composition/ingredient';
import { removeIngredient, saveIngredient } from '../../../../data/larder';
import { readBody, refuse, withKitchen } from '../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ ingredientId: string }>;
}

const SaveSchema = z.object({ ingredient: IngredientSchema, baseRevision: z.number().int().min(0) });

/** Saves an ingredient read at `baseRevision` (0 makes it); answers 409 when somebody else saved since. */
export async function PUT(request: Request, { params }: Context) {
  const { ingredientId } = await params;
  const body = await readBody(request, SaveSchema);
  if (!body.ok) return body.answer;
  const { ingredient, baseRevision } = body.value;
  if (ingredient.id !== ingredientId) return refuse(422, 'The address and the ingredient do not name the same thing.');
  return withKitchen((db) => {
    const outcome = saveIngredient(db, ingredient, baseRevision);
    if (outcome.kind === 'gone') return refuse(404, 'This ingredient is no longer in the larder.');
    if (outcome.kind === 'conflict')
      return refuse(
        409,
        baseRevision === 0
          ? 'There is an ingredient of that name already: open it, or give this one another name.'
          : 'Another screen changed this ingredient meanwhile: open it again, then change it.',
      );
    return NextResponse.json(outcome);
  });
}

export async function DELETE(_request: Request, { params }: Context) {
  const { ingredientId } = await params;
  return withKitchen((db) => {
    switch (removeIngredient(db, ingredientId)) {
      case 'removed':
        return NextResponse.json({ kind: 'removed' });
      case 'used':
        return refuse(409, 'A sheet still uses it: swap it there first.');
      case 'shipped':
        return refuse(409, 'It came with the larder and stays.');
      case 'gone':
        return refuse(404, 'It is gone already.');
    }
  });
}
