'use client';

import { useState } from 'react';
import { asDecimal, readQuantity } from '../../core/measures/quantity';
import { readLine } from '../../core/measures/line';
import { plainNumber, withUnit } from '../../core/figure';
import { analyseSheet } from '../../core/analysis/analyse';
import type { Kitchen } from '../../core/kitchen/kitchen';
import type { LineReading } from '../../core/lines/read-part';
import { compareFigures } from '../../core/rewrite/compare';
import { roundSheet } from '../../core/rewrite/round';
import { scaleTo, type ScaleWish } from '../../core/rewrite/scale';
import { capacityMl, isPerPortion } from '../../core/vessel/profile';
import type { Vessel } from '../../core/vessel/schema';
import { fail, ok, type Result } from '../../core/result';
import { Choice } from '../choice';
import { DifferenceList, FigurePairs } from '../difference-list';
import { useAnalysis, useSheet } from './sheet-provider';

const WAYS = [
  ['portions', 'portions'],
  ['vessel', 'a vessel, filled'],
  ['on-hand', 'an ingredient on hand'],
  ['total', 'the whole weight'],
  ['factor', 'a factor'],
] as const;
type Way = (typeof WAYS)[number][0];

/** How full a vessel is filled when a sheet is scaled to it, %. */
const USUAL_FULL = 90;

/** Scales the sheet five ways, then rounds it to what can be weighed; both are seen before they are taken. */
export function ScalePanel({ onDone }: { readonly onDone: () => void }) {
  const { doc, edit, kitchen } = useSheet();
  const before = useAnalysis();
  const [way, setWay] = useState<Way>('portions');
  const [text, setText] = useState('');
  const [lineId, setLineId] = useState<string | null>(null);
  const [vesselName, setVesselName] = useState(doc.vessel.name);
  const [rounds, setRounds] = useState(false);
  const lines = before.parts.flatMap((a) => a.reading.lines).filter((l) => l.kind === 'ingredient' && l.read);
  const line = lines.find((l) => l.line.id === lineId) ?? [...lines].sort((a, b) => (b.read?.massG ?? 0) - (a.read?.massG ?? 0))[0];
  const vessels = [doc.vessel, ...kitchen.vessels.map((v) => v.vessel).filter((v) => v.name !== doc.vessel.name)];
  const vessel = vessels.find((v) => v.name === vesselName) ?? doc.vessel;

  const wish = wishOf({ way, text, line, vessel, kitchen });
  const scaled = wish === null ? null : wish.ok ? scaleTo(doc, wish.value, kitchen) : wish;
  const start = scaled?.ok ? scaled.value.sheet : rounds ? doc : null;
  const rounded = rounds && start ? roundSheet(start, kitchen) : null;
  const result = rounded?.sheet ?? start;
  const pairs = rounded && start ? compareFigures(analyseSheet(start, kitchen), analyseSheet(rounded.sheet, kitchen)) : [];
  const fault = scaled && !scaled.ok ? scaled.fault.says : null;
  const factor = scaled?.ok ? scaled.value.factor : 1;

  return (
    <form
      className="text-[14.5px]"
      onSubmit={(e) => {
        e.preventDefault();
        if (!result || result === doc) return;
        edit('scale', () => result);
        onDone();
      }}
    >
      <Choice
        label="Scale to"
        value={way}
        options={WAYS}
        onChange={(w) => {
          setWay(w);
          setText('');
        }}
      />
      {way === 'on-hand' && line && (
        <div className="mt-2.5">
          <Choice label="There is only so much" value={line.line.id} options={lines.map((l) => [l.line.id, l.name] as const)} onChange={setLineId} />
        </div>
      )}
      {way === 'vessel' && (
        <div className="mt-2.5">
          <Choice
            label={isPerPortion(vessel) ? 'One for each portion' : 'Vessel'}
            value={vessel.name}
            options={vessels.map((v) => [v.name, `${v.name}, ${plainNumber(capacityMl(v), 0)} mL`] as const)}
            onChange={setVesselName}
          />
        </div>
      )}
      <label className="mt-2.5 block">
        <span className="block text-[13.5px] text-ink-soft">{fieldName(way)}</span>
        <input
          autoFocus
          value={text}
          maxLength={60}
          placeholder={hint(way, doc.portions, line?.read?.massG ?? 0, before.mixture.massG)}
          onChange={(e) => setText(e.target.value)}
          aria-invalid={fault !== null || undefined}
          aria-describedby="scale-says"
          className="field fig mt-0.5 w-full text-[17px]"
        />
      </label>
      <p id="scale-says" role="status" className={`mt-1.5 ${fault ? 'text-beet' : 'text-ink-soft'}`}>
        {fault ??
          (scaled?.ok
            ? `Times ${asDecimal(factor)}: ${scaled.value.sheet.portions} portions, ${withUnit(plainNumber(before.mixture.massG * factor, 0), 'g')} in all.`
            : 'Every line follows and keeps its ratio to the others.')}
      </p>
      <label className="mt-1.5 flex min-h-9 items-center gap-2.5">
        <input type="checkbox" className="size-4.5 accent-ink" checked={rounds} onChange={(e) => setRounds(e.target.checked)} />
        then round to the scale, whole eggs, half leaves and packs
      </label>
      {rounded && (
        <section aria-label="What rounding does" className="border-t border-steel-light pt-1.5">
          <DifferenceList
            differences={rounded.changes.map((c) => ({ kind: 'changed', before: c.before, after: `${c.after} ${c.name}, ${c.why}` }))}
            none="Everything can be weighed as it is."
          />
          {rounded.changes.length > 0 && <FigurePairs pairs={pairs} before="exact" after="rounded" />}
        </section>
      )}
      <button type="submit" className="btn btn-act mt-2" disabled={!result || result === doc}>
        {rounds && !scaled?.ok ? 'Round the sheet' : 'Scale the sheet'}
      </button>
    </form>
  );
}

interface Asked {
  readonly way: Way;
  readonly text: string;
  readonly line: LineReading | undefined;
  readonly vessel: Vessel;
  readonly kitchen: Kitchen;
}

/** What the form asks for; null while its field is empty. */
function wishOf({ way, text, line, vessel, kitchen }: Asked): Result<ScaleWish> | null {
  if (way === 'vessel') {
    const full = text.trim() === '' ? ok(USUAL_FULL) : readQuantity(text);
    return full.ok ? ok({ kind: 'vessel', vessel, fullShare: full.value / 100 }) : full;
  }
  if (text.trim() === '') return null;
  if (way === 'on-hand') {
    if (!line) return fail('lineId', 'none', 'There is no line that can be read yet.');
    const read = readLine(text, line.ingredient, { cups: kitchen.rules.cups, eggs: kitchen.rules.eggs });
    return read.ok ? ok({ kind: 'on-hand', lineId: line.line.id, onHandG: read.value.massG }) : read;
  }
  if (way === 'total') {
    const grams = /^(.*?)\s*(kg|g)?$/i.exec(text.trim())!;
    const read = readQuantity(grams[1] ?? '');
    return read.ok ? ok({ kind: 'total', totalG: read.value * (/kg/i.test(grams[2] ?? '') ? 1000 : 1) }) : read;
  }
  const read = readQuantity(text);
  if (!read.ok) return read;
  return ok(way === 'portions' ? { kind: 'portions', portions: read.value } : { kind: 'factor', factor: read.value });
}

function fieldName(way: Way): string {
  switch (way) {
    case 'portions':
      return 'How many portions, each as large as now';
    case 'vessel':
      return 'How full, %';
    case 'on-hand':
      return 'On hand, as the kitchen measures it';
    case 'total':
      return 'Everything together, g or kg';
    case 'factor':
      return 'Times';
  }
}

function hint(way: Way, portions: number, lineG: number, totalG: number): string {
  switch (way) {
    case 'portions':
      return String(portions);
    case 'vessel':
      return String(USUAL_FULL);
    case 'on-hand':
      return `${plainNumber(lineG, 0)} g`;
    case 'total':
      return `${plainNumber(totalG, 0)} g`;
    case 'factor':
      return '1 1/2';
  }
}
