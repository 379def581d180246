'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState, useSyncExternalStore } from 'react';
import type { Imported } from '../../core/files/import-recipe';
import { MOST_CHARACTERS } from '../../core/files/table';
import { matcherFor } from '../../core/measures/match';
import { CUP_SYSTEM_KEYS, CUP_SYSTEMS, type CupSystem } from '../../core/measures/units';
import { cupsOf, draftRows, type DraftContext, type SourceRow } from '../../core/recipe/draft';
import { draftToSheet } from '../../core/recipe/to-sheet';
import { kitchenOf, type KitchenFacts } from '../../core/sheet/analyse';
import type { Sheet } from '../../core/sheet/schema';
import { Choice } from '../../ui/choice';
import { freshId } from '../../ui/sheet/fresh-id';
import { ReviewRows } from './review-rows';

const KEPT = 'soft-peak:paste';

const noChanges = () => () => undefined;

function keptText(): string {
  try {
    return sessionStorage.getItem(KEPT) ?? '';
  } catch {
    return '';
  }
}

const EXAMPLE = `Lemon-thyme chantilly
Serves 8

2 1/2 cups heavy cream, cold
3 tbsp powdered sugar
1 tsp vanilla
a pinch of salt

Chill the bowl. Whip cream, sugar, vanilla and salt to medium peaks.`;

/** Paste, drop or choose a recipe; then settle what is doubtful; then it is a sheet. */
export function PasteDesk({ facts }: { readonly facts: KitchenFacts }) {
  // What was pasted outlives a reload of the tab.
  const kept = useSyncExternalStore(noChanges, keptText, () => '');
  const [typed, setTyped] = useState<string | null>(null);
  const [read, setRead] = useState<Imported | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const text = typed ?? kept;
  const keep = (t: string) => {
    setTyped(t);
    setFault(null);
    try {
      sessionStorage.setItem(KEPT, t.slice(0, 200_000));
    } catch {
      // Private windows may refuse: the text is still in the field.
    }
  };
  const take = async (t: string) => {
    // The readers come when there is something to read: they bring the checks of a sheet's own file.
    const readers = await import('../../core/files/import-recipe').catch(() => null);
    if (!readers) {
      setFault('The server does not answer: nothing was read yet. What you pasted is kept; try again in a moment.');
      return;
    }
    const imported = readers.importRecipe(t);
    setFault(imported.ok ? null : imported.fault.says);
    if (imported.ok) setRead(imported.value);
  };
  const takeFile = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_CHARACTERS) {
      setFault(`${file.name} is larger than 5 MB: no recipe is. Nothing was read.`);
      return;
    }
    const content = await file.text();
    if (content.length < 50_000) keep(content);
    await take(content);
  };
  if (read?.kind === 'rows') return <Review facts={facts} rows={read.rows} source={text} onBack={() => setRead(null)} />;
  if (read?.kind === 'sheet') return <TakeIn sheet={read.sheet} onBack={() => setRead(null)} />;
  return (
    <section
      className="mx-auto max-w-[860px] px-4 py-6 md:px-8"
      aria-label="Paste"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void takeFile(e.dataTransfer.files[0]);
      }}
    >
      <label className="block">
        <span className="mb-1 block text-[17px] font-[600]">Paste it as it is written</span>
        <span className="mb-2 block text-ink-soft">Plain text with or without headings, a page’s schema.org block, a table of lines, or a sheet’s own file. Every row is shown with what it became; nothing is left out.</span>
        <textarea autoFocus rows={16} value={text} onChange={(e) => keep(e.target.value)} placeholder={EXAMPLE} aria-invalid={fault !== null || undefined} aria-describedby="paste-fault" className="field w-full resize-y py-2.5 leading-relaxed" />
      </label>
      <p id="paste-fault" role="alert" className="min-h-6 text-beet">
        {fault}
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-act" disabled={text.trim() === ''} onClick={() => void take(text)}>
          Read it
        </button>
        <label className="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-ink">
          Choose a file
          <input type="file" className="sr-only" accept=".txt,.md,.json,.jsonld,.csv,.html,.htm,text/*,application/json" onChange={(e) => void takeFile(e.target.files?.[0])} />
        </label>
        <span className="text-[14px] text-ink-soft">or drop a file anywhere here</span>
      </div>
    </section>
  );
}

/** Sends a document in and opens it on Bench. */
function useTakeIn(): { readonly take: (doc: Sheet) => Promise<void>; readonly fault: string | null; readonly busy: boolean } {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (doc: Sheet) => {
    setBusy(true);
    try {
      const response = await fetch('/api/sheets', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ doc }) });
      const body = (await response.json()) as { id?: string; says?: string };
      if (!response.ok || !body.id) throw new Error(body.says ?? 'The server could not take the sheet in.');
      sessionStorage.removeItem(KEPT);
      router.push(`/sheet/${body.id}/bench`);
    } catch (error) {
      setFault(error instanceof TypeError ? 'The server does not answer. The recipe is still here: try again.' : (error as Error).message);
      setBusy(false);
    }
  };
  return { take, fault, busy };
}

function TakeIn({ sheet, onBack }: { readonly sheet: Sheet; readonly onBack: () => void }) {
  const { take, fault, busy } = useTakeIn();
  return (
    <section className="mx-auto max-w-[860px] px-4 py-8 md:px-8" aria-label="A sheet">
      <h2 className="text-[21px]">{sheet.name}</h2>
      <p className="mt-1 text-ink-soft">
        A sheet’s own file: {sheet.parts.length} {sheet.parts.length === 1 ? 'part' : 'parts'}, {sheet.parts.reduce((n, p) => n + p.lines.length, 0)} lines, {sheet.steps.length} steps, {sheet.portions} portions. It comes in as a new sheet; nothing here is replaced.
      </p>
      {fault && (
        <p role="alert" className="mt-2 text-beet">
          {fault}
        </p>
      )}
      <div className="mt-4 flex gap-3">
        <button type="button" className="btn btn-act" disabled={busy} onClick={() => void take(sheet)}>
          Take it in
        </button>
        <button type="button" className="btn" onClick={onBack}>
          Back
        </button>
      </div>
    </section>
  );
}

interface ReviewProps {
  readonly facts: KitchenFacts;
  readonly rows: readonly SourceRow[];
  readonly source: string;
  readonly onBack: () => void;
}

/** Every row beside what it became; the doubtful ones are settled with a key. */
function Review({ facts, rows: found, source, onBack }: ReviewProps) {
  const { take, fault, busy } = useTakeIn();
  const guess = useMemo(() => cupsOf(source || found.map((r) => r.text).join('\n'), facts.rules.cups), [source, found, facts]);
  const [cups, setCups] = useState<CupSystem>(guess.cups);
  const [rows, setRows] = useState(found);
  const [settled, setSettled] = useState<Readonly<Record<number, string>>>({});
  const base = useMemo(() => ({ larder: kitchenOf(facts).larder, matcher: matcherFor(facts.larder) }), [facts]);
  const context: DraftContext = useMemo(() => ({ ...base, measures: { cups, eggs: facts.rules.eggs } }), [base, cups, facts]);
  const drafted = useMemo(() => draftRows(rows, context, settled), [rows, context, settled]);
  const open = drafted.filter((r) => r.sureness !== 'sure').length;
  const make = () =>
    take(
      draftToSheet(drafted, {
        context: { ...base, measures: { cups: facts.rules.cups, eggs: facts.rules.eggs } },
        mixerId: facts.mixers[0]?.id ?? 'planetary',
        cups,
        newId: freshId,
      }),
    );
  return (
    <section className="px-4 pt-4 pb-10 md:px-8" aria-label="Review">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3 pb-4">
        <div>
          <h2 className="text-[21px]">{open === 0 ? 'Every line is settled' : `${open} ${open === 1 ? 'line' : 'lines'} to settle`}</h2>
          <p className="text-[14px] text-ink-soft">Arrows move; 1 to 5 choose; l, s, p, n make it a line, step, part or note; Enter goes to the next doubtful one.</p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-[210px]">
            <Choice label="Its cups and spoons are" value={cups} options={CUP_SYSTEM_KEYS.map((k) => [k, `${CUP_SYSTEMS[k].name}, ${Math.round(CUP_SYSTEMS[k].cup)} mL`] as const)} onChange={setCups} />
          </div>
          <button type="button" className="btn" onClick={onBack}>
            Back to the text
          </button>
          <button type="button" className="btn btn-act" disabled={busy} onClick={() => void make()}>
            {open === 0 ? 'Make the sheet' : 'Make the sheet, settle the rest there'}
          </button>
        </div>
      </div>
      <p className="pb-2 text-[13.5px] text-ink-soft">{cups === guess.cups ? `Taken for ${CUP_SYSTEMS[cups].name} because ${guess.why}.` : `Read as ${CUP_SYSTEMS[cups].name}; its words suggest ${CUP_SYSTEMS[guess.cups].name}, because ${guess.why}.`}</p>
      {fault && (
        <p role="alert" className="pb-2 text-beet">
          {fault}
        </p>
      )}
      <ReviewRows
        rows={drafted}
        larder={base.larder}
        onKind={(at, kind) => setRows((r) => r.map((x, i) => (i === at ? { ...x, kind } : x)))}
        onText={(at, t) => {
          setRows((r) => r.map((x, i) => (i === at ? { ...x, text: t } : x)));
          setSettled((s) => Object.fromEntries(Object.entries(s).filter(([i]) => Number(i) !== at)));
        }}
        onSettle={(at, id) => setSettled((s) => ({ ...s, [at]: id }))}
        source={found}
      />
    </section>
  );
}
