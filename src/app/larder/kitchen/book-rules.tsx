'use client';

import { useEffect, useRef, useState } from 'react';
import type { KitchenRules } from '../../../core/kitchen/schema';
import { QuantityField } from '../../../ui/quantity-field';

type Book = KitchenRules['book'];
const MOST_JOBS = 40;
const LONGEST_JOB = 120;

/** What the book asks for every day: how warm a place may be, and what is cleaned and checked, a row each. */
export function BookRules({ book, onChange }: { readonly book: Book; readonly onChange: (book: Book) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const section = useRef<HTMLElement>(null);
  // The router opens a page at its top, whatever its address says.
  useEffect(() => {
    if (location.hash === '#book') section.current?.scrollIntoView();
  }, []);
  const jobs = (text: string): string[] =>
    [...new Set(text.split('\n').map((t) => t.trim().slice(0, LONGEST_JOB)))].filter((t) => t !== '').slice(0, MOST_JOBS);
  return (
    <section ref={section} id="book" aria-label="The book" className="mt-7 scroll-mt-16">
      <h2 className="pb-1 text-[17px]">What the book asks for</h2>
      <div className="grid grid-cols-2 items-start gap-x-4 gap-y-3 border-t border-steel-light pt-2 sm:grid-cols-4">
        <QuantityField
          label="A fridge, at most"
          unit="°C"
          value={book.fridgeAtMostC}
          min={-5}
          max={20}
          onChange={(fridgeAtMostC) => onChange({ ...book, fridgeAtMostC })}
        />
        <QuantityField
          label="A freezer, at most"
          unit="°C"
          value={book.freezerAtMostC}
          min={-40}
          max={0}
          onChange={(freezerAtMostC) => onChange({ ...book, freezerAtMostC })}
        />
        <label className="col-span-2 block">
          <span className="block text-[13.5px] text-ink-soft">Cleaned and checked each day, a row each</span>
          <textarea
            rows={4}
            maxLength={MOST_JOBS * (LONGEST_JOB + 1)}
            value={draft ?? book.jobs.join('\n')}
            onChange={(e) => {
              setDraft(e.target.value);
              onChange({ ...book, jobs: jobs(e.target.value) });
            }}
            onBlur={() => setDraft(null)}
            className="field mt-0.5 w-full py-2"
          />
        </label>
      </div>
      <p className="pt-1 text-[14px] text-ink-soft">5 °C and −18 °C are usual figures; your local food code may say others.</p>
    </section>
  );
}
