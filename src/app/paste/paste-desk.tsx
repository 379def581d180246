'use client';

import { useRouter } from 'next/navigation';
import { lazy, Suspense, useState } from 'react';
import { MOST_CHARACTERS } from '../../core/table/table';
import type { KitchenFacts } from '../../core/kitchen/kitchen';
import type { Sheet } from '../../core/document/schema';
import { sendingIds } from '../../ui/sheet/fresh-id';
import { useKept } from '../../ui/use-kept';

const ReviewDesk = lazy(() => import('./review-desk').then((m) => ({ default: m.ReviewDesk })));

const EXAMPLE = `Lemon-thyme chantilly
Serves 8

2 1/2 cups heavy cream, cold
3 tbsp powdered sugar
1 tsp vanilla
a pinch of salt

Chill the bowl. Whip cream, sugar, vanilla and salt to medium peaks.`;

/** Paste, drop or choose a recipe; what was understood stands beside it; then it is a sheet. */
export function PasteDesk({ facts }: { readonly facts: KitchenFacts }) {
  // What was pasted, and what was made of it, outlives a reload of the tab and a way to the Larder and back.
  const [text, keepText] = useKept('session', 'soft-peak:paste');
  const [reviewed, keepReviewed] = useKept('session', 'soft-peak:paste-read');
  const [own, setOwn] = useState<Sheet | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const {
    take,
    fault: refused,
    busy,
  } = useTakeIn(() => {
    keepText('');
    keepReviewed('');
  });
  const read = async (t: string) => {
    // The readers come when there is something to read: they bring the checks of a sheet's own file.
    const readers = await import('../../core/files/import-recipe').catch(() => null);
    if (!readers) {
      setFault('The server does not answer: nothing was read yet. What you pasted is kept; try again in a moment.');
      return;
    }
    const imported = readers.importRecipe(t);
    if (!imported.ok) {
      setFault(imported.fault.says);
      return;
    }
    if (imported.value.kind === 'sheet') {
      setFault(null);
      setOwn(imported.value.sheet);
      return;
    }
    const { rowsOf } = await import('../../core/reading/rows');
    const rows = rowsOf(imported.value.text, () => false);
    setFault(rows.ok ? null : rows.fault.says);
    if (rows.ok) keepReviewed(imported.value.text);
  };
  const readFile = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_CHARACTERS) {
      setFault(`${file.name} is larger than 5 MB: no recipe is. Nothing was read.`);
      return;
    }
    const content = await file.text();
    if (content.length < 60_000) keepText(content);
    await read(content);
  };
  if (own) return <TakeIn sheet={own} busy={busy} fault={refused} onTake={() => void take(own)} onBack={() => setOwn(null)} />;
  if (reviewed !== null && reviewed !== '') {
    return (
      <Suspense fallback={<p className="px-8 py-8 text-[17px] text-ink-soft">Reading…</p>}>
        <ReviewDesk
          key={reviewed}
          facts={facts}
          text={reviewed}
          busy={busy}
          refused={refused}
          onTake={(doc) => void take(doc)}
          onBack={() => keepReviewed('')}
        />
      </Suspense>
    );
  }
  return (
    <section
      className="mx-auto max-w-[860px] px-4 py-6 md:px-8"
      aria-label="Paste"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void readFile(e.dataTransfer.files[0]);
      }}
    >
      <label className="block">
        <span className="mb-1 block text-[17px] font-[600]">Paste it as it is written, or as it was told</span>
        <span className="mb-2 block text-ink-soft">
          A list and a method, a paragraph, notes in short hand, an old book’s sentence, a page’s schema.org block, a table of lines, or a sheet’s own file.
        </span>
        <textarea
          autoFocus
          rows={16}
          value={text ?? ''}
          onChange={(e) => keepText(e.target.value)}
          placeholder={EXAMPLE}
          aria-invalid={fault !== null || undefined}
          aria-describedby="paste-fault"
          className="field w-full resize-y py-2.5 leading-relaxed"
        />
      </label>
      <p id="paste-fault" role="alert" className="min-h-6 text-beet">
        {fault}
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-act" disabled={(text ?? '').trim() === ''} onClick={() => void read(text ?? '')}>
          Read it
        </button>
        <label className="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-ink">
          Choose a file
          <input
            type="file"
            className="sr-only"
            accept=".txt,.md,.json,.jsonld,.csv,.html,.htm,text/*,application/json"
            onChange={(e) => void readFile(e.target.files?.[0])}
          />
        </label>
        <span className="text-[14px] text-ink-soft">or drop a file anywhere here</span>
      </div>
    </section>
  );
}

/** Sends a document in and opens it on Bench. @param onTaken when the kitchen has it. */
function useTakeIn(onTaken: () => void): { readonly take: (doc: Sheet) => Promise<void>; readonly fault: string | null; readonly busy: boolean } {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [ids] = useState(sendingIds);
  const take = async (doc: Sheet) => {
    setBusy(true);
    try {
      const response = await fetch('/api/sheets', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: ids.of(JSON.stringify(doc)), doc }),
      });
      const body = (await response.json()) as { id?: string; says?: string };
      if (!response.ok || !body.id) throw new Error(body.says ?? 'The server could not take the sheet in.');
      ids.arrived();
      router.push(`/sheet/${body.id}/bench`);
      onTaken();
    } catch (error) {
      setFault(error instanceof TypeError ? 'The server does not answer. The recipe is still here: try again.' : (error as Error).message);
      setBusy(false);
    }
  };
  return { take, fault, busy };
}

interface TakeInProps {
  readonly sheet: Sheet;
  readonly busy: boolean;
  readonly fault: string | null;
  readonly onTake: () => void;
  readonly onBack: () => void;
}

function TakeIn({ sheet, busy, fault, onTake, onBack }: TakeInProps) {
  return (
    <section className="mx-auto max-w-[860px] px-4 py-8 md:px-8" aria-label="A sheet">
      <h2 className="text-[21px]">{sheet.name}</h2>
      <p className="mt-1 text-ink-soft">
        A sheet’s own file: {sheet.parts.length} {sheet.parts.length === 1 ? 'part' : 'parts'}, {sheet.parts.reduce((n, p) => n + p.lines.length, 0)} lines,{' '}
        {sheet.steps.length} steps, {sheet.portions} portions. It comes in as a new sheet; nothing here is replaced.
      </p>
      {fault && (
        <p role="alert" className="mt-2 text-beet">
          {fault}
        </p>
      )}
      <div className="mt-4 flex gap-3">
        <button type="button" className="btn btn-act" disabled={busy} onClick={onTake}>
          Take it in
        </button>
        <button type="button" className="btn" onClick={onBack}>
          Back
        </button>
      </div>
    </section>
  );
}
