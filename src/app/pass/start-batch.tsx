'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { showFactor, showGrams } from '../../core/figure';
import { allowSound } from '../../ui/batch/call-sound';
import { Select } from '../../ui/kit/select';
import { freshUuid } from '../../ui/sheet/fresh-id';

interface StartBatchProps {
  readonly sheetId: string;
  readonly portions: number;
  /** Newest first. */
  readonly versions: readonly { readonly number: number; readonly name: string | null; readonly portions: number }[];
  /** Of the newest version, as it is written. */
  readonly steps: readonly {
    readonly key: string;
    readonly title: string;
    readonly lines: readonly { readonly lineId: string; readonly name: string; readonly massG: number }[];
  }[];
}

const MOST = 2000;

/** Starts a batch of a version, for so many portions, and opens its first screen. */
export function StartBatch({ sheetId, portions, versions, steps }: StartBatchProps) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [starting, setStarting] = useState(false);
  const [version, setVersion] = useState(versions[0]?.number ?? 1);
  const [wish, setWish] = useState(`${portions}`);
  const written = versions.find((v) => v.number === version)?.portions ?? portions;
  const wanted = Number(wish.trim());
  const good = Number.isInteger(wanted) && wanted >= 1 && wanted <= MOST;
  // An answer that was lost and is asked for again starts no second batch.
  const asked = useRef<{ readonly what: string; readonly id: string } | null>(null);
  const start = async () => {
    const what = `${version} ${wanted}`;
    if (asked.current?.what !== what) asked.current = { what, id: freshUuid() };
    setStarting(true);
    setTrouble(null);
    allowSound();
    try {
      const response = await fetch('/api/batches', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: asked.current.id, sheetId, version, portions: wanted }),
      });
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
      <div className="flex flex-wrap items-end gap-4">
        <label className="text-[13.5px] text-ink-soft">
          Portions
          <input
            value={wish}
            inputMode="numeric"
            maxLength={6}
            aria-invalid={!good || undefined}
            aria-describedby="scale-words"
            onChange={(e) => setWish(e.target.value)}
            className="field fig mt-0.5 block w-28 text-[20px]"
          />
        </label>
        {versions.length > 1 && (
          <label className="text-[13.5px] text-ink-soft">
            Version
            <Select
              value={String(version)}
              options={versions.map((v) => [String(v.number), `${v.number}${v.name ? `, ${v.name}` : ''}`] as const)}
              onChange={(v) => setVersion(Number(v))}
              className="field mt-0.5 flex text-[16px]"
            />
          </label>
        )}
        <button type="button" className="btn btn-act min-h-14 px-7 text-[18px]" disabled={starting || !good} onClick={() => void start()}>
          Start this batch
        </button>
      </div>
      <p id="scale-words" className={`mt-2 text-[14.5px] ${good ? 'text-ink-soft' : 'text-beet'}`}>
        {!good
          ? `‘${wish}’ is no number of portions: a whole number from 1 to 2\u202f000.`
          : wanted === written
            ? `As the sheet is written, ${written} portions.`
            : `Every amount times ${showFactor(wanted / written)}; the sheet is written for ${written}.`}
      </p>
      <p role="alert" className="mt-2 text-beet empty:hidden">
        {trouble}
      </p>
      {version === versions[0]?.number && (
        <ol aria-label="Its steps" className="mt-7">
          {steps.map((s, i) => (
            <li key={s.key} className="grid grid-cols-[28px_minmax(0,1fr)] border-t border-steel py-2.5">
              <span className="fig text-ink-soft">{i + 1}</span>
              <span>
                <span className="font-[600]">{s.title}</span>
                {s.lines.length > 0 && (
                  <span className="block text-ink-soft">
                    {s.lines.map((l) => `${l.name} ${showGrams(l.massG * (good ? wanted / written : 1))}`).join(', ')}
                  </span>
                )}
              </span>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}
