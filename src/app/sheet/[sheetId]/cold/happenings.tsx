import { plainNumber, showHours, withUnit } from '../../../../core/figure';
import type { ColdView } from '../../../../core/cold/view';

/** Each thing that must happen as a bar; ready is the latest of them. */
export function Happenings({ view }: { readonly view: ColdView }) {
  const { happenings, ready, broken, bandMin } = view.answers;
  const end = Math.max(0.5, ...happenings.map((x) => x.toH ?? 0));
  return (
    <section aria-label="What must happen" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">What must happen</h2>
      <ul className="text-[14.5px]">
        {happenings.map((x) => (
          <li key={x.key} className="border-b border-steel-light py-1.5" data-happens={x.key}>
            <div className="flex items-baseline justify-between gap-3">
              <span>{x.name}</span>
              <span className="fig">{x.toH === null ? 'never' : showHours(x.toH)}</span>
            </div>
            {x.toH === null ? (
              <p className="text-[13.5px] text-beet">{x.says}</p>
            ) : (
              <div className="relative mt-1 h-1.5 rounded-s bg-steel-light" aria-hidden="true">
                <i className="absolute inset-y-0 rounded-s bg-frost" style={{ left: `${(100 * x.fromH) / end}%`, right: `${100 - (100 * x.toH) / end}%` }} />
              </div>
            )}
          </li>
        ))}
      </ul>
      <ul className="pt-2 text-[14.5px]">
        {ready.map((r) => (
          <li key={r.key} className="flex items-baseline justify-between gap-3 py-0.5" data-ready-for={r.key}>
            <b className="font-[650]">{r.name}</b>
            <span className="fig">{r.atH === null ? 'never' : showHours(r.atH)}</span>
          </li>
        ))}
      </ul>
      {bandMin > 1 && (
        <p className="pt-1 text-[14px] text-ink-soft">
          <span className="fig text-ink">{withUnit(plainNumber(bandMin, 0), 'min')}</span> of it between 60 and 5&nbsp;°C at its warmest point; follow your
          local food code.
        </p>
      )}
      {broken.length > 1 &&
        broken.slice(1).map((b) => (
          <p key={b.key} className="pt-1 text-[14px] text-beet">
            {b.says}
          </p>
        ))}
    </section>
  );
}
