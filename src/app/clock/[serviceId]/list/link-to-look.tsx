'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { Eye } from 'lucide-react';
import { askServer, refusal } from '../../../../ui/ask-server';
import { CameraSquare } from '../../../../ui/camera-square';
import { ClockTime } from '../../../../ui/clock-time';
import { OpensPanel } from '../../../../ui/opens-panel';

interface Made {
  readonly until: number;
  readonly url: string;
  readonly svg: string;
  readonly here: boolean;
}

/** A link by which somebody without the passphrase may look at the day sheet, and at nothing else. */
export const LinkToLook = ({ serviceId }: { readonly serviceId: string }) => (
  <OpensPanel
    className="btn mt-2"
    panelLabel="Link to look"
    face={
      <>
        <Eye size={16} aria-hidden="true" /> Link to look
      </>
    }
    panel={() => <LinkPanel path={`/api/services/${serviceId}/link`} />}
  />
);

function LinkPanel({ path }: { readonly path: string }) {
  const [state, setState] = useState<{ readonly locked: boolean; readonly until: number | null } | null>(null);
  const [made, setMade] = useState<Made | null>(null);
  const [trouble, setTrouble] = useState('');
  const act = (run: () => Promise<void>) =>
    void run().then(
      () => setTrouble(''),
      (error: unknown) => setTrouble(refusal(error)),
    );
  useEffect(() => {
    let gone = false;
    void askServer<{ locked: boolean; until: number | null }>(path, 'GET').then(
      (s) => !gone && setState(s),
      (error: unknown) => !gone && setTrouble(refusal(error)),
    );
    return () => {
      gone = true;
    };
  }, [path]);
  const until = made?.until ?? state?.until ?? null;
  const make = () =>
    act(async () => {
      const answer = await askServer<Made>(path, 'POST');
      setMade(answer);
      setState({ locked: true, until: answer.until });
    });
  const takeBack = () =>
    act(async () => {
      await askServer(path, 'DELETE');
      setMade(null);
      setState({ locked: true, until: null });
    });
  return (
    <div className="grid gap-3">
      <p className="text-[15.5px]">Whoever has it sees this day sheet, as it stands, for a week. Nothing else, and nothing can be changed.</p>
      {state && !state.locked && (
        <p className="text-[15.5px]">
          Without a passphrase no other machine is answered:{' '}
          <Link href="/larder/entry" className="underline underline-offset-4">
            set one first
          </Link>
          .
        </p>
      )}
      {made && (
        <>
          {!made.here && <CameraSquare svg={made.svg} url={made.url} />}
          <input
            readOnly
            aria-label="Address of the link"
            value={made.url}
            className="field min-h-11 w-full text-[14px]"
            onFocus={(e) => e.currentTarget.select()}
          />
          {made.here && (
            <p className="text-[14px] text-ink-soft">
              This screen speaks to the server by its own machine’s name: put the server’s address in the kitchen’s network in its place.
            </p>
          )}
        </>
      )}
      {until !== null && (
        <p className="text-[15.5px]">
          {made ? 'Good' : 'There is a link, good'} until <ClockTime at={until} withDate />.
        </p>
      )}
      {state?.locked && (
        <div className="flex flex-wrap gap-2">
          {!made && (
            <button type="button" className="btn min-h-11" onClick={make}>
              {until === null ? 'Make a link' : 'A new one in its place'}
            </button>
          )}
          {until !== null && (
            <button type="button" className="btn min-h-11" onClick={takeBack}>
              Take it back
            </button>
          )}
        </div>
      )}
      <p role="alert" className="text-beet empty:hidden">
        {trouble}
      </p>
    </div>
  );
}
