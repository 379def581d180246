'use client';

import type { ColdSetup } from '../../../../core/document/cold-plan-schema';
import { isFreezer, placeOf, wallOfVessel } from '../../../../core/kitchen/place';
import { COVERS, UNDER_H, WALLS, type Cover, type Under, type Wall } from '../../../../core/heat/surface';
import { plainNumber } from '../../../../core/figure';
import { Choice } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

const UNDER_NAMES: Readonly<Record<Under, string>> = { rack: 'rack or glass', 'metal-shelf': 'metal shelf', 'freezing-plate': 'freezing plate' };
const COVER_NAMES: Readonly<Record<Cover, string>> = { open: 'open', film: 'under film', lid: 'under a lid' };
const keys = <K extends string>(of: Readonly<Record<K, unknown>>): readonly K[] => Object.keys(of) as K[];

/** Where it stands, on what, under what, how warm it goes in, how many at once. */
export function SetupForm({ setup, onChange }: { readonly setup: ColdSetup; readonly onChange: (change: Partial<ColdSetup>) => void }) {
  const { kitchen, doc } = useSheet();
  const place = placeOf(kitchen, setup, doc.family);
  const wall = wallOfVessel(doc.vessel, setup);
  const airC = setup.airC ?? place?.airC ?? 4;
  const setAir = (to: number) => onChange({ airC: place && to === place.airC ? null : to });
  return (
    <div className="grid grid-cols-2 items-end gap-x-4 gap-y-3">
      <div className="col-span-2">
        <Choice
          label="Where it stands"
          value={place?.id ?? ''}
          options={kitchen.places.map((p) => [p.id, `${p.name}, ${plainNumber(p.airC, 0)} °C`] as const)}
          onChange={(placeId) => onChange({ placeId, airC: null })}
        />
      </div>
      <label className="col-span-2 block">
        <span className="block text-[13.5px] text-ink-soft">Colder or warmer there</span>
        <input
          type="range"
          min={Math.min(-30, airC)}
          max={25}
          step={0.5}
          value={airC}
          aria-valuetext={`${airC} °C`}
          onChange={(e) => setAir(Number(e.target.value))}
          className="mt-0.5 block h-8 w-full accent-ink"
        />
      </label>
      <QuantityField key={`air${place?.id}`} label="Air there" unit="°C" value={airC} min={-45} max={40} onChange={setAir} />
      <Choice
        label="Shelf"
        value={setup.air === 'crowded-shelf' ? 'crowded' : 'room'}
        options={[
          ['room', 'room round it'],
          ['crowded', 'crowded'],
        ]}
        onChange={(v) => onChange({ air: v === 'crowded' ? 'crowded-shelf' : 'still-fridge' })}
      />
      <Choice
        label="On"
        value={setup.under}
        options={keys(UNDER_H)
          .filter((u) => u !== 'freezing-plate' || (place !== null && isFreezer(place)))
          .map((u) => [u, UNDER_NAMES[u]] as const)}
        onChange={(under) => onChange({ under })}
      />
      <Choice label="Top" value={setup.cover} options={keys(COVERS).map((c) => [c, COVER_NAMES[c]] as const)} onChange={(cover) => onChange({ cover })} />
      <Choice
        label="Wall"
        value={wall.wall}
        options={keys(WALLS)
          .filter((w) => w !== 'none' || wall.wall === 'none')
          .map((w) => [w, w] as const)}
        onChange={(w: Wall) => onChange({ wall: w, wallMm: WALLS[w].usualMm })}
      />
      <QuantityField key={`wall${wall.wall}`} label="Wall, thick" unit="mm" value={wall.wallMm} min={0} max={50} onChange={(wallMm) => onChange({ wallMm })} />
      <QuantityField label="So many at once" unit="" value={setup.together} min={1} max={500} whole onChange={(together) => onChange({ together })} />
      <QuantityField label="Ice bath first" unit="min" value={setup.iceBathMin} min={0} max={600} onChange={(iceBathMin) => onChange({ iceBathMin })} />
      <div>
        <Choice
          label="Goes in at"
          value={setup.startC === null ? 'parts' : 'one'}
          options={[
            ['parts', 'as each part is'],
            ['one', 'one for all'],
          ]}
          onChange={(v) => onChange({ startC: v === 'parts' ? null : 20 })}
        />
      </div>
      {setup.startC !== null && <QuantityField label="All at" unit="°C" value={setup.startC} min={-5} max={100} onChange={(startC) => onChange({ startC })} />}
      <label className="col-span-2 flex min-h-9 items-center gap-2.5">
        <input
          type="checkbox"
          className="size-4.5 shrink-0 accent-ink"
          checked={setup.chilledTin}
          onChange={(e) => onChange({ chilledTin: e.target.checked })}
        />
        the empty tin was in the fridge
      </label>
    </div>
  );
}
