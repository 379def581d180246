'use client';

import { useState } from 'react';
import type { Ingredient } from '../../core/composition/ingredient';
import { showGrams } from '../../core/figure';
import { fromKin } from '../../core/larder/kin';
import { splitLine } from '../../core/measures/line';
import type { Doubt, Reading } from '../../core/reading/read';
import type { PartAnalysis, SheetAnalysis } from '../../core/analysis/analysed';
import { setLineIngredient, setLinePart, setLineStep, setLineText, setPart, setPartKind, type EditContext } from '../../core/editing/edits';
import { PART_KIND_NAMES, PART_KINDS, STANDS, STANDS_NAMES, STEP_WORK_NAMES } from '../../core/document/kinds';
import type { LineReading } from '../../core/lines/read-part';
import type { Sheet } from '../../core/document/schema';
import { railHatch } from '../../ui/part-look';
import { QuietChoice } from '../../ui/quiet-choice';

export type ReviewEdit = (to: (sheet: Sheet) => Sheet, answers?: readonly number[]) => void;

interface ReadPartsProps {
  readonly reading: Reading;
  readonly draft: { readonly sheet: Sheet; readonly lineIds: readonly string[] };
  readonly analysis: SheetAnalysis;
  readonly context: EditContext;
  readonly open: readonly Doubt[];
  readonly onEdit: ReviewEdit;
  readonly onAdded: (ingredient: Ingredient) => void;
}

/** The bowls that were understood: their kind, their lines, the step that uses each; doubts with their choices. */
export function ReadParts({ reading, draft, analysis, context, open, onEdit, onAdded }: ReadPartsProps) {
  const { sheet, lineIds } = draft;
  const doubtOf = new Map(open.map((d) => [lineIds[d.line!]!, d]));
  const parts = sheet.parts.map((p) => [p.id, p.name] as const);
  const row = (a: PartAnalysis, l: LineReading) => {
    const doubt = doubtOf.get(l.line.id);
    const step = sheet.steps.findIndex((s) => s.id === l.line.stepId);
    return (
      <li
        key={l.line.id}
        className={`grid grid-cols-[72px_minmax(0,1fr)_auto] items-baseline gap-x-2.5 border-t border-steel-light py-0.5 ${doubt ? 'bg-[oklch(.965_.02_12)]' : ''}`}
        data-read-line={doubt ? 'doubt' : 'sure'}
      >
        <span className="fig text-right text-[15.5px]">
          {l.kind === 'part' ? l.cooksMeasure : l.read ? `${showGrams(l.read.massG)}${doubt ? '?' : ''}` : '–'}
        </span>
        <span className="min-w-0 truncate" title={l.line.text}>
          {l.kind === 'part' ? l.fromPart?.name : (shortNameOf(l) ?? (splitLine(l.line.text).name || l.line.text))}
          {sheet.parts.length > 1 && l.kind === 'ingredient' && (
            <QuietChoice
              label={`Part of ${l.name}`}
              value={a.part.id}
              face="move"
              options={parts}
              onChange={(to) => onEdit((d) => setLinePart(d, l.line.id, to, context))}
              className="ml-2 text-[13px] text-ink-soft opacity-0 group-hover/part:opacity-100 focus:opacity-100 pointer-coarse:opacity-100"
            />
          )}
        </span>
        <QuietChoice
          label={`Step of ${l.name}`}
          value={l.line.stepId ?? ''}
          face={step < 0 ? 'no step' : `${step + 1} ${sheet.steps[step]!.work ? STEP_WORK_NAMES[sheet.steps[step]!.work] : sheet.steps[step]!.short}`}
          options={[...sheet.steps.map((s, i) => [s.id, `${i + 1} ${s.title}`] as const), ['', 'no step'] as const]}
          onChange={(to) => onEdit((d) => setLineStep(d, a.part.id, l.line.id, to === '' ? null : to))}
          className={`max-w-[120px] truncate text-right text-[13.5px] ${step < 0 ? 'text-beet' : 'text-ink-soft'}`}
        />
        {doubt && <Choices doubt={doubt} line={l} partId={a.part.id} context={context} index={doubt.line!} onEdit={onEdit} onAdded={onAdded} />}
      </li>
    );
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-9 gap-y-4 pt-4 xl:grid-cols-2" aria-label="Bowls" role="group">
      {analysis.parts.map((a) => (
        <section key={a.part.id} aria-label={a.part.name} data-part={a.part.kind} className="group/part grid grid-cols-[8px_minmax(0,1fr)] gap-x-3">
          <div className="rounded-[2px]" style={{ background: railHatch(a.part.kind) }} aria-hidden="true" />
          <div className="min-w-0">
            <div className="flex items-baseline gap-3 pb-0.5">
              <NameOf name={a.part.name} onName={(name) => onEdit((d) => setPart(d, a.part.id, { name }, context))} />
              <QuietChoice
                label={`Kind of ${a.part.name}`}
                value={a.part.kind}
                options={PART_KINDS.map((k) => [k, PART_KIND_NAMES[k]] as const)}
                onChange={(kind) => onEdit((d) => setPartKind(d, a.part.id, kind, context))}
                className="text-[14px] text-ink-soft"
              />
              {a.part.stands === 'beside' && (
                <QuietChoice
                  label={`Where ${a.part.name} stands`}
                  value={a.part.stands}
                  options={STANDS.map((w) => [w, STANDS_NAMES[w]] as const)}
                  onChange={(stands) => onEdit((d) => setPart(d, a.part.id, { stands }, context))}
                  className="text-[14px] text-ink-soft"
                />
              )}
            </div>
            <ul>{a.reading.lines.map((l) => row(a, l))}</ul>
          </div>
        </section>
      ))}
      {reading.lines.length === 0 && <p className="text-ink-soft">No amount of anything was found. Write one, like 300 g cream, then read it again.</p>}
    </div>
  );
}

/** The larder's name without its sort and its fat. */
const shortNameOf = (l: LineReading): string | null => (l.ingredient ? l.ingredient.name.replace(/\s*\([^)]*\)/g, '').split(',')[0]! : null);

function NameOf({ name, onName }: { readonly name: string; readonly onName: (name: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <h3 className="min-w-0 text-[16.5px]">
      <input
        aria-label={`Name of the part ${name}`}
        value={typed ?? name}
        maxLength={120}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => {
          if (typed !== null && typed.trim() !== '' && typed.trim() !== name) onName(typed.trim());
          setTyped(null);
        }}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        className="field-sizing-content -ml-1 max-w-[240px] min-w-14 truncate rounded-s border border-transparent bg-transparent px-1 hover:border-steel focus:border-steel focus:bg-paper"
      />
    </h3>
  );
}

interface ChoicesProps {
  readonly doubt: Doubt;
  readonly line: LineReading;
  readonly partId: string;
  readonly context: EditContext;
  readonly index: number;
  readonly onEdit: ReviewEdit;
  readonly onAdded: (ingredient: Ingredient) => void;
}

/** What a doubtful line may be: one touch each; a new ingredient from its nearest kin in two. */
function Choices({ doubt, line, partId, context, index, onEdit, onAdded }: ChoicesProps) {
  const [adding, setAdding] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [text, setText] = useState<string | null>(null);
  const name = splitLine(line.line.text).name || line.line.text;
  const found = context.matcher.find(name, 5).map((m) => m.ingredient);
  const add = async (kin: Ingredient) => {
    const fresh = fromKin(name, kin, new Set(context.larder.keys()));
    try {
      const answer = await fetch(`/api/larder/${fresh.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ingredient: fresh, baseRevision: 0 }),
      });
      if (!answer.ok) throw new Error(((await answer.json()) as { says?: string }).says ?? 'The larder did not take it.');
      onAdded(fresh);
      onEdit((d) => setLineIngredient(d, partId, line.line.id, fresh, { ...context, larder: new Map([...context.larder, [fresh.id, fresh]]) }), [index]);
    } catch (error) {
      setFault(error instanceof TypeError ? 'The server does not answer; nothing was added. Try again.' : (error as Error).message);
    }
  };
  const choice = 'btn min-h-8 max-w-full px-2.5 text-[14px] whitespace-normal pointer-coarse:min-h-11';
  return (
    <div className="col-span-3 pb-1.5 pl-[82px]">
      <p className="text-[13.5px] text-beet">
        ‘{doubt.about}’: {doubt.says.replace(/\.$/, '')}.
      </p>
      <p className="mt-1 flex flex-wrap gap-1.5" role="group" aria-label={`Choices for ${doubt.about}`}>
        {adding
          ? found.map((kin) => (
              <button key={kin.id} type="button" className={choice} onClick={() => void add(kin)}>
                like {kin.name}
              </button>
            ))
          : found.map((i) => (
              <button
                key={i.id}
                type="button"
                aria-pressed={i.id === line.ingredient?.id}
                className={`${choice} ${i.id === line.ingredient?.id ? 'border-ink font-semibold' : ''}`}
                onClick={() => onEdit((d) => setLineIngredient(d, partId, line.line.id, i, context), [index])}
              >
                {i.name}
              </button>
            ))}
        {line.read && !adding && (
          <button type="button" className={choice} onClick={() => onEdit((d) => d, [index])}>
            as it is
          </button>
        )}
        <button type="button" className={choice} onClick={() => setAdding(!adding)}>
          {adding ? 'not new' : 'add it to the larder'}
        </button>
      </p>
      {!line.read && (
        <input
          aria-label={`Text of ${doubt.about}`}
          value={text ?? line.line.text}
          maxLength={480}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => {
            if (text !== null && text !== line.line.text) onEdit((d) => setLineText(d, partId, line.line.id, text, context), [index]);
            setText(null);
          }}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          className="field mt-1.5 w-full max-w-[360px]"
        />
      )}
      {fault && (
        <p role="alert" className="text-[13.5px] text-beet">
          {fault}
        </p>
      )}
    </div>
  );
}
