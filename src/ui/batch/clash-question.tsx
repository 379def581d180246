import { READING_FORMS } from '../../core/batch/readings';
import type { BatchClient, ClientState } from './batch-client';

/** Two screens wrote different things into one field: asks which of them stays. */
export function ClashQuestion({
  client,
  clashes,
  className = '',
}: {
  readonly client: BatchClient;
  readonly clashes: ClientState['clashes'];
  readonly className?: string;
}) {
  const [clash] = clashes;
  if (!clash) return null;
  const { name, unit } = READING_FORMS[clash.reading];
  // A figure has its unit; what cannot be read stands as it was typed.
  const shown = (text: string): string => (text === '' ? 'nothing' : `‘${/^[\d.,:/]+$/.test(text) ? `${text}\u00a0${unit}` : text}’`);
  return (
    <p role="alert" className={`mt-2 flex flex-wrap items-center gap-3 ${className}`}>
      Another screen wrote {shown(clash.theirs)} for {name.toLowerCase()}; here it was {shown(clash.mine)}.
      <button type="button" className="min-h-11 rounded-s border border-yolk px-3" onClick={() => client.settleClash('mine')}>
        Use {shown(clash.mine)}
      </button>
      <button type="button" className="min-h-11 rounded-s border border-cocoa-soft px-3" onClick={() => client.settleClash('theirs')}>
        Keep {shown(clash.theirs)}
      </button>
    </p>
  );
}
