'use client';

import Link from 'next/link';
import { useEffect, useEffectEvent, useState } from 'react';
import { clockFace, houseRange, plainNumber, showGrams, showRange, showVolumeMl, withUnit } from '../../../../../core/figure';
import { keptAfter } from '../../../../../core/foam/fold-strokes';
import { FOLD_STROKES } from '../../../../../core/foam/house';
import { foldPlansOf, type FoldPlan, type PlannedFold } from '../../../../../core/analysis/fold-plan';
import { foldFigure } from '../../../../../core/tells/fold-tells';
import { FigureButton } from '../../../../../ui/figure-button';
import { isTyping } from '../../../../../ui/frame';
import { useNow } from '../../../../../ui/use-now';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { WhiskPages } from '../../../../whisk/whisk-pages';

const degrees = (tC: number): string => withUnit(plainNumber(tC, 0), '°C');

/** A foam that waits on Pass, and the moment by which it is to be used. */
interface Waiting {
  readonly partId: string;
  readonly usedByAt: number;
}

/** Fold: in which order, how much first, how warm, with how many strokes. */
export function FoldDesk({ waiting }: { readonly waiting: readonly Waiting[] }) {
  const analysis = useAnalysis();
  const { id } = useSheet();
  const plans = foldPlansOf(analysis);
  return (
    <SheetFrame station="Whisk">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <WhiskPages sheetId={id} here="fold" />
      </div>
      {plans.length === 0 ? (
        <div className="px-4 py-6 md:px-6">
          <p className="mb-4 max-w-[60ch] text-[19px]">
            Nothing is folded in this sheet yet: a part takes a foam with a line like ‘half of the whipped cream’.
          </p>
          <Link href={`/sheet/${id}/bench`} className="btn btn-act">
            To Bench
          </Link>
        </div>
      ) : (
        plans.map((p) => <Plan key={p.partId} plan={p} waiting={waiting} />)
      )}
    </SheetFrame>
  );
}

function Plan({ plan, waiting }: { readonly plan: FoldPlan; readonly waiting: readonly Waiting[] }) {
  const analysis = useAnalysis();
  const { meeting } = plan;
  const figure = foldFigure(analysis.parts.find((a) => a.part.id === plan.partId)!);
  const better = plan.best.keptPct > plan.keptPct + 0.5;
  return (
    <section
      aria-label={plan.name}
      className="grid grid-cols-[minmax(0,1fr)] gap-x-12 border-b border-steel px-4 py-5 md:px-6 xl:grid-cols-[minmax(0,1fr)_380px]"
    >
      <div>
        <h2 className="text-[22px]">{plan.name}</h2>
        {meeting && (
          <p className="mt-1 text-[16px]" data-fold-verdict={meeting.verdict}>
            The base stands at <b className="fig">{degrees(meeting.judgedC)}</b>
            {meeting.window && `; ${meeting.window.lowC}\u2060–\u2060${meeting.window.highC}\u00a0°C is right`}; all together come to{' '}
            <b className="fig">{degrees(meeting.resultC)}</b>.{' '}
            {meeting.verdict !== 'in' && (
              <span className="font-semibold text-beet">
                {
                  {
                    cold: 'Too cold: it sets in specks and strings.',
                    warm: 'Too warm: it melts the foam.',
                    'too-warm-fold': 'Above 24\u00a0°C the fold loses its air.',
                  }[meeting.verdict]
                }{' '}
              </span>
            )}
            {meeting.mend && (
              <>
                Bring {meeting.mend.name.toLowerCase()} to {degrees(meeting.mend.toC)} first.
              </>
            )}
          </p>
        )}
        <ol className="mt-4">
          {plan.folds.map((f, i) => (
            <FoldRow key={f.partId + i} fold={f} turn={i + 1} usedByAt={waiting.find((w) => w.partId === f.partId)?.usedByAt ?? null} />
          ))}
        </ol>
      </div>
      <aside className="text-[15px]">
        <p className="text-[17px]">
          {figure ? (
            <>
              <FigureButton figure={figure} className="text-[20px]" /> of the air that is brought stays.
            </>
          ) : (
            'These foams bring no air.'
          )}
        </p>
        {plan.folds.length > 1 && (
          <p className="mt-2">
            {better ? (
              <>
                In the order {plan.best.names.map((n) => n.toLowerCase()).join(', ')} it would be{' '}
                <span className="fig">{withUnit(plainNumber(plan.best.keptPct, 0), '%')}</span>: every fold costs all that is in the bowl, so the airiest comes
                last.
              </>
            ) : (
              'No other order keeps more: every fold costs all that is in the bowl, and the airiest comes last.'
            )}
          </p>
        )}
        <p className="mt-2 text-ink-soft">
          Strokes are a house figure (±{Math.round(100 * FOLD_STROKES.spread)}&nbsp;%): from the bottom, turning the bowl, and stop while a streak is still
          seen. A foam that waits has its clock on Pass.
        </p>
      </aside>
    </section>
  );
}

function FoldRow({ fold: f, turn, usedByAt }: { readonly fold: PlannedFold; readonly turn: number; readonly usedByAt: number | null }) {
  const [low, high] = houseRange(f.strokes, FOLD_STROKES.spread);
  const [counting, setCounting] = useState(false);
  return (
    <li className="border-t border-steel py-3">
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <span className="fig w-5 text-ink-soft">{turn}</span>
        <span className="min-w-[9em] flex-1 text-[18px] font-[650]">{f.name}</span>
        <span className="fig w-24 text-right text-[18px]">{f.massG > 0 ? showGrams(f.massG) : ''}</span>
        <span className="w-16 text-right text-ink-soft">{f.tC === null ? '' : degrees(f.tC)}</span>
        <span className="w-32 text-right">
          <span className="fig">{showRange(low, high, '')}</span> strokes
        </span>
        <button type="button" aria-expanded={counting} className="btn w-32" onClick={() => setCounting(!counting)}>
          {counting ? 'close' : 'count them'}
        </button>
      </div>
      <p className="pl-11 text-ink-soft">
        {f.firstG > 0 && (
          <>
            First <span className="fig text-ink">{showGrams(f.firstG)}</span>, stirred in to loosen the base; then{' '}
            <span className="fig text-ink">{showGrams(f.massG - f.firstG)}</span>.{' '}
          </>
        )}
        Brings {showVolumeMl(f.broughtMl)} of air; {withUnit(plainNumber(100 * f.keeps, 0), '%')} of what is then in the bowl stays.
        {usedByAt !== null ? (
          <WaitClock usedByAt={usedByAt} />
        ) : (
          f.useWithinMin !== null && ` To be used within ${withUnit(plainNumber(f.useWithinMin, 0), 'min')}.`
        )}
      </p>
      {counting && <StrokeCount fold={f} />}
    </li>
  );
}

/** How long a foam that waits on Pass may still wait. */
function WaitClock({ usedByAt }: { readonly usedByAt: number }) {
  const now = useNow(true, 500);
  if (now === 0) return null;
  const left = Math.round((usedByAt - now) / 1000);
  return left > 0 ? (
    <>
      {' '}
      It waits:{' '}
      <span className="fig text-ink" role="timer">
        {clockFace(left)}
      </span>{' '}
      left.
    </>
  ) : (
    <span className="font-semibold text-beet"> It has waited too long, by {clockFace(-left)}: look before you fold.</span>
  );
}

/** Strokes counted with the space bar or a finger, and the air that is still in. */
function StrokeCount({ fold: f }: { readonly fold: PlannedFold }) {
  const [n, setN] = useState(0);
  const onKey = useEffectEvent((e: KeyboardEvent) => {
    if (e.key !== ' ' || isTyping(e) || (e.target instanceof HTMLElement && e.target.closest('button, a') !== null)) return;
    e.preventDefault();
    setN(n + 1);
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const kept = keptAfter(n, f.strokes, f.keeps);
  const [low, high] = houseRange(f.strokes, FOLD_STROKES.spread);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2 pl-11">
      <button type="button" className="btn btn-act min-h-16 min-w-40 text-[20px]" onClick={() => setN(n + 1)}>
        A stroke
      </button>
      <p role="status" data-strokes={n}>
        <span className="fig text-[30px]">{n}</span> of <span className="fig">{showRange(low, high, '')}</span>;{' '}
        <span className="fig text-[22px]">{withUnit(plainNumber(100 * kept, 0), '%')}</span> of the air is still in
        {n > high ? <span className="font-semibold text-beet">. Enough: stop, streaks are right.</span> : '.'}
      </p>
      <button type="button" className="min-h-9 text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink" onClick={() => setN(0)}>
        from 0
      </button>
    </div>
  );
}
