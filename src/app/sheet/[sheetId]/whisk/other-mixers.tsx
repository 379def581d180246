'use client';

import type { ReactNode } from 'react';
import { showRoughSeconds } from '../../../../core/figure';
import type { EggWhiskInput } from '../../../../core/foam/egg-whisk';
import { creamInMixer, eggInMixer, type InMixer } from '../../../../core/foam/mixers';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { correctedWhip, learntFor } from '../../../../core/analysis/learnt';
import type { Mixer } from '../../../../core/kitchen/schema';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

const WHY: Readonly<Record<Extract<InMixer, { bowlfuls: null }>['why'], string>> = {
  'too-small': 'too small',
  'not-reached': 'wires too high',
  never: 'never',
  'no-air': 'brings no air',
};

/** The same foam in every mixer of the kitchen, split so that each bowlful fits: a few sums each, so they are done here. */
export function OtherMixers({ a }: { readonly a: PartAnalysis }) {
  const { kitchen } = useSheet();
  const cream = a.whiskInput.ok ? a.whiskInput.value : null;
  const egg: Omit<EggWhiskInput, 'mixer' | 'bowlMl' | 'batches'> | null = a.eggFoam && {
    foam: a.eggFoam.foam,
    speed: a.part.whisk.speed,
    mixMl: a.mixMl,
    eggC: a.part.heat.eggC,
  };
  if (!cream && !egg) return null;
  const stage = egg && a.eggWhip?.ok ? a.eggWhip.value.right : a.part.whisk.stage;
  const of = (m: Mixer): InMixer => {
    if (egg) return eggInMixer({ ...egg, mixer: m.kind, bowlMl: m.bowlMl });
    const time = learntFor(kitchen.corrections, 'whisk-time', m.id)?.factor ?? 1;
    return creamInMixer({ ...cream!, mixer: m.kind, bowlMl: m.bowlMl }, (w) => correctedWhip(w, time, 1));
  };
  const bold = (m: Mixer): string => (m.id === a.part.whisk.mixerId ? 'font-semibold!' : '');
  const cell = (text: ReactNode, more = ''): ReactNode => <td className={`py-1.5 pl-3 text-right whitespace-nowrap ${more}`}>{text}</td>;
  return (
    <table className="mt-3 w-full border-t border-steel text-[14px]">
      <caption className="pt-2.5 pb-1 text-left font-figure text-[15px] font-[650]">To {stage} in each mixer</caption>
      <thead className="text-[13px] text-ink-soft">
        <tr>
          <th scope="col" className="sr-only">
            mixer
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            bowlfuls
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            each
          </th>
          <th scope="col" className="pl-3 text-right font-normal whitespace-nowrap">
            window
          </th>
        </tr>
      </thead>
      <tbody>
        {kitchen.mixers.map((m) => {
          const made = of(m);
          const window = made.bowlfuls === null ? null : made.window;
          return (
            <tr key={m.id} className="border-t border-steel-light align-baseline">
              <th scope="row" className={`py-1.5 pr-1 text-left font-normal ${bold(m)}`}>
                {m.name}
              </th>
              {cell(made.bowlfuls ?? '–', 'fig')}
              {cell(made.bowlfuls === null ? WHY[made.why] : showRoughSeconds(made.window.opensS), window ? 'fig' : 'text-ink-soft')}
              {cell(window?.closesS != null ? showRoughSeconds(window.closesS - window.opensS) : window ? 'wide' : '', 'text-ink-soft')}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
