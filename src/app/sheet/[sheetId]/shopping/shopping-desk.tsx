'use client';

import { useMemo } from 'react';
import { plainNumber, showGrams, showRange, withUnit } from '../../../../core/figure';
import type { Nutrition } from '../../../../core/larder/nutrition';
import { inGramsAnywhere } from '../../../../core/measures/shown';
import { shoppingOf, type EggBalance, type Shopping, type ShoppingItem } from '../../../../core/shopping/shopping';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { money } from '../../../../ui/units/money';
import { BenchPages } from '../bench-pages';

/** What to buy, what it costs, what is in a portion, and what is left over. */
export function ShoppingDesk() {
  const { id, kitchen, doc } = useSheet();
  const analysis = useAnalysis();
  const shopping = useMemo(() => shoppingOf(analysis, kitchen), [analysis, kitchen]);
  return (
    <SheetFrame station="Bench">
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_392px]">
        <section aria-label="Shopping list" className="px-4 pt-2 pb-10 md:px-6">
          <BenchPages sheetId={id} here="shopping" />
          {shopping.items.length === 0 ? (
            <p className="py-8 text-[17px]">Nothing to buy yet: type the first line on Bench.</p>
          ) : (
            <List items={shopping.items} eggs={shopping.eggs} />
          )}
        </section>
        <aside aria-label="Cost and nutrition" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <Cost shopping={shopping} portions={doc.portions} />
          <Nutrients shopping={shopping} />
          <Declared shopping={shopping} standardDrinkG={kitchen.rules.standardDrinkG} caffeine={analysis.parts.some((a) => a.reading.caffeine)} />
          <Spare shopping={shopping} />
        </aside>
      </div>
    </SheetFrame>
  );
}

function List({ items, eggs }: { readonly items: readonly ShoppingItem[]; readonly eggs: EggBalance }) {
  return (
    <table className="mt-3 w-full text-[14.5px]">
      <caption className="sr-only">What to buy, summed over all parts</caption>
      <thead>
        <tr className="text-[13.5px] text-ink-soft">
          <th scope="col" className="py-1 pr-3 text-right font-normal">
            needed
          </th>
          <th scope="col" className="py-1 text-left font-normal">
            ingredient
          </th>
          <th scope="col" className="py-1 pl-3 text-right font-normal max-sm:hidden">
            packs
          </th>
          <th scope="col" className="py-1 pl-3 text-right font-normal max-sm:hidden">
            stays open
          </th>
          <th scope="col" className="py-1 pl-3 text-right font-normal">
            cost
          </th>
        </tr>
      </thead>
      <tbody>
        {items.map((i) => (
          <tr key={i.ingredient.id} className="border-t border-steel-light align-baseline">
            <td className="fig py-1.5 pr-3 text-right text-[16px]">{showGrams(i.boughtG)}</td>
            <td className="py-1.5">
              {i.ingredient.name}
              {i.uses.length > 1 && (
                <span className="block text-[13.5px] text-ink-soft">{i.uses.map((u) => `${showGrams(u.massG)} ${u.part.toLowerCase()}`).join(', ')}</span>
              )}
              {i.boughtG > i.neededG * 1.005 && (
                <span className="block text-[13.5px] text-ink-soft">{showGrams(i.neededG)} on the board, the rest is peel and stones</span>
              )}
            </td>
            <td className="fig py-1.5 pl-3 text-right font-medium max-sm:hidden">
              {i.fruits
                ? `${i.fruits.count}\u00a0${i.fruits.name}${i.fruits.shared ? ', the same' : ''}`
                : i.packs === null || i.ingredient.packG === null
                  ? ''
                  : `${i.packs} × ${showGrams(i.ingredient.packG)}`}
            </td>
            <td className="fig py-1.5 pl-3 text-right font-medium text-ink-soft max-sm:hidden">{i.openedG === null ? '' : showGrams(i.openedG)}</td>
            <td className="fig py-1.5 pl-3 text-right font-medium">{i.cost === null ? 'no price' : i.cost === 0 && i.packs === null ? '' : money(i.cost)}</td>
          </tr>
        ))}
        {eggs.eggs > 0 && (
          <tr className="border-t border-steel-light align-baseline">
            <td className="fig py-1.5 pr-3 text-right text-[16px]">{eggs.eggs}</td>
            <td className="py-1.5">eggs to crack, whites and yolks out of the same ones</td>
            <td className="max-sm:hidden" />
            <td className="max-sm:hidden" />
            <td className="fig py-1.5 pl-3 text-right font-medium">{money(eggs.cost)}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function Cost({ shopping, portions }: { readonly shopping: Shopping; readonly portions: number }) {
  return (
    <section aria-label="Cost">
      <h2 className="text-[17px]">Cost</h2>
      {shopping.cost === null ? (
        <p className="py-1 text-ink-soft">
          {shopping.items.length === 0 ? 'Nothing to cost yet.' : `No price for ${shopping.unpriced.slice(0, 3).join(', ')}: enter it in the Larder.`}
        </p>
      ) : (
        <p className="py-1">
          <span className="fig text-[21px]">{money(shopping.cost / portions)}</span> a portion, <span className="fig">{money(shopping.cost)}</span> in all, of
          what is used; at the larder’s prices per kg.
        </p>
      )}
    </section>
  );
}

const ROWS: readonly (readonly [string, (n: Nutrition) => string])[] = [
  ['energy', (n) => `${plainNumber(n.kJ, 0)}\u00a0kJ / ${plainNumber(n.kcal, 0)}\u00a0kcal`],
  ['fat', (n) => withUnit(plainNumber(n.fatG, 1), 'g')],
  ['of which saturates', (n) => showRange(n.saturatesG[0], n.saturatesG[1], 'g')],
  ['carbohydrate', (n) => withUnit(plainNumber(n.carbohydrateG, 1), 'g')],
  ['of which sugars', (n) => withUnit(plainNumber(n.sugarsG, 1), 'g')],
  ['fibre', (n) => withUnit(plainNumber(n.fibreG, 1), 'g')],
  ['protein', (n) => withUnit(plainNumber(n.proteinG, 1), 'g')],
  ['salt', (n) => withUnit(plainNumber(n.saltG, 2), 'g')],
];

function Nutrients({ shopping }: { readonly shopping: Shopping }) {
  const { per100, perPortion } = shopping;
  if (!per100 || !perPortion) return null;
  return (
    <section aria-label="Nutrition" className="mt-4">
      <h2 className="text-[17px]">Nutrition</h2>
      <table className="w-full text-[14.5px]">
        <thead>
          <tr className="text-[13.5px] text-ink-soft">
            <th scope="col" className="py-1 text-left font-normal">
              <span className="sr-only">nutrient</span>
            </th>
            <th scope="col" className="py-1 text-right font-normal">
              in 100&nbsp;g
            </th>
            <th scope="col" className="py-1 pl-4 text-right font-normal">
              in a portion
            </th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([name, show]) => (
            <tr key={name} className="border-t border-steel-light align-baseline">
              <th scope="row" className={`py-1 text-left font-normal ${name.startsWith('of') ? 'pl-3' : ''}`}>
                {name}
              </th>
              <td className="fig py-1 text-right font-medium">{inGramsAnywhere(show(per100))}</td>
              <td className="fig py-1 pl-4 text-right font-medium">{inGramsAnywhere(show(perPortion))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[13.5px] text-ink-soft">Worked out from the larder with the factors of EU 1169/2011; not a laboratory’s figures.</p>
    </section>
  );
}

function Declared({ shopping, standardDrinkG, caffeine }: { readonly shopping: Shopping; readonly standardDrinkG: number; readonly caffeine: boolean }) {
  const alcohol = shopping.ethanolG > 0.1;
  return (
    <section aria-label="To declare" className="mt-4">
      <h2 className="text-[17px]">To declare</h2>
      <p className="py-1">
        {shopping.allergens.length > 0 ? `Allergens: ${shopping.allergens.join(', ')}.` : 'No listed allergens.'} Check each label for traces.
      </p>
      {alcohol && (
        <p className="py-1">
          Alcohol <span className="fig">{withUnit(plainNumber(shopping.ethanolG, 1), 'g')}</span> a portion,{' '}
          <span className="fig">{plainNumber(shopping.ethanolG / standardDrinkG, 2)}</span> standard drinks of {standardDrinkG}&nbsp;g: not for children or
          those who avoid it.
        </p>
      )}
      {caffeine && <p className="py-1">Holds caffeine.</p>}
      <p className="text-[13.5px] text-ink-soft">What must be declared, and how, follows your local food code.</p>
    </section>
  );
}

function Spare({ shopping }: { readonly shopping: Shopping }) {
  if (shopping.spare.length === 0) return null;
  return (
    <section aria-label="Left over" className="mt-4">
      <h2 className="text-[17px]">Left over</h2>
      <ul>
        {shopping.spare.map((s) => (
          <li key={s} className="border-t border-steel-light py-1.5">
            {s}
          </li>
        ))}
      </ul>
    </section>
  );
}
