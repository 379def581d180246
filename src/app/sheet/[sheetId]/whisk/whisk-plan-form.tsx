'use client';

import { SPEEDS, WISHED_STAGES } from '../../../../core/foam/kinds';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { setPart } from '../../../../core/editing/edits';
import type { WhiskPlan } from '../../../../core/document/schema';
import { Choice, Segments } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** Mixer, speed, temperature, sugar's moment, stage and bowlfuls; the curve answers at once. */
export function WhiskPlanForm({ a }: { readonly a: PartAnalysis }) {
  const { edit, kitchen, context } = useSheet();
  const plan = a.part.whisk;
  const set = (change: Partial<WhiskPlan>) =>
    edit(`whisk:${Object.keys(change).join()}`, (d) =>
      setPart(d, a.part.id, { whisk: { ...d.parts.find((p) => p.id === a.part.id)!.whisk, ...change } }, context),
    );
  const planetary = a.mixer?.kind === 'planetary';
  return (
    <div className="mt-5 grid gap-x-6 gap-y-4 sm:grid-cols-2 xl:grid-cols-3">
      <Choice
        label="Mixer and bowl"
        value={plan.mixerId}
        options={kitchen.mixers.map((m) => [m.id, m.name] as const)}
        onChange={(mixerId) => set({ mixerId })}
      />
      {planetary ? (
        <Segments label="Speed" value={plan.speed} options={SPEEDS.map((s) => [s, s] as const)} onChange={(speed) => set({ speed })} />
      ) : (
        <p className="self-end pb-1.5 text-[14px] text-ink-soft">This one runs at its own speed.</p>
      )}
      <Segments label="Whisk to" value={plan.stage} options={WISHED_STAGES.map((s) => [s, s] as const)} onChange={(stage) => set({ stage })} />
      <QuantityField label="Cream with its bowl" unit="°C" value={plan.creamC} min={-2} max={25} onChange={(creamC) => set({ creamC })} />
      <Segments
        label="Sugar goes in"
        value={plan.sugarAt}
        options={[
          ['start', 'at the start'],
          ['soft-peak', 'at soft peak'],
        ]}
        onChange={(sugarAt) => set({ sugarAt })}
      />
      <QuantityField label="Bowlfuls" unit="" value={plan.batches} min={1} max={50} whole onChange={(batches) => set({ batches })} />
      {planetary && plan.speed !== 'slow' && (
        <label className="flex min-h-11 items-center gap-2.5 sm:col-span-2">
          <input type="checkbox" checked={plan.slowFromSoft} onChange={(e) => set({ slowFromSoft: e.target.checked })} className="size-5 accent-ink" />
          <span>Drop to slow at soft peak: the stop window is then {plan.speed === 'fast' ? '2.5' : '1.75'}&nbsp;times as wide</span>
        </label>
      )}
    </div>
  );
}
