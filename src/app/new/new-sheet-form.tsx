'use client';

import Link from 'next/link';
import { useActionState, useMemo, useState } from 'react';
import type { KitchenFacts } from '../../core/sheet/analyse';
import { readLine, splitLine } from '../../core/measures/line';
import { ingredientNamed, matcherFor } from '../../core/measures/match';
import { plainNumber } from '../../core/figure';
import { createFromForm, type CreateAnswer } from './actions';

/** Name and cream; the cream is read while it is typed. */
export function NewSheetForm({ facts }: { readonly facts: KitchenFacts }) {
  const [answer, create, pending] = useActionState<CreateAnswer, FormData>(createFromForm, null);
  const [name, setName] = useState('');
  const [cream, setCream] = useState('600 g cream 36 %');
  const matcher = useMemo(() => matcherFor(facts.larder), [facts]);
  const ingredient = ingredientNamed(splitLine(cream), matcher);
  const read = readLine(cream, ingredient, { cups: facts.rules.cups, eggs: facts.rules.eggs });
  return (
    <form action={create} className="mx-auto max-w-[560px] px-4 py-10">
      <label className="mb-6 block">
        <span className="mb-1 block font-[600]">What is it called?</span>
        <input name="name" value={name} onChange={(e) => setName(e.target.value)} autoFocus maxLength={120} placeholder="Lemon-thyme chantilly" className="field w-full text-[18px]" aria-invalid={answer?.field === 'name' || undefined} aria-describedby="name-fault" />
        <span id="name-fault" className="mt-1 block text-beet" role="alert">
          {answer?.field === 'name' && answer.says}
        </span>
      </label>
      <label className="mb-6 block">
        <span className="mb-1 block font-[600]">Which cream is there, and how much?</span>
        <input name="cream" value={cream} onChange={(e) => setCream(e.target.value)} maxLength={500} className="field w-full text-[18px]" aria-invalid={!read.ok || undefined} aria-describedby="cream-read" />
        <span id="cream-read" className={`mt-1 block ${read.ok ? 'text-ink-soft' : 'text-beet'}`} role="status">
          {read.ok ? `${plainNumber(read.value.massG, 0)}\u00a0g of ${ingredient?.name}${read.value.fatPct === null ? '' : `, read as ${read.value.fatPct}\u00a0% fat`}` : read.fault.says}
        </span>
      </label>
      <div className="flex flex-wrap items-center gap-4">
        <button type="submit" className="btn btn-act" disabled={pending}>
          To the bench
        </button>
        <Link href="/paste" className="btn">
          Paste a written recipe instead
        </Link>
      </div>
    </form>
  );
}
