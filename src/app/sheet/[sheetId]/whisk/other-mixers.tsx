'use client';

import type { ReactNode } from 'react';
import { showRoughSeconds } from '../../../../core/figure';
import { eggBowlfulsNeeded, eggWhip, type EggWhiskInput } from '../../../../core/foam/egg-whisk';
import { bowlfulsNeeded, stopWindow, whip, type StopWindow } from '../../../../core/foam/whisk';
import type { PartAnalysis } from '../../../../core/sheet/analyse';
import { correctedWhip, learntFor } from '../../../../core/sheet/learnt';
import type { Mixer } from '../../../../core/sheet/schema';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

interface InMixer {
  readonly window: StopWindow | null;
  readonly bowlfuls: number | null;
  readonly why: string;
}

/** The same foam in every mixer of the kitchen, split so that each bowlful fits: a few sums each, so they are done here. */
export function OtherMixers({ a }: { readonly a: PartAnalysis }) {
  const { kitchen } = useSheet();
  const cream = a.whiskInput.ok ? a.whiskInput.value : null;
  const egg: Omit<EggWhiskInput, 'mixer' | 'bowlMl' | 'batches'> | null = a.eggFoam && { foam: a.eggFoam.foam, speed: a.part.whisk.speed, mixMl: a.mixMl, eggC: a.part.heat.eggC };
  if (!cream && !egg) return null;
  const stage = egg && a.eggWhip?.ok ? a.eggWhip.value.right : a.part.whisk.stage;
  const of = (m: Mixer): InMixer => {
    if (egg) {
      const bowlfuls = eggBowlfulsNeeded({ ...egg, mixer: m.kind, bowlMl: m.bowlMl });
      const made = eggWhip({ ...egg, mixer: m.kind, bowlMl: m.bowlMl, batches: bowlfuls ?? 1 });
      return { window: made.ok ? made.value.window : null, bowlfuls, why: made.ok ? '' : made.fault.code === 'no-air' ? 'brings no air' : 'too small' };
    }
    const inMixer = { ...cream!, mixer: m.kind, bowlMl: m.bowlMl };
    const first = whip({ ...inMixer, batches: 50 });
    const bowlfuls = first.ok ? bowlfulsNeeded(inMixer, first.value.reachablePct) : null;
    const made = bowlfuls === null ? first : whip({ ...inMixer, batches: bowlfuls });
    const time = learntFor(kitchen.corrections, 'whisk-time', m.id)?.factor ?? 1;
    return { window: made.ok ? stopWindow(correctedWhip(made.value, time, 1), inMixer.target) : null, bowlfuls, why: bowlfuls === null ? 'too small' : 'never' };
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
            to stop in
          </th>
        </tr>
      </thead>
      <tbody>
        {kitchen.mixers.map((m) => {
          const { window, bowlfuls, why } = of(m);
          return (
            <tr key={m.id} className="border-t border-steel-light align-baseline">
              <th scope="row" className={`py-1.5 pr-1 text-left font-normal ${bold(m)}`}>
                {m.name}
              </th>
              {cell(window && bowlfuls !== null ? bowlfuls : '–', 'fig')}
              {cell(window ? showRoughSeconds(window.opensS) : why, window ? 'fig' : 'text-ink-soft')}
              {cell(window?.closesS != null ? showRoughSeconds(window.closesS - window.opensS) : window ? 'wide' : '', 'text-ink-soft')}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
