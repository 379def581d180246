import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openKitchenFile } from './kitchen-file';
import { addPracticeStop, listPracticeStops } from './practice';

it('practised stops are kept over closing the file, newest first', () => {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-practice-'));
  const path = join(folder, 'kitchen.db');
  try {
    const db = openKitchenFile(path);
    expect(listPracticeStops(db)).toEqual([]);
    addPracticeStop(db, { seed: 4_294_967_295, stoppedS: 91.5, at: 1000 });
    addPracticeStop(db, { seed: 7, stoppedS: 200, at: 2000 });
    db.$client.close();
    const again = openKitchenFile(path);
    expect(listPracticeStops(again)).toEqual([
      { seed: 7, stoppedS: 200, at: 2000 },
      { seed: 4_294_967_295, stoppedS: 91.5, at: 1000 },
    ]);
    again.$client.close();
  } finally {
    rmSync(folder, { recursive: true });
  }
});
