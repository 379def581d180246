'use client';

import { showGrams } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { gelatinForStrength } from '../../../../core/setting/gelatin';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** What the gelatin of a sheet would be in the kitchen's others, by each school of counting. */
export function SetterSchools({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { kitchen } = useSheet();
  const line = s.parts.flatMap((a) => a.reading.lines).find((l) => l.ingredient?.bloom && l.read);
  const here = line?.ingredient;
  if (!line?.read || !here?.bloom) return null;
  const fromG = line.read.massG;
  const bloom = here.bloom;
  const others = [...kitchen.larder.values()].filter((i) => i.bloom !== null && i.id !== here.id);
  const shown = (g: { readonly ok: true; readonly value: number } | { readonly ok: false }): string => (g.ok ? showGrams(Math.round(10 * g.value) / 10) : '–');
  return (
    <details className="border-t border-steel-light pt-1.5">
      <summary className="min-h-8 cursor-pointer text-[14px] text-ink-soft hover:text-ink">
        {showGrams(fromG)} of {here.name.toLowerCase()} in another gelatin, by three schools
      </summary>
      <table className="w-full text-[14px]">
        <thead>
          <tr className="text-[13.5px] text-ink-soft">
            <th scope="col" className="py-1 text-left font-normal">
              gelatin
            </th>
            <th scope="col" className="py-1 pl-3 text-right font-normal">
              square root
            </th>
            <th scope="col" className="py-1 pl-3 text-right font-normal">
              linear
            </th>
            <th scope="col" className="py-1 pl-3 text-right font-normal">
              leaf for leaf
            </th>
          </tr>
        </thead>
        <tbody>
          {others.map((i) => (
            <tr key={i.id} className="border-t border-steel-light align-baseline">
              <th scope="row" className="py-1 text-left font-normal">
                {i.name}
              </th>
              <td className="fig py-1 pl-3 text-right">{shown(gelatinForStrength(fromG, bloom, i.bloom!, 'square-root'))}</td>
              <td className="fig py-1 pl-3 text-right">{shown(gelatinForStrength(fromG, bloom, i.bloom!, 'linear'))}</td>
              <td className="fig py-1 pl-3 text-right">
                {here.piece?.name === 'leaf' && i.piece?.name === 'leaf'
                  ? shown(gelatinForStrength(fromG, bloom, i.bloom!, 'leaf-for-leaf', { fromG: here.piece.grams, toG: i.piece.grams }))
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
