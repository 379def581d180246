'use client';

import { OpensPanel } from '../opens-panel';
import { pieces } from './terms';

/** A text whose words of the trade say on touch what they mean. */
export function Glossed({ text }: { readonly text: string }) {
  return pieces(text).map((p, i) =>
    typeof p === 'string' ? (
      <span key={i}>{p}</span>
    ) : (
      <OpensPanel
        key={i}
        className="relative inline cursor-help underline decoration-current/40 decoration-dotted underline-offset-4 after:absolute after:-inset-x-1 after:-inset-y-2 hover:decoration-current data-[state=open]:decoration-yolk"
        label={`${p.said}: what it means`}
        panelLabel={`What ${p.term.name} means`}
        face={p.said}
        panel={() => (
          <>
            <h3 className="text-[16px]">{p.term.name.charAt(0).toUpperCase() + p.term.name.slice(1)}</h3>
            <p className="mt-1 text-[15px] leading-snug">{p.term.means}</p>
          </>
        )}
      />
    ),
  );
}
