'use client';

import { useState } from 'react';
import { Plus, X } from 'lucide-react';
import { showGrams } from '../../../core/figure';
import { isGoodOn, type StockPack } from '../../../core/larder/stock';
import { QuantityField } from '../../../ui/quantity-field';
import { freshId } from '../../../ui/sheet/fresh-id';
import { showDay } from '../../../core/timetable/typed-moment';
import { DayField } from '../../../ui/kit/day-field';

interface Known {
  readonly id: string;
  readonly name: string;
  readonly packG: number | null;
}

interface StockDeskProps {
  readonly first: readonly StockPack[];
  readonly ingredients: readonly Known[];
  readonly today: string;
}

/** What is in the larder by pack: added here, drawn down by batches, past its day it no longer counts. */
export function StockDesk({ first, ingredients, today }: StockDeskProps) {
  const [packs, setPacks] = useState(first);
  const [says, setSays] = useState({ text: '', wrong: false });
  const [wanted, setWanted] = useState('');
  const [sizeG, setSizeG] = useState<number | null>(null);
  const [count, setCount] = useState(1);
  const [day, setDay] = useState('');
  const [lot, setLot] = useState('');
  const nameOf = (id: string): string => ingredients.find((i) => i.id === id)?.name ?? 'an ingredient that is gone';
  const chosen = ingredients.find((i) => i.name === wanted) ?? null;
  const put = async (changed: readonly StockPack[]) => {
    setSays({ text: 'saving…', wrong: false });
    try {
      const response = await fetch('/api/stock', {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ packs: changed, seen: Object.fromEntries(packs.map((p) => [p.id, p.leftG])) }),
      });
      const body = (await response.json()) as StockPack[] | { says?: string; stock?: StockPack[] };
      if (!Array.isArray(body) && body.stock) setPacks(body.stock);
      if (!response.ok || !Array.isArray(body)) throw new Error(('says' in body ? body.says : undefined) ?? 'It could not be kept.');
      setPacks(body);
      setSays({ text: 'saved', wrong: false });
      return true;
    } catch (error) {
      setSays({ text: error instanceof TypeError ? 'not saved: the server does not answer' : `not saved: ${(error as Error).message}`, wrong: true });
      return false;
    }
  };
  const size = sizeG ?? chosen?.packG ?? 1000;
  const add = async () => {
    if (!chosen) return;
    const done = await put(
      Array.from({ length: count }, () => ({
        id: freshId(),
        ingredientId: chosen.id,
        sizeG: size,
        leftG: size,
        bestBefore: day === '' ? null : day,
        lot: lot.trim(),
      })),
    );
    if (!done) return;
    setWanted('');
    setLot('');
    setSizeG(null);
    setCount(1);
  };
  const sorted = packs.toSorted((a, b) =>
    nameOf(a.ingredientId) < nameOf(b.ingredientId)
      ? -1
      : nameOf(a.ingredientId) > nameOf(b.ingredientId)
        ? 1
        : (a.bestBefore ?? '9') < (b.bestBefore ?? '9')
          ? -1
          : 1,
  );
  return (
    <>
      <form
        aria-label="Put packs in"
        className="mt-4 grid max-w-[980px] grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-[minmax(0,1fr)_110px_80px_150px_120px_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <label className="col-span-2 block sm:col-span-1">
          <span className="block text-[13.5px] text-ink-soft">What was bought</span>
          <input list="stock-ingredients" value={wanted} onChange={(e) => setWanted(e.target.value)} className="field mt-0.5 w-full" />
          <datalist id="stock-ingredients">
            {ingredients.map((i) => (
              <option key={i.id} value={i.name} />
            ))}
          </datalist>
        </label>
        <QuantityField key={`${chosen?.id}`} label="Pack" unit="g" value={size} min={1} max={100_000} onChange={setSizeG} />
        <QuantityField label="Packs" unit="" value={count} min={1} max={200} whole onChange={setCount} />
        <div>
          <label htmlFor="best-before" className="block text-[13.5px] text-ink-soft">
            Best before
          </label>
          <DayField id="best-before" value={day} onChange={setDay} className="field fig mt-0.5 w-full px-2! font-medium" />
        </div>
        <label className="block">
          <span className="block text-[13.5px] text-ink-soft">Lot</span>
          <input value={lot} maxLength={60} autoComplete="off" onChange={(e) => setLot(e.target.value)} className="field fig mt-0.5 w-full px-2! font-medium" />
        </label>
        <button type="submit" className="btn btn-act" disabled={!chosen}>
          <Plus size={15} aria-hidden="true" /> Put in
        </button>
      </form>
      <p className="min-h-6 pt-1 text-[14px] text-ink-soft">
        {wanted !== '' && !chosen ? 'Choose a name of the larder’s list. ' : ''}
        <span role="status" aria-label="Saving" className={says.wrong ? 'text-beet' : ''}>
          {says.text}
        </span>
      </p>
      {sorted.length === 0 ? (
        <p className="max-w-[980px] border-t border-steel py-5 text-[17px]">
          Nothing is written down yet. Put in what was bought; finished batches take from it.
        </p>
      ) : (
        <ul className="max-w-[980px]">
          {sorted.map((p) => {
            const good = isGoodOn(p, today);
            return (
              <li
                key={p.id}
                data-pack={p.id}
                className="grid grid-cols-[minmax(0,1fr)_auto_32px] items-center gap-x-3 gap-y-1 border-t border-steel py-1.5 sm:grid-cols-[minmax(0,1fr)_180px_170px_32px]"
              >
                <span className="font-[600]">
                  {nameOf(p.ingredientId)}
                  {p.lot !== '' && <span className="ml-2 text-[14px] font-normal whitespace-nowrap text-ink-soft">lot {p.lot}</span>}
                </span>
                <span className={`text-[14px] whitespace-nowrap max-sm:col-start-1 max-sm:row-start-2 ${good ? 'text-ink-soft' : 'text-beet'}`}>
                  {p.bestBefore === null ? 'no day' : good ? `best before ${showDay(p.bestBefore)}` : `past ${showDay(p.bestBefore)}`}
                </span>
                <span className="text-right">
                  <b className="fig">{showGrams(p.leftG)}</b> of {showGrams(p.sizeG)}
                </span>
                <button
                  type="button"
                  className="flex size-8 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:size-11"
                  aria-label={`${nameOf(p.ingredientId)}, ${showGrams(p.leftG)}: it is gone`}
                  onClick={() => void put([{ ...p, leftG: 0 }])}
                >
                  <X size={16} />
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
