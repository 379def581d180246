'use client';

import { useState } from 'react';
import { Plus, X } from 'lucide-react';
import { plainNumber, showGrams, showGramsPlain, withUnit } from '../../../../core/figure';
import { blendSources } from '../../../../core/balance/blend';
import { blendToFat, readFat } from '../../../../core/foam/fat';
import { fatG } from '../../../../core/composition/mixture';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { addLine, newLine, removeLine } from '../../../../core/editing/edits';
import { isWhippedKind } from '../../../../core/document/kinds';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

interface SourceText {
  readonly name: string;
  readonly fat: string;
  readonly onHand: string;
}

const START: readonly SourceText[] = [
  { name: 'double cream', fat: '48', onHand: '' },
  { name: 'milk', fat: '3.6', onHand: '' },
];

/** Two or more creams, milks or cheeses brought to a fat; the square shown for two. */
export function BlendSources({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { edit, context } = useSheet();
  const creams = s.parts.flatMap((a) => a.reading.lines.filter((l) => l.role === 'cream' && l.read));
  const creamG = creams.reduce((sum, l) => sum + (l.read?.massG ?? 0), 0);
  const [target, setTarget] = useState('36');
  const [total, setTotal] = useState(creamG > 0 ? String(Math.round(creamG)) : '600');
  const [sources, setSources] = useState<readonly SourceText[]>(START);
  const set = (i: number, change: Partial<SourceText>) => setSources(sources.map((x, n) => (n === i ? { ...x, ...change } : x)));
  const number = (text: string): number => Number(text.replace(',', '.').trim() || NaN);
  const answer = blendSources(
    number(target),
    number(total),
    sources.map((x) => ({ name: x.name || 'that', fatPct: number(x.fat), onHandG: x.onHand.trim() === '' ? null : number(x.onHand), pricePerKg: null })),
  );
  const square = sources.length === 2 && answer.ok ? blendToFat(number(target), number(sources[0]!.fat), number(sources[1]!.fat), number(total)) : null;
  const part = s.parts.find((a) => isWhippedKind(a.part.kind));
  const add = () => {
    if (!answer.ok || !part) return;
    const old = part.reading.lines.filter((l) => l.role === 'cream').map((l) => l.line.id);
    edit('blend', (d) => {
      const without = old.reduce((at, id) => removeLine(at, part.part.id, id, context), d);
      return answer.value.reduce(
        (at, g, i) =>
          g < 0.5
            ? at
            : addLine(at, part.part.id, newLine(freshId(), `${showGramsPlain(Math.round(g))} ${sources[i]!.name} ${sources[i]!.fat} %`, context), context, i),
        without,
      );
    });
  };
  return (
    <section aria-label="Blend to a fat" className="mt-8 border-t border-steel pt-4">
      <h2 className="pb-1 text-[17px]">Blend what is on hand to a fat</h2>
      <p className="pb-2 text-[14px] text-ink-soft">
        All cream of this sheet together:{' '}
        {creamG > 0
          ? `${showGrams(creamG)} at ${withUnit(plainNumber((100 * creams.reduce((sum, l) => sum + (l.read ? (l.read.massG * l.read.per100.milk_fat) / 100 : 0), 0)) / creamG, 1), '%')}`
          : 'none yet'}
        ; everything, {withUnit(plainNumber((100 * fatG(s.mixture)) / s.mixture.massG, 1), '%')} fat.
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_340px]">
        <div>
          <ul>
            {sources.map((x, i) => (
              <li key={i} className="flex flex-wrap items-center gap-2 border-t border-steel-light py-1">
                <input
                  aria-label={`Source ${i + 1}`}
                  value={x.name}
                  maxLength={80}
                  onChange={(e) => set(i, { name: e.target.value })}
                  className="field min-w-28 flex-1"
                />
                <input
                  aria-label={`Fat of source ${i + 1}, %`}
                  inputMode="decimal"
                  value={x.fat}
                  onChange={(e) => set(i, { fat: e.target.value })}
                  className="field fig w-16 text-right"
                />
                <span className="text-ink-soft">%</span>
                <input
                  aria-label={`On hand of source ${i + 1}, g`}
                  inputMode="decimal"
                  placeholder="all of it"
                  value={x.onHand}
                  onChange={(e) => set(i, { onHand: e.target.value })}
                  className="field fig w-28 text-right"
                />
                <span className="text-ink-soft">g</span>
                <span className="fig w-20 text-right text-[16px]">{answer.ok ? showGrams(answer.value[i]!) : '–'}</span>
                <button
                  type="button"
                  aria-label={`Take out source ${i + 1}`}
                  disabled={sources.length <= 2}
                  className="flex size-9 items-center justify-center text-ink-soft hover:text-ink disabled:opacity-35"
                  onClick={() => setSources(sources.filter((_, n) => n !== i))}
                >
                  <X size={16} />
                </button>
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-center gap-2 border-t border-steel-light pt-2">
            <button type="button" className="btn" onClick={() => setSources([...sources, { name: 'cream', fat: '35', onHand: '' }])}>
              <Plus size={15} aria-hidden="true" /> Another source
            </button>
            <span className="ml-auto text-ink-soft">to</span>
            <input
              aria-label="Wished fat, %"
              inputMode="decimal"
              value={target}
              onChange={(e) => setTarget(e.target.value)}
              className="field fig w-16 text-right"
            />
            <span className="text-ink-soft">%, in all</span>
            <input aria-label="In all, g" inputMode="decimal" value={total} onChange={(e) => setTotal(e.target.value)} className="field fig w-20 text-right" />
            <span className="text-ink-soft">g</span>
          </div>
          <p role="status" className={`pt-2 text-[14.5px] ${answer.ok ? '' : 'text-beet'}`}>
            {answer.ok ? `${target}\u00a0%: ${readFat(number(target)).says}.` : answer.fault.says}
          </p>
          <button type="button" className="btn mt-1" disabled={!answer.ok || !part} onClick={add}>
            {part ? `Use these as the cream of ${part.part.name}` : 'No whipped part to put them in'}
          </button>
        </div>
        {square?.ok && <Square a={sources[0]!} b={sources[1]!} target={target} partsA={square.value.partsA} partsB={square.value.partsB} />}
      </div>
    </section>
  );
}

/** The square by which cooks blend two fats: crosswise differences are the parts. */
function Square({
  a,
  b,
  target,
  partsA,
  partsB,
}: {
  readonly a: SourceText;
  readonly b: SourceText;
  readonly target: string;
  readonly partsA: number;
  readonly partsB: number;
}) {
  const line = { stroke: 'var(--color-steel)', strokeWidth: 1.5 };
  const text = { fontFamily: 'var(--font-figure)', fontSize: 15, fill: 'var(--color-ink)' };
  return (
    <svg
      viewBox="0 0 340 150"
      className="w-full max-w-[340px]"
      role="img"
      aria-label={`${a.fat} % and ${b.fat} % to ${target} %: ${plainNumber(partsA, 1)} parts of ${a.name}, ${plainNumber(partsB, 1)} parts of ${b.name}`}
    >
      <line x1="62" y1="30" x2="148" y2="70" {...line} />
      <line x1="182" y1="86" x2="236" y2="122" {...line} />
      <line x1="62" y1="122" x2="148" y2="86" {...line} />
      <line x1="182" y1="70" x2="236" y2="30" {...line} />
      <text x="56" y="34" textAnchor="end" {...text}>
        {a.fat} %
      </text>
      <text x="56" y="127" textAnchor="end" {...text}>
        {b.fat} %
      </text>
      <text x="165" y="83" textAnchor="middle" {...text} fontWeight="650">
        {target} %
      </text>
      <text x="242" y="34" {...text}>
        {plainNumber(partsA, 1)} parts
      </text>
      <text x="242" y="127" {...text}>
        {plainNumber(partsB, 1)} parts
      </text>
      <text x="242" y="52" fontSize="13" fill="var(--color-ink-soft)">
        {a.name}
      </text>
      <text x="242" y="145" fontSize="13" fill="var(--color-ink-soft)">
        {b.name}
      </text>
    </svg>
  );
}
