'use client';

import { Check } from 'lucide-react';
import { AmountSwitches, StepLines } from './step-lines';
import { useOnPass } from './on-pass';

/** Before the first step: what takes its time, then every amount by the step that it is for, divided ingredients apart. */
export function MiseScreen() {
  const { plan, state, client } = useOnPass();
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-8">
        <h1 className="text-[clamp(30px,4.6vw,52px)] leading-[1.08]">Mise en place</h1>
        <AmountSwitches />
      </div>
      {plan.before.length > 0 && (
        <section aria-label="Before the first step" className="mt-5">
          <h2 className="text-[20px] text-yolk">Before the first step</h2>
          <ul className="mt-1">
            {plan.before.map((b) => {
              const ticked = state.progress.ticks.includes(b.key);
              return (
                <li key={b.key} className="border-t border-cocoa-line">
                  <label className="flex min-h-16 cursor-pointer items-center gap-5 py-2 has-focus-visible:outline-2 has-focus-visible:outline-yolk">
                    <input
                      type="checkbox"
                      className="peer sr-only"
                      checked={ticked}
                      onChange={(e) => void client.act({ kind: 'tick', line: b.key, on: e.target.checked })}
                    />
                    <span
                      aria-hidden="true"
                      className={`flex size-9 shrink-0 items-center justify-center rounded-s border-2 ${ticked ? 'border-yolk bg-yolk text-ink' : 'border-cocoa-soft'}`}
                    >
                      {ticked && <Check size={24} />}
                    </span>
                    <span>
                      <span className={`text-[clamp(20px,2.4vw,27px)] leading-tight ${ticked ? 'text-cocoa-soft line-through' : ''}`}>{b.title}</span>
                      <span className="block text-[17px] text-cocoa-soft">{b.detail}</span>
                    </span>
                  </label>
                </li>
              );
            })}
          </ul>
        </section>
      )}
      {plan.mise.map((group) => (
        <section key={group.stepKey} aria-label={group.title} className="mt-6 [&_section]:mt-1">
          <h2 className="text-[20px] text-yolk">{group.title}</h2>
          <StepLines lines={group.lines} bare tickAs="mise:" />
        </section>
      ))}
    </>
  );
}
