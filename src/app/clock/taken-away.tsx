'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { askServer, refusal } from '../../ui/ask-server';

/** Services that were taken away within the last month, each with a way back. */
export function TakenAway({ services }: { readonly services: readonly { readonly id: string; readonly name: string; readonly until: string }[] }) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const bringBack = async (id: string) => {
    setFault('');
    try {
      await askServer(`/api/services/${id}`, 'POST', new Blob([JSON.stringify({ back: true })], { type: 'application/json' }));
      router.push(`/clock/${id}`);
      router.refresh();
    } catch (error) {
      setFault(refusal(error));
    }
  };
  return (
    <section aria-label="Taken away" className="mt-8">
      <h2 className="mb-1 text-[17px]">Taken away</h2>
      <p role="alert" className="text-beet empty:hidden">
        {fault}
      </p>
      <ul>
        {services.map((s) => (
          <li key={s.id} className="flex flex-wrap items-baseline gap-x-4 border-t border-steel py-2">
            <span className="text-[17px]">{s.name}</span>
            <span className="text-ink-soft">kept until {s.until}</span>
            <button
              type="button"
              className="ml-auto min-h-7 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11"
              onClick={() => void bringBack(s.id)}
            >
              Bring back<span className="sr-only"> {s.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
