'use client';

import { lazy, Suspense, useMemo, useState } from 'react';
import { plainNumber, showGramsPlain, withUnit } from '../../../../core/figure';
import { analyseSheet } from '../../../../core/analysis/analyse';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import type { Kitchen } from '../../../../core/kitchen/kitchen';
import { movableLines } from '../../../../core/rewrite/balance';
import { setLineAmount, setLineText, setPart } from '../../../../core/editing/edits';
import { isWhippedKind } from '../../../../core/document/kinds';
import { leverRange, pulled, sweptFiguresOf, type Lever } from '../../../../core/rewrite/sweep';
import { Choice } from '../../../../ui/choice';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { useSweep } from '../../../../workers/use-sweep';

const LineChart = lazy(() => import('../../../../ui/line-chart').then((m) => ({ default: m.LineChart })));

const POINTS = 200;
const keyOf = (l: Lever): string => ('lineId' in l ? `${l.kind}:${l.lineId}` : l.kind);

interface NamedLever {
  readonly lever: Lever;
  readonly name: string;
}

/** What can be moved on a sheet. */
function leversOf(s: SheetAnalysis, kitchen: Kitchen): readonly NamedLever[] {
  const lines = movableLines(s);
  const all: NamedLever[] = [
    ...lines.map(({ reading }) => ({ lever: { kind: 'line' as const, lineId: reading.line.id }, name: reading.name })),
    ...lines
      .filter(({ reading }) => reading.read?.fatPct != null)
      .map(({ reading }) => ({ lever: { kind: 'carton-fat' as const, lineId: reading.line.id }, name: `fat on the carton of ${reading.name}` })),
    ...(s.parts.some((a) => isWhippedKind(a.part.kind)) ? [{ lever: { kind: 'cream-temperature' as const }, name: 'temperature of the cream' }] : []),
    { lever: { kind: 'served-after' as const }, name: 'hours to serving' },
    { lever: { kind: 'fridge' as const }, name: 'temperature of the fridge' },
    { lever: { kind: 'room' as const }, name: 'temperature of the room' },
  ];
  return all.filter((l) => leverRange(s, kitchen, l.lever) !== null);
}

/** A slider on anything, and a figure that answers. */
export function WhatIf({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { doc, kitchen, edit, context } = useSheet();
  const levers = useMemo(() => leversOf(s, kitchen), [s, kitchen]);
  const figures = useMemo(() => sweptFiguresOf(s, kitchen), [s, kitchen]);
  const [leverKey, setLever] = useState<string | null>(null);
  const [figureKey, setFigure] = useState<string | null>(null);
  const [moved, setMoved] = useState<number | null>(null);
  const lever = levers.find((l) => keyOf(l.lever) === leverKey) ?? levers[0];
  const figure = figures.find((f) => f.key === figureKey) ?? figures[0];
  const range = lever ? leverRange(s, kitchen, lever.lever) : null;
  const answer = useSweep(
    doc,
    kitchen,
    lever && figure && range ? { lever: lever.lever, from: range.from, to: range.to, points: POINTS, figure: figure.key } : null,
  );
  const points = useMemo(() => (answer?.ok ? answer.value : []), [answer]);
  if (!lever || !figure || !range) return null;
  const x = moved ?? range.now;
  const there = pulled(doc, kitchen, lever.lever, x);
  const y = figure.of(x === range.now ? s : analyseSheet(there.sheet, there.kitchen), there.kitchen);
  const shown = (v: number | null): string => (v === null ? 'no figure' : withUnit(plainNumber(v, figure.decimals), figure.unit));
  const at = withUnit(plainNumber(x, range.unit === 'g' && x >= 100 ? 0 : 1), range.unit);
  const use = () => {
    const l = lever.lever;
    edit('what-if', (d) => {
      if (l.kind === 'served-after') return { ...d, servedAfterH: x };
      if (l.kind === 'cream-temperature')
        return d.parts.filter((p) => isWhippedKind(p.kind)).reduce((sheet, p) => setPart(sheet, p.id, { whisk: { ...p.whisk, creamC: x } }, context), d);
      if (l.kind !== 'line' && l.kind !== 'carton-fat') return d;
      const part = d.parts.find((p) => p.lines.some((k) => k.id === l.lineId));
      if (!part) return d;
      if (l.kind === 'line') return setLineAmount(d, part.id, l.lineId, showGramsPlain(x), context);
      const text = there.sheet.parts.flatMap((p) => p.lines).find((k) => k.id === l.lineId)?.text;
      return text ? setLineText(d, part.id, l.lineId, text, context) : d;
    });
    setMoved(null);
  };
  const kitchens = lever.lever.kind === 'fridge' || lever.lever.kind === 'room';
  return (
    <section aria-label="What if" className="mt-8 border-t border-steel pt-4">
      <h2 className="pb-2 text-[17px]">What if</h2>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-3 lg:grid-cols-[300px_minmax(0,1fr)]">
        <div className="grid content-start gap-3">
          <Choice
            label="Move"
            value={keyOf(lever.lever)}
            options={levers.map((l) => [keyOf(l.lever), l.name] as const)}
            onChange={(k) => {
              setLever(k);
              setMoved(null);
            }}
          />
          <Choice label="and watch" value={figure.key} options={figures.map((f) => [f.key, f.name] as const)} onChange={setFigure} />
          <div>
            <label className="flex justify-between pb-1 text-[13.5px] text-ink-soft" htmlFor="what-if-slider">
              {lever.name} <span className="fig text-ink">{at}</span>
            </label>
            <input
              id="what-if-slider"
              type="range"
              min={range.from}
              max={range.to}
              step={(range.to - range.from) / POINTS}
              value={x}
              aria-valuetext={`${at}: ${figure.name} ${shown(y)}`}
              onChange={(e) => setMoved(Number(e.target.value))}
              className="w-full accent-ink"
            />
          </div>
          <p role="status" className="text-[15px]">
            {figure.name} <span className="fig text-[17px]">{shown(y)}</span>
            {moved !== null && <span className="text-ink-soft">, now {shown(figure.of(s, kitchen))}</span>}
          </p>
          <div className="flex gap-2">
            <button type="button" className="btn btn-act" disabled={moved === null || kitchens} onClick={use}>
              Use it
            </button>
            <button type="button" className="btn" disabled={moved === null} onClick={() => setMoved(null)}>
              Back to now
            </button>
          </div>
          {kitchens && <p className="text-[13.5px] text-ink-soft">The kitchen’s own temperatures are set in Larder.</p>}
        </div>
        <div className="h-[270px]">
          <Suspense>
            <LineChart
              points={points}
              xName={`${lever.name}, ${range.unit}`}
              yName={figure.unit ? `${figure.name}, ${figure.unit}` : figure.name}
              band={figure.band(s)}
              now={y === null ? null : { x, y }}
              says={`${figure.name} as ${lever.name} goes from ${plainNumber(range.from, 0)} to ${plainNumber(range.to, 0)} ${range.unit}; ${shown(y)} at ${at}`}
              onPoint={(v) => setMoved(Math.min(range.to, Math.max(range.from, v)))}
            />
          </Suspense>
        </div>
      </div>
    </section>
  );
}
