import { desc, eq, sql } from 'drizzle-orm';
import { presentServices } from './due';
import type { KitchenDb } from './kitchen-file';
import { batches } from './schema';

/** Batches at once whose pages a tablet keeps. */
const MOST_BATCHES = 8;
/** Services whose plan and day sheet it keeps. */
const MOST_SERVICES = 3;

/** A page and what a cook calls it. */
export interface PageToKeep {
  readonly href: string;
  readonly name: string;
}

/**
 * The pages that a kitchen works with while the server is away: Today, what is being made with its sheet and Mend, and the plan and day
 * sheet of what is served in these days.
 * @param now ms since 1970.
 */
export function pagesToKeep(db: KitchenDb, now: number): readonly PageToKeep[] {
  const running = db
    .select({ id: batches.id, sheetId: batches.sheetId, name: sql<string>`json_extract(${batches.plan}, '$.sheetName')` })
    .from(batches)
    .where(eq(batches.status, 'running'))
    .orderBy(desc(batches.startedAt))
    .limit(MOST_BATCHES)
    .all();
  const services = presentServices(db, now).slice(0, MOST_SERVICES);
  const sheets = new Map(running.map((b) => [b.sheetId, b.name]));
  return [
    { href: '/', name: 'Today' },
    ...running.flatMap((b) => [
      { href: `/pass/${b.id}`, name: `Pass: ${b.name}` },
      { href: `/mend?batch=${b.id}`, name: `Mend: ${b.name}` },
    ]),
    ...[...sheets].map(([id, name]) => ({ href: `/sheet/${id}/bench`, name: `Bench: ${name}` })),
    ...services.flatMap((s) => [
      { href: `/clock/${s.id}`, name: `Clock: ${s.doc.name}` },
      { href: `/print/service/${s.id}`, name: `Day sheet: ${s.doc.name}` },
    ]),
    { href: '/mend', name: 'Mend' },
    { href: '/pass', name: 'Pass' },
  ];
}
