/** Builds the app for production, then the worker that keeps it for tablets while the server is away, and the server's second thread. */
import { readdirSync, readFileSync, utimesSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ENV, ROOT, buildAside, run } from './prepare.mjs';

const status = run('node', ['node_modules/next/dist/bin/next', 'build'], ENV);
if (status !== 0) process.exit(status);

const STATIC = join(ROOT, '.next', 'static');
const name = readFileSync(join(ROOT, '.next', 'BUILD_ID'), 'utf8').trim();
// Every file of the build has a name of its own, so none needs a revision.
const files = readdirSync(STATIC, { recursive: true, withFileTypes: true })
  .filter((f) => f.isFile() && !f.name.endsWith('.map'))
  .map((f) => ({
    url: `/_next/static/${join(f.parentPath, f.name)
      .slice(STATIC.length + 1)
      .split('\\')
      .join('/')}`,
    revision: null,
  }));

await build({
  entryPoints: [join(ROOT, 'src', 'workers', 'alone.worker.ts')],
  outfile: join(ROOT, 'public', 'alone.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { BUILT: JSON.stringify(files), BUILD: JSON.stringify(name), 'process.env.NODE_ENV': '"production"' },
  logLevel: 'warning',
});
await buildAside();
// The build is as new as its last file, or it would be made again at the next start.
const now = new Date();
utimesSync(join(ROOT, '.next', 'BUILD_ID'), now, now);
console.log(`Kept for tablets: ${files.length} files of build ${name}.`);
