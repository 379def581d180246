import { notFound } from 'next/navigation';
import { getBatch } from '../../../data/batches';
import { openedKitchen } from '../../../data/kitchen';
import { PassDesk } from './pass-desk';

export default async function BatchOnPass({ params }: { readonly params: Promise<{ batchId: string }> }) {
  const { batchId } = await params;
  const batch = getBatch(openedKitchen(), batchId);
  if (!batch) notFound();
  const { id, sheetId, sheetVersion, plan, progress, status, revision } = batch;
  return <PassDesk key={id} sheetId={sheetId} version={sheetVersion} plan={plan} batch={{ id, progress, status, revision }} />;
}
