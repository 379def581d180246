'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import type { InstrumentLine } from '../../instruments/wire';
import { feed, listen, type FeedState, type Heard } from './instrument-feed';

const NOTHING: FeedState = { devices: {}, open: false };

/** The instruments' last words while `on`. */
export function useInstruments(on: boolean): FeedState {
  useEffect(() => (on ? listen() : undefined), [on]);
  const state = useSyncExternalStore(feed.subscribe, feed.get, () => NOTHING);
  return on ? state : NOTHING;
}

/** Silent for longer than this a device is said to be, ms. */
export const SILENT_MS = 3000;

/** Devices of a kind, by name; those that share a name are told apart by the end of their serial. */
export function devicesOf(state: FeedState, instrument: InstrumentLine['instrument']): readonly (Heard & { readonly label: string; readonly twin: boolean })[] {
  const of = Object.values(state.devices).filter((d) => d.line.instrument === instrument);
  return of
    .map((d) => {
      const twin = of.some((o) => o !== d && o.line.name === d.line.name);
      return { ...d, twin, label: twin ? `${d.line.name} (…${d.line.id.slice(-3)})` : d.line.name };
    })
    .sort((a, b) => a.line.id.localeCompare(b.line.id));
}

/** What a hand does to the stand-ins; says why where it cannot. */
export function useStandIns(): { readonly act: (body: unknown) => Promise<boolean>; readonly trouble: string | null } {
  const [trouble, setTrouble] = useState<string | null>(null);
  const act = async (body: unknown): Promise<boolean> => {
    try {
      const answer = await fetch('/api/instruments', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
      const said = answer.ok ? null : ((await answer.json()) as { says?: string }).says;
      setTrouble(answer.ok ? null : (said ?? 'The stand-in did not take that.'));
      return answer.ok;
    } catch {
      setTrouble('The server does not answer.');
      return false;
    }
  };
  return { act, trouble };
}
