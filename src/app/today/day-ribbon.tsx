import Link from 'next/link';
import type { Day, DayBar, DayRow } from '../../core/timetable/day';
import { clockOf } from '../../core/timetable/clock-words';

/** Width that the ribbon is drawn for, px: words beside a bar stand where there is room at this width. */
const DRAWN = 980;
const CHARACTER = 7.4;
/** With less room than this a name is left out, px. */
const LEAST_ROOM = 64;
/** Hours are marked so that no more than this many marks stand side by side. */
const MOST_MARKS = 9;

const LOOK: Readonly<Record<DayRow['kind'], Readonly<Record<DayBar['state'], string>>>> = {
  hands: { done: 'bg-ink-soft/45', now: 'bg-ink', coming: 'bg-ink' },
  cold: {
    done: 'bg-steel-light',
    now: 'bg-frost/35 shadow-[inset_0_0_0_1px_var(--color-frost)]',
    coming: 'bg-frost/25 shadow-[inset_0_0_0_1px_var(--color-frost)]',
  },
  served: { done: 'bg-steel', now: 'bg-beet', coming: 'bg-beet' },
};

/** The day of the kitchen with the present moment. @param now minutes since 1970. */
export function DayRibbon({ day, now }: { readonly day: Day; readonly now: number }) {
  const span = day.to - day.from;
  const at = (minute: number): number => (100 * (minute - day.from)) / span;
  const every = [1, 2, 3, 4, 6].find((h) => span / 60 / h <= MOST_MARKS) ?? 6;
  const marks = Array.from({ length: Math.floor(span / 60 / every) + 1 }, (_, i) => day.from + 60 * every * i);
  const isNow = now >= day.from && now <= day.to;
  return (
    <section aria-label={`The day: ${day.says}`} tabIndex={0} className="-mx-4 overflow-x-auto border-y border-steel px-4 md:mx-0 md:px-0">
      <div className="relative min-w-[720px] pb-2">
        <div className="relative ml-[120px] h-8" aria-hidden="true">
          {day.says !== 'today' && <span className="absolute -left-[120px] top-1.5 text-[14px] font-[650]">{day.says}</span>}
          {marks.map((m) => (
            <span key={m} className="fig absolute top-1.5 -translate-x-1/2 text-[13px] text-ink-soft" style={{ left: `${at(m)}%` }}>
              {(isNow && Math.abs(at(m) - at(now)) < 3.2) || at(m) > 98 ? '' : clockOf(m, day.zone)}
            </span>
          ))}
          {isNow && (
            <span className="fig absolute top-1 z-10 -translate-x-1/2 bg-yolk px-2 py-0.5 text-[13px]" style={{ left: `${at(now)}%` }}>
              {clockOf(now, day.zone)}
            </span>
          )}
        </div>
        <div className="pointer-events-none absolute inset-y-8 left-[120px] right-0 bottom-0" aria-hidden="true">
          {marks.map((m) => (
            <span key={m} className="absolute inset-y-0 w-px bg-steel-light" style={{ left: `${at(m)}%` }} />
          ))}
          {isNow && <span className="absolute inset-y-0 z-10 w-0.5 -translate-x-1/2 bg-yolk" style={{ left: `${at(now)}%` }} />}
        </div>
        <ul>
          {day.rows.map((row, i) => (
            <li key={`${row.kind}${row.name}${i}`} className="relative grid grid-cols-[120px_minmax(0,1fr)] items-center">
              <span className={`truncate pr-3 text-[14px] ${day.rows[i - 1]?.name === row.name ? 'opacity-0' : 'font-[600]'}`}>{row.name}</span>
              <span className={`relative block ${row.kind === 'served' ? 'h-6' : 'h-9'}`}>
                {row.bars.map((b, k) => (
                  <Bar
                    key={`${b.href}${b.from}`}
                    bar={b}
                    row={row}
                    left={at(b.from)}
                    right={at(b.to)}
                    until={at(row.bars[k + 1]?.from ?? day.to)}
                    zone={day.zone}
                  />
                ))}
              </span>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

function Bar({
  bar,
  row,
  left,
  right,
  until,
  zone,
}: {
  readonly bar: DayBar;
  readonly row: DayRow;
  readonly left: number;
  readonly right: number;
  readonly until: number;
  readonly zone: string;
}) {
  const px = (share: number): number => (share / 100) * DRAWN;
  const words = bar.says.length * CHARACTER + 12;
  const says = `${bar.says}, ${clockOf(bar.from, zone)}${bar.to > bar.from ? ` to ${clockOf(bar.to, zone)}` : ''}`;
  const inside = row.kind === 'cold' && px(right - left) >= words;
  // A name that has no room behind its stretch stands before it, where nothing else can be; else the stretch speaks for itself.
  const room = px(until - right) - 10;
  const before = !inside && row.kind === 'cold' && room < words && row.bars.length === 1 && px(left) >= words;
  const behind = !inside && !before && row.kind !== 'served' && room >= Math.min(words, LEAST_ROOM);
  return (
    <>
      <Link
        href={bar.href}
        title={says}
        aria-label={says}
        className={`absolute inset-y-1 rounded-s ${LOOK[row.kind][bar.state]} ${inside ? 'flex items-center overflow-hidden px-2 text-[13.5px]' : ''}`}
        style={{ left: `${left}%`, width: row.kind === 'served' ? '3px' : `max(6px, ${right - left}%)` }}
      >
        {inside && <span className="truncate">{bar.says}</span>}
      </Link>
      {behind && (
        <span
          aria-hidden="true"
          className={`pointer-events-none absolute inset-y-0 flex items-center pl-1.5 text-[13.5px] ${bar.state === 'done' ? 'text-ink-soft' : ''}`}
          style={{ left: `max(calc(${left}% + 6px), ${right}%)`, width: `calc(${until - right}% - 8px)` }}
        >
          <span className="truncate">{bar.says}</span>
        </span>
      )}
      {before && (
        <span
          aria-hidden="true"
          className="pointer-events-none absolute inset-y-0 flex items-center whitespace-nowrap pr-1.5 text-[13.5px]"
          style={{ right: `${100 - left}%` }}
        >
          {bar.says}
        </span>
      )}
      {row.kind === 'served' && (
        <span
          aria-hidden="true"
          className="pointer-events-none absolute inset-y-0 flex items-center gap-1.5 whitespace-nowrap px-1.5 text-[13.5px]"
          style={left > 50 ? { right: `${100 - left}%` } : { left: `${left}%` }}
        >
          {bar.says} <b className="fig">{clockOf(bar.from, zone)}</b>
        </span>
      )}
    </>
  );
}
