'use client';

import { useRouter } from 'next/navigation';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { OVEN_AT_C } from '../../../core/tuning/house';
import type { Figure } from '../../../core/figure';
import { figuresOf, worthFigure } from '../../../core/tuning/figures';
import { tuned, type TunedThings } from '../../../core/tuning/tuned';
import type { TestOffered } from '../../../core/tuning/worth';
import { ClockTime } from '../../../ui/clock-time';
import { refusal, askServer } from '../../../ui/ask-server';
import { FigureButton } from '../../../ui/figure-button';
import { TestForm } from './test-form';
import { bandSays, mainBand, TEST_WORDS, whatOf } from './test-words';
import { knownOf, type TuneThings } from './tune-things';

/** What the last test of a thing came to; nothing where it can no longer be said. */
function figuresOfLast({ last }: TestOffered, known: TunedThings): readonly Figure[] {
  const came = last && tuned(last.measured, known);
  return last && came?.ok ? figuresOf(last.measured, came.value) : [];
}

const keyOf = (t: Pick<TestOffered, 'kind' | 'thing'>): string => `${t.kind} ${t.thing}`;

interface TuneDeskProps {
  readonly offered: readonly TestOffered[];
  /** How many sheets there are. */
  readonly sheets: number;
  readonly things: TuneThings;
}

/** The tests, the one worth doing next first; one of them open. */
export function TuneDesk({ offered, sheets, things }: TuneDeskProps) {
  const router = useRouter();
  const [open, setOpen] = useState<string | null>(null);
  const [says, setSays] = useState('');
  const [next] = offered.filter((t) => t.perMinute > 0);
  const test = offered.find((t) => keyOf(t) === open) ?? null;
  const known = useMemo(() => knownOf(things), [things]);
  const begin = (t: TestOffered): void => {
    setOpen(keyOf(t));
    setSays('');
  };
  const takeBack = async (id: string): Promise<void> => {
    try {
      await askServer(`/api/tuning/${id}`, 'DELETE');
      setSays('Taken back: what stood there before stands there again.');
      router.refresh();
    } catch (error) {
      setSays(refusal(error));
    }
  };
  return (
    <div className={`grid grid-cols-[minmax(0,1fr)] gap-x-10 px-4 py-5 md:px-8 ${test ? 'lg:grid-cols-[minmax(0,1fr)_minmax(0,460px)]' : ''}`}>
      <section aria-label="Tests" className={test ? 'max-lg:order-2 max-lg:mt-8' : ''}>
        <p role="status" className="mb-4 text-[16px] empty:hidden">
          {says}
        </p>
        {next && !test && (
          <div className="mb-6 flex flex-wrap items-end justify-between gap-x-8 gap-y-3 border-b-2 border-ink pb-5">
            <div className="min-w-0">
              <h2 className="text-[15px] text-ink-soft">Worth most in a minute</h2>
              <p className="mt-1 text-[24px] leading-tight font-[650]">{TEST_WORDS[next.kind].title(next.name)}</p>
              <p className="mt-1.5 text-[16px]">
                <Narrowing test={next} large /> <span className="text-ink-soft">{whatOf(next)}</span>
              </p>
              <p className="mt-2 max-w-[64ch] text-[15px] text-ink-soft">
                Narrows all of them together by <FigureButton figure={worthFigure(next)} /> a minute. Stop after any test: what is half measured waits here.
              </p>
            </div>
            <button type="button" className="btn btn-act" onClick={() => begin(next)}>
              Begin, {next.minutes} min
            </button>
          </div>
        )}
        {!next && !test && (
          <p className="mb-4 text-[17px]">
            {sheets === 0 ? (
              <>
                A test is worth what it narrows on a sheet, and there is none yet.{' '}
                <Link href="/new" className="font-semibold underline decoration-dotted underline-offset-4">
                  Begin a sheet
                </Link>
              </>
            ) : (
              'Nothing narrows any further: a test comes back here when it has gone stale.'
            )}
          </p>
        )}
        <ul>
          {(test ? offered : offered.filter((t) => t !== next)).map((t) => (
            <li
              key={keyOf(t)}
              data-test={keyOf(t)}
              className={`grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 border-b border-steel-light py-2.5 sm:grid-cols-[minmax(0,1fr)_150px_124px] ${test ? '' : 'lg:grid-cols-[minmax(0,1fr)_260px_150px_124px]'} ${keyOf(t) === open ? 'bg-paper' : ''}`}
            >
              <div className="min-w-0">
                <p className="text-[16px] font-medium">{TEST_WORDS[t.kind].title(t.name)}</p>
                <p className="text-[14px] text-ink-soft">
                  {whatOf(t)}
                  {t.last && (
                    <>
                      {' · '}
                      {t.stale === '' ? 'done ' : 'stale: '}
                      {t.stale === '' ? <ClockTime at={t.last.at} withDate /> : t.stale}
                      {figuresOfLast(t, known).map((f) => (
                        <span key={f.key}>
                          , <FigureButton figure={f} />
                        </span>
                      ))}{' '}
                      <button
                        type="button"
                        className="min-h-8 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11"
                        onClick={() => void takeBack(t.last!.id)}
                      >
                        Take back
                      </button>
                    </>
                  )}
                </p>
              </div>
              {!test && <BandBar test={t} />}
              <p className="text-right text-[15px] max-sm:col-start-1 max-sm:text-left">
                <Narrowing test={t} />
              </p>
              <button
                type="button"
                className="btn max-sm:col-start-2 max-sm:row-span-2 max-sm:row-start-1"
                aria-pressed={keyOf(t) === open}
                aria-label={`${t.last ? 'Again' : 'Begin'}: ${TEST_WORDS[t.kind].title(t.name)}`}
                onClick={() => begin(t)}
              >
                {t.last ? 'Again' : 'Begin'} <span className="fig text-ink-soft">{t.minutes}&nbsp;min</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {test && (
        <TestForm
          key={keyOf(test)}
          test={test}
          things={things}
          onKept={(words) => {
            setSays(words);
            setOpen(null);
            router.refresh();
            window.scrollTo({ top: 0 });
          }}
          onLeave={() => setOpen(null)}
        />
      )}
    </div>
  );
}

/** '±20 → ±10 %': of the band that gains most. */
function Narrowing({ test, large = false }: { readonly test: TestOffered; readonly large?: boolean }) {
  const band = mainBand(test);
  if (!band) return <span className="text-ink-soft">–</span>;
  return <span className={`fig whitespace-nowrap ${large ? 'text-[22px] font-[650]' : ''}`}>{bandSays(test.kind, band)}</span>;
}

/** Wider than this no band is drawn: half of it, as a share. */
const WIDEST = 0.3;
/** What kelvin of an oven are shares of. */
const shareOf = (kind: TestOffered['kind'], half: number): number => Math.min(1, half / (kind === 'oven' ? OVEN_AT_C : 1) / WIDEST);

/** The band before, and within it the band after. */
function BandBar({ test }: { readonly test: TestOffered }) {
  const band = mainBand(test);
  if (!band) return <span className="max-lg:hidden" />;
  return (
    <span aria-hidden className="relative h-3 max-lg:hidden">
      {[
        [band.now, 'bg-steel'],
        [band.then, 'bg-ink'],
      ].map(([half, look]) => (
        <span
          key={String(look)}
          className={`absolute inset-y-0 left-1/2 -translate-x-1/2 rounded-[2px] ${look}`}
          style={{ width: `${Math.max(1.5, 100 * shareOf(test.kind, Number(half)))}%` }}
        />
      ))}
    </span>
  );
}
