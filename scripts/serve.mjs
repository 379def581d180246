/**
 * Starts the server. It listens on 127.0.0.1:4310 unless SOFT_PEAK_HOST or SOFT_PEAK_PORT say otherwise;
 * on any other host it does not start without a passphrase: SOFT_PEAK_PASSPHRASE, or one set on Larder, 'Who comes in'.
 */
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { ENV, ROOT, buildAside } from './prepare.mjs';

const host = process.env.SOFT_PEAK_HOST ?? '127.0.0.1';
const port = process.env.SOFT_PEAK_PORT ?? '4310';
const local = ['127.0.0.1', 'localhost', '::1'].includes(host);

/** Whether a passphrase was set in the program: it stands beside the data file (src/entry). */
function isLocked() {
  try {
    return (
      JSON.parse(readFileSync(`${resolve(process.env.SOFT_PEAK_DATA ?? 'data/soft-peak.db').replace(/\.db$/, '')}.entry.json`, 'utf8')).passphrase !== null
    );
  } catch {
    return false;
  }
}

if (!local && !process.env.SOFT_PEAK_PASSPHRASE && !isLocked()) {
  console.error(
    `To listen on ${host}, set SOFT_PEAK_PASSPHRASE, or a passphrase on Larder, ‘Who comes in’: anyone on the network could read and change the kitchen otherwise.`,
  );
  process.exit(1);
}

const mode = process.argv.includes('--dev') ? 'dev' : 'start';
if (mode === 'dev') await buildAside();
const server = spawn('node', ['node_modules/next/dist/bin/next', mode, '-H', host, '-p', port], { cwd: ROOT, env: ENV, stdio: 'inherit' });
/** Open streams would keep it for ever: what is written is written at once, so it may go after this. */
const GOES_AFTER_MS = 2500;
let asked = false;
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    asked = true;
    server.kill(signal);
    setTimeout(() => server.kill('SIGKILL'), GOES_AFTER_MS).unref();
  });
}
// One that was killed did not end well, unless it was told to go.
server.on('exit', (code) => process.exit(asked ? 0 : (code ?? 1)));
