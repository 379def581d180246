'use client';

import { useMemo, useState } from 'react';
import { compareSheets, isSame } from '../../../../core/rewrite/compare';
import { switchWay, waysOfPart, waysOfSheet } from '../../../../core/ways/switch';
import { usualOption, type WayOption, type WayQuestion } from '../../../../core/schools/questions';
import { DifferenceList } from '../../../../ui/difference-list';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The schools of a part, or of putting the dessert together; choosing one shows what it changes before it is taken. */
export function WaysPanel({ partId, onDone }: { readonly partId: string | null; readonly onDone: () => void }) {
  const { doc, context } = useSheet();
  const part = doc.parts.find((p) => p.id === partId);
  const asked = part ? waysOfPart(part, context.larder) : waysOfSheet(doc);
  const [chosen, setChosen] = useState<{ key: string; id: string } | null>(null);
  return (
    <div className="text-[14.5px]">
      {asked.map(({ question, option }) => (
        <Question
          key={question.key}
          question={question}
          held={option}
          chosen={chosen?.key === question.key ? chosen.id : null}
          onChoose={(id) => setChosen(id === option.id ? null : { key: question.key, id })}
        />
      ))}
      {chosen && <Preview key={`${chosen.key}.${chosen.id}`} partId={partId} questionKey={chosen.key} optionId={chosen.id} onDone={onDone} />}
    </div>
  );
}

function Question({
  question,
  held,
  chosen,
  onChoose,
}: {
  readonly question: WayQuestion;
  readonly held: WayOption;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}) {
  const now = question.options.find((o) => o.id === (chosen ?? held.id)) ?? held;
  return (
    <fieldset className="border-t border-steel-light py-2 first:border-t-0 first:pt-0">
      <legend className="float-left mb-1 w-full font-semibold">{question.asks}</legend>
      <div className="clear-left flex flex-wrap gap-1.5">
        {question.options.map((o) => (
          <label
            key={o.id}
            className={`flex min-h-8 cursor-pointer items-center rounded-s border px-2.5 has-focus-visible:outline-2 has-focus-visible:outline-ink pointer-coarse:min-h-11 ${o.id === now.id ? 'border-ink bg-ink font-semibold text-paper' : 'border-steel hover:border-ink-soft'}`}
          >
            <input type="radio" className="sr-only" name={question.key} checked={o.id === now.id} onChange={() => onChoose(o.id)} />
            {o.name}
          </label>
        ))}
      </div>
      <p className="mt-1 text-[13.5px] text-ink-soft">
        {now.why}
        {usualOption(question).id === now.id && ' The usual way here.'}
      </p>
    </fieldset>
  );
}

function Preview({
  partId,
  questionKey,
  optionId,
  onDone,
}: {
  readonly partId: string | null;
  readonly questionKey: string;
  readonly optionId: string;
  readonly onDone: () => void;
}) {
  const { doc, edit, context } = useSheet();
  // The ids of new lines are made once, so that what is shown is what is taken.
  const after = useMemo(
    () => switchWay(doc, partId, questionKey, optionId, { larder: context.larder, measures: context.measures, newId: freshId }),
    [doc, partId, questionKey, optionId, context],
  );
  const changes = compareSheets(doc, after);
  const lines = changes.parts.flatMap((p) => p.lines);
  return (
    <section className="border-t border-steel pt-2" aria-label="What it changes">
      <h3 className="text-[15px]">What it changes</h3>
      {isSame(changes) ? (
        <p className="py-1 text-ink-soft">Only how it is whisked; no line and no step.</p>
      ) : (
        <>
          <p className="pt-1 text-[13.5px] text-ink-soft">Lines</p>
          <DifferenceList differences={lines} none="No line changes." />
          <p className="pt-1 text-[13.5px] text-ink-soft">Steps</p>
          <DifferenceList differences={changes.steps.map((d) => ({ ...d, before: plain(d.before), after: plain(d.after) }))} none="No step changes." />
        </>
      )}
      <button
        type="button"
        className="btn btn-act mt-2"
        onClick={() => {
          edit('way', () => after);
          onDone();
        }}
      >
        Take this way
      </button>
      <p className="mt-1.5 text-[13.5px] text-ink-soft">Notes and your own words stay. Undo brings the old way back.</p>
    </section>
  );
}

const plain = (text: string): string => text.replace(/\{(\w+)\}/g, '…');
