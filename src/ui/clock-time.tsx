'use client';

const CLOCK = { hour: '2-digit', minute: '2-digit', hour12: false } as const;
const STYLES = {
  time: new Intl.DateTimeFormat('en-GB', CLOCK),
  weekday: new Intl.DateTimeFormat('en-GB', { weekday: 'short', ...CLOCK }),
  day: new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', ...CLOCK }),
  year: new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', ...CLOCK }),
};

/**
 * A moment as the kitchen's clock shows it: '14:05' today, 'Fri 14:05' otherwise, with the date when asked.
 * The server's zone may differ from the tablet's, so the browser's text wins.
 */
export function ClockTime({ at, withDate = false }: { readonly at: number; readonly withDate?: boolean }) {
  const now = new Date();
  const then = new Date(at);
  const style = withDate ? (then.getFullYear() === now.getFullYear() ? 'day' : 'year') : then.toDateString() === now.toDateString() ? 'time' : 'weekday';
  return (
    <time dateTime={then.toISOString()} suppressHydrationWarning>
      {STYLES[style].format(then)}
    </time>
  );
}
