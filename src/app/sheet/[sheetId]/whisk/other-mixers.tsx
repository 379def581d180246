'use client';

import { showRoughSeconds } from '../../../../core/figure';
import { stopWindow, whip } from '../../../../core/foam/whisk';
import type { PartAnalysis } from '../../../../core/sheet/analyse';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The same cream in every mixer of the kitchen: a few sums each, so they are done here and not in the worker. */
export function OtherMixers({ a }: { readonly a: PartAnalysis }) {
  const { kitchen } = useSheet();
  const input = a.whiskInput.ok ? a.whiskInput.value : null;
  if (!input) return null;
  const { target } = input;
  return (
    <table className="mt-3 w-full border-t border-steel text-[14px]">
      <caption className="pt-2.5 pb-1 text-left font-figure text-[15px] font-[650]">To {target} in each mixer</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">mixer</th>
          <th scope="col">to {target}</th>
          <th scope="col">stop window</th>
        </tr>
      </thead>
      <tbody>
        {kitchen.mixers.map((m) => {
          const made = whip({ ...input, mixer: m.kind, bowlMl: m.bowlMl });
          const window = made.ok ? stopWindow(made.value, target) : null;
          return (
            <tr key={m.id} className="border-t border-steel-light align-baseline">
              <th scope="row" className={`py-1.5 pr-3 text-left font-normal ${m.id === a.part.whisk.mixerId ? 'font-semibold!' : ''}`}>
                {m.name}
              </th>
              <td className="fig py-1.5 pr-3 text-right">{window ? showRoughSeconds(window.opensS) : 'never'}</td>
              <td className="py-1.5 text-right whitespace-nowrap text-ink-soft">{window?.closesS != null ? `${showRoughSeconds(window.closesS - window.opensS)} to stop` : window ? 'no hurry' : ''}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
