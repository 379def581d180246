/** What a fresh clone lacks before it can run: packages, a build, a browser. Each step says what it does and is skipped when done. */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const CHROMIUM = '/usr/bin/chromium';

/** Nothing is reported to anyone. */
export const ENV = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a command in the project's folder with its output shown; returns its exit status. */
export function run(command, args, env = ENV) {
  return spawnSync(command, args, { cwd: ROOT, env, stdio: ['ignore', 'inherit', 'inherit'] }).status ?? 1;
}

function must(says, status) {
  if (status === 0) return;
  console.error(`${says} did not work (exit ${status}).`);
  process.exit(1);
}

/** Installs the packages of package-lock.json when they are not there or older than it. */
export function ensurePackages() {
  const stamp = join(ROOT, 'node_modules', '.package-lock.json');
  const lock = join(ROOT, 'package-lock.json');
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs) return;
  console.log('Installing packages (a few minutes the first time: the database is compiled here)…');
  const lacks = [['g++', 'c++', 'clang++'], ['make'], ['python3']]
    .filter((any) => !any.some((tool) => spawnSync(tool, ['--version'], { stdio: 'ignore' }).status === 0))
    .map((any) => any[0]);
  if (lacks.length > 0) {
    console.error(
      `The database is compiled here and this machine lacks ${lacks.join(', ')}. On Debian: apt-get install g++ make python3. Then start this again.`,
    );
    process.exit(1);
  }
  must('npm ci', run('npm', ['ci', '--no-audit', '--no-fund']));
}

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
}

/** Builds for production when there is no build or something has changed since. */
export function ensureBuild() {
  const id = join(ROOT, '.next', 'BUILD_ID');
  const sources = ['src', 'public', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'].map((p) => join(ROOT, p)).filter(existsSync);
  if (existsSync(id) && statSync(id).mtimeMs >= Math.max(...sources.map(newest))) return;
  console.log('Building…');
  must('The build', run('node', ['scripts/build.mjs']));
}

/** Bundles the server's second thread (src/aside/questions.ts) beside the build, or where it is wanted. */
export async function buildAside(outfile = join(ROOT, '.next', 'aside.mjs')) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(ROOT, 'src', 'aside', 'questions.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: ['better-sqlite3'],
    // What is bundled may still ask for parts of Node in the older way.
    banner: { js: "import { createRequire as olderWay } from 'node:module'; const require = olderWay(import.meta.url);" },
    logLevel: 'warning',
  });
}

/** Installs Debian's chromium when it is absent and this is a Debian machine that may. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing chromium through apt for the end-to-end tests…');
  const env = { ...ENV, DEBIAN_FRONTEND: 'noninteractive' };
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => run([...sudo, 'apt-get', ...args][0], [...sudo, 'apt-get', ...args].slice(1), env);
  must('apt-get update', apt('update', '-qq'));
  must('apt-get install chromium', apt('install', '-y', '-qq', '--no-install-recommends', 'chromium'));
}
