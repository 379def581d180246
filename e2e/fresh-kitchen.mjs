/** Starts the built app on a fresh sample kitchen in a folder of its own. Usage: node e2e/fresh-kitchen.mjs PORT */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const env = { ...process.env, SOFT_PEAK_PORT: process.argv[2], SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-e2e-')), 'kitchen.db') };
const seeded = spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
if (seeded.status !== 0) process.exit(1);
const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
