'use client';

import Link from 'next/link';
import { useActionState, useMemo, useState } from 'react';
import type { KitchenFacts } from '../../core/kitchen/kitchen';
import { readLine, splitLine } from '../../core/measures/line';
import { ingredientNamed, matcherFor } from '../../core/measures/match';
import { plainNumber } from '../../core/figure';
import { createFromForm, type CreateAnswer } from './actions';

interface NewSheetFormProps {
  readonly facts: KitchenFacts;
  /** Families to start from: id, name, what they are made of. */
  /** The family that is chosen at first; '' for one cream. */
  readonly from: string;
  readonly starts: readonly { readonly id: string; readonly name: string; readonly says: string }[];
}

/** A name, and what to start from: a recipe that is there, the parts of a family, or one cream, which is read while it is typed. */
export function NewSheetForm({ facts, starts, from }: NewSheetFormProps) {
  const [answer, create, pending] = useActionState<CreateAnswer, FormData>(createFromForm, null);
  const [name, setName] = useState('');
  const [start, setStart] = useState(from);
  const [cream, setCream] = useState('600 g cream 36 %');
  const matcher = useMemo(() => matcherFor(facts.larder), [facts]);
  const ingredient = ingredientNamed(splitLine(cream), matcher);
  const read = readLine(cream, ingredient, { cups: facts.rules.cups, eggs: facts.rules.eggs });
  return (
    <div className="mx-auto grid max-w-[1060px] gap-x-12 gap-y-8 px-4 py-8 md:px-8 lg:grid-cols-[minmax(0,1fr)_340px]">
      <form action={create}>
        <label className="mb-5 block">
          <span className="mb-1 block font-[600]">What is it called?</span>
          <input
            name="name"
            value={name}
            onChange={(e) => setName(e.target.value)}
            autoFocus
            maxLength={120}
            placeholder="Lemon-thyme chantilly"
            className="field w-full text-[18px]"
            aria-invalid={answer?.field === 'name' || undefined}
            aria-describedby="name-fault"
          />
          <span id="name-fault" className="mt-1 block text-beet" role="alert">
            {answer?.field === 'name' && answer.says}
          </span>
        </label>
        <fieldset className="mb-5">
          <legend className="mb-1 font-[600]">What does it start from?</legend>
          <div className="grid gap-x-6 border-t border-steel-light sm:grid-cols-2">
            {[{ id: '', name: 'One cream', says: 'typed below' }, ...starts].map((s) => (
              <label
                key={s.id}
                className={`block min-h-11 cursor-pointer border-b border-steel-light px-2 py-1.5 has-focus-visible:outline-2 has-focus-visible:outline-ink ${start === s.id ? 'bg-yolk-pale' : 'hover:bg-paper'}`}
              >
                <input type="radio" name="start" value={s.id} checked={start === s.id} onChange={() => setStart(s.id)} className="sr-only" />
                <span className={`block ${start === s.id ? 'font-[650]' : ''}`}>{s.name}</span>
                <span className="block truncate text-[13.5px] text-ink-soft">{s.says}</span>
              </label>
            ))}
          </div>
        </fieldset>
        {start === '' && (
          <label className="mb-5 block">
            <span className="mb-1 block font-[600]">Which cream is there, and how much?</span>
            <input
              name="cream"
              value={cream}
              onChange={(e) => setCream(e.target.value)}
              maxLength={500}
              className="field w-full text-[18px]"
              aria-invalid={!read.ok || undefined}
              aria-describedby="cream-read"
            />
            <span id="cream-read" className={`mt-1 block ${read.ok ? 'text-ink-soft' : 'text-beet'}`} role="status">
              {read.ok
                ? `${plainNumber(read.value.massG, 0)}\u00a0g of ${ingredient?.name}${read.value.fatPct === null ? '' : `, read as ${read.value.fatPct}\u00a0% fat`}`
                : read.fault.says}
            </span>
          </label>
        )}
        <button type="submit" className="btn btn-act" disabled={pending}>
          To the bench
        </button>
      </form>
      <section aria-label="From a recipe" className="border-steel max-lg:order-first max-lg:border-b max-lg:pb-6 lg:border-l lg:pl-8">
        <h2 className="text-[19px]">There is a recipe</h2>
        <p className="mt-1 mb-3 text-ink-soft">
          Written, in short hand, in cups, or told as a story: its parts, amounts, steps and times are read, and the order is kept.
        </p>
        <Link href="/paste" className="btn">
          Paste a recipe
        </Link>
      </section>
    </div>
  );
}
