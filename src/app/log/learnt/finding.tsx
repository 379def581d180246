'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { plainNumber } from '../../../core/figure';
import type { LearnableFigure, Learnt } from '../../../core/learning/correction';
import { batchesSay } from '../../../core/analysis/learnt';
import { ClockTime } from '../../../ui/clock-time';

export interface FindingFacts {
  readonly figure: LearnableFigure;
  readonly name: string;
  readonly where: string;
  /** Half-width of the band by the formula alone, share. */
  readonly alone: number;
  readonly learnt: Learnt;
  /** Oldest first. */
  readonly outcomes: readonly {
    readonly batchId: string;
    readonly sheet: string;
    /** Of no batch: a cream that was timed to tune the kitchen. */
    readonly test: boolean;
    readonly at: number;
    readonly ratio: number;
    readonly answer: 'count' | 'leave-out' | null;
  }[];
}

const times = (f: number): string => `×\u00a0${plainNumber(f, 2)}`;

/** One house figure in one context: factor, band, every batch, and the question about what lies far off. */
export function Finding({ facts: { figure, name, where, alone, learnt, outcomes } }: { readonly facts: FindingFacts }) {
  const router = useRouter();
  const answer = async (batchId: string, said: 'count' | 'leave-out' | null) => {
    await fetch(`/api/batches/${batchId}/answers`, {
      method: 'POST',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ figure, answer: said }),
    });
    router.refresh();
  };
  const answered = outcomes.filter((o) => o.answer !== null && !o.test);
  const tests = outcomes.filter((o) => o.test);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-2 border-t border-steel py-4 lg:grid-cols-[260px_minmax(0,1fr)_340px]" data-finding={figure}>
      <div>
        <h2 className="text-[18px]">{name}</h2>
        <p className="text-ink-soft">{where}</p>
        <p className="mt-1">
          <span className="fig text-[26px]">{learnt.n + learnt.borrowed > 0 ? times(learnt.factor) : '–'}</span>{' '}
          <span className="text-ink-soft">{batchesSay(learnt)}</span>
        </p>
      </div>
      <Ratios outcomes={outcomes} learnt={learnt} alone={alone} says={`${name}, ${where}`} />
      <div className="text-[14.5px]">
        <p>
          Four in five of the next batches: <span className="fig">{times(learnt.low)}</span> to <span className="fig">{times(learnt.high)}</span> of the
          formula. The formula alone: ±{Math.round(100 * alone)}&nbsp;%.
        </p>
        {learnt.asked.map((o) => {
          const of = outcomes.find((x) => x.batchId === o.batchId)!;
          return (
            <p key={o.batchId} className="mt-2 border-t border-steel-light pt-2" data-asked>
              <Link href={`/log/${o.batchId}`} className="font-semibold hover:underline">
                {of.sheet}
              </Link>
              , <ClockTime at={o.at} withDate />, came to <span className="fig">{times(o.ratio)}</span>: far off the others. Was it this cream, or a mishap?
              <span className="mt-1 flex gap-2">
                <button type="button" className="btn" onClick={() => void answer(o.batchId, 'leave-out')}>
                  Leave it out
                </button>
                <button type="button" className="btn" onClick={() => void answer(o.batchId, 'count')}>
                  Count it
                </button>
              </span>
            </p>
          );
        })}
        {tests.map((o) => (
          <p key={o.batchId} className="mt-2 border-t border-steel-light pt-2 text-ink-soft">
            {o.sheet}, <ClockTime at={o.at} withDate />, {times(o.ratio)}, of{' '}
            <Link href="/log/tune" className="underline decoration-dotted underline-offset-4 hover:text-ink">
              Tune
            </Link>
            .
          </p>
        ))}
        {answered.map((o) => (
          <p key={o.batchId} className="mt-2 border-t border-steel-light pt-2 text-ink-soft">
            {o.sheet}, <ClockTime at={o.at} withDate />, {times(o.ratio)}: {o.answer === 'count' ? 'counted' : 'left out'}.{' '}
            <button type="button" className="underline decoration-dotted underline-offset-4 hover:text-ink" onClick={() => void answer(o.batchId, null)}>
              Ask again
            </button>
          </p>
        ))}
      </div>
    </li>
  );
}

const W = 560;
const H = 128;

/** Every outcome over the formula, oldest first: the formula's line, the corrected one, and the next batch's band. */
function Ratios({
  outcomes,
  learnt,
  alone,
  says,
}: {
  readonly outcomes: FindingFacts['outcomes'];
  readonly learnt: Learnt;
  readonly alone: number;
  readonly says: string;
}) {
  const reach = Math.max(
    Math.log(1 + alone) * 1.2,
    ...outcomes.map((o) => Math.abs(Math.log(o.ratio)) * 1.08),
    Math.abs(Math.log(learnt.high)),
    Math.abs(Math.log(learnt.low)),
  );
  const y = (ratio: number): number => H / 2 - (Math.log(ratio) / reach) * (H / 2 - 10);
  const x = (i: number): number => 64 + ((W - 120) * (i + 0.5)) / Math.max(outcomes.length, 6);
  const asked = (id: string): boolean => learnt.asked.some((o) => o.batchId === id);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full max-w-[640px]"
      role="img"
      aria-label={`${says}, oldest first: ${outcomes.map((o) => `${plainNumber(o.ratio, 2)}${asked(o.batchId) ? ' (far off)' : ''}`).join(', ')} times the formula`}
    >
      <rect x="64" width={W - 104} y={y(learnt.high)} height={y(learnt.low) - y(learnt.high)} fill="var(--color-yolk-pale)" />
      <line x1="64" x2={W - 40} y1={y(1)} y2={y(1)} stroke="var(--color-ink-soft)" strokeDasharray="3 4" />
      <text x="0" y={y(1) + 4} fontSize="15" fill="var(--color-ink-soft)">
        formula
      </text>
      <line x1="64" x2={W - 40} y1={y(learnt.factor)} y2={y(learnt.factor)} stroke="var(--color-ink)" strokeWidth="2" />
      <text x={W - 36} y={y(learnt.factor) + 4} fontSize="15" fontWeight="600" fill="var(--color-ink)">
        {plainNumber(learnt.factor, 2)}
      </text>
      {outcomes.map((o, i) => {
        const out = o.answer === 'leave-out' || asked(o.batchId);
        return (
          <circle
            key={o.batchId}
            cx={x(i)}
            cy={y(o.ratio)}
            r="5.5"
            fill={out ? 'var(--color-paper)' : 'var(--color-ink)'}
            stroke={out ? 'var(--color-beet)' : 'var(--color-ink)'}
            strokeWidth="2"
          />
        );
      })}
    </svg>
  );
}
