import { openedKitchen } from '../../../../../data/kitchen';
import { listBatches } from '../../../../../data/batches';
import { listTemperatures } from '../../../../../data/temperatures';
import { ProbeDesk, type Series } from './probe-desk';

const MOST_BATCHES = 30;

/** By the probe: the temperatures that batches of this sheet were logged with. */
export default async function ProbePage({ params }: { readonly params: Promise<{ sheetId: string }> }) {
  const db = openedKitchen();
  const series = listBatches(db, { sheetId: (await params).sheetId, limit: MOST_BATCHES }).flatMap((b): Series[] => {
    const all = listTemperatures(db, b.id);
    return [...new Set(all.map((t) => t.series))].map((name) => ({
      key: `${b.id} ${name}`,
      startedAt: b.startedAt,
      name,
      readings: all.filter((t) => t.series === name).map((t) => [t.at, t.tC] as const),
    }));
  });
  return <ProbeDesk series={series.filter((s) => s.readings.length >= 2)} />;
}
