'use client';

import { useState } from 'react';
import { ClockTime } from '../../../ui/clock-time';
import { useKept } from '../../../ui/use-kept';
import { useOnPass } from './on-pass';

/** What was not as the recipe has it: written down with the time. */
export function OffPlanPanel({
  onSkip,
  onAbandoned,
  onClose,
}: {
  readonly onSkip: (() => void) | null;
  readonly onAbandoned: () => void;
  readonly onClose: () => void;
}) {
  const { batchId, state, client } = useOnPass();
  const { progress, batch } = state;
  const [draft, setWords] = useKept('local', `soft-peak:off-plan:${batchId}`);
  const words = draft ?? '';
  const [sure, setSure] = useState(false);
  const now = () => Date.now();
  const button = 'min-h-13 rounded-s border border-cocoa-soft px-4 py-3 text-[18px] hover:border-milk';
  const paused = progress.pausedAt !== null;
  return (
    <section aria-label="Off the plan" className="border-b border-cocoa-line bg-ink/40 px-5 py-4 md:px-10">
      <form
        className="flex flex-wrap items-center gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (words.trim() === '') return;
          void client.act({ kind: 'off-plan', entry: { at: now(), kind: /\binstead\b/i.test(words) ? 'instead' : 'note', words: words.trim() } });
          setWords('');
        }}
      >
        <input
          aria-label="What was different"
          value={words}
          maxLength={300}
          placeholder="honey instead of glucose syrup"
          onChange={(e) => setWords(e.target.value)}
          className="h-13 min-w-0 flex-1 basis-72 rounded-s border border-cocoa-line bg-transparent px-4 text-[18px] text-milk"
        />
        <button
          type="submit"
          disabled={words.trim() === ''}
          className="min-h-13 rounded-s bg-milk px-5 py-3 text-[18px] font-[650] text-ink disabled:opacity-50"
        >
          Write it down
        </button>
      </form>
      <div className="mt-3 flex flex-wrap gap-3">
        {onSkip && (
          <button type="button" className={button} onClick={onSkip}>
            Skip this step
          </button>
        )}
        <button
          type="button"
          className={button}
          onClick={() => void client.act({ kind: 'off-plan', entry: { at: now(), kind: paused ? 'resumed' : 'paused', words: paused ? 'Went on' : 'Paused' } })}
        >
          {paused ? 'Go on' : 'Pause'}
        </button>
        {batch.status === 'running' &&
          (sure ? (
            <button
              type="button"
              className="min-h-13 rounded-s bg-beet px-4 py-3 text-[18px] font-[650] text-paper"
              onClick={() => {
                void client.act({ kind: 'abandon', at: now(), words: words.trim() ? `Left off: ${words.trim()}` : 'Left off' }).then(onAbandoned);
              }}
            >
              Yes, leave it off
            </button>
          ) : (
            <button type="button" className={button} onClick={() => setSure(true)}>
              Leave this batch off
            </button>
          ))}
        <button
          type="button"
          className="min-h-13 px-3 py-3 text-[17px] text-cocoa-soft underline decoration-dotted underline-offset-4 hover:text-milk"
          onClick={onClose}
        >
          close
        </button>
      </div>
      {progress.offPlan.length > 0 && (
        <ul className="mt-3 text-[17px]" aria-label="Written down so far">
          {progress.offPlan.map((o, i) => (
            <li key={`${o.at}${i}`} className="py-0.5">
              <span className="fig mr-3 text-cocoa-soft">
                <ClockTime at={o.at} />
              </span>
              {o.words}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
