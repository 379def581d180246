'use client';

import Link from 'next/link';
import { useState } from 'react';
import { entrySays, writtenBy, type Asked, type BookRow as Row } from '../../../core/book/book-day';
import { ENDS, type Written } from '../../../core/book/entry';
import type { RowState } from '../../../core/book/heat-rows';
import { plainNumber, withUnit } from '../../../core/figure';
import { degreesWanted, readDegrees } from '../../../core/measures/read-degrees';
import { toC, toF } from '../../../core/measures/shown';
import { unitsHere } from '../../../core/measures/shown-here';
import { DayField } from '../../../ui/kit/day-field';

type Say = (says: Written, corrects?: string | null) => void;

const STATE: Readonly<Record<RowState, { readonly word: string; readonly look: string; readonly sign: string }>> = {
  in: { word: 'within', look: 'text-fern-ink', sign: '●' },
  out: { word: 'outside', look: 'text-beet', sign: '▲' },
  missing: { word: 'missing', look: 'text-beet', sign: '○' },
  open: { word: 'to come', look: 'text-ink-soft', sign: '·' },
  told: { word: 'noted', look: 'text-ink-soft', sign: '–' },
};

interface BookRowProps {
  readonly row: Row;
  readonly zone: string;
  /** What was written of it here is on its way. */
  readonly going: boolean;
  /** Null while nobody is named. */
  readonly say: Say | null;
}

/** One row: how it stands, what it says, who wrote it, and what is written here. */
export function BookRow({ row, zone, going, say }: BookRowProps) {
  const [correcting, setCorrecting] = useState(false);
  const state = STATE[row.state];
  const { written, asksFor } = row;
  const fromLog = written === null && row.says !== '' && asksFor?.kind === 'lot';
  const writes = asksFor !== null && asksFor.kind !== 'remark' && ((written === null && !fromLog) || correcting) && !going;
  const write: Say = (says) => {
    say?.(says, written?.entry.id ?? null);
    setCorrecting(false);
  };
  return (
    <li
      data-row={row.key}
      data-state={row.state}
      className="grid grid-cols-[84px_minmax(0,1fr)] items-baseline gap-x-4 gap-y-1 border-t border-steel py-2 md:grid-cols-[92px_minmax(0,1.1fr)_minmax(0,1.2fr)_minmax(0,1fr)]"
    >
      <span className={`text-[14px] ${state.look}`}>
        <span aria-hidden="true" className="mr-1.5 inline-block w-3 text-center">
          {state.sign}
        </span>
        {going ? 'writing…' : state.word}
      </span>
      <span className="min-w-0">
        {row.batchId === null ? (
          row.about
        ) : (
          <Link href={`/log/${row.batchId}`} className="hover:underline">
            {row.about}
          </Link>
        )}
        {row.asks !== '' && <span className="block text-[13.5px] text-ink-soft">{row.asks}</span>}
      </span>
      <span className="min-w-0 max-md:col-span-full">
        <span className={row.section === 'places' ? 'fig text-[18px]' : ''}>{row.says}</span>
        {written?.before.map((e) => (
          <s key={e.id} className="block text-[13.5px] text-ink-soft">
            {entrySays(e.says)}, {writtenBy(e, zone)}
          </s>
        ))}
        {writes && <Writes asked={asksFor} disabled={say === null} onWrite={write} />}
      </span>
      <span className="flex flex-wrap items-baseline gap-x-3 text-[14px] text-ink-soft max-md:col-span-full">
        {fromLog && <span>drawn from stock</span>}
        {(written || fromLog) && (
          <>
            {written && (
              <span>
                {writtenBy(written.entry, zone)}
                {row.afterSigning && ', after signing'}
              </span>
            )}
            {!going && (
              <button
                type="button"
                disabled={say === null}
                className="min-h-6 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11"
                onClick={() => setCorrecting(!correcting)}
              >
                {correcting ? 'leave it' : 'correct'}
              </button>
            )}
            {written && correcting && (
              <button
                type="button"
                className="min-h-6 text-beet underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11"
                onClick={() => write({ kind: 'taken back' })}
              >
                take it back
              </button>
            )}
          </>
        )}
      </span>
    </li>
  );
}

interface WritesProps {
  readonly asked: Asked;
  readonly disabled: boolean;
  readonly onWrite: (says: Written) => void;
}

/** What is written into a row, in as few touches as it takes. */
function Writes({ asked, disabled, onWrite }: WritesProps) {
  switch (asked.kind) {
    case 'place':
      return (
        <WritesDegrees usualC={asked.usualC} disabled={disabled} onWrite={(c) => onWrite({ kind: 'place', placeId: asked.placeId, slot: asked.slot, c })} />
      );
    case 'cleaned':
      return (
        <button type="button" className="btn" disabled={disabled} onClick={() => onWrite({ kind: 'cleaned', job: asked.job })}>
          done
        </button>
      );
    case 'lot':
      return (
        <WritesLot
          disabled={disabled}
          onWrite={(lot, bestBefore) => onWrite({ kind: 'lot', batchId: asked.batchId, ingredientId: asked.ingredientId, lot, bestBefore })}
        />
      );
    case 'ended':
      return (
        <span className="flex flex-wrap gap-1.5 pt-1">
          {ENDS.map((how) => (
            <button key={how} type="button" className="btn" disabled={disabled} onClick={() => onWrite({ kind: 'ended', batchId: asked.batchId, how })}>
              {how}
            </button>
          ))}
        </span>
      );
    case 'remark':
      return null;
  }
}

const PLACE_SPAN_C = { low: -60, high: 60 } as const;

/** Whole degrees about what is usual, of the scale that the thermometer here has; °C. */
const nearReadings = (usualC: number): readonly number[] => {
  const f = unitsHere().temperature === '°F';
  const usual = Math.round(f ? toF(usualC) : usualC);
  return (f ? [usual - 2, usual, usual + 2] : [usual - 1, usual, usual + 1]).map((n) => (f ? Math.round(10 * toC(n)) / 10 : n));
};

/** The usual reading and a degree or two to either side are one touch; any other is typed. */
function WritesDegrees({ usualC, disabled, onWrite }: { readonly usualC: number; readonly disabled: boolean; readonly onWrite: (c: number) => void }) {
  const [text, setText] = useState('');
  const c = readDegrees(text, unitsHere());
  const good = c !== null && c >= PLACE_SPAN_C.low && c <= PLACE_SPAN_C.high;
  return (
    <form
      className="flex flex-wrap items-center gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (good) onWrite(c);
      }}
    >
      {nearReadings(usualC).map((near) => (
        <button key={near} type="button" className="btn fig" disabled={disabled} onClick={() => onWrite(near)}>
          {withUnit(plainNumber(near, Number.isInteger(near) ? 0 : 1), '°C')}
        </button>
      ))}
      <input
        aria-label={`Another reading, ${unitsHere().temperature}`}
        placeholder="other"
        inputMode="decimal"
        autoComplete="off"
        maxLength={12}
        value={text}
        disabled={disabled}
        aria-invalid={(text !== '' && !good) || undefined}
        onChange={(e) => setText(e.target.value)}
        className="field fig w-20"
      />
      {good && (
        <button type="submit" className="btn">
          write {withUnit(plainNumber(c, 1), '°C')}
        </button>
      )}
      <span role="alert" className="basis-full text-[13.5px] text-beet empty:hidden">
        {text !== '' && !good ? `‘${text}’ is no reading of a fridge or freezer: ${degreesWanted(unitsHere(), 4, -19)}.` : null}
      </span>
    </form>
  );
}

function WritesLot({ disabled, onWrite }: { readonly disabled: boolean; readonly onWrite: (lot: string, bestBefore: string | null) => void }) {
  const [lot, setLot] = useState('');
  const [day, setDay] = useState('');
  return (
    <form
      className="flex flex-wrap items-center gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (lot.trim() !== '') onWrite(lot.trim(), day === '' ? null : day);
      }}
    >
      <input
        aria-label="Lot on the carton"
        placeholder="lot on the carton"
        autoComplete="off"
        maxLength={200}
        value={lot}
        disabled={disabled}
        onChange={(e) => setLot(e.target.value)}
        className="field w-40"
      />
      {lot.trim() !== '' && (
        <>
          <span className="w-40">
            <DayField label="Best before" value={day} onChange={setDay} className="field fig w-full" />
          </span>
          <button type="submit" className="btn">
            write it
          </button>
        </>
      )}
    </form>
  );
}
