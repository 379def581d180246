'use client';

import { plainNumber, showRoughSeconds, withUnit } from '../../../../core/figure';
import { whiskChoices, whiskingWarmsC } from '../../../../core/foam/whisk-choices';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { correctedWhip } from '../../../../core/analysis/learnt';
import { inRoomBowlC } from '../../../../core/analysis/warmth';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** So warm is a kitchen in summer, and a cream from a fridge that is opened all day, °C. */
const WARM = { room: 28, cream: 10 };

/** The same cream done another way: what it costs and what it buys. */
export function WhatChanges({ a }: { readonly a: PartAnalysis }) {
  const { kitchen } = useSheet();
  const input = a.whiskInput.ok ? a.whiskInput.value : null;
  if (!input || !a.window.ok) return null;
  const roomBowlC = inRoomBowlC(a, kitchen.rules.roomC);
  const { time, air } = a.learnt;
  const rows = whiskChoices(input, {
    correct: (w) => correctedWhip(w, time?.factor ?? 1, air?.factor ?? 1),
    roomBowlC,
    warmRoomC: WARM.room,
    warmCreamC: WARM.cream,
  });
  const warmed = whiskingWarmsC(input.creamC, kitchen.rules.roomC, a.window.value.opensS);
  return (
    <div className="mt-4 border-t border-steel pt-2.5">
      <table className="w-full text-[14px]">
        <caption className="pb-1 text-left font-figure text-[15px] font-[650]">Done another way</caption>
        <thead className="text-[13px] text-ink-soft">
          <tr>
            <th scope="col" className="sr-only">
              way
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              {input.target}
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              window
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              air
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.key} className="border-t border-steel-light align-baseline" data-choice={r.key}>
              <th scope="row" className={`py-1.5 text-left font-normal ${r.key === 'planned' ? 'font-semibold!' : ''}`}>
                {r.name}
                {r.key === 'bowl' && <span className="block text-[13px] text-ink-soft">cream then at {withUnit(plainNumber(r.creamC, 0), '°C')}</span>}
              </th>
              <td className="fig py-1.5 pl-3 text-right whitespace-nowrap">{r.opensS === null ? 'never' : showRoughSeconds(r.opensS)}</td>
              <td className="py-1.5 pl-3 text-right whitespace-nowrap">
                {r.opensS === null ? '' : r.widthS === null ? 'no hurry' : showRoughSeconds(r.widthS)}
              </td>
              <td className="fig py-1.5 pl-3 text-right whitespace-nowrap">{r.overrunPct === null ? '' : withUnit(plainNumber(r.overrunPct, 0), '%')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1.5 text-[13.5px] text-ink-soft">
        Whisking warms it by about {withUnit(plainNumber(warmed, 1), '°C')} here, at {withUnit(plainNumber(kitchen.rules.roomC, 0), '°C')} in the room.
      </p>
    </div>
  );
}
