import Link from 'next/link';
import { LEARNABLE, learn } from '../../../core/learning/correction';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { correctionsFrom } from '../../../core/batch/outcomes';
import { readOutcomes } from '../../../data/log';
import { batchNames } from '../../../data/batches';
import { Frame } from '../../../ui/frame';
import { LogPages } from '../log-pages';
import { LearnSwitch } from './learn-switch';
import { Finding, type FindingFacts } from './finding';

export const dynamic = 'force-dynamic';

/** What the log has learnt: each house figure in each context, with its band, its batches and what lies far off. */
export default async function LearntPage({ searchParams }: { readonly searchParams: Promise<{ sheet?: string }> }) {
  const { sheet } = await searchParams;
  const db = openedKitchen();
  const { mixers, rules } = readKitchenFacts(db);
  const outcomes = readOutcomes(db);
  const names = batchNames(db);
  const findings = correctionsFrom(outcomes, mixers)
    .map(({ figure, context, learnt }): FindingFacts => {
      const of = outcomes.filter((o) => o.figure === figure && o.context === context);
      const { spread, noise, name } = LEARNABLE[figure];
      return {
        figure,
        name,
        where: figure === 'hold' ? `${context} creams` : (mixers.find((m) => m.id === context)?.name ?? 'a mixer no longer here'),
        alone: learn([], spread, noise).high - 1,
        learnt,
        outcomes: of.map((o) => ({
          batchId: o.batchId,
          sheet: names.get(o.batchId) ?? 'A timed cream',
          test: !names.has(o.batchId),
          at: o.at,
          ratio: o.ratio,
          answer: o.answer,
        })),
      };
    })
    .filter((f) => f.outcomes.length > 0 || f.figure !== 'hold')
    .sort((a, b) => b.outcomes.length - a.outcomes.length);
  return (
    <Frame station="Log" sheetId={sheet ?? null} heading={<h1 className="text-[20px]">What the log has learnt</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={sheet ?? null} here="learnt" />
      </div>
      <div className="px-4 py-5 md:px-8">
        <div className="flex flex-wrap items-start justify-between gap-x-10 gap-y-3">
          <p className="max-w-[72ch] text-[16px]">
            Each house figure starts from its formula and its spread. Every batch whose outcome was taken down moves it: the more batches, the less the formula
            counts. What a kitchen’s mixers share helps the ones that were seldom used. The formula’s own figure always stays in the working.
          </p>
          <LearnSwitch on={rules.learning} />
        </div>
        {findings.length === 0 ? (
          <div className="py-8">
            <p className="mb-4 text-[17px]">Nothing yet: take down a time, a cup of foam or a hold on Pass, and it shows here.</p>
            <Link href="/pass" className="btn btn-act">
              To Pass
            </Link>
          </div>
        ) : (
          <ul className="mt-4">
            {findings.map((f) => (
              <Finding key={f.figure + f.where} facts={f} />
            ))}
          </ul>
        )}
      </div>
    </Frame>
  );
}
