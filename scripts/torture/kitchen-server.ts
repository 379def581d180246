import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, openSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const STARTS_WITHIN_MS = 120_000;

/** A free port of this machine. */
const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => found(port));
    });
  });

export const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));

/** The real server, as it is built, on a sample kitchen of its own; killed and started as often as wanted. */
export class KitchenServer {
  private process: ChildProcess | null = null;
  private constructor(
    readonly path: string,
    private readonly port: number,
  ) {}

  /** @param path a data file that is there; else a sample kitchen is made. */
  static async on(path?: string): Promise<KitchenServer> {
    const file = path ?? join(mkdtempSync(join(tmpdir(), 'soft-peak-torture-')), 'kitchen.db');
    if (!path) {
      const seeded = spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env: { ...process.env, SOFT_PEAK_DATA: file }, encoding: 'utf8' });
      if (seeded.status !== 0) throw new Error(`The sample kitchen was not made: ${seeded.stderr}`);
    }
    return new KitchenServer(file, await freePort());
  }
  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  private get isGone(): boolean {
    return this.process !== null && (this.process.exitCode !== null || this.process.signalCode !== null);
  }
  /** Starts it and waits until it answers. @param limits what the shell sets before, as 'ulimit -f 4000'. */
  async start(limits = ''): Promise<void> {
    const env = { ...process.env, SOFT_PEAK_DATA: this.path, NEXT_TELEMETRY_DISABLED: '1' };
    const command = ['node', 'node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(this.port)];
    // What it says stands beside its data file.
    const log = openSync(`${this.path}.log`, 'a');
    const stdio = ['ignore', log, log] as const;
    this.process =
      limits === ''
        ? spawn(command[0]!, command.slice(1), { env, stdio: [...stdio] })
        : spawn('bash', ['-c', `${limits}; exec ${command.join(' ')}`], { env, stdio: [...stdio] });
    for (const until = Date.now() + STARTS_WITHIN_MS; Date.now() < until; await pause(40)) {
      if (
        await fetch(`${this.url}/api/health`).then(
          () => true,
          () => false,
        )
      )
        return;
      if (this.isGone) throw new Error('The server ended before it answered.');
    }
    throw new Error('The server does not answer.');
  }
  /** Kills it in the middle of whatever it does. */
  async kill(): Promise<void> {
    const dying = this.process!;
    if (this.isGone) return;
    const gone = new Promise((done) => dying.once('exit', done));
    dying.kill('SIGKILL');
    await gone;
  }
}
