/** A kitchen of years: what Today, the log and an ingredient's page read of it. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { listBatches, placesOfBatches, runningBatch } from '../src/data/batches';
import { dueMomentsWith } from '../src/data/due';
import { openKitchenFile } from '../src/data/kitchen-file';
import { readKitchenFacts } from '../src/data/kitchen-facts';
import { usesOf } from '../src/data/larder';
import { listMends } from '../src/data/mends';
import { seedSampleKitchen } from '../src/data/sample/sample-kitchen';
import { shelf } from '../src/data/sheets';

const NOW = Date.UTC(2026, 10, 20, 12);
const DAY = 86_400_000;

/** ms, the middle of some. */
function middle(runs: number, call: () => unknown): number {
  call();
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    call();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
}

/** @param batches how many the log has, made of the sample ones, some hours apart. */
export function yearsOfLog(batches = 20_000, sheets = 2_000): void {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-bench-'));
  const db = openKitchenFile(join(folder, 'kitchen.db'));
  try {
    seedSampleKitchen(db, NOW);
    const reads = (): readonly (readonly [string, number])[] => [
      [
        'Today: sheets, batches, moments',
        middle(5, () => [
          shelf(db, { find: '', folder: '', order: 'touched', limit: 36 }),
          listBatches(db, { limit: 40 }),
          dueMomentsWith(db, NOW, () => null),
        ]),
      ],
      ['a page of the log', middle(5, () => [listBatches(db, { limit: 61 }), placesOfBatches(db)])],
      ['its thousandth batch', middle(5, () => listBatches(db, { limit: 61, before: NOW - 200 * DAY }))],
      ['the batch that runs now', middle(5, () => runningBatch(db))],
      ['where an ingredient is used', middle(3, () => usesOf(db, 'mascarpone'))],
      ['the kitchen with what it has learnt', middle(3, () => readKitchenFacts(db))],
      ['what was mended', middle(3, () => listMends(db))],
    ];
    const small = reads();
    db.$client.exec('pragma synchronous = off');
    db.run(sql`insert into batches (id, sheet_id, sheet_version, portions, status, plan, progress, started_at, ended_at, revision)
      with recursive n(i) as (select 1 union all select i + 1 from n where i < ${batches})
      select b.id || '-' || n.i, b.sheet_id, b.sheet_version, b.portions, 'finished', b.plan, b.progress, b.started_at - n.i * 3600000, b.ended_at - n.i * 3600000, 1
      from n join (select *, row_number() over (order by id) as k, count(*) over () as total from batches where status = 'finished') b on b.k = n.i % b.total + 1`);
    db.run(sql`insert into sheets (id, name, doc, head_version, revision, created_at, updated_at, saved_by, saved_over, saved_count)
      with recursive n(i) as (select 1 union all select i + 1 from n where i < ${sheets})
      select s.id || '-' || n.i, s.name || ' ' || n.i, s.doc, 1, 1, s.created_at, s.updated_at - n.i, '', 0, 0
      from n join (select *, row_number() over (order by id) as k, count(*) over () as total from sheets) s on s.k = n.i % s.total + 1`);
    console.log(`\nA log of ${batches} batches and ${sheets} sheets, against the sample month`);
    reads().forEach(([name, ms], i) => console.log(name.padEnd(58), `${ms.toFixed(1)} ms`.padStart(14), `${(ms / small[i]![1]).toFixed(1)} ×`.padStart(14)));
  } finally {
    db.$client.close();
    rmSync(folder, { recursive: true });
  }
}
