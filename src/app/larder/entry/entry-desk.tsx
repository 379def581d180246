'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { KnownScreen } from '../../../entry/entry';
import { askServer, refusal } from '../../../ui/ask-server';
import { CameraSquare } from '../../../ui/camera-square';
import { ClockTime } from '../../../ui/clock-time';
import { PassphraseForm } from './passphrase-form';

interface EntryDeskProps {
  readonly locked: boolean;
  /** Set where the server is started. */
  readonly fixed: boolean;
  readonly screens: readonly KnownScreen[];
  /** The screen that asks. */
  readonly mine: string;
}

interface Code {
  readonly code: string;
  readonly until: number;
  readonly url: string;
  readonly svg: string;
  /** Its address is this machine's own, which no other reaches. */
  readonly here: boolean;
}

/** The screens that are in, how another comes in, and the passphrase. */
export function EntryDesk({ locked, fixed, screens, mine }: EntryDeskProps) {
  const router = useRouter();
  const [code, setCode] = useState<Code | null>(null);
  const [trouble, setTrouble] = useState('');
  const act = (run: () => Promise<void>) => () => {
    setTrouble('');
    void run().catch((error: unknown) => setTrouble(refusal(error)));
  };
  const putOut = (id: string) =>
    act(async () => {
      await askServer(`/api/entry/screens/${id}`, 'DELETE');
      router.refresh();
    });
  if (!locked) {
    return (
      <>
        <p className="max-w-[60ch] pt-5 text-[19px]">Whoever sits at this machine is in. Other machines get no answer.</p>
        <p className="mt-2 max-w-[60ch] text-ink-soft">
          For tablets in the kitchen, set a passphrase here, then start the server with <code>SOFT_PEAK_HOST=0.0.0.0</code>.
        </p>
        <PassphraseForm change={false} onSet={() => router.refresh()} />
      </>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 pt-5">
        <button type="button" className="btn btn-act" onClick={act(async () => setCode(await askServer<Code>('/api/entry/code', 'POST')))}>
          Let a tablet in
        </button>
        {screens.length > 1 && (
          <button
            type="button"
            className="btn"
            onClick={act(async () => {
              await askServer('/api/entry/screens', 'DELETE');
              router.refresh();
            })}
          >
            Put all others out
          </button>
        )}
        <button
          type="button"
          className="btn"
          onClick={act(async () => {
            await askServer('/api/entry/leave', 'POST');
            window.location.reload();
          })}
        >
          Go out here
        </button>
      </div>
      <p role="alert" className="text-beet empty:hidden">
        {trouble}
      </p>
      {code && (
        <section aria-label="Code for a tablet" className="flex flex-wrap items-center gap-x-8 gap-y-4 pt-6">
          {!code.here && <CameraSquare svg={code.svg} url={code.url} />}
          <div>
            <p className="fig text-[44px] leading-none font-[650] tracking-[0.06em]">{code.code}</p>
            <p className="mt-3">
              Lets one screen in, until <ClockTime at={code.until} />.
            </p>
            <p className="mt-1 max-w-[44ch] text-[14.5px] text-ink-soft">
              {code.here
                ? 'This screen speaks to the server by its own machine’s name; on the tablet, open the server’s address in the kitchen’s network and type the code.'
                : `Photograph the square, or open ${new URL(code.url).host} and type the code.`}
            </p>
          </div>
        </section>
      )}
      <ul aria-label="Screens that come in" className="mt-6 border-b border-steel">
        {screens.map((s) => (
          <li
            key={s.id}
            className="grid min-h-[54px] grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 border-t border-steel py-1 sm:grid-cols-[minmax(0,1fr)_170px_170px_80px]"
          >
            <span className="min-w-0 truncate text-[17px]">
              <b className="font-[600]">{s.name}</b>
              {s.id === mine && <span className="text-ink-soft"> this screen</span>}
            </span>
            <span className="text-[14.5px] text-ink-soft max-sm:col-start-1">
              in since <ClockTime at={s.since} withDate />
            </span>
            <span className="text-[14.5px] text-ink-soft max-sm:col-start-1">
              seen <ClockTime at={s.seen} withDate />
            </span>
            <span className="text-right max-sm:col-start-2 max-sm:row-start-1">
              {s.id !== mine && (
                <button
                  type="button"
                  className="min-h-11 underline decoration-dotted underline-offset-4 hover:text-beet"
                  aria-label={`Put ${s.name} out`}
                  onClick={putOut(s.id)}
                >
                  put out
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {fixed ? (
        <p className="mt-6 max-w-[60ch] text-ink-soft">
          The passphrase is set where the server is started (<code>SOFT_PEAK_PASSPHRASE</code>). Changed there, every screen gives it anew.
        </p>
      ) : (
        <PassphraseForm change onSet={() => router.refresh()} />
      )}
    </>
  );
}
