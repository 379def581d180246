'use client';

import { useState } from 'react';
import { showGrams } from '../../../../core/figure';
import { readingOf } from '../../../../core/lines/read-part';
import { addLine, newLine } from '../../../../core/editing/edits';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { focusLineField } from './focus';

interface AddLineProps {
  readonly partId: string;
  readonly partName: string;
  readonly empty: boolean;
  /** What an empty part of its kind starts with. */
  readonly hint: string;
  /** The last part's: the one that a cook types into when nothing is chosen. */
  readonly last: boolean;
}

/** The field for the next line: Enter, or leaving it, puts the line in. */
export function AddLine({ partId, partName, empty, hint, last }: AddLineProps) {
  const { doc, edit, context } = useSheet();
  const [text, setText] = useState('');
  const [focused, setFocused] = useState(false);
  const line = text.trim() === '' ? null : newLine('next', text, context, { parts: doc.parts, partId });
  const reading = line && line.fromPartId === null ? readingOf(line, context.larder, context.measures) : null;
  const put = () => {
    if (text.trim() === '') return;
    edit('add', (d) => addLine(d, partId, newLine(freshId(), text.trim(), context, { parts: d.parts, partId }), context));
    setText('');
  };
  const says = line?.fromPartId
    ? `Takes from ${doc.parts.find((p) => p.id === line.fromPartId)?.name}. Enter puts it in.`
    : reading
      ? reading.fault
        ? reading.fault.says
        : `${reading.ingredient?.name}. Enter puts it in.`
      : null;
  return (
    <div className="grid grid-cols-[86px_minmax(0,1fr)] items-baseline border-t border-steel-light">
      <span className="fig pr-4 text-right text-[16px] text-ink-soft" aria-hidden="true">
        {reading?.read ? showGrams(reading.read.massG) : '+'}
      </span>
      <div>
        <input
          data-line-field
          aria-label={last ? 'Next line' : `Next line of ${partName}`}
          value={text}
          maxLength={500}
          placeholder={empty ? hint : focused ? 'an amount and a name' : 'next line'}
          onFocus={() => setFocused(true)}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => {
            setFocused(false);
            put();
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') put();
            if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
              e.preventDefault();
              focusLineField(e.currentTarget, e.key === 'ArrowUp' ? -1 : 1);
            }
            if (e.key === 'Escape') setText('');
          }}
          className="min-h-8 w-full rounded-s bg-transparent pl-4 text-[14.5px] focus:bg-paper pointer-coarse:min-h-11"
        />
        {says && (
          <p className="pb-1 pl-4 text-[13.5px] text-ink-soft" role="status">
            {says}
          </p>
        )}
      </div>
    </div>
  );
}
