import { notFound } from 'next/navigation';
import { getBatch, type StoredBatch } from '../../../data/batches';
import { openedKitchen } from '../../../data/kitchen';
import { requestTime } from '../../request-time';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { listTemperatures } from '../../../data/temperatures';
import { sheetOfBatch } from '../../../data/batch-sheet';
import { analyseSheet } from '../../../core/analysis/analyse';
import { kitchenOf, type KitchenFacts } from '../../../core/kitchen/kitchen';
import { aheadOf } from '../../../core/mend/ahead';
import { NO_FACTS } from '../../../core/mend/case';
import type { Step } from '../../../core/document/schema';
import { tellsBefore } from '../../../core/tells/before-step';
import { unitsHere } from '../../../core/measures/shown-here';
import { glanceOf, leadOf } from '../../../core/tells/glance';
import { sheetTells } from '../../../core/tells/sheet-tells';
import { tellText } from '../../../core/tells/tell';
import type { AheadOfStep, JudgedSteps } from './on-pass';
import { listMends } from '../../../data/mends';
import type { KitchenDb } from '../../../data/kitchen-file';
import { PassDesk } from './pass-desk';

/** What is to be minded at each step, and what may go wrong in it, by the key of the step; at the size that is made. */
function mindedSteps(db: KitchenDb, batch: StoredBatch, facts: KitchenFacts): { readonly ahead: AheadOfStep; readonly judged: JudgedSteps } {
  const kitchen = kitchenOf(facts);
  const sheet = sheetOfBatch(db, batch, kitchen);
  if (!sheet.ok) return { ahead: {}, judged: {} };
  const c = { s: analyseSheet(sheet.value, kitchen), kitchen, facts: NO_FACTS, log: listMends(db) };
  const tells = sheetTells(c.s, kitchen);
  const names = sheet.value.parts.map((p) => p.name);
  const byStep = <T,>(of: (step: Step) => readonly T[]): Record<string, readonly T[]> =>
    Object.fromEntries(sheet.value.steps.map((step) => [step.id, of(step)] as const).filter(([, list]) => list.length > 0));
  const ahead = byStep((step) => aheadOf(c, step).map(({ sign, name, says }) => ({ sign, name, says })));
  return {
    ahead,
    judged: byStep((step) =>
      // What has no figure and is of no single step is said by what may go wrong, where that speaks.
      tellsBefore(c.s, tells, step)
        .filter((t) => leadOf(t) !== null || t.key.endsWith(step.id) || !ahead[step.id])
        .map((t) => {
          const { big, small, of } = glanceOf(t, names, unitsHere());
          return { key: t.key, big, small, of, says: leadOf(t) ? '' : tellText(t), out: t.state === 'out' };
        }),
    ),
  };
}

export default async function BatchOnPass({ params }: { readonly params: Promise<{ batchId: string }> }) {
  const { batchId } = await params;
  // Before it is read: what is told meanwhile counts as later.
  const asOf = await requestTime();
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
      asOf={asOf}
      places={places.map((p) => ({ id: p.id, name: p.name }))}
      scaleStepG={rules.scaleStepG}
      waterBoilsC={rules.waterBoilsC}
      cooling={rules.cooling}
      fridgeC={rules.fridgeC}
      {...mindedSteps(db, batch, facts)}
    />
  );
}
