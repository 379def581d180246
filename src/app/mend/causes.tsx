import { showLikely } from '../../core/mend/likely';
import type { Answer } from '../../core/mend/mend';
import type { CauseId } from '../../core/mend/words';

/** Why, for this batch: likeliest first, each with what speaks for it. A touch shows the rescue for that cause. */
export function Causes({ answer, ofBatch, onChoose }: { readonly answer: Answer; readonly ofBatch: boolean; readonly onChoose: (cause: CauseId) => void }) {
  return (
    <section aria-label="Likely" className="mt-7">
      <h2 className="pb-1 text-[17px]">{ofBatch ? 'Likely, for this batch' : 'Likely'}</h2>
      <ul>
        {answer.causes.map((l) => (
          <li key={l.cause}>
            <button
              type="button"
              aria-pressed={l.cause === answer.cause}
              onClick={() => onChoose(l.cause)}
              className={`grid w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-5 border-t border-steel-light py-2.5 text-left hover:bg-yolk-pale sm:grid-cols-[minmax(0,1fr)_150px_58px] ${l.cause === answer.cause ? 'font-[650]' : ''}`}
            >
              <span className="text-[16px]">{l.name}</span>
              <span className="hidden h-2.5 bg-steel-light sm:block" aria-hidden="true">
                <i className={`block h-full ${l.cause === answer.cause ? 'bg-ink' : 'bg-ink-soft/60'}`} style={{ width: `${Math.max(2, 100 * l.p)}%` }} />
              </span>
              <span className="fig text-right text-[16px]">{showLikely(l.p)}</span>
              <span className="col-span-full max-w-[62ch] text-[14px] font-normal text-ink-soft">{l.says}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="border-t border-steel-light pt-2 text-[13px] text-ink-soft">
        Each is held against its own absence, so they need not add up. House figures, moved by this batch and by this kitchen’s log.
      </p>
    </section>
  );
}
