'use client';

import { useState } from 'react';
import type { Copy } from '../../../data/copies';
import type { SinceCopy } from '../../../data/since-copy';
import { askServer, refusal } from '../../../ui/ask-server';
import { ClockTime } from '../../../ui/clock-time';
import { sinceSays, sizeSays } from './copy-words';

type State =
  | { readonly kind: 'closed' }
  | { readonly kind: 'open'; readonly says: readonly string[] }
  | { readonly kind: 'going' }
  | { readonly kind: 'not'; readonly says: string };

/** One copy: when, how large, what going back to it would undo, and the going back. */
export function CopyRow({ copy }: { readonly copy: Copy }) {
  const [state, setState] = useState<State>({ kind: 'closed' });
  const at = `/api/copies/${copy.name}`;
  const not = (error: unknown) => setState({ kind: 'not', says: refusal(error) });
  const look = () => {
    if (state.kind === 'open') return setState({ kind: 'closed' });
    askServer<SinceCopy>(`${at}/since`, 'GET').then((since) => setState({ kind: 'open', says: sinceSays(since) }), not);
  };
  const goBack = () => {
    setState({ kind: 'going' });
    // Every page holds what is no longer so: all is read anew.
    askServer<Copy>(`${at}/go-back`, 'POST').then(() => window.location.reload(), not);
  };
  return (
    <li className="border-t border-steel-light py-1">
      <div className="flex items-center gap-4">
        <span className="min-w-0 flex-1">
          <ClockTime at={copy.at} withDate />
        </span>
        <span className="fig text-ink-soft">{sizeSays(copy.bytes)}</span>
        <button
          type="button"
          className="min-h-9 w-[110px] text-right underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11"
          aria-expanded={state.kind === 'open'}
          onClick={look}
        >
          what differs
        </button>
      </div>
      {state.kind === 'open' && (
        <div role="group" aria-label="Going back to this copy" className="mb-2 border-l-2 border-yolk pl-3 text-[15px]">
          {state.says.length === 0 ? (
            <p>Nothing: the kitchen is as it was then.</p>
          ) : (
            <>
              <p className="text-ink-soft">Going back to it:</p>
              {state.says.map((s) => (
                <p key={s} className="[overflow-wrap:anywhere]">
                  {s}
                </p>
              ))}
              <button type="button" className="btn mt-2" onClick={goBack}>
                Go back to this copy
              </button>
              <p className="mt-1 text-[13.5px] text-ink-soft">What stands here now becomes a copy first: you can come back to it.</p>
            </>
          )}
        </div>
      )}
      <p role="status" className={`text-[14.5px] empty:hidden ${state.kind === 'not' ? 'text-beet' : ''}`}>
        {state.kind === 'going' ? 'Going back…' : state.kind === 'not' ? state.says : ''}
      </p>
    </li>
  );
}
