import { densityGPerMl } from '../../../../core/composition/density';
import { fatG } from '../../../../core/composition/mixture';
import { plainNumber, withUnit } from '../../../../core/figure';
import type { PartAnalysis, SheetAnalysis } from '../../../../core/sheet/analyse';
import { isWhippedKind } from '../../../../core/sheet/kinds';
import { fatFigure, sweetnessFigure } from '../../../../core/tells/figures';
import { FigureButton } from '../../../../ui/figure-button';

const HEADS = ['part', 'weight', 'fat', 'sweet', 'alcohol', 'air', 'density'] as const;

/** Fat, sugar, alcohol, air and density of every part and of a mouthful of it all. */
export function PartsTable({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const parts = s.parts.filter((a) => a.reading.mixture.massG > 0);
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-[14.5px]">
        <caption className="sr-only">Fat, sweetness, alcohol, air and density of every part</caption>
        <thead>
          <tr className="text-[13.5px] text-ink-soft">
            {HEADS.map((h, i) => (
              <th key={h} scope="col" className={`py-1 font-normal whitespace-nowrap ${i === 0 ? 'text-left' : 'pl-3 text-right'} ${h === 'density' || h === 'alcohol' ? 'max-sm:hidden' : ''}`}>
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
              <Cell>{withUnit(plainNumber(s.mixture.massG, 0), 'g')}</Cell>
              <Cell>{withUnit(plainNumber((100 * fatG(s.mixture)) / s.mixture.massG, 1), '%')}</Cell>
              <Cell>
                <FigureButton figure={sweetnessFigure(s, 'Sweetness of a mouthful')} />
              </Cell>
              <Cell hide>{s.abvPct > 0.05 ? withUnit(plainNumber(s.abvPct, 1), '%') : '–'}</Cell>
              <Cell>–</Cell>
              <Cell hide>{s.volumeMl.ok && s.volumeMl.value > 0 ? withUnit(plainNumber(s.mixture.massG / s.volumeMl.value, 2), 'g/mL') : '–'}</Cell>
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

function PartRow({ a }: { readonly a: PartAnalysis }) {
  const { mixture } = a.reading;
  const inBowl = isWhippedKind(a.part.kind) && a.fatPct !== null;
  const density = a.foamMl.ok && a.foamMl.value > 0 ? mixture.massG / a.foamMl.value : densityGPerMl(mixture, 20);
  return (
    <tr className="border-t border-steel-light align-baseline">
      <th scope="row" className="py-1.5 text-left font-normal">
        {a.part.name}
      </th>
      <Cell>{withUnit(plainNumber(mixture.massG, 0), 'g')}</Cell>
      <Cell>{inBowl && a.fatPct !== null ? <FigureButton figure={fatFigure(a, a.fatPct)} /> : withUnit(plainNumber((100 * fatG(mixture)) / mixture.massG, 1), '%')}</Cell>
      <Cell>
        <FigureButton figure={sweetnessFigure({ mixture, sweetness: a.sweetness }, `Sweetness of ${a.part.name}`)} />
      </Cell>
      <Cell hide>{a.abvPct > 0.05 ? withUnit(plainNumber(a.abvPct, 1), '%') : '–'}</Cell>
      <Cell>{a.overrunPct.ok && a.overrunPct.value >= 1 ? withUnit(plainNumber(a.overrunPct.value, 0), '%') : '–'}</Cell>
      <Cell hide>{density ? withUnit(plainNumber(density, 2), 'g/mL') : '–'}</Cell>
    </tr>
  );
}

const Cell = ({ hide = false, children }: { readonly hide?: boolean; readonly children: React.ReactNode }) => <td className={`fig py-1.5 pl-3 text-right whitespace-nowrap ${hide ? 'max-sm:hidden' : ''}`}>{children}</td>;
