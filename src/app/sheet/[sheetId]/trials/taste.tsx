'use client';

import { useMemo, useState } from 'react';
import { z } from 'zod';
import { FULL_SCORE } from '../../../../core/trials/house';
import type { Series, TrialSays } from '../../../../core/trials/series';
import { useKept } from '../../../../ui/use-kept';

interface TasteProps {
  readonly series: Series;
  readonly cooks: readonly string[];
  readonly onSay: (says: TrialSays) => void;
  readonly onClose: () => void;
}

/** The pair that was compared least; its codes in their own order, which says nothing of when each was made. */
function openPair({ trials, said }: Series): readonly [string, string] | null {
  const codes = trials.map((t) => t.code).toSorted();
  const times = (a: string, b: string): number =>
    said.filter(({ says }) => says.kind === 'paired' && [says.better, says.than].every((c) => c === a || c === b)).length;
  const pairs = codes.flatMap((a, i) => codes.slice(i + 1).map((b) => [a, b, times(a, b)] as const));
  const [first] = pairs.toSorted((x, y) => x[2] - y[2]);
  return first ? [first[0], first[1]] : null;
}

const ScoresSchema = z.record(z.string().max(2), z.number().min(0).max(FULL_SCORE));
function scoresOf(text: string | null): Readonly<Record<string, number>> {
  try {
    return ScoresSchema.safeParse(JSON.parse(text || '{}')).data ?? {};
  } catch {
    return {};
  }
}

/** What a taster sees: codes and what is wished, and nothing of what is in them. */
export function Taste({ series, cooks, onSay, onClose }: TasteProps) {
  const [kept, keep] = useKept('local', 'soft-peak:trials:taster');
  const by = kept ?? cooks[0] ?? '';
  const [how, setHow] = useState<'scores' | 'pairs'>('scores');
  // What was tasted so far stays on this tablet until it is written down.
  const [keptScores, keepScores] = useKept('local', `soft-peak:trials:scores:${series.id}`);
  const scores = useMemo(() => scoresOf(keptScores), [keptScores]);
  const score = (code: string, of: number): void => keepScores(JSON.stringify({ ...scores, [code]: of }));
  // Codes in their own order say nothing of when each was made.
  const codes = series.trials.map((t) => t.code).toSorted();
  const given = codes.filter((c) => scores[c] !== undefined);
  const pair = openPair(series);
  const named = by.trim() !== '';
  const better = (a: string, b: string, same: boolean): void => onSay({ kind: 'paired', by: by.trim(), better: a, than: b, same });
  return (
    <section aria-label="Taste blind" className="max-w-[720px] px-4 py-5 md:px-6">
      <h2 className="text-[24px] leading-tight font-[650]">Which is nearest to {series.wishes.join(', ')}?</h2>
      <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <label className="grid text-[13.5px] text-ink-soft">
          Who tastes
          <input
            list="tasters"
            value={by}
            maxLength={60}
            autoComplete="off"
            onChange={(e) => keep(e.target.value)}
            className="field mt-0.5 w-44 text-[16px] text-ink"
          />
          <datalist id="tasters">
            {cooks.map((c) => (
              <option key={c} value={c} />
            ))}
          </datalist>
        </label>
        <div role="group" aria-label="How it is tasted" className="flex gap-2">
          {(
            [
              ['scores', 'Points'],
              ['pairs', 'Two at a time'],
            ] as const
          ).map(([key, name]) => (
            <button
              key={key}
              type="button"
              aria-pressed={how === key}
              className={`btn ${how === key ? 'border-ink bg-ink text-paper' : ''}`}
              onClick={() => setHow(key)}
            >
              {name}
            </button>
          ))}
        </div>
        <button type="button" className="btn ml-auto" onClick={onClose}>
          Back to the trials
        </button>
      </div>
      {how === 'scores' ? (
        <>
          <ul className="mt-4">
            {codes.map((c) => (
              <li key={c} className="grid grid-cols-[64px_minmax(0,1fr)_72px] items-center gap-4 border-t border-steel py-2">
                <span className="fig text-[26px] font-[650]">{c}</span>
                <input
                  type="range"
                  aria-label={`Points for ${c}`}
                  min={0}
                  max={FULL_SCORE}
                  step={1}
                  value={scores[c] ?? FULL_SCORE / 2}
                  aria-valuetext={scores[c] === undefined ? 'not tasted' : `${scores[c]} of ${FULL_SCORE}`}
                  onChange={(e) => score(c, Number(e.target.value))}
                  onPointerUp={(e) => score(c, Number(e.currentTarget.value))}
                  className={`h-11 w-full accent-ink ${scores[c] === undefined ? 'opacity-45' : ''}`}
                />
                <span className="fig text-right">
                  {scores[c] === undefined ? (
                    <span className="text-[14px] text-ink-soft">not yet</span>
                  ) : (
                    <span className="text-[22px] font-[650]">{scores[c]}</span>
                  )}
                </span>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
            <button
              type="button"
              className="btn btn-act"
              disabled={!named || given.length < 2}
              onClick={() => {
                onSay({ kind: 'scored', by: by.trim(), scores: given.map((c) => ({ code: c, score: scores[c]! })) });
                keepScores('');
              }}
            >
              Write down {by.trim() === '' ? '' : `for ${by.trim()}`}
            </button>
            <span className="text-ink-soft">{given.length < 2 ? 'At least two: one alone says nothing.' : `${given.length} of ${codes.length} tasted`}</span>
          </div>
        </>
      ) : pair ? (
        <div className="mt-5 grid max-w-[520px] grid-cols-2 gap-3">
          {pair.map((c, i) => (
            <button
              key={c}
              type="button"
              disabled={!named}
              className="btn fig h-24 justify-center text-[34px] font-[650]"
              onClick={() => better(c, pair[1 - i]!, false)}
            >
              {c}
            </button>
          ))}
          <button type="button" disabled={!named} className="btn col-span-2 justify-center" onClick={() => better(pair[0], pair[1], true)}>
            The same
          </button>
        </div>
      ) : null}
    </section>
  );
}
