/** Rows that could not be read: named once in the server's log, left out, and told to who asks. */

export interface UnreadableRow {
  readonly table: string;
  readonly id: string;
}

const known = new Map<string, UnreadableRow>();

/** Reads each row; one that cannot be read is named and left out, so that the rest of the kitchen stays. */
export function readRows<Row extends { readonly id: string }, Out>(table: string, rows: readonly Row[], read: (row: Row) => Out): Out[] {
  return rows.flatMap((row): Out[] => {
    try {
      const out = read(row);
      known.delete(`${table}/${row.id}`);
      return [out];
    } catch (error) {
      if (!known.has(`${table}/${row.id}`))
        console.error(`${table} ${row.id} cannot be read and is left out: ${error instanceof Error ? error.message.slice(0, 300) : 'unknown'}`);
      known.set(`${table}/${row.id}`, { table, id: row.id });
      return [];
    }
  });
}

/** What has been found unreadable since the server was started. */
export const unreadableRows = (): readonly UnreadableRow[] => [...known.values()];
