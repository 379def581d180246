/**
 * Starts the server. It listens on 127.0.0.1:4310 unless SOFT_PEAK_HOST or SOFT_PEAK_PORT say otherwise;
 * on any other host it asks for the kitchen's passphrase (SOFT_PEAK_PASSPHRASE) and does not start without one.
 */
import { spawn } from 'node:child_process';
import { ENV, ROOT } from './prepare.mjs';

const host = process.env.SOFT_PEAK_HOST ?? '127.0.0.1';
const port = process.env.SOFT_PEAK_PORT ?? '4310';
const local = ['127.0.0.1', 'localhost', '::1'].includes(host);

if (!local && !process.env.SOFT_PEAK_PASSPHRASE) {
  console.error(`To listen on ${host}, set SOFT_PEAK_PASSPHRASE: anyone on the network could read and change the kitchen otherwise.`);
  process.exit(1);
}

const mode = process.argv.includes('--dev') ? 'dev' : 'start';
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
