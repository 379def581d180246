import Link from 'next/link';
import type { MakingNow, Next } from '../../core/timetable/day';

/** The next thing to do in one sentence, with its one action. */
export function NextThing({
  next,
  others,
  empty,
  isNew,
}: {
  readonly next: Next | null;
  readonly others: readonly MakingNow[];
  readonly empty: boolean;
  /** Nobody has set the kitchen up. */
  readonly isNew: boolean;
}) {
  const begins = empty && isNew;
  return (
    <section aria-label="Next" className="flex flex-wrap items-center justify-between gap-x-8 gap-y-3 pb-4">
      <div className="min-w-0 flex-1 basis-[320px]">
        <p className="font-figure text-[25px] leading-tight">
          {next === null ? (
            empty ? (
              begins ? (
                'A new kitchen.'
              ) : (
                'No sheets yet.'
              )
            ) : (
              'Nothing is due.'
            )
          ) : (
            <>
              <b className="font-[650]">{next.when}</b>: {next.what}.
            </>
          )}
        </p>
        <p className="mt-1 text-[15px] text-ink-soft">
          {next?.about ??
            (begins
              ? 'Say what it measures with, what is cold and what it fills: five minutes, each question can be left out. Or begin with a recipe.'
              : empty
                ? 'Start one with the cream you have: type its grams and the fat on the carton. Or paste a recipe as it is.'
                : 'Make a sheet below, or plan a service in Clock.')}
        </p>
        {others.length > 0 && (
          <p className="mt-1.5 text-[15px]">
            Also on the pass:{' '}
            {others.map((b, i) => (
              <span key={b.id}>
                {i > 0 && ', '}
                <Link href={`/pass/${b.id}`} className="font-[600] underline underline-offset-2">
                  {b.name}
                </Link>
              </span>
            ))}
          </p>
        )}
      </div>
      {(next ?? empty) && (
        <span className="flex flex-wrap gap-3">
          <Link href={next?.href ?? (begins ? '/begin' : '/new')} className="btn btn-act min-h-12 px-6 text-[16px]">
            {next?.action ?? (begins ? 'Set up the kitchen' : 'Start a sheet')}
          </Link>
          {next === null && (
            <Link href="/paste" className="btn min-h-12">
              Paste a recipe
            </Link>
          )}
        </span>
      )}
    </section>
  );
}
