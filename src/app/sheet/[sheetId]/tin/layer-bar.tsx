'use client';

import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { Choice, Segments } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { freshId } from '../../../../ui/sheet/fresh-id';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import type { Build } from '../../../../core/analysis/build';
import { addLayer, plannedLayers, removeLayer, setTake, shiftLayer } from '../../../../core/tin/edit-layers';
import type { TinPlan } from '../../../../core/document/tin-plan-schema';

interface BarProps {
  readonly analysis: SheetAnalysis;
  readonly build: Build;
  readonly chosen: string | null;
  readonly onChoose: (layerId: string | null) => void;
  readonly onChange: (label: string, to: (plan: TinPlan) => TinPlan) => void;
}

const LIMITS = { share: 100_000, mm: 1000, g: 100_000, ml: 100_000 } as const;

/** What the chosen layer takes, its place, and a further layer. */
export function LayerBar({ analysis, build, chosen, onChoose, onChange }: BarProps) {
  const laid = build.layers.find((l) => l.id === chosen);
  const planned = laid && plannedLayers(analysis.sheet.tin, build).find((l) => l.id === laid.id);
  const add = (partId: string) => {
    const id = freshId();
    onChange('add', (plan) => addLayer(plan, build, id, partId, chosen));
    onChoose(id);
  };
  return (
    <div className="mt-2 border-t border-steel pt-3">
      {laid && planned ? (
        <div
          className="grid items-end gap-x-4 gap-y-3 sm:grid-cols-[minmax(0,1fr)_130px_auto]"
          role="group"
          aria-label={`${laid.layer.part.name}, layer ${build.layers.indexOf(laid) + 1}`}
        >
          {laid.pieces !== null ? (
            <p className="text-[14.5px] sm:col-span-2">
              <b className="font-[650]">{laid.layer.part.name}</b> lie as high as one biscuit; how many of them, and where, is on From above.
            </p>
          ) : (
            <>
              <Segments
                label={`${laid.layer.part.name} takes`}
                value={planned.by}
                options={[
                  ['share', 'equal share'],
                  ['mm', 'mm'],
                  ['g', 'g'],
                  ['ml', 'mL'],
                ]}
                onChange={(by) => onChange(`take:${laid.id}`, (plan) => setTake(plan, build, laid.id, by))}
              />
              {planned.by === 'share' ? (
                <p className="self-center text-[14px] text-ink-soft">as much as there is</p>
              ) : (
                <QuantityField
                  key={`${laid.id} ${planned.by}`}
                  label="In one vessel"
                  unit={planned.by === 'ml' ? 'mL' : planned.by}
                  value={planned.amount}
                  min={0.5}
                  max={LIMITS[planned.by]}
                  onChange={(v) => onChange(`amount:${laid.id}`, (plan) => setTake(plan, build, laid.id, planned.by, v))}
                />
              )}
            </>
          )}
          <div className="flex gap-1.5">
            <button
              type="button"
              className="btn w-10 px-0"
              aria-label="One layer up"
              onClick={() => onChange('shift', (plan) => shiftLayer(plan, build, laid.id, 1))}
            >
              <ArrowUp size={16} />
            </button>
            <button
              type="button"
              className="btn w-10 px-0"
              aria-label="One layer down"
              onClick={() => onChange('shift', (plan) => shiftLayer(plan, build, laid.id, -1))}
            >
              <ArrowDown size={16} />
            </button>
            <button
              type="button"
              className="btn w-10 px-0"
              aria-label={`Take out this layer of ${laid.layer.part.name}`}
              disabled={build.layers.length <= 1}
              onClick={() => {
                onChange('remove', (plan) => removeLayer(plan, build, laid.id));
                onChoose(null);
              }}
            >
              <X size={16} />
            </button>
          </div>
        </div>
      ) : (
        <p className="text-[14px] text-ink-soft">
          Drag a boundary, or choose a layer to set what it takes. Arrow keys move a boundary by 1&nbsp;mm, Page keys by 5.
        </p>
      )}
      <div className="mt-3 max-w-64">
        <Choice
          label={laid ? 'Another layer above it' : 'Another layer on top'}
          value=""
          options={[['', 'of which part…'], ...analysis.layers.map((l) => [l.part.id, l.part.name] as const)]}
          onChange={(partId) => partId && add(partId)}
        />
      </div>
    </div>
  );
}
