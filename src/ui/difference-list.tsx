import type { Difference, FigurePair } from '../core/rewrite/compare';

const MARKS = { added: '+', removed: '−', changed: '~', same: '' } as const;
const SAYS = { added: 'new: ', removed: 'gone: ', changed: 'changed: ', same: '' } as const;

/** What a change takes out, brings in or words anew. Only what differs, unless everything is wanted. */
export function DifferenceList({
  differences,
  all = false,
  none,
}: {
  readonly differences: readonly Difference[];
  readonly all?: boolean;
  readonly none: string;
}) {
  const shown = all ? differences : differences.filter((d) => d.kind !== 'same');
  if (shown.length === 0) return <p className="py-1 text-[14px] text-ink-soft">{none}</p>;
  return (
    <ul className="text-[14px]">
      {shown.map((d, i) => (
        <li key={i} className="grid grid-cols-[14px_minmax(0,1fr)] gap-x-1.5 border-t border-steel-light py-1" data-difference={d.kind}>
          <span aria-hidden="true" className={`fig ${d.kind === 'removed' ? 'text-beet' : 'text-fern-ink'}`}>
            {MARKS[d.kind]}
          </span>
          <span className="[overflow-wrap:anywhere]">
            <span className="sr-only">{SAYS[d.kind]}</span>
            {d.kind !== 'added' && d.kind !== 'same' && <del className="text-ink-soft decoration-beet/60">{d.before}</del>}
            {d.kind === 'changed' && ' '}
            {d.kind !== 'removed' && <span className={d.kind === 'same' ? 'text-ink-soft' : ''}>{d.after}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Figures before and after, those that moved first; the rest folded away by leaving them out. */
export function FigurePairs({
  pairs,
  before = 'before',
  after = 'after',
  all = false,
}: {
  readonly pairs: readonly FigurePair[];
  readonly before?: string;
  readonly after?: string;
  readonly all?: boolean;
}) {
  const shown = all ? pairs : pairs.filter((p) => p.changed);
  if (shown.length === 0) return <p className="py-1 text-[14px] text-ink-soft">No figure moves.</p>;
  return (
    <table className="w-full text-[14px]">
      <thead>
        <tr className="text-[13px] text-ink-soft">
          <th className="py-1 text-left font-normal" scope="col">
            figure
          </th>
          <th className="py-1 pl-3 text-right font-normal" scope="col">
            {before}
          </th>
          <th className="py-1 pl-3 text-right font-normal" scope="col">
            {after}
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((p) => (
          <tr key={p.name} className="border-t border-steel-light align-baseline">
            <th scope="row" className="py-1 text-left font-normal">
              {p.name}
            </th>
            <td className="fig py-1 pl-3 text-right font-medium text-ink-soft">{p.before}</td>
            <td className={`fig py-1 pl-3 text-right ${p.changed ? '' : 'font-medium text-ink-soft'}`}>{p.after}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
