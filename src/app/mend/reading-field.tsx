'use client';

import { useId } from 'react';
import { plainNumber, withUnit } from '../../core/figure';
import { degreesWanted, readDegrees } from '../../core/measures/read-degrees';
import { unitsHere } from '../../core/measures/shown-here';
import { readingSays, type ToRead } from '../../core/mend/rescue';
import { useKept } from '../../ui/use-kept';

export const degrees = (tC: number): string => withUnit(plainNumber(tC, Number.isInteger(tC) ? 0 : 1), '°C');

interface ReadingFieldProps {
  readonly reads: ToRead;
  /** The dessert and the step that it is of. */
  readonly at: string;
  /** Of a batch it is kept until it is written down; of a sheet as long as the tab is open. */
  readonly where: 'local' | 'session';
  /** Writes it into the batch; null where none runs. */
  readonly onWrite: ((tC: number) => void) | null;
}

/** What the thermometer says at a step of a rescue, and what is still to go. */
export function ReadingField({ reads, at, where, onWrite }: ReadingFieldProps) {
  const id = useId();
  const [kept, setKept] = useKept(where, `soft-peak:mend-reading:${at}`);
  const text = kept ?? '';
  const tC = readDegrees(text, unitsHere());
  const wrong = tC === null && text.trim() !== '';
  const verdict = tC === null ? null : readingSays(reads, tC);
  return (
    <span className="mt-2 flex flex-wrap items-center gap-x-2.5 gap-y-1.5 text-[15px]">
      <label htmlFor={id} className="text-ink-soft">
        It reads
      </label>
      <span className="flex items-center gap-1.5">
        <input
          id={id}
          value={text}
          maxLength={12}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={wrong || undefined}
          aria-describedby={`${id}-says`}
          onChange={(e) => setKept(e.target.value)}
          className="field fig w-[76px]"
        />
        {unitsHere().temperature}
      </span>
      <span id={`${id}-says`} role="status" className={verdict === null || verdict.there ? '' : 'font-[650]'}>
        {verdict?.says ?? (wrong ? `‘${text.trim()}’ is no temperature: ${degreesWanted(unitsHere(), reads.toC)}.` : '')}
      </span>
      {onWrite && tC !== null && (
        <button
          type="button"
          className="btn min-h-11"
          onClick={() => {
            onWrite(tC);
            setKept('');
          }}
        >
          Write it down
        </button>
      )}
    </span>
  );
}
