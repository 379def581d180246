import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import type { Build } from '../../../../core/analysis/build';
import { standLines } from '../../../../core/tin/stand';

const MARKS = { in: '', near: 'Near: ', out: 'Look: ' } as const;

/** Will it turn out and stand: dose, top, lining, release. */
export function StandList({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const lines = standLines(analysis, build);
  if (lines.length === 0) return null;
  return (
    <section aria-label="Will it stand" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Will it turn out and stand?</h2>
      <ul className="text-[14.5px]">
        {lines.map((l) => (
          <li key={l.key} className="border-b border-steel-light py-1.5 last:border-b-0" data-stand={l.key} data-state={l.state}>
            {l.state !== 'in' && <b className={l.state === 'out' ? 'text-beet' : 'text-yolk-ink'}>{MARKS[l.state]}</b>}
            {l.says}
          </li>
        ))}
      </ul>
    </section>
  );
}
