'use client';

import { Plus, X } from 'lucide-react';
import type { Cook } from '../core/kitchen/crew-schema';
import { DAILY } from '../core/kitchen/usual-crew';
import { freshId } from './sheet/fresh-id';
import { TimeField } from './kit/time-field';

const DAY_LETTERS = ['M', 'T', 'W', 'T', 'F', 'S', 'S'];
const DAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** Who is there when: a name, hours and the days of the week. A shift that ends before it begins goes on past midnight. */
export function CrewForm({ crew, onChange }: { readonly crew: readonly Cook[]; readonly onChange: (crew: Cook[]) => void }) {
  const set = (id: string, next: Partial<Cook>) => onChange(crew.map((c) => (c.id === id ? { ...c, ...next } : c)));
  return (
    <div>
      {crew.length === 0 && <p className="py-1.5 text-beet">No cook: nobody can do anything.</p>}
      <ul>
        {crew.map((c) => (
          <li key={c.id} className="border-t border-steel-light py-2">
            <div className="flex items-center gap-2">
              <input
                aria-label="Name of the cook"
                value={c.name}
                maxLength={60}
                onChange={(e) => e.target.value.trim() !== '' && set(c.id, { name: e.target.value })}
                className="field min-w-0 flex-1"
              />
              <button
                type="button"
                className="flex size-8 shrink-0 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:size-11"
                aria-label={`Take out ${c.name}`}
                onClick={() => onChange(crew.filter((x) => x.id !== c.id))}
              >
                <X size={16} />
              </button>
            </div>
            {c.hours.map((h, i) => {
              const hours = (next: Partial<typeof h>) => set(c.id, { hours: c.hours.map((x, k) => (k === i ? { ...x, ...next } : x)) });
              return (
                <div key={i} className="flex flex-wrap items-center gap-x-2 gap-y-1 pt-1.5 text-[14px]">
                  <TimeField label={`${c.name} from`} value={h.from} onChange={(from) => hours({ from })} className="field fig w-[84px] px-2! font-medium" />
                  to
                  <TimeField label={`${c.name} to`} value={h.to} onChange={(to) => hours({ to })} className="field fig w-[84px] px-2! font-medium" />
                  {c.hours.length > 1 && (
                    <button
                      type="button"
                      className="text-ink-soft underline decoration-dotted underline-offset-4"
                      onClick={() => set(c.id, { hours: c.hours.filter((_, k) => k !== i) })}
                    >
                      not these
                    </button>
                  )}
                  <span role="group" aria-label={`Days of ${c.name}`} className="flex gap-x-0.5">
                    {DAY_LETTERS.map((letter, d) => {
                      const on = h.days.includes(d + 1);
                      return (
                        <button
                          key={d}
                          type="button"
                          aria-pressed={on}
                          aria-label={DAY_NAMES[d]}
                          onClick={() => hours({ days: on ? h.days.filter((x) => x !== d + 1) : [...h.days, d + 1].sort() })}
                          className={`flex size-8 items-center justify-center rounded-s border pointer-coarse:size-11 ${on ? 'border-ink bg-ink font-[650] text-paper' : 'border-steel text-ink-soft line-through'}`}
                        >
                          {letter}
                        </button>
                      );
                    })}
                  </span>
                </div>
              );
            })}
            <button
              type="button"
              className="pt-1 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4"
              onClick={() => set(c.id, { hours: [...c.hours, { days: [...DAILY], from: '18:00', to: '22:00' }] })}
            >
              other hours besides
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn mt-1 text-[14px]"
        onClick={() => onChange([...crew, { id: freshId(), name: `Cook ${crew.length + 1}`, hours: [{ days: [...DAILY], from: '08:00', to: '18:00' }] }])}
      >
        <Plus size={15} aria-hidden="true" /> A cook
      </button>
    </div>
  );
}
