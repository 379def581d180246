'use client';

import { useMemo, useState } from 'react';
import { sheetTells } from '../../../../core/tells/sheet-tells';
import type { TellEdit } from '../../../../core/tells/tell';
import { applyTellEdit } from '../../../../core/tells/apply';
import { setFamily } from '../../../../core/editing/edits';
import { FAMILIES, FAMILY_NAMES, USE_NAMES, USES } from '../../../../core/document/kinds';
import { SWEETNESS_BANDS, type SweetnessBand } from '../../../../core/composition/sweetness';
import { vesselSize } from '../../../../core/vessel/profile';
import { SheetCut } from '../../../../ui/sheet/sheet-cut';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { Choice } from '../../../../ui/choice';
import { TellList } from '../../../../ui/tell-list';
import { BenchPages } from '../bench-pages';
import { AddPart } from './add-part';
import { Method } from './method';
import { PartBlock, type ShareOf } from './part-block';

/** Bench: what goes in, and beside it what it will be like. */
export function BenchDesk() {
  return (
    <SheetFrame station="Bench">
      {/* On a narrow screen the judgement follows the lines at once; the settings come last. */}
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_392px] lg:grid-rows-[auto_1fr]">
        <Formula />
        <Judgement />
        <Settings />
      </div>
    </SheetFrame>
  );
}

function Formula() {
  const { id } = useSheet();
  const analysis = useAnalysis();
  const [shareOf, setShareOf] = useState<ShareOf>('part');
  return (
    <section aria-label="Formula" className="px-4 pt-2 pb-6 md:px-6">
      <div className="mb-2 flex items-center justify-between gap-3">
        <BenchPages sheetId={id} here="lines" />
        <button
          type="button"
          className="min-h-8 text-[13.5px] whitespace-nowrap text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink max-sm:hidden"
          onClick={() => setShareOf(shareOf === 'part' ? 'cream' : 'part')}
        >
          share of the {shareOf}
        </button>
      </div>
      <div className="grid gap-y-4">
        {analysis.parts.map((a, at) => (
          <PartBlock key={a.part.id} analysis={a} at={at} shareOf={shareOf} />
        ))}
      </div>
      <AddPart />
    </section>
  );
}

function Settings() {
  const { doc, edit, kitchen, context } = useSheet();
  const vessels = kitchen.vessels.map((v) => v.vessel);
  return (
    <section aria-label="Method and wishes" className="px-4 pb-10 max-lg:pt-4 md:px-6">
      <Method />
      <div className="mt-6 grid grid-cols-2 gap-x-5 gap-y-4 border-t border-steel pt-4 xl:grid-cols-4">
        <Choice
          label="Family"
          value={doc.family}
          options={FAMILIES.map((f) => [f, FAMILY_NAMES[f]] as const)}
          onChange={(family) => edit('family', (d) => setFamily(d, family, context))}
        />
        <Choice label="It is" value={doc.use} options={USES.map((u) => [u, USE_NAMES[u]] as const)} onChange={(use) => edit('use', (d) => ({ ...d, use }))} />
        <Choice
          label="As sweet as"
          value={doc.sweetness}
          options={(Object.keys(SWEETNESS_BANDS) as SweetnessBand[]).map((k) => [k, SWEETNESS_BANDS[k].name] as const)}
          onChange={(sweetness) => edit('sweetness', (d) => ({ ...d, sweetness }))}
        />
        <Choice
          label="Vessel"
          value={doc.vessel.name}
          options={[...new Set([doc.vessel.name, ...vessels.map((v) => v.name)])].map((n) => [n, n] as const)}
          onChange={(name) => edit('vessel', (d) => ({ ...d, vessel: vessels.find((v) => v.name === name) ?? d.vessel }))}
        />
      </div>
      <label className="mt-5 block">
        <span className="text-[13.5px] text-ink-soft">Notes</span>
        <textarea
          value={doc.notes}
          maxLength={20_000}
          rows={2}
          placeholder="What the next cook should know"
          onChange={(e) => edit('notes', (d) => ({ ...d, notes: e.target.value }))}
          className="mt-1 field-sizing-content block min-h-11 w-full resize-none rounded-s border border-transparent bg-transparent py-1 hover:border-steel hover:px-2 focus:border-steel focus:bg-paper focus:px-2"
        />
      </label>
      <Unread />
    </section>
  );
}

/** Text of a pasted recipe that was not understood: in sight until the cook has settled it. */
function Unread() {
  const { doc, edit } = useSheet();
  if (doc.unread.length === 0) return null;
  return (
    <section className="mt-5" aria-label="Not settled yet">
      <h2 className="pb-1 text-[17px]">Not settled yet</h2>
      <ul>
        {doc.unread.map((text, i) => (
          <li key={`${i}-${text.slice(0, 20)}`} className="flex items-baseline gap-3 border-t border-steel-light py-1.5">
            <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">{text}</span>
            <button
              type="button"
              className="btn min-h-8 px-2.5 text-[14px]"
              onClick={() => edit('unread', (d) => ({ ...d, unread: d.unread.filter((_, n) => n !== i) }))}
            >
              Settled
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Judgement() {
  const { doc, edit, context, kitchen } = useSheet();
  const analysis = useAnalysis();
  const tells = useMemo(() => sheetTells(analysis, kitchen), [analysis, kitchen]);
  const apply = (change: TellEdit) => edit(`tell:${change.kind}`, (d) => applyTellEdit(d, change, context, freshId));
  const { vessel } = doc;
  const allergens = [...new Set(analysis.parts.flatMap((p) => p.reading.allergens))].sort();
  return (
    <aside
      aria-label="What it will be like"
      className="border-steel bg-paper px-4 pt-3.5 pb-8 max-lg:border-y md:px-[22px] lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:border-l"
    >
      <p className="text-[13.5px] text-ink-soft">
        {vessel.name}, {vesselSize(vessel)}, cut across
      </p>
      <div className="mx-auto h-[212px] max-w-[380px] py-1">
        <SheetCut analysis={analysis} />
      </div>
      <TellList tells={tells} partNames={doc.parts.map((p) => p.name)} onEdit={apply} />
      <p className="border-t border-steel-light pt-2.5 text-[13.5px] text-ink-soft">
        {allergens.length > 0 ? `Allergens: ${allergens.join(', ')}; check each label for traces.` : 'No listed allergens in these lines; check each label.'}{' '}
        Keeping times follow your local food code.
      </p>
    </aside>
  );
}
