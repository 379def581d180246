'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { READING_KINDS } from '../../../core/batch/readings';
import type { ReadingKind } from '../../../core/batch/method';
import { ClashQuestion } from '../../../ui/batch/clash-question';
import { makeBatchClient } from '../../../ui/batch/batch-client';
import type { BatchState } from '../../../ui/batch/kept-batch';
import { ReadingField } from '../../../ui/batch/reading-field';

/** Readings taken or corrected after the making, and the cook's note. */
export function LateReadings({ batch }: { readonly batch: BatchState }) {
  const router = useRouter();
  const [client] = useState(() => makeBatchClient(batch));
  const state = useSyncExternalStore(client.subscribe, client.get, client.get);
  const refresh = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => client.resume(), [client]);
  useEffect(() => () => clearTimeout(refresh.current), []);
  const told = (done: Promise<void>) =>
    void done.then(() => {
      // The comparison above is drawn by the server: ask for it again once the cook pauses.
      clearTimeout(refresh.current);
      refresh.current = setTimeout(() => router.refresh(), 400);
    });
  const { fields, note } = state.progress;
  const write = (reading: ReadingKind) => (text: string) => told(client.act({ kind: 'write', reading, text, was: fields[reading] ?? '' }));
  return (
    <>
      <div className="grid grid-cols-2 gap-x-5 gap-y-4 sm:grid-cols-3">
        {READING_KINDS.map((kind) => (
          <ReadingField key={kind} kind={kind} text={fields[kind] ?? ''} onWrite={write(kind)} />
        ))}
      </div>
      <label className="mt-4 block">
        <span className="text-[13.5px] text-ink-soft">Note</span>
        <textarea
          value={note}
          maxLength={4000}
          rows={3}
          placeholder="What happened, and what to do better"
          onChange={(e) => told(client.act({ kind: 'note', text: e.target.value }))}
          className="field mt-0.5 block w-full py-2"
        />
      </label>
      <p role="status" className="mt-2 text-[14px] text-beet empty:hidden">
        {state.trouble}
      </p>
      <ClashQuestion client={client} clashes={state.clashes} className="text-[15px]" />
    </>
  );
}
