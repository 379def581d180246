import { showHours, withUnit } from '../../../../../core/figure';
import type { Softening } from '../../../../../core/tin/softening';

/** The rest as a band: hard, soft, falling apart; the hour it is served marked. */
export function RestBand({ softening: s, hours }: { readonly softening: Softening; readonly hours: number }) {
  const end = Math.max(24, Math.ceil((Math.max(hours, s.range[1]) * 1.25) / 12) * 12);
  const at = (h: number): number => 100 * Math.min(1, h / end);
  const ticks = Array.from({ length: 5 }, (_, i) => (end * i) / 4);
  const [low, high] = s.range;
  return (
    <div
      className="max-w-[720px] py-2"
      role="img"
      aria-label={`Soft between ${showHours(low)} and ${showHours(high)}, falls apart after ${showHours(s.mushH)}; served after ${showHours(hours)}`}
    >
      <div className="relative h-8">
        <i className="absolute inset-x-0 top-3 h-3 rounded-s bg-steel-light" />
        <i className="absolute top-3 h-3 bg-fern/45" style={{ left: `${at(high)}%`, right: `${100 - at(Math.min(end, s.mushH))}%` }} />
        <i className="absolute top-3 h-3 bg-fern/20" style={{ left: `${at(low)}%`, right: `${100 - at(high)}%` }} />
        {s.mushH < end && <i className="absolute top-3 right-0 h-3 bg-beet/35" style={{ left: `${at(s.mushH)}%` }} />}
        <i className="absolute top-0 -ml-[1.5px] h-8 w-[3px] bg-ink" style={{ left: `${at(hours)}%` }} />
      </div>
      <div className="relative h-5 text-[13px] text-ink-soft" aria-hidden="true">
        {ticks.map((h, i) => (
          <span
            key={h}
            className={`fig absolute font-medium ${i === 0 ? '' : i === 4 ? 'right-0' : '-translate-x-1/2'}`}
            style={i === 4 ? {} : { left: `${at(h)}%` }}
          >
            {h === 0 ? withUnit('0', 'h') : showHours(h)}
          </span>
        ))}
      </div>
      <p className="text-[13.5px] text-ink-soft">
        Hard to {showHours(low)}, <span className="text-fern-ink">soft from {showHours(high)}</span>
        {s.mushH < end && (
          <>
            , <span className="text-beet">apart from {showHours(s.mushH)}</span>
          </>
        )}
        ; the mark is when it is served.
      </p>
    </div>
  );
}
