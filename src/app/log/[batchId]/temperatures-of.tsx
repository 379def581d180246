'use client';

import dynamic from 'next/dynamic';
import { inSentence, plainNumber, withUnit } from '../../../core/figure';

const LineChart = dynamic(() => import('../../../ui/line-chart').then((m) => m.LineChart), { ssr: false });

interface TemperaturesOfProps {
  readonly samples: readonly { readonly series: string; readonly at: number; readonly tC: number }[];
  readonly steps: readonly { readonly key: string; readonly title: string; readonly partName: string }[];
}

/** The temperatures that were logged, step by step. */
export function TemperaturesOf({ samples, steps }: TemperaturesOfProps) {
  const logged = steps.flatMap((s) => {
    const of = samples.filter((x) => x.series.startsWith(`${s.key}|`));
    return of.length > 0 ? [{ step: s, of }] : [];
  });
  if (logged.length === 0) return null;
  return (
    <section aria-label="Temperatures" className="mt-7">
      <h2 className="mb-2 text-[17px]">Temperatures</h2>
      {logged.map(({ step, of }) => {
        const start = of[0]!.at;
        const last = of.at(-1)!;
        return (
          <div key={step.key} className="border-t border-steel-light py-2">
            <p>
              {step.partName && `${step.partName}: `}
              {inSentence(step.title)}, {of.length} readings, at the end <span className="fig">{withUnit(plainNumber(last.tC, 1), '°C')}</span>
            </p>
            {of.length > 1 && (
              <div className="mt-1 h-44">
                <LineChart points={of.map((x) => ({ x: (x.at - start) / 60_000, y: x.tC }))} xName="min" yName="°C" says={`Temperatures of ${step.title}`} />
              </div>
            )}
          </div>
        );
      })}
    </section>
  );
}
