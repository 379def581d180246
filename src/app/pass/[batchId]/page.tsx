import { notFound } from 'next/navigation';
import { getBatch, type StoredBatch } from '../../../data/batches';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { listTemperatures } from '../../../data/temperatures';
import { sheetOfBatch } from '../../../data/batch-sheet';
import { analyseSheet } from '../../../core/analysis/analyse';
import { kitchenOf, type KitchenFacts } from '../../../core/kitchen/kitchen';
import { aheadOf } from '../../../core/mend/ahead';
import { NO_FACTS } from '../../../core/mend/case';
import type { AheadOfStep } from './on-pass';
import { listMends } from '../../../data/mends';
import type { KitchenDb } from '../../../data/kitchen-file';
import { PassDesk } from './pass-desk';

/** What may go wrong in each step, by the key of its step. */
function aheadOfSteps(db: KitchenDb, batch: StoredBatch, facts: KitchenFacts): AheadOfStep {
  const kitchen = kitchenOf(facts);
  const sheet = sheetOfBatch(db, batch, kitchen);
  if (!sheet.ok) return {};
  const c = { s: analyseSheet(sheet.value, kitchen), kitchen, facts: NO_FACTS, log: listMends(db) };
  return Object.fromEntries(sheet.value.steps.map((step) => [step.id, aheadOf(c, step).map(({ sign, name, says }) => ({ sign, name, says }))] as const).filter(([, list]) => list.length > 0));
}

export default async function BatchOnPass({ params }: { readonly params: Promise<{ batchId: string }> }) {
  const { batchId } = await params;
  const db = openedKitchen();
  const batch = getBatch(db, batchId);
  if (!batch) notFound();
  const { id, sheetId, sheetVersion, plan, progress, status, revision } = batch;
  const facts = readKitchenFacts(db);
  const { places, rules } = facts;
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
      fridgeC={rules.fridgeC}
      ahead={aheadOfSteps(db, batch, facts)}
    />
  );
}
