import { runningBatch } from '../../../../../data/batches';
import { openedKitchen } from '../../../../../data/kitchen';
import { isRunning } from '../../../../../core/batch/batch';
import { FoldDesk } from './fold-desk';

/** Fold, with the clocks of what waits for it on Pass now. */
export default async function FoldPage({ params }: { readonly params: Promise<{ sheetId: string }> }) {
  const batch = runningBatch(openedKitchen(), (await params).sheetId);
  const waiting = (batch?.progress.timers ?? []).flatMap((t) => {
    const step = t.id.startsWith('use:') && isRunning(t) ? batch!.plan.steps.find((s) => `use:${s.key}` === t.id) : undefined;
    return step && t.seconds !== null ? [{ partId: step.partId, usedByAt: t.startedAt! + 1000 * t.seconds }] : [];
  });
  return <FoldDesk waiting={waiting} />;
}
