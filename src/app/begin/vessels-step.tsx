'use client';

import { useState } from 'react';
import { plainNumber } from '../../core/figure';
import { glassByWater, shelfId, USUAL_TINS, withVessel } from '../../core/kitchen/beginning';
import type { ShelfVessel } from '../../core/kitchen/schema';
import { capacityMl, vesselSize } from '../../core/vessel/profile';
import type { Vessel } from '../../core/vessel/schema';
import { Segments } from '../../ui/choice';
import { QuantityField } from '../../ui/quantity-field';
import { freshId } from '../../ui/sheet/fresh-id';
import type { StepProps } from './answers';

/** How many there are of each vessel, and others by their size, in whatever unit it is known. */
export function VesselsStep({ things: { vessels }, change }: StepProps) {
  const [offered] = useState<readonly ShelfVessel[]>(() => [
    ...vessels,
    ...USUAL_TINS.map((vessel) => ({ id: shelfId(vessel), vessel, count: 0 })).filter((v) => !vessels.some((there) => there.id === v.id)),
  ]);
  const shown = [...offered, ...vessels.filter((v) => !offered.some((o) => o.id === v.id))];
  return (
    <>
      <Another onAdd={(vessel, count) => change({ vessels: [...vessels, { id: freshId(), vessel, count }] })} />
      <ul aria-label="Vessels" className="mt-5 border-t border-steel-light">
        {shown.map((v) => (
          <li key={v.id} className="grid grid-cols-[minmax(0,1fr)_96px] items-center gap-x-4 border-b border-steel-light py-1.5">
            <p className="leading-snug">
              {v.vessel.name}
              <span className="block text-[14px] text-ink-soft">
                {vesselSize(v.vessel)}, {plainNumber(capacityMl(v.vessel), 0)}&nbsp;mL
              </span>
            </p>
            <QuantityField
              label={`How many: ${v.vessel.name}`}
              quietLabel
              unit=""
              value={vessels.find((there) => there.id === v.id)?.count ?? 0}
              min={0}
              max={10_000}
              whole
              onChange={(count) => change({ vessels: withVessel(vessels, v.id, v.vessel, count) })}
            />
          </li>
        ))}
      </ul>
    </>
  );
}

const SHAPES = [
  ['round', 'round tin or ring'],
  ['straight', 'pan, tray or loaf'],
  ['glass', 'glass, by water'],
] as const;
type Shape = (typeof SHAPES)[number][0];

/** Another vessel by its size: '9 in', '23 cm', or by the water that a glass holds. */
function Another({ onAdd }: { readonly onAdd: (vessel: Vessel, count: number) => void }) {
  const [shape, setShape] = useState<Shape>('round');
  const [acrossMm, setAcross] = useState(230);
  const [lengthMm, setLength] = useState(330);
  const [widthMm, setWidth] = useState(230);
  const [heightMm, setHeight] = useState(60);
  const [ml, setMl] = useState(180);
  const [rimMm, setRim] = useState(72);
  const [count, setCount] = useState(1);
  const [said, setSaid] = useState('');
  const cm = (mm: number): string => plainNumber(mm / 10, mm % 10 === 0 ? 0 : 1);
  const vessel: Vessel =
    shape === 'round'
      ? { kind: 'springform', name: `Tin ${cm(acrossMm)} cm`, topMm: acrossMm, baseMm: acrossMm, heightMm }
      : shape === 'straight'
        ? { kind: 'tray', name: `Pan ${cm(lengthMm)} × ${cm(widthMm)} cm`, lengthMm, widthMm, baseLengthMm: lengthMm, baseWidthMm: widthMm, heightMm }
        : glassByWater(`Glass ${plainNumber(ml, 0)} mL`, ml, rimMm);
  return (
    <section aria-label="Another by its size" className="bg-paper px-3 py-3">
      <div className="max-w-[560px]">
        <Segments label="Another, by its size: mm, cm or in" value={shape} options={SHAPES} onChange={setShape} />
      </div>
      <div className="mt-2 grid grid-cols-2 items-start gap-x-4 gap-y-2 sm:grid-cols-4">
        {shape === 'round' && <QuantityField label="Across" unit="mm" value={acrossMm} min={40} max={1000} onChange={setAcross} />}
        {shape === 'straight' && (
          <>
            <QuantityField label="Long" unit="mm" value={lengthMm} min={40} max={1000} onChange={setLength} />
            <QuantityField label="Wide" unit="mm" value={widthMm} min={40} max={1000} onChange={setWidth} />
          </>
        )}
        {shape === 'glass' ? (
          <>
            <QuantityField label="Water to the brim" unit="mL" value={ml} min={20} max={2000} onChange={setMl} />
            <QuantityField label="Across the rim" unit="mm" value={rimMm} min={30} max={200} onChange={setRim} />
          </>
        ) : (
          <QuantityField label="High" unit="mm" value={heightMm} min={10} max={400} onChange={setHeight} />
        )}
        <QuantityField label="How many" unit="" value={count} min={1} max={10_000} whole onChange={setCount} />
      </div>
      <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <button
          type="button"
          className="btn"
          onClick={() => {
            onAdd(vessel, count);
            setSaid(`${vessel.name} stands on the shelf.`);
          }}
        >
          Put it on the shelf
        </button>
        <span className="text-[14.5px] text-ink-soft">
          {vesselSize(vessel)}, holds {plainNumber(capacityMl(vessel), 0)}&nbsp;mL
        </span>
        <span role="status" className="text-[14.5px]">
          {said}
        </span>
      </p>
    </section>
  );
}
