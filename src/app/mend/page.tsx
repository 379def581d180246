import { kitchenOf, type KitchenFacts } from '../../core/kitchen/kitchen';
import { factsOfBatch } from '../../core/mend/batch-case';
import { NO_FACTS } from '../../core/mend/case';
import { usualWith } from '../../core/mend/in-general';
import { SIGN_IDS, type SignId } from '../../core/mend/words';
import { matcherFor } from '../../core/measures/match';
import { sheetOfBatch } from '../../data/batch-sheet';
import { getBatch, listBatches } from '../../data/batches';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import type { KitchenDb } from '../../data/kitchen-file';
import { listMends } from '../../data/mends';
import { getSheet, latestSheetNames } from '../../data/sheets';
import { listTemperatures } from '../../data/temperatures';
import { requestTime } from '../request-time';
import { MendChoice } from './mend-choice';
import { MendDesk, type MendDeskProps } from './mend-desk';

export const metadata = { title: 'Mend' };

interface Asked {
  readonly batch?: string;
  readonly sheet?: string;
  readonly sign?: string;
  readonly general?: string;
}

/** A batch as it was made, and what it tells of itself; its mends come with its progress. */
function ofBatch(db: KitchenDb, batchId: string, facts: KitchenFacts, now: number): Omit<MendDeskProps, 'first' | 'kitchen' | 'log'> | null {
  const batch = getBatch(db, batchId);
  const sheet = batch && sheetOfBatch(db, batch, kitchenOf(facts));
  if (!batch || !sheet?.ok) return null;
  const head = getSheet(db, batch.sheetId);
  return {
    sheetId: batch.sheetId,
    sheet: sheet.value,
    head: head ? { doc: head.doc, revision: head.revision, version: head.version } : null,
    facts: factsOfBatch(batch.plan, batch.progress, batch.readings, listTemperatures(db, batchId), batch.endedAt, now),
    batch: { id: batch.id, progress: batch.progress, status: batch.status, revision: batch.revision },
    startedAt: batch.startedAt,
    steps: batch.plan.steps.map(({ key, partId, whisks, lines }) => ({ key, partId, whisks, lines: lines.map(({ lineId }) => ({ lineId })) })),
  };
}

function ofSheet(db: KitchenDb, sheetId: string): Omit<MendDeskProps, 'first' | 'kitchen' | 'log'> | null {
  const sheet = getSheet(db, sheetId);
  return sheet
    ? {
        sheetId,
        sheet: sheet.doc,
        head: { doc: sheet.doc, revision: sheet.revision, version: sheet.version },
        facts: NO_FACTS,
        batch: null,
        startedAt: null,
        steps: [],
      }
    : null;
}

/** A dessert of a usual size that can show the sign, where none is named. */
function inGeneral(sign: SignId, facts: KitchenFacts): Omit<MendDeskProps, 'first' | 'kitchen' | 'log'> | null {
  const kitchen = kitchenOf(facts);
  const sheet = usualWith(sign, kitchen, {
    larder: kitchen.larder,
    matcher: matcherFor(facts.larder),
    measures: { cups: facts.rules.cups, eggs: facts.rules.eggs },
  });
  return sheet && { sheetId: null, sheet, head: null, facts: NO_FACTS, batch: null, startedAt: null, steps: [] };
}

/** Mend: what do you see? For a batch, for a sheet, in general, or first asking for which. */
export default async function MendPage({ searchParams }: { readonly searchParams: Promise<Asked> }) {
  const { batch: batchId, sheet: sheetId, sign, general } = await searchParams;
  const db = openedKitchen();
  const facts = readKitchenFacts(db);
  const first = SIGN_IDS.find((s) => s === sign) ?? null;
  const found = batchId ? ofBatch(db, batchId, facts, await requestTime()) : sheetId ? ofSheet(db, sheetId) : general && first ? inGeneral(first, facts) : null;
  if (found && found.sheet.parts.some((p) => p.lines.length > 0))
    return <MendDesk key={`${batchId ?? sheetId ?? 'general'}:${sign ?? ''}`} {...found} first={first} kitchen={facts} log={listMends(db)} />;
  const batches = listBatches(db, { limit: 12 }).map((b) => ({ id: b.id, name: b.plan.sheetName, at: b.startedAt, status: b.status }));
  return <MendChoice sign={first} gone={batchId !== undefined || sheetId !== undefined} batches={batches} sheets={latestSheetNames(db)} />;
}
