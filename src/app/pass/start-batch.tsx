'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { allowSound } from '../../ui/batch/call-sound';

/** Starts a batch and opens its first step. */
export function StartBatch({ sheetId }: { readonly sheetId: string }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [starting, setStarting] = useState(false);
  const start = async () => {
    setStarting(true);
    setTrouble(null);
    allowSound();
    try {
      const response = await fetch('/api/batches', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ sheetId }) });
      const body = (await response.json()) as { id?: string; says?: string };
      if (response.ok && body.id) {
        router.push(`/pass/${body.id}`);
        return;
      }
      setTrouble(body.says ?? 'The batch could not be started.');
    } catch {
      setTrouble('The server does not answer: no batch was started. Try again in a moment.');
    }
    setStarting(false);
  };
  return (
    <>
      <button type="button" className="btn btn-act min-h-14 px-7 text-[18px]" disabled={starting} onClick={() => void start()}>
        Start this batch
      </button>
      <p role="alert" className="mt-2 text-beet empty:hidden">
        {trouble}
      </p>
    </>
  );
}
