'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Ingredient } from '../../core/composition/ingredient';
import { plainNumber, showGrams, withUnit } from '../../core/figure';
import { matcherFor } from '../../core/measures/match';
import { Select } from '../../ui/kit/select';
import { money } from '../../ui/units/money';

/** More rows than this are drawn only when asked for. */
const AT_ONCE = 120;
const MOST_FOUND = 40;

const fatOf = ({ composition: c }: Ingredient): number => c.milk_fat + c.cocoa_fat + c.egg_fat + c.other_fat;
const sugarOf = ({ composition: c }: Ingredient): number => c.lactose + c.sucrose + c.glucose + c.fructose + c.higher_saccharides + c.polyol;

/** Search, kinds, the table; a larder file out and in. */
export function LarderDesk({ larder }: { readonly larder: readonly Ingredient[] }) {
  const [text, setText] = useState('');
  const [category, setCategory] = useState('all');
  const [all, setAll] = useState(false);
  const matcher = useMemo(() => matcherFor(larder), [larder]);
  const categories = useMemo(() => [...new Set(larder.map((i) => i.category))], [larder]);
  const found = text.trim() === '' ? larder : matcher.find(text, MOST_FOUND).map((m) => m.ingredient);
  const shown = found.filter((i) => category === 'all' || (category === 'own' ? i.own : i.category === category));
  const rows = all ? shown : shown.slice(0, AT_ONCE);
  return (
    <>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label className="min-w-[220px] flex-1">
          <span className="block text-[13.5px] text-ink-soft">Find; spelling and other names are forgiven</span>
          <input
            type="search"
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder="heavy cream, icing sugar, gelatine…"
            className="field mt-0.5 w-full"
          />
        </label>
        <label>
          <span className="block text-[13.5px] text-ink-soft">Kind</span>
          <Select
            value={category}
            options={[['all', 'all'], ['own', 'the kitchen’s own'], ...categories.map((c) => [c, c] as const)]}
            onChange={setCategory}
            className="field mt-0.5 flex min-w-[170px]"
          />
        </label>
        <a href="/api/larder/file" download="larder.csv" className="btn">
          CSV file
        </a>
        <ImportFile />
      </div>
      {rows.length === 0 ? (
        <p className="py-8 text-[17px]">Nothing by that name. A new ingredient needs only its carton label.</p>
      ) : (
        <table className="mt-4 w-full text-[14.5px]">
          <thead>
            <tr className="text-[13.5px] text-ink-soft">
              {['ingredient', 'fat', 'sugars', 'water', 'pack', 'price per kg', 'allergens'].map((h, i) => (
                <th
                  key={h}
                  scope="col"
                  className={`py-1 font-normal ${i === 0 || i === 6 ? 'text-left' : 'pl-3 text-right'} ${i >= 2 ? 'max-sm:hidden' : ''} ${i === 6 ? 'pl-6 max-lg:hidden' : ''}`}
                >
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((i) => (
              <tr key={i.id} className="border-t border-steel-light align-baseline hover:bg-paper">
                <th scope="row" className="w-full max-w-0 py-1.5 text-left font-normal lg:w-auto lg:max-w-[420px]">
                  <Link href={`/larder/${i.id}`} className="font-semibold hover:underline">
                    {i.name}
                  </Link>
                  {i.own && <span className="text-[13.5px] text-ink-soft"> own</span>}
                  {i.aliases.length > 0 && <span className="block truncate text-[13.5px] text-ink-soft">{i.aliases.slice(0, 3).join(', ')}</span>}
                </th>
                <td className="fig py-1.5 pl-3 text-right font-medium">{withUnit(plainNumber(fatOf(i), 1), '%')}</td>
                <td className="fig py-1.5 pl-3 text-right font-medium max-sm:hidden">{withUnit(plainNumber(sugarOf(i), 1), '%')}</td>
                <td className="fig py-1.5 pl-3 text-right font-medium max-sm:hidden">{withUnit(plainNumber(i.composition.water, 1), '%')}</td>
                <td className="fig py-1.5 pl-3 text-right font-medium max-sm:hidden">{i.packG === null ? '–' : showGrams(i.packG)}</td>
                <td className="fig py-1.5 pl-3 text-right font-medium max-sm:hidden">{i.pricePerKg === null ? '–' : money(i.pricePerKg)}</td>
                <td className="py-1.5 pl-6 text-ink-soft max-lg:hidden">{i.allergens.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {shown.length > AT_ONCE && (
        <button type="button" className="btn mt-3" onClick={() => setAll(!all)}>
          {all ? `Show the first ${AT_ONCE}` : `Show all ${shown.length}`}
        </button>
      )}
    </>
  );
}

/** Reads a larder file in: what it would do is said first. */
function ImportFile() {
  const router = useRouter();
  const [says, setSays] = useState<{ readonly text: string; readonly faults: readonly string[]; readonly wrong: boolean } | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > 5_000_000) {
      setSays({ text: 'That file is larger than 5 MB: no larder is. Nothing was read.', faults: [], wrong: true });
      return;
    }
    const text = await file.text();
    try {
      const response = await fetch('/api/larder/file', { method: 'POST', headers: { 'content-type': 'text/csv' }, body: text });
      const body = (await response.json()) as { rows: number; added: number; replaced: number; edited: readonly string[]; faults: readonly string[] } & {
        says?: string;
      };
      if (!response.ok) throw new Error(body.says);
      const { rows, faults } = body;
      const kept = body.edited.map((name) => `${name} was edited here since the file was taken out: it stays as it is here.`);
      setSays({
        text: `${rows} ${rows === 1 ? 'row' : 'rows'} read: ${body.added} new, ${body.replaced} replaced.${faults.length > 0 ? ` ${faults.length} could not be read:` : ''}`,
        faults: [...faults, ...kept],
        wrong: faults.length + kept.length > 0,
      });
      router.refresh();
    } catch (error) {
      setSays({ text: error instanceof TypeError ? 'The server does not answer; nothing was taken over.' : (error as Error).message, faults: [], wrong: true });
    }
  };
  return (
    <>
      <label className="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-ink">
        Read a CSV file in
        <input
          type="file"
          className="sr-only"
          accept=".csv,.tsv,.txt,text/csv"
          onChange={(e) => {
            void take(e.target.files?.[0]);
            e.target.value = '';
          }}
        />
      </label>
      {says && (
        <div role="status" className={`w-full text-[14.5px] ${says.wrong ? 'text-beet' : 'text-ink-soft'}`}>
          <p>{says.text}</p>
          <ul>
            {says.faults.slice(0, 8).map((f) => (
              <li key={f}>{f}</li>
            ))}
            {says.faults.length > 8 && <li>and {says.faults.length - 8} more</li>}
          </ul>
        </div>
      )}
    </>
  );
}
