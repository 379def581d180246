'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { inSentence, showGrams } from '../../../../core/figure';
import type { StockPack } from '../../../../core/larder/stock';
import { shownSteps } from '../../../../core/batch/method';
import { miseGroups } from '../../../../core/batch/mise';
import { dishOf, newDishCache, type Dish } from '../../../../core/timetable/dish';
import { dishName } from '../../../../core/timetable/names';
import { serviceShopping, type ServiceItem } from '../../../../core/timetable/service-shopping';
import { money } from '../../../../ui/units/money';
import { ClockFrame } from '../../clock-frame';
import { useService } from '../../service-provider';

/** Everything that the service takes, less what the larder has: what to buy, eggs to crack, vessels to set out. */
export function ShoppingDesk({ stock }: { readonly stock: readonly StockPack[] }) {
  const { doc, sheetOf, kitchen } = useService();
  const { shopping, dishes } = useMemo(() => {
    const cache = newDishCache();
    const dishes = doc.servings.flatMap((s) => {
      const sheet = sheetOf.get(s.sheetId);
      const dish = sheet && dishOf(sheet, s, kitchen, cache);
      return dish?.ok ? [{ id: s.id, name: dishName(doc, sheetOf, s), dish: dish.value }] : [];
    });
    const day = doc.servings.map((s) => s.at.slice(0, 10)).sort()[0] ?? '';
    return { shopping: serviceShopping(dishes, kitchen, stock, day), dishes };
  }, [doc, sheetOf, kitchen, stock]);
  return (
    <ClockFrame here="shopping">
      <div className="grid grid-cols-[minmax(0,1fr)] lg:min-h-[calc(100dvh-130px)] lg:grid-cols-[minmax(0,1fr)_336px]">
        <section aria-label="Shopping list" className="px-4 pt-3 pb-10 md:px-6">
          {shopping.items.length === 0 ? (
            <p className="py-6 text-[17px]">Nothing to buy yet: say on the ribbon what is served.</p>
          ) : (
            <Items items={shopping.items} eggs={shopping.eggs} />
          )}
          {dishes.map(({ id, name, dish }) => (
            <MiseOf key={id} name={name} dish={dish} />
          ))}
        </section>
        <aside aria-label="To set out" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-5 lg:border-l">
          <h2 className="text-[17px]">To set out</h2>
          <ul>
            {shopping.vessels.map((v) => (
              <li key={v.name} className="flex items-baseline justify-between gap-3 border-t border-steel-light py-1.5">
                <span>{v.name}</span>
                <span className={v.onShelf < v.count ? 'text-beet' : ''}>
                  <b className="fig">{v.count}</b>, {v.onShelf} on the shelf
                </span>
              </li>
            ))}
            {shopping.biscuits.map((b) => (
              <li key={b.name} className="flex items-baseline justify-between gap-3 border-t border-steel-light py-1.5">
                <span>{b.name}</span>
                <b className="fig">{b.pieces}&nbsp;pieces</b>
              </li>
            ))}
          </ul>
          {shopping.eggs.eggs > 0 && (
            <>
              <h2 className="mt-5 text-[17px]">Eggs over all desserts</h2>
              <p className="py-1">
                <b className="fig text-[19px]">{shopping.eggs.eggs}</b> to crack; whites and yolks come out of the same ones.
              </p>
            </>
          )}
          {shopping.spare.length > 0 && (
            <>
              <h2 className="mt-4 text-[17px]">Left over</h2>
              <ul>
                {shopping.spare.map((s) => (
                  <li key={s} className="border-t border-steel-light py-1.5">
                    {s}
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2 className="mt-4 text-[17px]">Cost</h2>
          <p className="py-1">
            {shopping.cost === null
              ? shopping.items.length === 0
                ? 'Nothing to cost yet.'
                : `No price for ${shopping.unpriced.slice(0, 3).join(', ')}${shopping.unpriced.length > 3 ? ` and ${shopping.unpriced.length - 3} more` : ''}.`
              : `${money(shopping.cost)} in all, of what is used.`}
          </p>
        </aside>
      </div>
    </ClockFrame>
  );
}

/** What is weighed ahead for one dessert, step by step; divided ingredients apart. */
function MiseOf({ name, dish }: { readonly name: string; readonly dish: Dish }) {
  const groups = miseGroups(shownSteps(dish.analysis));
  return (
    <section aria-label={`Mise en place: ${name}`} className="mt-6">
      <h2 className="text-[17px]">Mise en place: {inSentence(name)}</h2>
      <dl className="columns-1 gap-x-8 sm:columns-2">
        {groups.map((g) => (
          <div key={g.stepKey} className="break-inside-avoid border-t border-steel-light py-1.5">
            <dt className="text-[14px] text-ink-soft">{g.title}</dt>
            <dd>
              {g.lines.map((l) => (
                <span key={l.lineId} className="block">
                  <b className="fig">{showGrams(l.massG)}</b> {l.name}
                </span>
              ))}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Items({ items, eggs }: { readonly items: readonly ServiceItem[]; readonly eggs: { readonly eggs: number } }) {
  return (
    <>
      <table className="w-full text-[14.5px]">
        <caption className="sr-only">What the service takes, what the larder has, what to buy</caption>
        <thead>
          <tr className="text-[13.5px] text-ink-soft">
            <th scope="col" className="py-1 pr-3 text-right font-normal">
              needed
            </th>
            <th scope="col" className="py-1 text-left font-normal">
              ingredient
            </th>
            <th scope="col" className="py-1 pl-3 text-right font-normal">
              in the larder
            </th>
            <th scope="col" className="py-1 pl-3 text-right font-normal">
              to buy
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((i) => (
            <tr key={i.ingredient.id} data-item={i.ingredient.id} className="border-t border-steel-light align-baseline">
              <td className="fig py-1.5 pr-3 text-right text-[16px]">{showGrams(i.boughtG)}</td>
              <td className="py-1.5">
                {i.ingredient.name}
                {i.uses.length > 1 && (
                  <span className="block text-[13.5px] text-ink-soft">{i.uses.map((u) => `${showGrams(u.massG)} ${u.dish}`).join(', ')}</span>
                )}
              </td>
              <td className="fig py-1.5 pl-3 text-right font-medium">{i.inStockG > 0 ? showGrams(i.inStockG) : ''}</td>
              <td className="fig py-1.5 pl-3 text-right font-medium">
                {i.toBuyG <= 0.5 ? (
                  <span className="text-fern-ink">enough</span>
                ) : i.fruits ? (
                  `${i.fruits.count}\u00a0${i.fruits.name}`
                ) : i.packsToBuy !== null && i.ingredient.packG !== null ? (
                  `${i.packsToBuy} × ${showGrams(i.ingredient.packG)}`
                ) : i.ingredient.category === 'egg' ? (
                  'as eggs'
                ) : (
                  showGrams(i.toBuyG)
                )}
              </td>
            </tr>
          ))}
          {eggs.eggs > 0 && (
            <tr className="border-t border-steel-light align-baseline">
              <td className="fig py-1.5 pr-3 text-right text-[16px]">{eggs.eggs}</td>
              <td className="py-1.5">eggs, whites and yolks out of the same ones</td>
              <td />
              <td className="fig py-1.5 pl-3 text-right font-medium">{eggs.eggs}</td>
            </tr>
          )}
        </tbody>
      </table>
      <p className="pt-3 text-[14px] text-ink-soft">
        Packs in the larder are kept on{' '}
        <Link href="/larder/stock" className="underline decoration-dotted underline-offset-4">
          In stock
        </Link>
        ; what is past its day is not counted, and batches that are finished draw it down.
      </p>
    </>
  );
}
