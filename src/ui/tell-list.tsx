'use client';

import { useState } from 'react';
import type { Figure } from '../core/figure';
import type { Tell, TellEdit } from '../core/tells/tell';
import { FigureButton } from './figure-button';
import { TrackRuler } from './track';

const STATE_WORDS = { out: 'Out of its band: ', near: 'At the edge of its band: ', silent: 'No figure: ', in: '' } as const;

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

/** One judgement with its ruler and its action. */
export function TellRow({ tell, onEdit }: { readonly tell: Tell; readonly onEdit: (edit: TellEdit) => void }) {
  const out = tell.state === 'out';
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_118px] items-center gap-x-4 gap-y-0.5 border-t border-steel-light py-[7px]" data-tell={tell.key} data-state={tell.state}>
      <p className={`text-[14.5px] leading-[1.32] ${tell.track ? '' : 'col-span-2'} ${out ? '[&_.fig]:text-beet' : ''}`}>
        {tell.track === null && out && <span className="font-[650] text-beet">Look: </span>}
        <span className="sr-only">{STATE_WORDS[tell.state]}</span>
        {withPunctuation(tell.sentence).map((s, i) =>
          typeof s === 'string' ? (
            <span key={i}>{s}</span>
          ) : (
            <span key={i} className="whitespace-nowrap">
              <FigureButton figure={s.figure} shown={s.shown} />
              {s.mark}
            </span>
          ),
        )}
      </p>
      {tell.track && <TrackRuler track={tell.track} out={out} />}
      {tell.action && (
        <p className="col-span-2 text-[13.5px] text-ink-soft">
          <button type="button" className="mr-1.5 min-h-7 border-b-2 border-yolk font-semibold text-ink hover:bg-yolk-pale" onClick={() => tell.action && onEdit(tell.action.edit)}>
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
export function TellList({ tells, onEdit }: { readonly tells: readonly Tell[]; readonly onEdit: (edit: TellEdit) => void }) {
  const [all, setAll] = useState(false);
  const shown = all ? tells : tells.slice(0, AT_ONCE);
  return (
    <>
      <ul aria-label="Tells">
        {shown.map((t) => (
          <TellRow key={t.key} tell={t} onEdit={onEdit} />
        ))}
      </ul>
      {tells.length > AT_ONCE && (
        <button type="button" className="min-h-9 border-t border-steel-light text-[13.5px] text-ink-soft hover:text-ink" onClick={() => setAll(!all)}>
          {all ? 'Show the first seven' : `Show ${tells.length - AT_ONCE} more`}
        </button>
      )}
    </>
  );
}
