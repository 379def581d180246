'use client';

import { lazy, Suspense, useMemo, useState } from 'react';
import { Lock, LockOpen } from 'lucide-react';
import { plainNumber, showGrams, showVolumeMl, withUnit } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import {
  changesOf,
  goalChoices,
  movableLines,
  sheetProblem,
  startsLocked,
  usualBounds,
  type GoalChoice,
  type LineBounds,
  type LineChange,
  type SheetGoal,
} from '../../../../core/rewrite/balance';
import { setLineText } from '../../../../core/editing/edits';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { Select } from '../../../../ui/kit/select';
import { TrackRuler } from '../../../../ui/track';
import { useCalculator } from '../../../../workers/use-calculator';

const LineChart = lazy(() => import('../../../../ui/line-chart').then((m) => ({ default: m.LineChart })));

interface Wish {
  readonly low: string;
  readonly high: string;
  readonly weight: number;
}

const shown = (v: number, c: GoalChoice): string =>
  c.figure === 'volume' && Number.isFinite(v) ? showVolumeMl(v) : Number.isFinite(v) ? withUnit(plainNumber(v, c.decimals), c.unit) : '–';
const axisName = (name: string, unit: string): string => (unit ? `${name}, ${unit}` : name);
const WEIGHTS = [
  [1, 'matters'],
  [3, 'matters more'],
  [0.3, 'matters less'],
] as const;

/** Wishes as bands, lines locked or bounded, and the nearest answer as changes to take one by one. */
export function SolveFor({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { kitchen } = useSheet();
  const choices = useMemo(() => goalChoices(s, kitchen), [s, kitchen]);
  const [wishes, setWishes] = useState<Readonly<Record<string, Wish>>>({});
  const [bounds, setBounds] = useState<Readonly<Record<string, BoundText>>>({});
  const [keepWeight, setKeepWeight] = useState(true);
  const wished = choices.filter((c) => wishes[c.key]);
  const goals = wished.flatMap((choice): SheetGoal[] => {
    const w = wishes[choice.key]!;
    const [low, high] = [Number(w.low), Number(w.high)];
    return w.low.trim() !== '' && w.high.trim() !== '' && Number.isFinite(low) && Number.isFinite(high) ? [{ choice, low, high, weight: w.weight }] : [];
  });
  const unread = goals.length < wished.length;
  const problem = sheetProblem(s, kitchen, goals, boundsOf(bounds), keepWeight);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <Wishes choices={choices} wishes={wishes} onWishes={setWishes} />
        <Lines analysis={s} bounds={bounds} onBounds={setBounds} keepWeight={keepWeight} onKeepWeight={setKeepWeight} />
      </div>
      <section aria-label="Answer" className="pt-5">
        <h2 className="pb-1 text-[17px]">The nearest answer</h2>
        {goals.length === 0 ? (
          <p className="border-t border-steel-light py-3 text-[15px] text-ink-soft">
            {unread
              ? 'Type both ends of the band as numbers.'
              : 'Choose what you wish for on the left: a figure and the band that is good enough. The amounts are worked out at once; nothing changes until you take it.'}
          </p>
        ) : (
          <Answer analysis={s} goals={goals} problem={problem} />
        )}
      </section>
    </div>
  );
}

interface BoundText {
  readonly locked: boolean;
  readonly min: string;
  readonly max: string;
}

function boundsOf(texts: Readonly<Record<string, BoundText>>): ReadonlyMap<string, LineBounds> {
  return new Map(
    Object.entries(texts).map(([id, b]) => {
      const read = (text: string): number | null => (text.trim() === '' || !Number.isFinite(Number(text)) ? null : Number(text));
      return [id, { locked: b.locked, minG: read(b.min), maxG: read(b.max) }] as const;
    }),
  );
}

function Wishes({
  choices,
  wishes,
  onWishes,
}: {
  readonly choices: readonly GoalChoice[];
  readonly wishes: Readonly<Record<string, Wish>>;
  readonly onWishes: (next: Readonly<Record<string, Wish>>) => void;
}) {
  const toggle = (c: GoalChoice) => {
    const { [c.key]: had, ...rest } = wishes;
    onWishes(had ? rest : { ...wishes, [c.key]: { low: plain(c.low, c.decimals), high: plain(c.high, c.decimals), weight: 1 } });
  };
  const set = (key: string, change: Partial<Wish>) => onWishes({ ...wishes, [key]: { ...wishes[key]!, ...change } });
  return (
    <section aria-label="Wishes" className="pt-5">
      <h2 className="pb-1 text-[17px]">Solve for</h2>
      <ul>
        {choices.map((c) => {
          const w = wishes[c.key];
          return (
            <li key={c.key} className="border-t border-steel-light py-1">
              <label className="flex min-h-8 items-baseline gap-2.5">
                <input type="checkbox" className="size-4.5 shrink-0 translate-y-0.5 accent-ink" checked={w !== undefined} onChange={() => toggle(c)} />
                <span className="min-w-0 flex-1">{c.name}</span>
                <span className="fig">{c.now === null ? '–' : shown(c.now, c)}</span>
              </label>
              {w && (
                <div className="flex flex-wrap items-center gap-2 pb-1 pl-7 text-[14px]">
                  <span className="text-ink-soft">from</span>
                  <input
                    aria-label={`${c.name}, from`}
                    inputMode="decimal"
                    value={w.low}
                    onChange={(e) => set(c.key, { low: e.target.value })}
                    className="field fig w-20 text-right"
                  />
                  <span className="text-ink-soft">to</span>
                  <input
                    aria-label={`${c.name}, to`}
                    inputMode="decimal"
                    value={w.high}
                    onChange={(e) => set(c.key, { high: e.target.value })}
                    className="field fig w-20 text-right"
                  />
                  <span className="text-ink-soft">{c.unit}</span>
                  <Select
                    label={`${c.name}, weight`}
                    value={String(w.weight)}
                    options={WEIGHTS.map(([v, name]) => [String(v), name] as const)}
                    onChange={(v) => set(c.key, { weight: Number(v) })}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const plain = (v: number, decimals: number): string => String(Number(v.toFixed(decimals)));

function Lines({
  analysis: s,
  bounds,
  onBounds,
  keepWeight,
  onKeepWeight,
}: {
  readonly analysis: SheetAnalysis;
  readonly bounds: Readonly<Record<string, BoundText>>;
  readonly onBounds: (next: Readonly<Record<string, BoundText>>) => void;
  readonly keepWeight: boolean;
  readonly onKeepWeight: (keep: boolean) => void;
}) {
  const lines = movableLines(s);
  const set = (id: string, change: Partial<BoundText>) =>
    onBounds({
      ...bounds,
      [id]: { locked: lines.some((l) => l.reading.line.id === id && startsLocked(l.reading)), min: '', max: '', ...bounds[id], ...change },
    });
  return (
    <section aria-label="Lines that may move" className="pt-5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 pb-1">
        <h2 className="text-[17px]">
          Which lines may move, <span className="font-normal text-ink-soft">g at least and at most</span>
        </h2>
        <label className="flex min-h-8 items-center gap-2 text-[14px]">
          <input type="checkbox" className="size-4.5 accent-ink" checked={keepWeight} onChange={(e) => onKeepWeight(e.target.checked)} />
          keep the whole weight
        </label>
      </div>
      <ul>
        {lines.map(({ reading: l }) => {
          const b = bounds[l.line.id];
          const locked = b?.locked ?? startsLocked(l);
          return (
            <li key={l.line.id} className="flex items-center gap-2 border-t border-steel-light py-0.5">
              <button
                type="button"
                aria-pressed={locked}
                aria-label={`Lock ${l.name}`}
                title={locked ? 'Locked: stays as it is' : 'Free to move'}
                className={`flex size-9 shrink-0 items-center justify-center rounded-s ${locked ? 'bg-ink text-paper' : 'text-ink-soft hover:text-ink'}`}
                onClick={() => set(l.line.id, { locked: !locked })}
              >
                {locked ? <Lock size={15} /> : <LockOpen size={15} />}
              </button>
              <span className="min-w-0 flex-1 truncate">{l.name}</span>
              <span className="fig w-16 text-right">{showGrams(l.read!.massG)}</span>
              <input
                aria-label={`${l.name}, at least, g`}
                inputMode="decimal"
                placeholder={plain(usualBounds(l.read!.massG).minG, 0)}
                disabled={locked}
                value={b?.min ?? ''}
                onChange={(e) => set(l.line.id, { min: e.target.value })}
                className="field fig w-18 text-right text-[14px] disabled:opacity-40"
              />
              <input
                aria-label={`${l.name}, at most, g`}
                inputMode="decimal"
                placeholder={plain(usualBounds(l.read!.massG).maxG, 0)}
                disabled={locked}
                value={b?.max ?? ''}
                onChange={(e) => set(l.line.id, { max: e.target.value })}
                className="field fig w-18 text-right text-[14px] disabled:opacity-40"
              />
              <span className="text-[14px] text-ink-soft">g</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Answer({
  analysis: s,
  goals,
  problem,
}: {
  readonly analysis: SheetAnalysis;
  readonly goals: readonly SheetGoal[];
  readonly problem: ReturnType<typeof sheetProblem>;
}) {
  const { edit, context, kitchen } = useSheet();
  const answers = useCalculator('solve', [problem]);
  const answer = answers?.[0];
  if (!answer) return <p className="border-t border-steel-light py-3 text-ink-soft">working it out…</p>;
  if (!answer.ok)
    return (
      <p role="alert" className="border-t border-steel-light py-3 text-beet">
        {answer.fault.says}
      </p>
    );
  const found = answer.value;
  if (found.goals.length !== goals.length) return <p className="border-t border-steel-light py-3 text-ink-soft">working it out…</p>;
  const changes = changesOf(s, found.amountsG, kitchen.rules.scaleStepG);
  const take = (list: readonly LineChange[]) => edit('solve', (d) => list.reduce((at, c) => setLineText(at, c.partId, c.lineId, c.after, context), d));
  const fight = found.fights.find((f) => f.with !== null);
  return (
    <>
      <ul>
        {goals.map((g, i) => {
          const o = found.goals[i]!;
          const width = g.high - g.low;
          const [from, to] = [Math.min(g.low - width, o.after, o.before), Math.max(g.high + width, o.after, o.before)];
          return (
            <li
              key={g.choice.key}
              className="grid grid-cols-[minmax(0,1fr)_auto_118px] items-center gap-x-3 border-t border-steel-light py-1.5"
              data-goal={g.choice.key}
              data-met={o.met}
            >
              <span className="min-w-0">{g.choice.name}</span>
              <span className="whitespace-nowrap">
                <span className="text-ink-soft">{shown(o.before, g.choice)} → </span>
                <span className={`fig ${o.met ? '' : 'text-beet'}`}>{shown(o.after, g.choice)}</span>
              </span>
              <TrackRuler
                out={!o.met}
                track={{
                  from,
                  to,
                  low: g.low,
                  high: g.high,
                  value: o.after,
                  range: null,
                  says: `${shown(o.after, g.choice)}; ${shown(g.low, g.choice)} to ${shown(g.high, g.choice)} is wished`,
                }}
              />
            </li>
          );
        })}
      </ul>
      {found.fights.length > 0 && (
        <ul className="border-t border-steel-light pt-1.5" aria-label="What fights">
          {found.fights.map((f) => (
            <li key={`${f.goal}-${f.with}`} className="py-0.5 text-[14.5px]">
              <span className="font-[650] text-beet">Look: </span>
              {f.with === null
                ? `${goals[f.goal]!.choice.name} cannot be reached with these locks, bounds and lines.`
                : `${goals[f.goal]!.choice.name} and ${goals[f.with]!.choice.name} cannot both be had: one gives way to the other.`}
            </li>
          ))}
        </ul>
      )}
      {fight && (
        <TradeOff
          a={fight.goal}
          b={fight.with!}
          goals={goals}
          problem={problem}
          onTake={(amountsG) => take(changesOf(s, amountsG, kitchen.rules.scaleStepG))}
        />
      )}
      <h3 className="pt-4 pb-1 text-[15.5px]">{changes.length === 0 ? 'Nothing need change' : 'What would change'}</h3>
      <ul aria-label="Changes">
        {changes.map((c) => (
          <li key={c.lineId} className="flex items-baseline gap-3 border-t border-steel-light py-1">
            <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
              <span className="text-ink-soft line-through decoration-ink-soft/60">{c.before}</span> <span className="font-semibold">{c.after}</span>
            </span>
            <span className="fig text-[14px] whitespace-nowrap text-ink-soft">
              {c.toG >= c.fromG ? '+' : '−'}
              {showGrams(Math.abs(c.toG - c.fromG))}
            </span>
            <button type="button" className="btn min-h-8 px-2.5 text-[14px]" aria-label={`Take ${c.after}`} onClick={() => take([c])}>
              Take
            </button>
          </li>
        ))}
      </ul>
      {changes.length > 0 && (
        <button type="button" className="btn btn-act mt-2" onClick={() => take(changes)}>
          Take all {changes.length > 1 ? changes.length : ''}
        </button>
      )}
    </>
  );
}

/** The nearest answers along a conflict: what the one costs in terms of the other. */
function TradeOff({
  a,
  b,
  goals,
  problem,
  onTake,
}: {
  readonly a: number;
  readonly b: number;
  readonly goals: readonly SheetGoal[];
  readonly problem: ReturnType<typeof sheetProblem>;
  readonly onTake: (amountsG: readonly number[]) => void;
}) {
  const answers = useCalculator('trade-off', [{ problem, a, b, points: 9 }]);
  const [at, setAt] = useState(4);
  const answer = answers?.[0];
  if (!answer?.ok) return null;
  const { points } = answer.value;
  const [ga, gb] = [goals[a]?.choice, goals[b]?.choice];
  const point = points[Math.min(at, points.length - 1)];
  if (!ga || !gb || !point) return null;
  return (
    <section aria-label="Trade-off" className="border-t border-steel-light pt-2">
      <p className="text-[14px] text-ink-soft">
        What {ga.name} costs in {gb.name}; the shaded band is wished.
      </p>
      <div className="h-[190px]">
        <Suspense>
          <LineChart
            points={points.map((p) => ({ x: p.a, y: p.b }))}
            xName={axisName(ga.name, ga.unit)}
            yName={axisName(gb.name, gb.unit)}
            band={[goals[b]!.low, goals[b]!.high]}
            now={{ x: point.a, y: point.b }}
            dots
            says={points.map((p) => `${shown(p.a, ga)}: ${shown(p.b, gb)}`).join('; ')}
          />
        </Suspense>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <input
          type="range"
          aria-label={`Between ${ga.name} and ${gb.name}`}
          aria-valuetext={`${shown(point.a, ga)} and ${shown(point.b, gb)}`}
          min={0}
          max={points.length - 1}
          value={Math.min(at, points.length - 1)}
          onChange={(e) => setAt(Number(e.target.value))}
          className="min-w-32 flex-1 accent-ink"
        />
        <span className="fig text-[14px] whitespace-nowrap">
          {shown(point.a, ga)} and {shown(point.b, gb)}
        </span>
        <button type="button" className="btn min-h-8 px-2.5 text-[14px]" onClick={() => onTake(point.amountsG)}>
          Take this one
        </button>
      </div>
    </section>
  );
}
