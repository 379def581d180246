'use client';

import { useState } from 'react';
import { ChevronDown, ChevronUp, X } from 'lucide-react';
import { moveStep, removeStep, setStep, setStepPart, setStepWork } from '../../core/editing/edits';
import type { ShownStep } from '../../core/batch/method';
import { STEP_MACHINES, STEP_WORK_NAMES, STEP_WORKS, type StepMachine } from '../../core/document/kinds';
import { dayChoices, dayKey, dayOfKey } from '../../core/document/step-day';
import type { Sheet, Step } from '../../core/document/schema';
import { workOfStep } from '../../core/ways/step-work';
import { QuietChoice } from '../quiet-choice';
import { numberField } from '../units/number-field';

interface StepFormProps {
  readonly doc: Sheet;
  /** An edit of the sheet; edits of one kind in a row are one for undo. */
  readonly edit: (kind: string, to: (sheet: Sheet) => Sheet) => void;
  readonly shown: ShownStep;
  readonly at: number;
  readonly onDone: () => void;
}

const NEEDS: readonly (readonly [StepMachine | 'hands', string])[] = [['hands', 'hands only'], ...STEP_MACHINES.map((m) => [m, m] as const)];

/** A step's words and figures. Words that the cook changes stay when a way is switched. */
export function StepForm({ doc, edit, shown, at, onDone }: StepFormProps) {
  const step = doc.steps[at]!;
  const set = (change: Partial<Omit<Step, 'id' | 'key' | 'partId'>>) =>
    edit(`step:${step.id}:${Object.keys(change).join()}`, (d) => setStep(d, step.id, change));
  const detail = step.note ? shown.detail.slice(0, shown.detail.length - step.note.length).trim() : shown.detail;
  return (
    <div className="text-[14.5px]">
      <div className="mb-1.5 flex items-center gap-1">
        <span className="fig text-[16px]">Step {at + 1}</span>
        <span className="ml-auto flex">
          <button
            type="button"
            className="flex size-8 items-center justify-center text-ink-soft hover:text-ink disabled:opacity-35"
            aria-label="Earlier"
            disabled={at === 0}
            onClick={() => edit('move-step', (d) => moveStep(d, step.id, at - 1))}
          >
            <ChevronUp size={17} />
          </button>
          <button
            type="button"
            className="flex size-8 items-center justify-center text-ink-soft hover:text-ink disabled:opacity-35"
            aria-label="Later"
            disabled={at === doc.steps.length - 1}
            onClick={() => edit('move-step', (d) => moveStep(d, step.id, at + 1))}
          >
            <ChevronDown size={17} />
          </button>
          <button
            type="button"
            className="flex size-8 items-center justify-center text-ink-soft hover:text-beet"
            aria-label="Take this step out"
            onClick={() => {
              edit('remove-step', (d) => removeStep(d, step.id));
              onDone();
            }}
          >
            <X size={17} />
          </button>
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <QuietChoice
          label="Kind of work"
          value={workOfStep(step)}
          options={STEP_WORKS.map((w) => [w, STEP_WORK_NAMES[w]] as const)}
          onChange={(work) => edit('step-work', (d) => setStepWork(d, step.id, work))}
          className="font-[600]"
        />
        <QuietChoice
          label="Part that it makes"
          value={step.partId ?? ''}
          options={[...doc.parts.map((p) => [p.id, p.name] as const), ['', 'putting it together'] as const]}
          onChange={(to) => edit('step-part', (d) => setStepPart(d, step.id, to === '' ? null : to))}
        />
        {step.work !== null && (
          <QuietChoice label="What it needs" value={step.machine ?? 'hands'} options={NEEDS} onChange={(to) => set({ machine: to === 'hands' ? null : to })} />
        )}
        {step.work !== null && <QuietChoice label="When" value={dayKey(step)} options={dayChoices(step)} onChange={(to) => set(dayOfKey(to))} />}
      </div>
      <Words label="What to do" value={shown.title} max={200} onChange={(title) => set({ title })} />
      <Words label="How" value={detail} max={4000} rows={3} onChange={(text) => set({ detail: text })} />
      <Words label="Your own note; it stays whatever the way" value={step.note} max={2000} rows={2} onChange={(note) => set({ note })} />
      <div className="mt-2 grid grid-cols-3 gap-2.5">
        <Amount
          label="At hand"
          unit="min"
          value={step.handsMin}
          onChange={(handsMin) => set({ handsMin, ...(step.work === null ? {} : { minutes: null }) })}
          max={6000}
        />
        <Amount
          label="Waits from"
          unit="h"
          value={step.waitH?.[0] ?? null}
          onChange={(low) =>
            set({
              waitH: low === null ? null : [low, Math.max(low, step.waitH?.[1] ?? low)],
              ...(step.work === null ? {} : { minutes: low === null ? null : [60 * low, 60 * Math.max(low, step.waitH?.[1] ?? low)] }),
            })
          }
          max={1000}
        />
        <Amount
          label="to"
          unit="h"
          value={step.waitH?.[1] ?? null}
          onChange={(high) =>
            set({
              waitH: high === null ? null : [Math.min(step.waitH?.[0] ?? high, high), high],
              ...(step.work === null ? {} : { minutes: high === null ? null : [60 * Math.min(step.waitH?.[0] ?? high, high), 60 * high] }),
            })
          }
          max={1000}
        />
        <Amount label="Reaches" unit="°C" value={step.tempC} onChange={(tempC) => set({ tempC })} min={-40} max={300} />
        <Amount label="Oven" unit="°C" value={step.ovenC} onChange={(ovenC) => set({ ovenC })} min={30} max={300} />
        <Amount label="Use within" unit="min" value={step.useWithinMin} onChange={(useWithinMin) => set({ useWithinMin })} max={100_000} />
      </div>
      <p className="mt-2 text-[13.5px] text-ink-soft">
        {shown.lines.length > 0 ? `Uses ${shown.lines.map((l) => l.name).join(', ')}.` : 'Uses no line.'} A line’s step is chosen in its row.
      </p>
    </div>
  );
}

function Words({
  label,
  value,
  max,
  rows,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly max: number;
  readonly rows?: number;
  readonly onChange: (text: string) => void;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const shared = { value: draft ?? value, maxLength: max, onBlur: () => setDraft(null) };
  const change = (text: string) => {
    setDraft(text);
    if (rows !== undefined || text.trim() !== '') onChange(text);
  };
  return (
    <label className="mt-1.5 block">
      <span className="block text-[13.5px] text-ink-soft">{label}</span>
      {rows === undefined ? (
        <input {...shared} onChange={(e) => change(e.target.value)} className="field w-full" />
      ) : (
        <textarea {...shared} rows={rows} onChange={(e) => change(e.target.value)} className="field field-sizing-content w-full resize-none py-1.5" />
      )}
    </label>
  );
}

function Amount({
  label,
  unit,
  value,
  min = 0,
  max,
  onChange,
}: {
  readonly label: string;
  readonly unit: string;
  readonly value: number | null;
  readonly min?: number;
  readonly max: number;
  readonly onChange: (value: number | null) => void;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const field = numberField(unit, max);
  const read = (typed: string): number | null => {
    const measured = field.read(typed);
    return measured.ok && measured.value.value >= min && measured.value.value <= max ? measured.value.value : null;
  };
  const text = draft ?? (value === null ? '' : field.says(value));
  const wrong = text.trim() !== '' && read(text) === null;
  return (
    <label className="block">
      <span className="block text-[13.5px] text-ink-soft">{label}</span>
      <span className="relative block">
        <input
          inputMode="decimal"
          value={text}
          maxLength={12}
          aria-invalid={wrong || undefined}
          onChange={(e) => {
            setDraft(e.target.value);
            const n = read(e.target.value);
            if (n !== null || e.target.value.trim() === '') onChange(n);
          }}
          onBlur={() => !wrong && setDraft(null)}
          className="field fig w-full pr-9"
        />
        <span className="pointer-events-none absolute inset-y-0 right-2.5 flex items-center text-[13.5px] text-ink-soft">{field.unit}</span>
      </span>
      {wrong && (
        <span role="alert" className="block text-[13px] text-beet">
          {field.says(min)} to {field.says(max)}
        </span>
      )}
    </label>
  );
}
