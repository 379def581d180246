'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';

/** Whether the forecasts follow the log. */
export function LearnSwitch({ on }: { readonly on: boolean }) {
  const router = useRouter();
  const [shown, setShown] = useState(on);
  const [trouble, setTrouble] = useState<string | null>(null);
  const set = async (learning: boolean) => {
    setShown(learning);
    try {
      const answer = await fetch('/api/kitchen/learning', {
        method: 'POST',
        keepalive: true,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ learning }),
      });
      setTrouble(answer.ok ? null : 'That could not be kept.');
      router.refresh();
    } catch {
      setTrouble('The server does not answer.');
    }
  };
  return (
    <div>
      <label className="flex min-h-11 cursor-pointer items-center gap-2.5 text-[16px]">
        <input type="checkbox" className="size-5 accent-ink" checked={shown} onChange={(e) => void set(e.target.checked)} />
        forecasts follow the log
      </label>
      <p role="alert" className="text-beet empty:hidden">
        {trouble}
      </p>
    </div>
  );
}
