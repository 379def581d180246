import Link from 'next/link';
import { notFound } from 'next/navigation';
import { composition } from '../../../core/composition/components';
import type { Ingredient } from '../../../core/composition/ingredient';
import { openedKitchen } from '../../../data/kitchen';
import { getIngredient, usesOf } from '../../../data/larder';
import { Frame } from '../../../ui/frame';
import { IngredientForm } from './ingredient-form';

const FRESH: Ingredient = {
  id: '',
  name: '',
  aliases: [],
  category: 'cream',
  foamRole: 'none',
  composition: composition({ water: 100 }),
  densityGPerMl: null,
  gramsPerUsCup: null,
  piece: null,
  bloom: null,
  ownSweetness: null,
  ownFreezing: null,
  packG: null,
  ediblePct: 100,
  pricePerKg: null,
  allergens: [],
  flags: [],
  note: '',
  biscuit: null,
  inferred: [],
  own: true,
};

/** One ingredient: what is in it, how it is measured, what it costs, where it is used. */
export default async function IngredientPage({ params }: { readonly params: Promise<{ ingredientId: string }> }) {
  const { ingredientId } = await params;
  const db = openedKitchen();
  const fresh = ingredientId === 'new';
  const stored = fresh ? { ingredient: FRESH, revision: 0 } : getIngredient(db, ingredientId);
  if (!stored) notFound();
  const uses = fresh ? [] : usesOf(db, ingredientId);
  return (
    <Frame
      station="Larder"
      sheetId={null}
      heading={<h1 className="truncate text-[20px]">{fresh ? 'A new ingredient' : stored.ingredient.name}</h1>}
      right={
        <Link href="/larder" className="btn">
          All ingredients
        </Link>
      }
    >
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_320px]">
        <IngredientForm
          key={`${ingredientId}.${stored.revision}`}
          ingredient={stored.ingredient}
          revision={stored.revision}
          removable={!fresh && stored.ingredient.own && uses.length === 0}
        />
        <aside aria-label="Where used" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <h2 className="text-[17px]">Where used</h2>
          {uses.length === 0 ? (
            <p className="py-1 text-ink-soft">{fresh ? 'Nowhere yet.' : 'No sheet uses it now.'}</p>
          ) : (
            <ul>
              {uses.map((u, i) => (
                <li key={`${u.sheetId}-${i}`} className="border-t border-steel-light py-1.5">
                  <Link href={`/sheet/${u.sheetId}/bench`} className="font-semibold hover:underline">
                    {u.sheetName}
                  </Link>
                  <span className="block text-[14px] text-ink-soft">
                    {u.text}, in {u.part}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </aside>
      </div>
    </Frame>
  );
}
