'use client';

import type { ReactNode } from 'react';
import { Plus, X } from 'lucide-react';
import { plainNumber } from '../../../core/figure';
import { MIXER_KINDS } from '../../../core/foam/kinds';
import { PLACE_KIND_NAMES, PLACE_KINDS } from '../../../core/document/kinds';
import type { ColdPlace, KitchenRules, Mixer, ShelfVessel } from '../../../core/kitchen/schema';
import { capacityMl, isRound } from '../../../core/vessel/profile';
import type { RoundVessel, Vessel } from '../../../core/vessel/schema';
import { WAY_QUESTIONS } from '../../../core/schools/questions';
import type { KitchenThings } from '../../../data/kitchen-things';
import { Choice } from '../../../ui/choice';
import { CrewForm } from '../../../ui/crew-form';
import { QuantityField } from '../../../ui/quantity-field';
import { freshId } from '../../../ui/sheet/fresh-id';
import { SavingLine } from '../../../ui/saved/saving-line';
import { ZoneField } from '../../kitchen-fields';
import { useKitchenSaved } from '../../kitchen-saved';
import { BookRules } from './book-rules';
import { GlassForm } from './glass-form';
import { NameInput } from './name-input';
import { Rules } from './rules';

/** Vessels, mixers, cold places, rules and preferred ways, each changed in place. */
export function KitchenDesk({ things: first, revision }: { readonly things: KitchenThings; readonly revision: number }) {
  const { saver, state } = useKitchenSaved(first, revision);
  const { doc: things } = state;
  const change = (next: Partial<KitchenThings>) => saver.change({ ...things, ...next });
  const { vessels, mixers, places, rules } = things;
  const setRules = (next: Partial<KitchenRules>) => change({ rules: { ...rules, ...next } });
  return (
    <>
      <SavingLine saver={saver} state={state} />
      <Rules rules={rules} onChange={setRules} />
      <Section
        title="Vessels"
        onAdd={() =>
          change({ vessels: [...vessels, { id: freshId(), count: 1, vessel: { kind: 'tub', name: 'New tub', topMm: 160, baseMm: 150, heightMm: 80 } }] })
        }
        add="A vessel"
      >
        {vessels.map((v) => (
          <VesselRow
            key={v.id}
            shelf={v}
            onChange={(next) => change({ vessels: vessels.map((x) => (x.id === v.id ? next : x)) })}
            onRemove={() => change({ vessels: vessels.filter((x) => x.id !== v.id) })}
          />
        ))}
      </Section>
      <Section
        title="Mixers"
        onAdd={() => change({ mixers: [...mixers, { id: freshId(), name: 'New mixer', kind: 'hand-mixer', bowlMl: 3000 }] })}
        add="A mixer"
      >
        {mixers.map((m) => (
          <MixerRow
            key={m.id}
            mixer={m}
            only={mixers.length === 1}
            onChange={(next) => change({ mixers: mixers.map((x) => (x.id === m.id ? next : x)) })}
            onRemove={() => change({ mixers: mixers.filter((x) => x.id !== m.id) })}
          />
        ))}
      </Section>
      <Section
        title="Fridges, freezers, counter"
        onAdd={() => change({ places: [...places, { id: freshId(), name: 'New place', kind: 'still-fridge', airC: 4, litres: 100 }] })}
        add="A place"
      >
        {places.map((p) => (
          <PlaceRow
            key={p.id}
            place={p}
            onChange={(next) => change({ places: places.map((x) => (x.id === p.id ? next : x)) })}
            onRemove={() => change({ places: places.filter((x) => x.id !== p.id) })}
          />
        ))}
      </Section>
      <section className="mt-7" aria-label="Hands, ovens, hob">
        <h2 className="pb-1 text-[17px]">Who works when, ovens, hob</h2>
        <div className="grid gap-x-10 gap-y-4 lg:grid-cols-2">
          <CrewForm crew={rules.crew} onChange={(crew) => setRules({ crew })} />
          <div>
            {rules.ovens.map((o) => (
              <div key={o.id} className="grid grid-cols-[minmax(0,1fr)_110px_32px] items-end gap-x-3 border-t border-steel-light py-2">
                <label className="block">
                  <span className="block text-[13.5px] text-ink-soft">Oven</span>
                  <input
                    value={o.name}
                    maxLength={60}
                    onChange={(e) =>
                      e.target.value.trim() !== '' && setRules({ ovens: rules.ovens.map((x) => (x.id === o.id ? { ...x, name: e.target.value } : x)) })
                    }
                    className="field mt-0.5 w-full"
                  />
                </label>
                <QuantityField
                  label="Shelves"
                  unit=""
                  value={o.shelves}
                  min={1}
                  max={40}
                  whole
                  onChange={(shelves) => setRules({ ovens: rules.ovens.map((x) => (x.id === o.id ? { ...x, shelves } : x)) })}
                />
                <button
                  type="button"
                  className="flex size-8 items-center justify-center self-end text-ink-soft hover:text-beet pointer-coarse:size-11"
                  aria-label={`Take out ${o.name}`}
                  onClick={() => setRules({ ovens: rules.ovens.filter((x) => x.id !== o.id) })}
                >
                  <X size={16} />
                </button>
              </div>
            ))}
            <button
              type="button"
              className="btn mt-1 text-[14px]"
              onClick={() => setRules({ ovens: [...rules.ovens, { id: freshId(), name: 'Oven', shelves: 2 }] })}
            >
              <Plus size={15} aria-hidden="true" /> An oven
            </button>
            <div className="grid grid-cols-2 gap-x-3 pt-3">
              <QuantityField label="Rings of the hob" unit="" value={rules.hobRings} min={0} max={40} whole onChange={(hobRings) => setRules({ hobRings })} />
              <ZoneField value={rules.zone} onChange={(zone) => setRules({ zone })} />
            </div>
          </div>
        </div>
      </section>
      <BookRules book={rules.book} onChange={(book) => setRules({ book })} />
      <PreferredWays ways={rules.ways} onChange={(ways) => setRules({ ways })} />
    </>
  );
}

function Section({ title, add, onAdd, children }: { readonly title: string; readonly add: string; readonly onAdd: () => void; readonly children: ReactNode }) {
  return (
    <section className="mt-7" aria-label={title}>
      <h2 className="pb-1 text-[17px]">{title}</h2>
      <ul>{children}</ul>
      <button type="button" className="btn mt-2 text-[14px]" onClick={onAdd}>
        <Plus size={15} aria-hidden="true" /> {add}
      </button>
    </section>
  );
}

function Row({ label, onRemove, children }: { readonly label: string; readonly onRemove: (() => void) | null; readonly children: ReactNode }) {
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_28px] items-end gap-x-2 border-t border-steel-light py-2">
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-4 lg:grid-cols-7">{children}</div>
      {onRemove && (
        <button
          type="button"
          className="flex h-9 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:h-11"
          aria-label={`Take out ${label}`}
          onClick={onRemove}
        >
          <X size={16} />
        </button>
      )}
    </li>
  );
}

const VESSEL_KINDS = [
  ['bowl', 'bowl'],
  ['tub', 'tub'],
  ['springform', 'springform or ring'],
  ['dome', 'dome'],
  ['glass', 'glass, one a portion'],
  ['mould', 'tray of moulds'],
  ['tray', 'tray'],
  ['terrine', 'terrine or loaf'],
  ['free', 'free-standing'],
] as const;

/** The same vessel as another kind: round sizes from straight ones and back. */
function asKind(v: Vessel, kind: Vessel['kind']): Vessel {
  const { name, heightMm } = v;
  if (kind === 'tray' || kind === 'terrine') {
    const [l, w] = isRound(v) ? [v.topMm, v.topMm] : [v.lengthMm, v.widthMm];
    return {
      kind,
      name,
      heightMm,
      lengthMm: l,
      widthMm: w,
      baseLengthMm: isRound(v) ? v.baseMm : v.baseLengthMm,
      baseWidthMm: isRound(v) ? v.baseMm : v.baseWidthMm,
    };
  }
  return { kind, name, heightMm, topMm: isRound(v) ? v.topMm : v.widthMm, baseMm: isRound(v) ? v.baseMm : v.baseWidthMm };
}

/** Another size; a glass of its own profile is stretched to it. */
function resized(v: RoundVessel, change: Partial<Pick<RoundVessel, 'topMm' | 'baseMm' | 'heightMm'>>): RoundVessel {
  if (!v.profile) return { ...v, ...change };
  const [foot, rim] = [v.profile[0]!, v.profile.at(-1)!];
  const next = { topMm: rim.acrossMm, baseMm: foot.acrossMm, heightMm: rim.zMm, ...change };
  const profile = v.profile.map((m) => {
    const t = m.zMm / rim.zMm;
    return { zMm: t * next.heightMm, acrossMm: m.acrossMm + (next.baseMm - foot.acrossMm) * (1 - t) + (next.topMm - rim.acrossMm) * t };
  });
  return { ...v, ...next, profile };
}

function VesselRow({ shelf, onChange, onRemove }: { readonly shelf: ShelfVessel; readonly onChange: (v: ShelfVessel) => void; readonly onRemove: () => void }) {
  const { vessel: v } = shelf;
  const set = (vessel: Vessel) => onChange({ ...shelf, vessel });
  const mm = (label: string, value: number, to: (n: number) => Vessel, min = 20) => (
    <QuantityField label={label} unit="mm" value={value} min={min} max={1000} onChange={(n) => set(to(n))} />
  );
  return (
    <Row label={v.name} onRemove={onRemove}>
      <NameInput name={v.name} onChange={(name) => set({ ...v, name })} />
      <Choice label="Shape" value={v.kind} options={VESSEL_KINDS} onChange={(kind) => set(asKind(v, kind))} />
      {isRound(v) ? (
        <>
          {mm('Across, rim', v.topMm, (topMm) => resized(v, { topMm }))}
          {mm('Across, foot', v.baseMm, (baseMm) => resized(v, { baseMm }), 5)}
          {v.kind === 'mould' && (
            <QuantityField label="Moulds in a tray" unit="" value={v.cavities ?? 1} min={1} max={200} whole onChange={(cavities) => set({ ...v, cavities })} />
          )}
        </>
      ) : (
        <>
          {mm('Length, rim', v.lengthMm, (lengthMm) => ({ ...v, lengthMm }))}
          {mm('Width, rim', v.widthMm, (widthMm) => ({ ...v, widthMm }))}
          {mm('Length, floor', v.baseLengthMm, (baseLengthMm) => ({ ...v, baseLengthMm }))}
          {mm('Width, floor', v.baseWidthMm, (baseWidthMm) => ({ ...v, baseWidthMm }))}
          {mm('Round corners', v.cornerMm ?? 0, (cornerMm) => ({ ...v, cornerMm: Math.min(200, cornerMm) }), 0)}
        </>
      )}
      {mm('Height', v.heightMm, (heightMm) => (isRound(v) ? resized(v, { heightMm }) : { ...v, heightMm }), 5)}
      <QuantityField label="How many" unit="" value={shelf.count} min={0} max={10_000} whole onChange={(count) => onChange({ ...shelf, count })} />
      <p className="self-center text-[14px] text-ink-soft">
        holds <span className="fig text-ink">{plainNumber(capacityMl(v), 0)}&nbsp;mL</span>
      </p>
      {isRound(v) && v.kind === 'glass' && <GlassForm glass={v} onChange={set} />}
    </Row>
  );
}

function MixerRow({
  mixer,
  only,
  onChange,
  onRemove,
}: {
  readonly mixer: Mixer;
  readonly only: boolean;
  readonly onChange: (m: Mixer) => void;
  readonly onRemove: () => void;
}) {
  return (
    <Row label={mixer.name} onRemove={only ? null : onRemove}>
      <NameInput name={mixer.name} onChange={(name) => onChange({ ...mixer, name })} />
      <Choice
        label="Kind"
        value={mixer.kind}
        options={MIXER_KINDS.map((k) => [k, k.replace('-', ' ')] as const)}
        onChange={(kind) => onChange({ ...mixer, kind })}
      />
      <QuantityField label="Bowl, brimful" unit="mL" value={mixer.bowlMl} min={50} max={500_000} onChange={(bowlMl) => onChange({ ...mixer, bowlMl })} />
    </Row>
  );
}

function PlaceRow({ place, onChange, onRemove }: { readonly place: ColdPlace; readonly onChange: (p: ColdPlace) => void; readonly onRemove: () => void }) {
  return (
    <Row label={place.name} onRemove={onRemove}>
      <NameInput name={place.name} onChange={(name) => onChange({ ...place, name })} />
      <Choice
        label="Kind"
        value={place.kind}
        options={PLACE_KINDS.map((k) => [k, PLACE_KIND_NAMES[k]] as const)}
        onChange={(kind) => onChange({ ...place, kind })}
      />
      <QuantityField label="Air" unit="°C" value={place.airC} min={-45} max={40} onChange={(airC) => onChange({ ...place, airC })} />
      <QuantityField label="Room" unit="L" value={place.litres} min={0} max={100_000} onChange={(litres) => onChange({ ...place, litres })} />
      {place.hWPerM2K !== undefined && (
        <QuantityField
          label="Takes heat, by your probe"
          unit="W/m²K"
          value={Math.round(place.hWPerM2K * 10) / 10}
          min={0.5}
          max={500}
          onChange={(hWPerM2K) => onChange({ ...place, hWPerM2K })}
        />
      )}
    </Row>
  );
}

function PreferredWays({ ways, onChange }: { readonly ways: Readonly<Record<string, string>>; readonly onChange: (ways: Record<string, string>) => void }) {
  return (
    <section aria-label="Preferred ways" className="mt-7">
      <h2 className="pb-1 text-[17px]">Preferred ways</h2>
      <p className="pb-2 text-[14px] text-ink-soft">New parts start with these; a part’s own way can be another. The first of each is the usual one here.</p>
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        {WAY_QUESTIONS.filter((q) => !q.options.some((o) => o.id === 'as-written')).map((q) => (
          <Choice
            key={q.key}
            label={q.asks}
            value={ways[q.key] ?? q.options[0].id}
            options={q.options.map((o) => [o.id, o.name] as const)}
            onChange={(id) => onChange({ ...ways, [q.key]: id })}
          />
        ))}
      </div>
    </section>
  );
}
