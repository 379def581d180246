import type { PartAnalysis, SheetAnalysis } from '../../../../core/analysis/analysed';
import { isWhippedKind } from '../../../../core/document/kinds';
import { fatFigure, sweetnessFigure } from '../../../../core/tells/figures';
import { allFatFigure, densityFigure, partAbvFigure, partAirFigure, partAsWhole, weightFigure, wholeOf } from '../../../../core/tells/part-figures';
import { FigureButton } from '../../../../ui/figure-button';

const HEADS = ['part', 'weight', 'fat', 'sweet', 'alcohol', 'air', 'density'] as const;

/** Fat, sugar, alcohol, air and density of every part and of a mouthful of it all. */
export function PartsTable({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const parts = s.parts.filter((a) => a.reading.mixture.massG > 0);
  const whole = s.volumeMl.ok ? densityFigure(wholeOf(s), s.volumeMl.value) : null;
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-[14.5px]">
        <caption className="sr-only">Fat, sweetness, alcohol, air and density of every part</caption>
        <thead>
          <tr className="text-[13.5px] text-ink-soft">
            {HEADS.map((h, i) => (
              <th
                key={h}
                scope="col"
                className={`py-1 font-normal whitespace-nowrap ${i === 0 ? 'text-left' : 'pl-3 text-right'} ${h === 'density' || h === 'alcohol' ? 'max-sm:hidden' : ''}`}
              >
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {parts.map((a) => (
            <PartRow key={a.part.id} a={a} />
          ))}
          {parts.length > 1 && (
            <tr className="border-t border-steel align-baseline">
              <th scope="row" className="py-1.5 text-left font-semibold">
                A mouthful of it all
              </th>
              <Cell>
                <FigureButton figure={weightFigure(wholeOf(s))} />
              </Cell>
              <Cell>
                <FigureButton figure={allFatFigure(wholeOf(s))} />
              </Cell>
              <Cell>
                <FigureButton figure={sweetnessFigure(s, 'Sweetness of a mouthful')} />
              </Cell>
              <Cell hide>{s.abvPct > 0.05 ? <FigureButton figure={partAbvFigure(wholeOf(s))} /> : '–'}</Cell>
              <Cell>–</Cell>
              <Cell hide>{whole ? <FigureButton figure={whole} /> : '–'}</Cell>
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

function PartRow({ a }: { readonly a: PartAnalysis }) {
  const { mixture } = a.reading;
  const own = partAsWhole(a);
  const inBowl = isWhippedKind(a.part.kind) && a.fatPct !== null;
  const density = densityFigure(own, a.foamMl.ok && a.foamMl.value > 0 ? a.foamMl.value : null);
  return (
    <tr className="border-t border-steel-light align-baseline">
      <th scope="row" className="py-1.5 text-left font-normal">
        {a.part.name}
      </th>
      <Cell>
        <FigureButton figure={weightFigure(own)} />
      </Cell>
      <Cell>
        <FigureButton figure={inBowl && a.fatPct !== null ? fatFigure(a, a.fatPct) : allFatFigure(own)} />
      </Cell>
      <Cell>
        <FigureButton figure={sweetnessFigure({ mixture, sweetness: a.sweetness }, `Sweetness of ${a.part.name}`)} />
      </Cell>
      <Cell hide>{a.abvPct > 0.05 ? <FigureButton figure={partAbvFigure(own)} /> : '–'}</Cell>
      <Cell>{a.overrunPct.ok && a.overrunPct.value >= 1 ? <FigureButton figure={partAirFigure(a, a.overrunPct.value)} /> : '–'}</Cell>
      <Cell hide>{density ? <FigureButton figure={density} /> : '–'}</Cell>
    </tr>
  );
}

const Cell = ({ hide = false, children }: { readonly hide?: boolean; readonly children: React.ReactNode }) => (
  <td className={`fig py-1.5 pl-3 text-right whitespace-nowrap ${hide ? 'max-sm:hidden' : ''}`}>{children}</td>
);
