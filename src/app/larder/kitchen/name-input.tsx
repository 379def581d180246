'use client';

import { useState } from 'react';

/** The name of a thing of the kitchen; it is never without one. */
export function NameInput({ name, onChange }: { readonly name: string; readonly onChange: (name: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="col-span-2 block">
      <span className="block text-[13.5px] text-ink-soft">Name</span>
      <input
        value={draft ?? name}
        maxLength={80}
        onChange={(e) => {
          setDraft(e.target.value);
          if (e.target.value.trim()) onChange(e.target.value.trim());
        }}
        onBlur={() => setDraft(null)}
        className="field mt-0.5 w-full"
      />
    </label>
  );
}
