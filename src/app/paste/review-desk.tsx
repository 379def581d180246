'use client';

import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import type { Ingredient } from '../../core/composition/ingredient';
import { matcherFor } from '../../core/measures/match';
import { CUP_SYSTEM_KEYS, CUP_SYSTEMS, type CupSystem } from '../../core/measures/units';
import { marksOf } from '../../core/reading/marks';
import { readRecipe, type Reading } from '../../core/reading/read';
import { readingToSheet, type SheetRead } from '../../core/reading/to-sheet';
import { analyseSheet } from '../../core/analysis/analyse';
import { kitchenOf, type KitchenFacts } from '../../core/kitchen/kitchen';
import { setFamily, setPart } from '../../core/editing/edits';
import { FAMILIES, FAMILY_NAMES, USE_NAMES, USES } from '../../core/document/kinds';
import type { Sheet } from '../../core/document/schema';
import { QuietChoice } from '../../ui/quiet-choice';
import { freshId } from '../../ui/sheet/fresh-id';
import { useKept } from '../../ui/use-kept';
import { ReadMethod } from './read-method';
import { ReadParts } from './read-parts';

/** What has been made of a text so far: the sheet as it stands, and which doubts the cook has answered. */
interface Draft extends Pick<SheetRead, 'sheet' | 'lineIds' | 'stepIds' | 'notSaid'> {
  readonly cups: CupSystem | 'auto';
  readonly answered: readonly number[];
}

interface ReviewDeskProps {
  readonly facts: KitchenFacts;
  readonly text: string;
  readonly busy: boolean;
  readonly refused: string | null;
  readonly onTake: (doc: Sheet) => void;
  readonly onBack: () => void;
}

/** The text as it was written beside what was understood of it; everything can be put right before it is a sheet. */
export function ReviewDesk({ facts, text, busy, refused, onTake, onBack }: ReviewDeskProps) {
  const [added, setAdded] = useState<readonly Ingredient[]>([]);
  const kitchen = useMemo(() => kitchenOf({ ...facts, larder: [...facts.larder, ...added] }), [facts, added]);
  const context = useMemo(
    () => ({ larder: kitchen.larder, matcher: matcherFor([...kitchen.larder.values()]), measures: { cups: facts.rules.cups, eggs: facts.rules.eggs } }),
    [kitchen, facts],
  );
  const [kept, keep] = useKept('session', 'soft-peak:paste-draft');
  const [history, setHistory] = useState<readonly Draft[]>([]);
  const fresh = (cups: Draft['cups']): { reading: Reading; draft: Draft } | null => {
    const read = readRecipe(text, context, { cups });
    return read.ok
      ? {
          reading: read.value,
          draft: { ...readingToSheet(read.value, { context, mixers: kitchen.mixers, vessels: kitchen.vessels, newId: freshId }), cups, answered: [] },
        }
      : null;
  };
  const [draft, setDraft] = useState<Draft | null>(() => draftKept(kept, text) ?? fresh('auto')?.draft ?? null);
  const cupsRead = draft?.cups ?? 'auto';
  const read = useMemo(() => readRecipe(text, context, { cups: cupsRead }), [text, context, cupsRead]);
  const analysis = useMemo(() => (draft ? analyseSheet(draft.sheet, kitchen) : null), [draft, kitchen]);
  const change = (next: Draft) => {
    if (draft) setHistory((h) => [...h.slice(-60), draft]);
    setDraft(next);
    keep(JSON.stringify({ text, draft: next }));
  };
  const edit = (to: (sheet: Sheet) => Sheet, answers: readonly number[] = []) =>
    draft && change({ ...draft, sheet: to(draft.sheet), answered: [...new Set([...draft.answered, ...answers])] });
  const undo = useEffectEvent((e: KeyboardEvent) => {
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || history.length === 0) return;
    e.preventDefault();
    setDraft(history.at(-1)!);
    keep(JSON.stringify({ text, draft: history.at(-1)! }));
    setHistory(history.slice(0, -1));
  });
  useEffect(() => {
    window.addEventListener('keydown', undo);
    return () => window.removeEventListener('keydown', undo);
  }, []);
  if (!read.ok || !draft || !analysis) {
    return (
      <section className="px-4 py-8 md:px-8" aria-label="Review">
        <p role="alert" className="max-w-[60ch] text-[19px] text-beet">
          {read.ok ? 'Nothing of that could be read as a recipe.' : read.fault.says}
        </p>
        <button type="button" className="btn mt-3" onClick={onBack}>
          Back to the text
        </button>
      </section>
    );
  }
  const reading = read.value;
  const open = reading.doubts.filter((d) => d.line !== null && !draft.answered.includes(d.line));
  const { sheet } = draft;
  const said = (what: SheetRead['notSaid'][number]): string => (draft.notSaid.includes(what) ? ' (not said)' : '');
  const mixers = kitchen.mixers;
  const mixerId = sheet.parts[0]?.whisk.mixerId ?? '';
  return (
    <section className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,430px)_minmax(0,1fr)]" aria-label="Review">
      <Written text={text} reading={reading} open={new Set(open.map((d) => d.line!))} unread={reading.unread} />
      <div className="px-4 pt-4 pb-10 md:px-7">
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-3 border-b border-steel pb-3">
          <h2 className="text-[21px]" data-open-doubts={open.length}>
            {reading.lines.length === 0 && reading.steps.length === 0
              ? 'No ingredient and no step was found in it'
              : open.length === 0
                ? `All ${figures(reading)} figures read`
                : `${figures(reading)} figures read, ${open.length} to look at`}
          </h2>
          <div className="flex flex-wrap gap-3">
            <button type="button" className="btn" onClick={onBack}>
              Back to the text
            </button>
            <button type="button" className="btn btn-act" disabled={busy} onClick={() => onTake(sheet)}>
              {open.length === 0 ? 'Make the sheet' : 'Make the sheet, settle the rest there'}
            </button>
          </div>
        </div>
        {refused && (
          <p role="alert" className="pt-2 text-beet">
            {refused}
          </p>
        )}
        <dl className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-steel py-2 text-[14.5px]" aria-label="What the sheet starts with">
          <Setting name="cups">
            <QuietChoice
              label="Cups and spoons"
              value={draft.cups === 'auto' ? reading.cups.system : draft.cups}
              options={CUP_SYSTEM_KEYS.map((k) => [k, `${CUP_SYSTEMS[k].name}, ${Math.round(CUP_SYSTEMS[k].cup)} mL`] as const)}
              onChange={(cups) => {
                const again = fresh(cups);
                if (again) change(again.draft);
              }}
              className="font-[600]"
            />
            <span className="text-ink-soft">
              {draft.cups !== 'auto' ? '' : reading.cups.quotes.length > 0 ? ` because of ‘${reading.cups.quotes[0]}’` : ' (not said)'}
            </span>
          </Setting>
          <Setting name="vessel">
            <QuietChoice
              label="Vessel"
              value={sheet.vessel.name}
              options={[...new Set([sheet.vessel.name, ...kitchen.vessels.map((v) => v.vessel.name)])].map((n) => [n, n] as const)}
              onChange={(name) => edit((d) => ({ ...d, vessel: kitchen.vessels.find((v) => v.vessel.name === name)?.vessel ?? d.vessel }))}
              className="font-[600]"
            />
            <span className="text-ink-soft">
              {sheet.tin.count > 1 ? ` × ${sheet.tin.count}` : ''}
              {said('vessel')}
            </span>
          </Setting>
          <Setting name="mixer">
            <QuietChoice
              label="Mixer"
              value={mixerId}
              options={mixers.map((m) => [m.id, m.name] as const)}
              onChange={(id) => edit((d) => d.parts.reduce((s, p) => setPart(s, p.id, { whisk: { ...p.whisk, mixerId: id } }, context), d))}
              className="font-[600]"
            />
            <span className="text-ink-soft">{said('mixer')}</span>
          </Setting>
          <Setting name="it is">
            <QuietChoice
              label="What it is for"
              value={sheet.use}
              options={USES.map((u) => [u, USE_NAMES[u]] as const)}
              onChange={(use) => edit((d) => ({ ...d, use }))}
              className="font-[600]"
            />
            <span className="text-ink-soft">{said('use')}</span>
          </Setting>
          <Setting name="family">
            <QuietChoice
              label="Family"
              value={sheet.family}
              options={FAMILIES.map((f) => [f, FAMILY_NAMES[f]] as const)}
              onChange={(family) => edit((d) => setFamily(d, family, context))}
              className="font-[600]"
            />
          </Setting>
          <Setting name="portions">
            <input
              aria-label="Portions"
              inputMode="numeric"
              value={String(sheet.portions)}
              maxLength={4}
              onChange={(e) =>
                /^\d{1,4}$/.test(e.target.value) &&
                Number(e.target.value) >= 1 &&
                Number(e.target.value) <= 2000 &&
                edit((d) => ({ ...d, portions: Number(e.target.value) }))
              }
              className="fig w-14 rounded-s border border-transparent bg-transparent px-1 hover:border-steel focus:border-steel focus:bg-paper"
            />
            <span className="text-ink-soft">{said('portions')}</span>
          </Setting>
        </dl>
        <ReadParts
          reading={reading}
          draft={draft}
          analysis={analysis}
          context={context}
          open={open}
          onEdit={edit}
          onAdded={(i) => setAdded((a) => [...a, i])}
        />
        <ReadMethod sheet={sheet} analysis={analysis} onEdit={edit} />
      </div>
    </section>
  );
}

/** Amounts, times and temperatures that stand in what was understood. */
const figures = (r: Reading): number =>
  r.lines.filter((l) => l.draft.grams !== null).length +
  r.steps.filter((s) => s.minutes !== null).length +
  r.steps.filter((s) => s.temperature !== null).length;

/** The draft of this very text that was left behind; null where there is none. */
function draftKept(kept: string | null, text: string): Draft | null {
  if (!kept) return null;
  try {
    const found = JSON.parse(kept) as { text?: string; draft?: Draft };
    return found.text === text && found.draft ? found.draft : null;
  } catch {
    return null;
  }
}

function Setting({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex items-baseline gap-1.5">
      <dt className="text-ink-soft">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

const MARK: Readonly<Record<'amount' | 'time' | 'doubt', string>> = {
  amount: 'underline decoration-yolk decoration-2 underline-offset-4',
  time: 'underline decoration-frost decoration-2 underline-offset-4',
  doubt: 'rounded-[2px] bg-[oklch(.95_.03_12)] underline decoration-beet decoration-2 underline-offset-4',
};

/** The text as it was written, with what became a figure underlined, and what was kept as a note. */
function Written({
  text,
  reading,
  open,
  unread,
}: {
  readonly text: string;
  readonly reading: Reading;
  readonly open: ReadonlySet<number>;
  readonly unread: readonly string[];
}) {
  const marks = useMemo(() => marksOf(text, reading), [text, reading]);
  return (
    <section aria-label="As it was written" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:order-last max-lg:border-t md:px-6 lg:border-r">
      <h2 className="pb-2 text-[17px]">As it was written</h2>
      <p className="max-w-[60ch] whitespace-pre-wrap text-[15px] leading-relaxed [overflow-wrap:anywhere]">
        {marks.map((m, i) => {
          const kind = m.kind === 'doubt' && m.line !== null && !open.has(m.line) ? 'amount' : m.kind;
          return kind === 'plain' ? (
            <span key={i}>{m.text}</span>
          ) : (
            <mark key={i} data-mark={kind} className={`bg-transparent text-ink ${MARK[kind]}`}>
              {m.text}
            </mark>
          );
        })}
      </p>
      {unread.length > 0 && (
        <>
          <h3 className="mt-5 border-t border-steel-light pt-3 pb-1 text-[15px]">Kept as notes</h3>
          <ul className="text-[14px] text-ink-soft">
            {unread.map((u, i) => (
              <li key={`${i}-${u.slice(0, 12)}`} className="py-0.5 [overflow-wrap:anywhere]">
                {u}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
