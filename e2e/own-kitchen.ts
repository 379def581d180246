import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PATIENT } from './kitchen';

/** A server with a data file of its own, for stories that change what all of a kitchen sees. @param sample the sample kitchen; else an empty one. */
export async function ownKitchen(port: number, sample: boolean): Promise<ChildProcess> {
  const env = { ...process.env, SOFT_PEAK_PORT: String(port), SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-own-')), 'kitchen.db') };
  if (sample) spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
  const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  const asked = (): Promise<number> =>
    fetch(`http://127.0.0.1:${port}/api/health`).then(
      (r) => r.status,
      () => 0,
    );
  await expect.poll(asked, PATIENT).toBe(200);
  return server;
}
