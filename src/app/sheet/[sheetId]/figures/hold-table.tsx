'use client';

import { showFigure, type Figure } from '../../../../core/figure';
import { COOL_BOX_C, FROZEN_MONTHS } from '../../../../core/foam/house';
import { holdOf } from '../../../../core/foam/hold';
import { WISHED_STAGES } from '../../../../core/foam/kinds';
import { holdInputOf, mainPart } from '../../../../core/analysis/analyse';
import type { PartAnalysis, SheetAnalysis } from '../../../../core/analysis/analysed';
import { isWhippedKind } from '../../../../core/document/kinds';
import { correctedHold, holdRange } from '../../../../core/analysis/learnt';
import { holdFigure } from '../../../../core/tells/figures';
import { FigureButton } from '../../../../ui/figure-button';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

const planned = (a: PartAnalysis, stage: string): boolean => isWhippedKind(a.part.kind) && stage === a.part.whisk.stage;
const wordOf = (figure: Figure): string => showFigure(figure);

/** Hours by place, after each way of finishing the whisk: the shorter of shape and keeping. */
export function HoldTable({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { kitchen } = useSheet();
  const a = served(s);
  if (!a || a.fatPct === null || a.reading.dairyG <= 0)
    return <p className="pb-1 text-[14.5px] text-ink-soft">There is no whipped cream in this that could fall; it keeps as its parts do.</p>;
  const { fatPct } = a;
  const places: readonly (readonly [string, number])[] = [
    ['fridge', kitchen.rules.fridgeC],
    ['cool box', COOL_BOX_C],
    ['counter', kitchen.rules.roomC],
  ];
  return (
    <table className="mb-2 w-full text-[14.5px]">
      <caption className="pb-0.5 text-left text-[14px] text-ink-soft">
        {a.part.name}, until the first drop of whey or a softened edge, never longer than it may be kept
      </caption>
      <thead>
        <tr className="text-[13.5px] text-ink-soft">
          <th scope="col" className="py-1 text-left font-normal">
            whisked to
          </th>
          {places.map(([name, tC]) => (
            <th key={name} scope="col" className="py-1 pl-3 text-right font-normal whitespace-nowrap">
              {name}, {tC}&nbsp;°C
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {WISHED_STAGES.map((stage) => (
          <tr key={stage} className="border-t border-steel-light align-baseline">
            <th scope="row" className={`py-1.5 text-left ${planned(a, stage) ? 'font-semibold' : 'font-normal'}`}>
              {stage}
              {planned(a, stage) ? ', as planned' : ''}
            </th>
            {places.map(([name, tC]) => {
              const part = { ...a.part, whisk: { ...a.part.whisk, stage } };
              const hold = holdOf(holdInputOf(part, a.reading, fatPct, tC, kitchen.rules, a.rawEgg));
              if (!hold.ok)
                return (
                  <td key={name} className="py-1.5 pl-3 text-right text-[13.5px] text-ink-soft">
                    no figure
                  </td>
                );
              const corrected = correctedHold(hold.value, a.learnt.hold);
              const figure = holdFigure(`hold:${name}:${stage}`, `Hold, ${stage}, ${name}`, corrected, { ...a, part }, tC);
              return (
                <td key={name} className="fig py-1.5 pl-3 text-right">
                  <FigureButton
                    figure={figure}
                    shown={holdRange(a, corrected.cleanH)[0] >= corrected.keepingH ? `${corrected.keepingH}\u00a0h, rule` : wordOf(figure)}
                  />
                </td>
              );
            })}
          </tr>
        ))}
        {s.sheet.family === 'semifreddo' && (
          <tr className="border-t border-steel-light">
            <th scope="row" className="py-1.5 text-left font-normal">
              frozen
            </th>
            <td colSpan={3} className="py-1.5 pl-3 text-right">
              {FROZEN_MONTHS}&nbsp;months, the usual rule
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

/** The cream whose hold is asked: what is served of it, or the first that is whipped. */
function served(s: SheetAnalysis): PartAnalysis | null {
  const withDairy = s.parts.filter((a) => a.holdFridge.ok && a.leftShare > 0.4);
  return [...withDairy].sort((x, y) => y.leftG - x.leftG)[0] ?? (mainPart(s).holdFridge.ok ? mainPart(s) : null);
}
