import { houseRange, plainNumber, showFigure, withUnit, type Figure, type FigureInput } from '../figure';
import { FOLD_KEEPS, FOLD_SPREAD, STIFF_FOLD_KEEPS } from '../foam/house';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { num } from './figures';
import { plainTell, type Stretch, type Tell } from './tell';

/** Judgements of folding: what the foams bring, what their folds keep. */

const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });
/** A fold that keeps less of the air that was brought is worth another way (house). */
const KEEPS_BAND = { low: 0.7, high: 1 } as const;

/** What the folds of a part kept of all the air that its foams brought, %. */
export function foldFigure(a: PartAnalysis): Figure | null {
  const brought = a.folds.reduce((sum, f) => sum + f.broughtMl, 0);
  const kept = a.folds.at(-1)?.airMl ?? 0;
  if (brought <= 0) return null;
  const pct = (100 * kept) / brought;
  const [low, high] = houseRange(pct, FOLD_SPREAD * Math.sqrt(a.folds.length));
  return {
    key: `fold-keeps:${a.part.id}`,
    name: `Air kept in ${a.part.name}`,
    value: pct,
    unit: '%',
    kind: 'house',
    spread: FOLD_SPREAD * Math.sqrt(a.folds.length),
    range: [low, Math.min(100, high)],
    decimals: 0,
    formula: 'air ← (air + brought) · kept, fold by fold',
    words: 'Volumes add; each fold costs every foam that is then in the bowl. A first portion gives up 45 % of its air to loosen the base for the rest.',
    inputs: a.folds.flatMap((f, i): FigureInput[] => [
      num(`${i + 1}`, `${f.name} brings`, f.broughtMl, 'mL', 0, f.firstShare > 0 ? `${Math.round(100 * f.firstShare)} % of it folded in first` : 'its air'),
      num(`after ${i + 1}`, 'air in the bowl', f.airMl, 'mL', 0, `${plainNumber(100 * f.keeps, 0)} % of what was then there`),
    ]),
    source: `House: ${FOLD_KEEPS} a fold into a base as soft as the foam, ${STIFF_FOLD_KEEPS} into a stiffer or warmer one, ±6 % each.`,
    limits: 'Folded with a spatula and no longer than it needs; a foam that waited brings less.',
  };
}

/** Words of a step's work that, taken at their word, would whisk on what already stands. */
const WHISKS_ON: ReadonlySet<string> = new Set(['whisk', 'whip', 'beat']);

/** A written step that says to whisk together what is only brought together: the fold that is meant, and what the whisk would do. */
const saidWhisked = (s: SheetAnalysis): readonly Tell[] =>
  s.sheet.steps
    .filter((x) => x.work === 'fold' && WHISKS_ON.has(x.short))
    .map((x) =>
      plainTell(
        `folds-on:${x.id}`,
        'near',
        `“${x.title}” meets a foam that already stands: fold it in, a few strokes by hand. Whisked on, cream turns to butter and egg foam falls.`,
      ),
    );

export const foldTells = (s: SheetAnalysis): readonly Tell[] => [...saidWhisked(s), ...keptTells(s)];

const keptTells = (s: SheetAnalysis): readonly Tell[] =>
  s.parts.flatMap((a): Tell[] => {
    const figure = foldFigure(a);
    if (!figure || !a.overrunPct.ok) return [];
    const density = a.foamMl.ok ? a.reading.mixture.massG / a.foamMl.value : null;
    const order = a.folds.map((f) => f.name).join(', then ');
    return [
      {
        key: `fold-keeps:${a.part.id}`,
        state: figure.value >= 100 * KEEPS_BAND.low ? 'in' : 'near',
        sentence: [
          `${a.part.name}: ${order} folded in, `,
          show(figure),
          ` of their air stays${density === null ? '' : `, ${withUnit(plainNumber(density, 2), 'g/mL')} in the end`}.`,
        ],
        track: {
          from: 40,
          to: 100,
          low: 100 * KEEPS_BAND.low,
          high: 100,
          value: Math.max(40, figure.value),
          range: figure.range,
          says: `${plainNumber(figure.value, 0)} % kept, on a track from 40 to 100`,
        },
        action: null,
      },
    ];
  });
