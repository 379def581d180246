'use client';

import Link from 'next/link';
import { useState } from 'react';
import { plainNumber, withUnit } from '../../../../../core/figure';
import { setLineAmount } from '../../../../../core/editing/edits';
import { countBiscuits, whyNoBiscuits, type BiscuitCount } from '../../../../../core/tin/biscuits';
import type { TinPlan } from '../../../../../core/document/tin-plan-schema';
import { biscuitsFigure, coveredFigure } from '../../../../../core/tells/tin-figures';
import { Choice, Segments } from '../../../../../ui/choice';
import { FigureButton } from '../../../../../ui/figure-button';
import { QuantityField } from '../../../../../ui/quantity-field';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { TinPages } from '../../../../tin/tin-pages';
import { usePlans, type LaidPlan } from '../use-plans';
import { PlanDrawing } from './plan-drawing';

const ROUND_PATTERNS = [
  ['tight', 'as many as go in'],
  ['rings', 'in rings'],
] as const;
const RECT_PATTERNS = [
  ['tight', 'as many as go in'],
  ['along', 'along'],
  ['across', 'across'],
] as const;

/** From above: each layer of biscuits to scale, and what all of them come to. */
export function AboveDesk() {
  const analysis = useAnalysis();
  const { id, kitchen, doc, edit } = useSheet();
  const plans = usePlans(analysis);
  const [at, setAt] = useState(0);
  const shown = plans[Math.min(at, plans.length - 1)];
  const set = (change: Partial<TinPlan>) => edit('tin:biscuits', (d) => ({ ...d, tin: { ...d.tin, ...change } }));
  return (
    <SheetFrame station="Tin">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <TinPages sheetId={id} here="above" />
      </div>
      {!shown ? (
        <None id={id} why={whyWords(whyNoBiscuits(analysis, kitchen.larder))} />
      ) : (
        <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
          <section aria-label="The layer from above" className="px-4 pt-3 pb-6 md:px-6">
            <LayerTabs plans={plans} at={plans.indexOf(shown)} onPick={setAt} />
            <Drawn plans={plans} shown={shown} />
          </section>
          <aside aria-label="Biscuits in all" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
            {countBiscuits(
              analysis,
              plans.map((p) => p.layer),
              plans.map((p) => (p.plan?.ok ? p.plan.value : null)),
            ).map((c) => (
              <Count key={c.partId} count={c} ready={plans.every((p) => p.plan !== null)} />
            ))}
            <div className="mt-5 grid gap-y-3 border-t border-steel-light pt-4">
              {shown.layer.ingredient.biscuit?.shape === 'round' ? (
                <Segments
                  label="Laid"
                  value={doc.tin.pattern === 'rings' ? 'rings' : 'tight'}
                  options={ROUND_PATTERNS}
                  onChange={(pattern) => set({ pattern })}
                />
              ) : (
                <Segments
                  label="Laid"
                  value={doc.tin.pattern === 'rings' ? 'tight' : doc.tin.pattern}
                  options={RECT_PATTERNS}
                  onChange={(pattern) => set({ pattern })}
                />
              )}
              <label className="flex min-h-9 items-center gap-2.5">
                <input
                  type="checkbox"
                  className="size-4.5 shrink-0 accent-ink"
                  checked={doc.tin.stagger}
                  onChange={(e) => set({ stagger: e.target.checked })}
                />
                every other layer turned, so that seams do not meet
              </label>
              <label className="flex min-h-9 items-center gap-2.5">
                <input
                  type="checkbox"
                  className="size-4.5 shrink-0 accent-ink"
                  checked={doc.tin.cutting}
                  onChange={(e) => set({ cutting: e.target.checked })}
                />
                cut and broken pieces into the gaps
              </label>
              <div className="max-w-40">
                <QuantityField
                  label="For those that break"
                  unit="%"
                  value={doc.tin.breakagePct}
                  min={0}
                  max={50}
                  onChange={(breakagePct) => set({ breakagePct })}
                />
              </div>
            </div>
            {shown.plan?.ok && <Templates sheetId={id} layer={plans.indexOf(shown)} />}
          </aside>
        </div>
      )}
    </SheetFrame>
  );
}

const whyWords = (why: ReturnType<typeof whyNoBiscuits>): string => (why.ok ? '' : why.fault.says);

function None({ id, why }: { readonly id: string; readonly why: string }) {
  return (
    <div className="px-4 py-6 md:px-6">
      <p className="mb-4 max-w-[60ch] text-[19px]">{why}</p>
      <Link href={`/sheet/${id}/bench`} className="btn btn-act">
        To Bench
      </Link>
    </div>
  );
}

function LayerTabs({ plans, at, onPick }: { readonly plans: readonly LaidPlan[]; readonly at: number; readonly onPick: (i: number) => void }) {
  const kinds = new Set(plans.map((p) => p.layer.vessel.name)).size;
  if (plans.length < 2) return null;
  return (
    <div className="max-w-80">
      {plans.length > 6 ? (
        <Choice
          label="Layer"
          value={String(at)}
          options={plans.map((p, i) => [String(i), tabName(p, kinds > 1)] as const)}
          onChange={(v) => onPick(Number(v))}
        />
      ) : (
        <div role="group" aria-label="Layer" className="flex gap-2">
          {plans.map((p, i) => (
            <button
              key={`${p.layer.vessel.name}${p.layer.layerId}`}
              type="button"
              aria-pressed={i === at}
              onClick={() => onPick(i)}
              className={`btn ${i === at ? 'border-ink font-[650]' : 'text-ink-soft'}`}
            >
              {tabName(p, kinds > 1)}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

const tabName = ({ layer }: LaidPlan, manyKinds: boolean): string => `${manyKinds ? `${layer.vessel.name}, l` : 'L'}ayer ${layer.turn + 1}`;

function Drawn({ plans, shown }: { readonly plans: readonly LaidPlan[]; readonly shown: LaidPlan }) {
  const { plan, layer } = shown;
  if (!plan) return <p className="py-8 text-ink-soft">Laying…</p>;
  if (!plan.ok) return <p className="max-w-[60ch] py-8 text-[19px] text-beet">{plan.fault.says}</p>;
  const p = plan.value;
  const below = layer.turn > 0 ? plans.find((x) => x.layer.vessel === layer.vessel && x.layer.turn === layer.turn - 1)?.plan : undefined;
  const across =
    p.floor.kind === 'round'
      ? withUnit(plainNumber(2 * p.floor.radiusMm, 0), 'mm') + ' across'
      : `${plainNumber(p.floor.lengthMm, 0)}\u00a0×\u00a0${withUnit(plainNumber(p.floor.widthMm, 0), 'mm')}`;
  const pieces = `${p.whole} whole${p.cut > 0 ? ` and ${p.cut} cut or broken from ${p.cutFrom} more` : ''}`;
  return (
    <>
      <p className="pt-3 text-[20px] leading-snug" data-plan-whole={p.whole} data-plan-biscuits={p.biscuits}>
        <span className="fig text-[22px]">{p.whole}</span> whole
        {p.cut > 0 && (
          <>
            , <span className="fig">{p.cut}</span> {layer.ingredient.biscuit?.shape === 'round' ? 'broken' : 'cut'} from{' '}
            <span className="fig">{p.cutFrom}</span> more
          </>
        )}
        ; <FigureButton figure={coveredFigure(p)} className="text-[20px]" /> covered.{' '}
        <span className="text-[15px] text-ink-soft">
          {withUnit(plainNumber(layer.fromMm, 0), 'mm')} up, {across} inside.
        </span>
      </p>
      <div className="mx-auto mt-2 h-[min(62vh,560px)] max-w-[760px]">
        <PlanDrawing
          plan={p}
          below={below?.ok ? below.value : null}
          says={`Layer ${layer.turn + 1} from above: ${pieces}, ${Math.round(100 * p.coveredShare)} % covered`}
        />
      </div>
      <p className="text-[14px] text-ink-soft">
        {p.cut > 0 && 'Hatched: cut or broken, with the length that is kept in mm, or the share of one. '}
        {below?.ok && 'Dashed: the layer below.'}
      </p>
    </>
  );
}

function Count({ count: c, ready }: { readonly count: BiscuitCount; readonly ready: boolean }) {
  const { edit, context, doc } = useSheet();
  const part = doc.parts.find((p) => p.id === c.partId);
  const line = part?.lines.find((l) => l.ingredientId === c.ingredient.id);
  const piece = c.ingredient.piece?.name ?? 'piece';
  const write = () => line && edit('tin:count', (d) => setLineAmount(d, c.partId, line.id, String(c.toBuy), context));
  return (
    <section aria-label={c.ingredient.name} data-count={c.partId} data-needed={c.needed} data-to-buy={c.toBuy}>
      <h2 className="text-[17px]">{c.ingredient.name}</h2>
      {!ready ? (
        <p className="text-ink-soft">Laying…</p>
      ) : (
        <>
          <p className="py-1 text-[17px]">
            <FigureButton figure={biscuitsFigure(c, doc.tin.breakagePct)} className="text-[26px]" /> to buy
            {c.packs !== null && c.ingredient.packG && (
              <>
                : <span className="fig">{c.packs}</span> {c.packs === 1 ? 'pack' : 'packs'} of {withUnit(plainNumber(c.ingredient.packG, 0), 'g')}
              </>
            )}
          </p>
          <p className="text-[14.5px] text-ink-soft">
            <span className="fig">{c.needed}</span> laid in <span className="fig">{c.layers}</span> {c.layers === 1 ? 'layer' : 'layers'}: {c.whole} whole
            {c.cutFrom > 0 && `, ${c.cutFrom} cut or broken`}.{c.spare !== null && ` ${c.spare} spare in the packs.`}
          </p>
          {Math.abs(c.there - c.toBuy) > 0.5 && line && (
            <p className="pt-1.5">
              <span className={c.there < c.needed ? 'text-beet' : ''}>
                The sheet has <span className="fig">{plainNumber(c.there, 0)}</span>.
              </span>{' '}
              <button type="button" className="btn btn-act ml-1" onClick={write}>
                Write {c.toBuy} {c.toBuy === 1 ? piece : 'into the sheet'}
              </button>
            </p>
          )}
        </>
      )}
    </section>
  );
}

/** The layer at true size, to lay biscuits on or under film. */
function Templates({ sheetId, layer }: { readonly sheetId: string; readonly layer: number }) {
  const href = (format: string) => `/api/sheets/${sheetId}/template/${layer}?as=${format}`;
  return (
    <section aria-label="Template" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Template at true size</h2>
      <p className="py-1 text-[14px] text-ink-soft">
        Of this layer, in millimetres; print at 100&nbsp;%. A large tin takes several sheets of paper that overlap by 10&nbsp;mm.
      </p>
      <p className="flex flex-wrap gap-2">
        <a className="btn" href={href('a4')} download>
          PDF, A4
        </a>
        <a className="btn" href={href('letter')} download>
          PDF, Letter
        </a>
        <a className="btn" href={href('svg')} download>
          SVG
        </a>
      </p>
    </section>
  );
}
