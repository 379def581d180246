'use client';

import Link from 'next/link';
import { useState } from 'react';
import { SIGN_WORDS, signsFor, type SignId } from '../../core/mend/words';
import { ClockTime } from '../../ui/clock-time';
import { Frame } from '../../ui/frame';
import { SignDrawing } from '../../ui/mend/sign-drawing';

interface MendChoiceProps {
  readonly sign: SignId | null;
  /** Whether something was asked for that is no longer there. */
  readonly gone: boolean;
  readonly batches: readonly { readonly id: string; readonly name: string; readonly at: number; readonly status: 'running' | 'finished' | 'abandoned' }[];
  readonly sheets: readonly { readonly id: string; readonly name: string }[];
}

/** So many signs are offered for what was typed. */
const MOST_MEANT = 5;
const STATUS = { running: 'on the pass', finished: 'made', abandoned: 'left off' } as const;

/** Which dessert is it about? The batches at hand first. */
export function MendChoice({ sign, gone, batches, sheets }: MendChoiceProps) {
  const [said, setSaid] = useState('');
  const meant = said.trim().length > 2 ? signsFor(said).slice(0, MOST_MEANT) : [];
  const to = (of: string): string => `/mend?${of}${sign ? `&sign=${sign}` : ''}`;
  const row = 'flex min-h-12 items-baseline justify-between gap-4 border-t border-steel-light py-2.5 text-[16.5px] hover:bg-yolk-pale';
  return (
    <Frame
      station="Mend"
      sheetId={null}
      heading={<h1 className="text-[20px]">Mend</h1>}
      right={
        <Link href="/mend/eye" className="btn">
          Train the eye
        </Link>
      }
    >
      <div className="grid gap-x-12 gap-y-6 px-4 py-6 md:px-8 lg:grid-cols-2">
        <div className="col-span-full flex items-center gap-4">
          {sign && <SignDrawing sign={sign} className="h-14 w-20 shrink-0" />}
          <p className="text-[20px]">
            {gone ? 'That is no longer in the kitchen. ' : ''}
            {sign ? (
              <>
                Which dessert is it: <b className="font-[650]">{SIGN_WORDS[sign].name}</b>?
              </>
            ) : (
              'Which dessert is it about?'
            )}
          </p>
        </div>
        <section aria-label="In general" className="col-span-full">
          {sign ? (
            <Link href={`/mend?general=1&sign=${sign}`} className="btn">
              In general, for none of them
            </Link>
          ) : (
            <>
              <label className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[16.5px]">
                Or in general: what do you see?
                <input
                  value={said}
                  maxLength={60}
                  placeholder="grainy, split, weepy, stuck…"
                  onChange={(e) => setSaid(e.target.value)}
                  className="field w-64 text-[16px]"
                />
              </label>
              {said.trim().length > 2 && meant.length === 0 && (
                <p className="pt-2">No sign by that name. Say what you see, not what you did: runny, lumps, hard, cracked.</p>
              )}
              <ul className="max-w-[640px] pt-1">
                {meant.map((id) => (
                  <li key={id}>
                    <Link href={`/mend?general=1&sign=${id}`} className={row}>
                      <span className="font-[650]">{SIGN_WORDS[id].name}</span>
                      <span className="text-right text-[14px] text-ink-soft">{SIGN_WORDS[id].look}</span>
                    </Link>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        {batches.length > 0 && (
          <section aria-label="Batches">
            <h2 className="pb-1 text-[17px]">Batches, newest first</h2>
            <ul>
              {batches.map((b) => (
                <li key={b.id}>
                  <Link href={to(`batch=${b.id}`)} className={row}>
                    <span className={b.status === 'running' ? 'font-[650]' : ''}>{b.name}</span>
                    <span className="text-[14px] whitespace-nowrap text-ink-soft">
                      {STATUS[b.status]}, <ClockTime at={b.at} withDate />
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section aria-label="Sheets">
          <h2 className="pb-1 text-[17px]">Or a sheet, without a batch</h2>
          {sheets.length === 0 ? (
            <Link href="/new" className="btn btn-act mt-2">
              Start a new sheet
            </Link>
          ) : (
            <ul>
              {sheets.map((s) => (
                <li key={s.id}>
                  <Link href={to(`sheet=${s.id}`)} className={row}>
                    {s.name}
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
    </Frame>
  );
}
