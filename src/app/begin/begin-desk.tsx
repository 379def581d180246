'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import type { KitchenThings } from '../../data/kitchen-things';
import { SavingLine } from '../../ui/saved/saving-line';
import { useKitchenSaved } from '../kitchen-saved';
import { ColdStep, MeasuresStep, MixersStep, RulesStep, SheetStep, type StepProps } from './answers';
import { STEPS, stepHref, type StepId } from './steps';
import { VesselsStep } from './vessels-step';

interface BeginDeskProps {
  readonly at: number;
  readonly things: KitchenThings;
  readonly revision: number;
  readonly families: ReactNode;
}

/** One question at a time, what is there already shown as it stands; answers are saved as they are given. */
export function BeginDesk({ at, things: first, revision, families }: BeginDeskProps) {
  const { saver, state } = useKitchenSaved(first, revision);
  const step = STEPS[at]!;
  const props: StepProps = { things: state.doc, change: (next) => saver.change({ ...state.doc, ...next }) };
  const answers: Readonly<Record<StepId, () => ReactNode>> = {
    measures: () => <MeasuresStep {...props} />,
    cold: () => <ColdStep {...props} />,
    mixers: () => <MixersStep {...props} />,
    vessels: () => <VesselsStep {...props} />,
    rules: () => <RulesStep {...props} />,
    sheet: () => <SheetStep families={families} />,
  };
  const last = at === STEPS.length - 1;
  return (
    <div className="mx-auto grid max-w-[1060px] gap-x-12 gap-y-4 px-4 py-5 md:px-6 lg:grid-cols-[190px_minmax(0,1fr)]">
      <nav aria-label="Setting up" className="lg:pt-1">
        <ol className="flex flex-wrap gap-x-4 text-[15px] lg:block">
          {STEPS.map((s, i) => (
            <li key={s.id}>
              <Link
                href={stepHref(i)}
                aria-current={i === at ? 'step' : undefined}
                className={`flex min-h-9 items-center pointer-coarse:min-h-11 ${i === at ? 'font-[650] underline decoration-yolk decoration-4 underline-offset-4' : 'text-ink-soft hover:text-ink'}`}
              >
                {s.name}
              </Link>
            </li>
          ))}
        </ol>
      </nav>
      <section aria-label={step.asks} className="max-w-[760px]">
        <h2 className="font-figure text-[25px] leading-tight">{step.asks}</h2>
        <p className="mt-1 max-w-[62ch] text-[15px] text-ink-soft">{step.why}</p>
        {!last && <SavingLine saver={saver} state={state} />}
        <div className="mt-3">{answers[step.id]()}</div>
        <p className="mt-7 flex flex-wrap items-center gap-3">
          {!last && (
            <Link href={stepHref(at + 1)} className="btn btn-act min-h-12 px-6 text-[16px]">
              Next: {STEPS[at + 1]!.name.toLowerCase()}
            </Link>
          )}
          {at > 0 && (
            <Link href={stepHref(at - 1)} className="btn">
              Back
            </Link>
          )}
          {!last && (
            <Link href="/" className="btn">
              Leave it as it is
            </Link>
          )}
        </p>
        {!last && <p className="mt-3 text-[14px] text-ink-soft">All of this can be left out, and changed later in Larder, The kitchen.</p>}
      </section>
    </div>
  );
}
