'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Select } from '../../../ui/kit/select';

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** Which two. */
export function PickTwo({
  a,
  b,
  sheet,
  batches,
}: {
  readonly a: string;
  readonly b: string;
  readonly sheet: string | null;
  readonly batches: readonly { readonly id: string; readonly name: string; readonly at: number }[];
}) {
  const router = useRouter();
  // Both are kept here, so that the second choice does not undo a first that is still being fetched.
  const [two, setTwo] = useState({ a, b });
  const go = (next: { a?: string; b?: string }) => {
    const chosen = { ...two, ...next };
    setTwo(chosen);
    router.push(`/log/compare?${new URLSearchParams({ ...(sheet ? { sheet } : {}), ...chosen })}`);
  };
  const pick = (label: string, value: string, onChange: (id: string) => void) => (
    <label className="text-[13.5px] text-ink-soft">
      {label}
      <Select
        value={value}
        options={batches.map((x) => [x.id, `${x.name}, ${DATE.format(x.at)}`] as const)}
        onChange={onChange}
        className="field mt-0.5 flex max-w-full"
      />
    </label>
  );
  return (
    <div className="flex flex-wrap gap-6">
      {pick('This one', two.a, (id) => go({ a: id }))}
      {pick('beside', two.b, (id) => go({ b: id }))}
    </div>
  );
}
