'use client';

import { useState } from 'react';
import { plainNumber, withUnit } from '../../../core/figure';
import type { Result } from '../../../core/result';
import { fail } from '../../../core/result';
import {
  glassOf,
  glassProfile,
  GLASS_SHAPE_NAMES,
  GLASS_SHAPES,
  GLASS_STARTS,
  nearestProfile,
  profileByWater,
  readProfile,
  scaledToHold,
  type GlassShape,
} from '../../../core/vessel/glass';
import { floorAt } from '../../../core/vessel/profile';
import type { ProfileMark, RoundVessel } from '../../../core/vessel/schema';
import { Choice } from '../../../ui/choice';
import { QuantityField } from '../../../ui/quantity-field';

const round1 = (v: number): number => Math.round(v * 10) / 10;

/** Pairs of numbers, 'height width' or 'height mL', apart by commas or lines. */
function readPairs(text: string): Result<readonly (readonly [number, number])[]> {
  const pairs = text
    .split(/[,;\n]/)
    .map((p) => p.trim())
    .filter(Boolean)
    .map((p) => p.split(/\s+/).map(Number));
  const wrong = pairs.find((p) => p.length !== 2 || !p.every((n) => Number.isFinite(n)));
  if (wrong) return fail('marks', 'unreadable', 'Write pairs like 30 55, 60 130, 90 240: a height in mm and what belongs to it.');
  return { ok: true, value: pairs.map((p) => [p[0]!, p[1]!] as const) };
}

/** A glass by its shape, by its rim, waist and foot, by its profile, or by how much water it holds. */
export function GlassForm({ glass: v, onChange }: { readonly glass: RoundVessel; readonly onChange: (v: RoundVessel) => void }) {
  const [text, setText] = useState<string | null>(null);
  const [water, setWater] = useState('');
  const [says, setSays] = useState<{ text: string; nearest: readonly ProfileMark[] | null } | null>(null);
  const waistMm = v.profile ? 2 * halfAt(v, v.heightMm / 2) : (v.topMm + v.baseMm) / 2;
  const take = (profile: Result<readonly ProfileMark[]>, marks: readonly ProfileMark[] | null = null) => {
    if (!profile.ok) return setSays({ text: profile.fault.says, nearest: marks && nearestProfile(marks) });
    setSays(null);
    onChange(
      glassOf(
        v.name,
        profile.value.map((m) => ({ zMm: round1(m.zMm), acrossMm: round1(m.acrossMm) })),
      ),
    );
  };
  const shape = (s: GlassShape) => take(glassProfile(s, { ...GLASS_STARTS[s], heightMm: v.heightMm }));
  const waist = (mm: number) => take(glassProfile('bellied', { rimMm: v.topMm, waistMm: mm, footMm: v.baseMm, heightMm: v.heightMm }));
  const byWater = () => {
    const read = readPairs(water);
    if (!read.ok) return setSays({ text: read.fault.says, nearest: null });
    const marks = read.value.map(([zMm, ml]) => ({ zMm, ml }));
    if (marks.length === 1) {
      const scaled = scaledToHold(v, marks[0]!);
      if (!scaled.ok) return setSays({ text: scaled.fault.says, nearest: null });
      setSays(null);
      return onChange({ ...scaled.value, topMm: round1(scaled.value.topMm), baseMm: round1(scaled.value.baseMm) });
    }
    take(profileByWater(marks));
  };
  return (
    <details className="col-span-full">
      <summary className="min-h-8 cursor-pointer text-[14px] text-ink-soft hover:text-ink">Shape of the glass, or measured by water</summary>
      <div className="grid grid-cols-2 items-end gap-x-4 gap-y-2 pt-1 pb-2 lg:grid-cols-4">
        <Choice
          label="Start from a shape"
          value=""
          options={[['', 'choose…'], ...GLASS_SHAPES.map((s) => [s, GLASS_SHAPE_NAMES[s]] as const)]}
          onChange={(s) => s && shape(s as GlassShape)}
        />
        <QuantityField
          key={`waist${v.heightMm}${v.topMm}${v.baseMm}`}
          label="Across, half way up"
          unit="mm"
          value={round1(waistMm)}
          min={2}
          max={1000}
          onChange={waist}
        />
        <label className="col-span-2 block">
          <span className="block text-[13.5px] text-ink-soft">Profile: height and inner width, mm</span>
          <input
            value={text ?? profileText(v)}
            maxLength={400}
            onChange={(e) => setText(e.target.value)}
            onBlur={() => setText(null)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' || text === null) return;
              const read = readPairs(text);
              if (!read.ok) return setSays({ text: read.fault.says, nearest: null });
              const marks = read.value.map(([zMm, acrossMm]) => ({ zMm, acrossMm }));
              take(readProfile(marks), marks);
            }}
            className="field fig mt-0.5 w-full text-[14px]"
          />
        </label>
        <label className="col-span-2 block">
          <span className="block text-[13.5px] text-ink-soft">Water: height in mm and mL to there, one or several</span>
          <input value={water} maxLength={400} placeholder="60 180" onChange={(e) => setWater(e.target.value)} className="field fig mt-0.5 w-full" />
        </label>
        <button type="button" className="btn justify-self-start" disabled={water.trim() === ''} onClick={byWater}>
          It holds so much
        </button>
      </div>
      {says && (
        <p role="alert" className="pb-2 text-[14px] text-beet">
          {says.text}{' '}
          {says.nearest && (
            <button type="button" className="min-h-8 text-ink underline underline-offset-4" onClick={() => take(readProfile(says.nearest!))}>
              Take the nearest that works: {says.nearest.map((m) => withUnit(plainNumber(m.acrossMm, 0), 'mm')).join(', ')}
            </button>
          )}
        </p>
      )}
    </details>
  );
}

const halfAt = (v: RoundVessel, zMm: number): number => {
  const floor = floorAt(v, zMm);
  return floor.kind === 'round' ? floor.radiusMm : 0;
};

const profileText = (v: RoundVessel): string =>
  (
    v.profile ?? [
      { zMm: 0, acrossMm: v.baseMm },
      { zMm: v.heightMm, acrossMm: v.topMm },
    ]
  )
    .map((m) => `${round1(m.zMm)} ${round1(m.acrossMm)}`)
    .join(', ');
