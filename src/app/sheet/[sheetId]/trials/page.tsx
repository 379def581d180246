import { aside } from '../../../../aside/aside';
import { tastingsOf } from '../../../../core/trials/series';
import { openedKitchen } from '../../../../data/kitchen';
import { readKitchenFacts } from '../../../../data/kitchen-facts';
import { listSeries } from '../../../../data/trials';
import { TrialsDesk } from './trials-desk';

/** Trials of a sheet: what is varied, what tasters said, what was learnt. */
export default async function TrialsPage({ params }: { readonly params: Promise<{ sheetId: string }> }) {
  const { sheetId } = await params;
  const db = openedKitchen();
  const all = listSeries(db, sheetId);
  const series = all.find((s) => !s.ended) ?? null;
  const last = series ?? all[0] ?? null;
  const learnt = last && (await aside().ask('trialsLearnt', { points: last.trials.map((t) => t.point), said: tastingsOf(last) }));
  return <TrialsDesk series={series} ended={series ? null : last} learnt={learnt} cooks={readKitchenFacts(db).rules.crew.map((c) => c.name)} />;
}
