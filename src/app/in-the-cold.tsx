import Link from 'next/link';
import { ClockTime } from '../ui/clock-time';

export interface ColdBatch {
  readonly id: string;
  readonly name: string;
  readonly portions: number;
  /** Milliseconds since 1970: put away, shape ends, may be kept until. */
  readonly since: number;
  readonly until: number;
  readonly keep: number;
  readonly now: number;
}

function when(b: ColdBatch) {
  if (b.until > b.now && b.until >= b.keep) {
    return (
      <>
        use by <ClockTime at={b.keep} />
      </>
    );
  }
  if (b.until > b.now) {
    return (
      <>
        stands until about <ClockTime at={b.until} />
      </>
    );
  }
  return (
    <>
      soft by now: whip again or fold; use by <ClockTime at={b.keep} />
    </>
  );
}

/** What is in the cold now, and until when. */
export function InTheCold({ batches }: { readonly batches: readonly ColdBatch[] }) {
  return (
    <section>
      <h2 className="mb-2 flex min-h-9 items-center text-[17px]">In the cold</h2>
      {batches.length === 0 && <p className="border-t border-steel py-3 text-ink-soft">Nothing is in the cold. A batch shows here when it is finished on Pass.</p>}
      <ul>
        {batches.map((b) => (
          <li key={b.id} className="border-t border-steel py-2.5">
            <Link href={`/log/${b.id}`} className="block hover:[&_.name]:underline">
              <span className="flex items-baseline justify-between gap-3">
                <span className="name font-[650]">{b.name}</span>
                <span className="fig text-[14px] text-ink-soft">{b.portions}&nbsp;portions</span>
              </span>
              <span className={`block text-[14px] ${b.until > b.now ? 'text-ink-soft' : 'text-beet'}`}>{when(b)}</span>
              <span className="relative mt-1.5 block h-1.5 bg-steel-light">
                <span className={`absolute inset-y-0 left-0 ${b.until > b.now ? 'bg-frost' : 'bg-beet/60'}`} style={{ width: `${Math.min(100, Math.max(1, (100 * (b.now - b.since)) / (Math.max(b.until, b.since + 1) - b.since)))}%` }} />
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <p className="mt-4 border-t border-steel pt-3 text-[13.5px] text-ink-soft">Keeping times are the usual rule; your local food code and a qualified person’s advice come first.</p>
    </section>
  );
}
