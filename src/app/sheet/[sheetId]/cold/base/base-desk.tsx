'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { BaseAnswer, BaseInput, BaseWay } from '../../../../../core/cold/base';
import { COLD_SPREAD } from '../../../../../core/cold/house';
import { airNow } from '../../../../../core/kitchen/place';
import { plainNumber, showGrams, showHours, withUnit } from '../../../../../core/figure';
import { STIRRED_SPREAD } from '../../../../../core/heat/stirred';
import { coolingRulesOf } from '../../../../../core/heat/cooling';
import type { Result } from '../../../../../core/result';
import { Choice } from '../../../../../ui/choice';
import { QuantityField } from '../../../../../ui/quantity-field';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { coreWith } from '../../../../../workers/core-service';
import { ColdPages } from '../../../../cold/cold-pages';
import { useSetup } from '../cold-desk';

const COOKED = ['custard', 'fruit-base', 'chocolate-base', 'set-filling'] as const;

/** Cooked bases: down through the warm band in time, by ice bath, tray or pan. */
export function BaseDesk() {
  const { id, doc, kitchen } = useSheet();
  const analysis = useAnalysis();
  const [setup] = useSetup();
  const parts = analysis.parts.filter((a) => (COOKED as readonly string[]).includes(a.part.kind) && a.reading.mixture.massG > 0);
  const cooked = parts.filter((a) => a.part.kind === 'custard').concat(parts.filter((a) => a.part.kind !== 'custard'));
  const [partId, setPart] = useState<string | null>(null);
  const part = cooked.find((a) => a.part.id === partId) ?? cooked[0];
  const [startC, setStart] = useState(85);
  const [panMm, setPan] = useState(220);
  const [depthMm, setDepth] = useState(40);
  const rules = coolingRulesOf(kitchen.rules.cooling);
  const [ruleKey, setRule] = useState(rules[0]!.key);
  const rule = rules.find((r) => r.key === ruleKey) ?? rules[0]!;
  const air = airNow(
    kitchen,
    { ...setup, placeId: setup.placeId && kitchen.places.some((p) => p.id === setup.placeId && p.airC > -1 && p.kind !== 'counter') ? setup.placeId : null },
    'pudding',
  );
  const [answer, setAnswer] = useState<Result<BaseAnswer> | null>(null);
  const asked = useRef(0);
  const question =
    part && air.ok
      ? JSON.stringify([
          part.part.id,
          startC,
          {
            panMm,
            depthMm,
            placeH: air.value.h,
            placeC: air.value.airC,
            placeName: air.value.name,
            placeUaWPerK: air.value.uaWPerK,
            roomC: kitchen.rules.roomC,
          },
          rule,
        ])
      : null;
  useEffect(() => {
    if (!question) return;
    const mine = ++asked.current;
    const [pId, from, input, by] = JSON.parse(question) as [string, number, BaseInput, typeof rule];
    const ask = async () => {
      const core = await coreWith(kitchen);
      const found: Result<BaseAnswer> = await core.base(doc, pId, from, input, by);
      if (mine === asked.current) setAnswer(found);
    };
    void ask();
  }, [question, doc, kitchen]);
  return (
    <SheetFrame station="Cold">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <ColdPages sheetId={id} here="base" />
      </div>
      {!part ? (
        <div className="px-4 py-6 md:px-6">
          <p className="mb-4 max-w-[60ch] text-[19px]">
            Nothing in this sheet is cooked and cooled: a custard, a fruit base or a chocolate base would stand here.
          </p>
          <Link href={`/sheet/${id}/bench`} className="btn btn-act">
            To Bench
          </Link>
        </div>
      ) : (
        <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
          <section aria-label="Ways to cool it" className="px-4 pt-4 pb-8 md:px-6">
            {!air.ok ? (
              <p className="text-[19px] text-beet">{air.fault.says}</p>
            ) : answer === null ? (
              <p className="text-ink-soft">Working it out…</p>
            ) : !answer.ok ? (
              <p className="text-[19px] text-beet">{answer.fault.says}</p>
            ) : (
              <>
                <p className="pb-3 text-[20px] leading-snug">
                  {answer.value.depthMm.ok ? (
                    <>
                      In a tray it may lie{' '}
                      <span className="fig text-[22px]" data-depth-mm={answer.value.depthMm.value.toFixed(1)}>
                        {withUnit(plainNumber(answer.value.depthMm.value, 0), 'mm')}
                      </span>{' '}
                      deep in the {air.value.name.toLowerCase()} and still meet the rule.
                    </>
                  ) : (
                    <span className="text-beet">{answer.value.depthMm.fault.says}</span>
                  )}
                </p>
                {answer.value.ways.map((w) => (
                  <Way key={w.key} way={w} />
                ))}
                <p className="pt-3 text-[14px] text-ink-soft">
                  Stirred: ±{Math.round(100 * STIRRED_SPREAD)}&nbsp;%; in the place: ±{Math.round(100 * COLD_SPREAD)}&nbsp;%, and a warm pan warms what stands
                  beside it. The rule is a usual one, not your law: follow your local food code{kitchen.rules.authority ? ` (${kitchen.rules.authority})` : ''}{' '}
                  and measure with a probe.
                </p>
              </>
            )}
          </section>
          <aside aria-label="Base and rule" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
            <div className="grid grid-cols-2 items-end gap-x-4 gap-y-3">
              <div className="col-span-2">
                <Choice
                  label="What is cooled"
                  value={part.part.id}
                  options={cooked.map((a) => [a.part.id, `${a.part.name}, ${showGrams(a.reading.mixture.massG)}`] as const)}
                  onChange={setPart}
                />
              </div>
              <QuantityField label="Off the hob at" unit="°C" value={startC} min={5} max={110} onChange={setStart} />
              <QuantityField label="Pan, inside" unit="mm" value={panMm} min={60} max={1000} onChange={setPan} />
              <QuantityField label="In a tray, deep" unit="mm" value={depthMm} min={2} max={300} onChange={setDepth} />
              <div className="col-span-2">
                <Choice label="Against" value={rule.key} options={rules.map((r) => [r.key, r.name] as const)} onChange={setRule} />
              </div>
            </div>
            <p className="mt-4 border-t border-steel-light pt-2.5 text-[13.5px] text-ink-soft">
              The place is the one of How long. Your authority’s figures are entered in the Larder, with the rules. Do not put a hot pan beside cream.
            </p>
          </aside>
        </div>
      )}
    </SheetFrame>
  );
}

function Way({ way: w }: { readonly way: BaseWay }) {
  const end = w.curve.at(-1)![0];
  const high = Math.max(...w.curve.map(([, t]) => t));
  const path = w.curve.map(([m, t], i) => `${i === 0 ? 'M' : 'L'}${((600 * m) / end).toFixed(1)} ${(110 * (1 - t / high)).toFixed(1)}`).join('');
  return (
    <section aria-label={w.name} className="border-t border-steel py-3" data-way={w.key} data-meets={w.meets}>
      <h2 className="text-[17px]">
        {w.name.charAt(0).toUpperCase() + w.name.slice(1)}: <span className={w.meets ? 'text-fern-ink' : 'text-beet'}>{w.meets ? 'meets it' : 'too slow'}</span>
      </h2>
      <ul className="flex flex-wrap gap-x-6 text-[15px]">
        {w.verdict.stages.map((s) => (
          <li key={s.toC}>
            to {s.toC}&nbsp;°C:{' '}
            <span className={`fig ${s.state === 'met' ? '' : 'text-beet'}`}>{s.tookMin === null ? 'never' : showHours(s.tookMin / 60)}</span>{' '}
            <span className="text-ink-soft">of {showHours(s.withinMin / 60)}</span>
          </li>
        ))}
      </ul>
      <svg
        viewBox="0 -4 600 118"
        preserveAspectRatio="none"
        className="mt-1 h-[84px] w-full"
        role="img"
        aria-label={`From ${Math.round(high)} °C over ${showHours(end / 60)}`}
      >
        <rect
          x={0}
          y={110 * (1 - Math.min(1, 60 / high))}
          width={600}
          height={Math.max(0, 110 * (1 - 5 / high) - 110 * (1 - Math.min(1, 60 / high)))}
          fill="var(--color-yolk-pale)"
        />
        <path d={path} fill="none" stroke="var(--color-ink)" strokeWidth={2} vectorEffect="non-scaling-stroke" />
      </svg>
      <p className="flex justify-between text-[13px] text-ink-soft">
        <span>{withUnit(plainNumber(high, 0), '°C')} at once</span>
        <span>shaded: 60 to 5 °C</span>
        <span>{showHours(end / 60)}</span>
      </p>
    </section>
  );
}
