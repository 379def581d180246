'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Service } from '../../core/timetable/service-schema';
import { sendingIds } from '../../ui/sheet/fresh-id';

/** Begins a service, or reads one that was written as a file. */
export function StartService({ doc, says, act }: { readonly doc: Service; readonly says: string; readonly act: boolean }) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const [ids] = useState(sendingIds);
  const start = async (body: unknown) => {
    setFault('');
    try {
      const response = await fetch('/api/services', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: ids.of(JSON.stringify(body)), doc: body }),
      });
      const answer = (await response.json()) as { id?: string; says?: string };
      if (!response.ok || !answer.id) throw new Error(answer.says ?? 'It could not be kept.');
      ids.arrived();
      router.push(`/clock/${answer.id}`);
    } catch (error) {
      setFault(error instanceof TypeError ? 'The server does not answer.' : (error as Error).message);
    }
  };
  const read = async (file: File) => {
    try {
      await start(JSON.parse(await file.text()));
    } catch {
      setFault('That file is no JSON of a service.');
    }
  };
  return (
    <>
      <button type="button" className={act ? 'btn btn-act' : 'btn'} onClick={() => void start(doc)}>
        {says}
      </button>
      <label className="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-ink">
        Read a service file
        <input type="file" accept="application/json,.json" className="sr-only" onChange={(e) => e.target.files?.[0] && void read(e.target.files[0])} />
      </label>
      <span role="alert" className="text-beet">
        {fault}
      </span>
    </>
  );
}
