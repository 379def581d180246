/** The sample kitchen Gannet Quay on a fresh clone: installs, builds, fills its own data file, starts, stays up. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensurePackages, ENV, ROOT, run } from './prepare.mjs';

ensurePackages();
ensureBuild();
const env = { ...ENV, SOFT_PEAK_DATA: process.env.SOFT_PEAK_DATA ?? join(ROOT, 'data', 'gannet-quay.db') };
if (run('node_modules/.bin/tsx', ['scripts/seed.ts'], env) !== 0) process.exit(1);
const port = env.SOFT_PEAK_PORT ?? '4310';
const server = spawn('node', ['scripts/serve.mjs'], { cwd: ROOT, env, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

const address = `http://${env.SOFT_PEAK_HOST ?? '127.0.0.1'}:${port}`;
for (;;) {
  try {
    await fetch(address, { redirect: 'manual' });
    break;
  } catch {
    await new Promise((done) => setTimeout(done, 100));
  }
}
console.log(`\nSoft Peak is at ${address} with the sample kitchen Gannet Quay. Ctrl C stops it.`);
