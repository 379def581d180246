import { notFound } from 'next/navigation';
import { getBatch } from '../../../data/batches';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { listTemperatures } from '../../../data/temperatures';
import { PassDesk } from './pass-desk';

export default async function BatchOnPass({ params }: { readonly params: Promise<{ batchId: string }> }) {
  const { batchId } = await params;
  const db = openedKitchen();
  const batch = getBatch(db, batchId);
  if (!batch) notFound();
  const { id, sheetId, sheetVersion, plan, progress, status, revision } = batch;
  const { places, rules } = readKitchenFacts(db);
  return (
    <PassDesk
      key={id}
      sheetId={sheetId}
      version={sheetVersion}
      plan={plan}
      batch={{ id, progress, status, revision }}
      samples={listTemperatures(db, id)}
      places={places.map((p) => ({ id: p.id, name: p.name }))}
      scaleStepG={rules.scaleStepG}
      waterBoilsC={rules.waterBoilsC}
    />
  );
}
