'use client';

import { useId, useState } from 'react';
import type { Figure } from '../core/figure';
import { unitsHere } from '../core/measures/shown-here';
import { glanceOf, leadOf, tellName, type Glance } from '../core/tells/glance';
import { tellText, type Tell, type TellEdit, type TellState } from '../core/tells/tell';
import { FigureButton } from './figure-button';
import { Glossed } from './glossary/glossed';
import { TrackRuler } from './track';

const STATE_WORDS: Readonly<Record<TellState, string>> = { out: 'to be mended', near: 'at its edge', silent: 'no figure', in: 'as it should be' };
const STATE_INK: Readonly<Record<TellState, string>> = { out: 'text-beet', near: 'text-yolk-ink', silent: 'text-ink-soft', in: 'text-ink' };
/** Said in full also where all is well: who should not eat it is not folded away. */
const ALWAYS_SAID: ReadonlySet<ReturnType<typeof tellName>> = new Set(['cautions', 'raw-egg', 'alcohol']);

/** The state of a tell as a shape of its own, for those who do not see the colour. */
function StateMark({ state }: { readonly state: TellState }) {
  return (
    <svg viewBox="0 0 16 16" className="size-4 shrink-0" role="img" aria-label={STATE_WORDS[state]}>
      {state === 'in' && <circle cx="8" cy="8" r="5.5" className="fill-none stroke-fern" strokeWidth="2" />}
      {state === 'near' && <path d="M8 2.4 14.2 13.4H1.8Z" className="fill-none stroke-yolk-ink" strokeWidth="2" strokeLinejoin="round" />}
      {state === 'out' && <path d="M8 1 15 8 8 15 1 8Z" className="fill-beet" />}
      {state === 'silent' && <path d="M3 8H13" className="stroke-ink-soft" strokeWidth="2" />}
    </svg>
  );
}

/** The sentence with each figure holding on to the mark behind it, so that no line begins with a colon. */
function withPunctuation(sentence: Tell['sentence']): readonly (string | { readonly figure: Figure; readonly shown: string; readonly mark: string })[] {
  return sentence.map((s, i) => {
    if (typeof s !== 'string') {
      const next = sentence[i + 1];
      return { ...s, mark: typeof next === 'string' ? (/^[,.;:]/.exec(next)?.[0] ?? '') : '' };
    }
    return i > 0 && typeof sentence[i - 1] !== 'string' ? s.replace(/^[,.;:]/, '') : s;
  });
}

function Sentence({ tell, id }: { readonly tell: Tell; readonly id: string }) {
  const lead = leadOf(tell)?.figure;
  return (
    <p id={id} className={`pt-1 text-[14.5px] leading-[1.35] ${tell.state === 'out' ? '[&_.fig]:text-beet' : ''}`}>
      {withPunctuation(tell.sentence).map((s, i) =>
        typeof s === 'string' ? (
          <span key={i}>
            <Glossed text={s} />
          </span>
        ) : (
          <span key={i} className="whitespace-nowrap">
            {/* The one that stands large opens its working there. */}
            {s.figure === lead ? <span className="fig text-[15.5px]">{s.shown}</span> : <FigureButton figure={s.figure} shown={s.shown} />}
            {s.mark}
          </span>
        ),
      )}
    </p>
  );
}

/** The figure as it is seen from two metres: its first number large, the rest of it small beneath. It opens its working. */
function BigFigure({ tell, glance }: { readonly tell: Tell; readonly glance: Glance }) {
  const lead = leadOf(tell);
  if (!lead || glance.big === null) return null;
  return (
    <span className={`relative z-10 block text-right leading-none ${STATE_INK[tell.state]}`}>
      <FigureButton
        figure={lead.figure}
        shown={lead.shown}
        className="!border-b-0 !text-right !text-inherit hover:underline"
        face={
          <>
            <span className="block text-[25px] leading-[1.05] font-[650] tracking-[-0.01em]">{glance.big}</span>
            {glance.small && <span className="block text-[13.5px] leading-[1.2] font-[600] whitespace-nowrap">{glance.small}</span>}
          </>
        }
      />
    </span>
  );
}

interface TellRowProps {
  readonly tell: Tell;
  readonly partNames: readonly string[];
  readonly onEdit: (edit: TellEdit) => void;
  /** Said in full from the start. */
  readonly said?: boolean;
}

/** One judgement: its figure, what it is of, its ruler and its mark; the sentence below where something is wrong, or when it is touched. */
export function TellRow({ tell, partNames, onEdit, said = false }: TellRowProps) {
  const wrong = tell.state !== 'in' || ALWAYS_SAID.has(tellName(tell.key));
  const [touched, setTouched] = useState(false);
  const id = useId();
  const open = wrong || said || touched;
  const glance = glanceOf(tell, partNames, unitsHere());
  const words = (
    <>
      <span className={glance.big === null ? 'font-[650]' : ''}>{glance.of}</span>
      {glance.part && <span className="block text-[13px] text-ink-soft">{glance.part}</span>}
    </>
  );
  const face = `text-left text-[14.5px] leading-[1.25] ${glance.big === null ? 'col-span-2' : ''} ${tell.track ? '' : 'col-end-4'} ${STATE_INK[tell.state]}`;
  return (
    <li className="border-t border-steel-light py-2" data-tell={tell.key} data-state={tell.state}>
      <div className="relative grid min-h-8 grid-cols-[86px_minmax(0,1fr)_72px_16px] items-center gap-x-3">
        <BigFigure tell={tell} glance={glance} />
        {wrong || said ? (
          <span className={face}>{words}</span>
        ) : (
          <button
            type="button"
            aria-expanded={touched}
            aria-controls={id}
            className={`${face} cursor-pointer after:absolute after:inset-0 hover:underline`}
            onClick={() => setTouched(!touched)}
          >
            {words}
          </button>
        )}
        {tell.track && <TrackRuler track={tell.track} out={tell.state === 'out'} />}
        <StateMark state={tell.state} />
      </div>
      {open ? (
        <Sentence tell={tell} id={id} />
      ) : (
        <p id={id} className="sr-only">
          {tellText(tell)}
        </p>
      )}
      {tell.action && (
        <p className="pt-0.5 text-[13.5px] text-ink-soft">
          <button
            type="button"
            className="mr-1.5 min-h-7 border-b-2 border-yolk font-semibold text-ink hover:bg-yolk-pale pointer-coarse:min-h-11"
            onClick={() => tell.action && onEdit(tell.action.edit)}
          >
            {tell.action.label}
          </button>
          {tell.action.why}
        </p>
      )}
    </li>
  );
}

const AT_ONCE = 7;

/** The column of judgements: worst first, at most seven, the rest folded away. */
export function TellList({
  tells,
  partNames,
  onEdit,
}: {
  readonly tells: readonly Tell[];
  readonly partNames: readonly string[];
  readonly onEdit: (edit: TellEdit) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? tells : tells.slice(0, AT_ONCE);
  const rest = tells.slice(AT_ONCE);
  return (
    <>
      <ul aria-label="Tells">
        {shown.map((t) => (
          <TellRow key={t.key} tell={t} partNames={partNames} onEdit={onEdit} />
        ))}
      </ul>
      {rest.length > 0 && (
        <button
          type="button"
          aria-expanded={all}
          className="min-h-9 w-full border-t border-steel-light text-left text-[13.5px] text-ink-soft hover:text-ink pointer-coarse:min-h-11"
          onClick={() => setAll(!all)}
        >
          {all ? 'Show the first seven' : `Show ${rest.length} more${rest.every((t) => t.state === 'in') ? ', all in their bands' : ''}`}
        </button>
      )}
    </>
  );
}
