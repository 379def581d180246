import Link from 'next/link';
import { FamilyList } from '../begin/family-list';
import { STEPS, stepHref } from '../begin/steps';

/** What an empty kitchen can begin with: the questions of its first hour, and a sheet from its family. */
export function EmptyKitchen() {
  return (
    <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-14 gap-y-8 lg:grid-cols-2">
      <section aria-label="Setting up">
        <h2 className="pb-1 text-[17px]">Set up, in any order</h2>
        <ol className="border-t border-steel-light">
          {STEPS.slice(0, -1).map((s, i) => (
            <li key={s.id}>
              <Link href={stepHref(i)} className="block border-b border-steel-light px-1 py-2.5 hover:bg-paper">
                <span className="font-[600] underline underline-offset-2">{s.asks}</span>
                <span className="mt-0.5 block max-w-[58ch] text-[14.5px] text-ink-soft">{s.why}</span>
              </Link>
            </li>
          ))}
        </ol>
      </section>
      <section aria-label="Families">
        <h2 className="pb-1 text-[17px]">A first sheet, from its family</h2>
        <FamilyList />
      </section>
    </div>
  );
}
