import Database from 'better-sqlite3';
import { seededNumbers } from '../../src/core/random';
import { KitchenServer, pause } from './kitchen-server';
import { Evening, Writer, type Write } from './writes';

const TABLETS = 6;
/** A server that runs long enough to be in the middle of things, and not so long that the night is over before it was killed often. */
const LIVES_MS = { least: 200, most: 4000 } as const;
/** A tablet asks again every few hundredths of a second: this is more than a minute. */
const MOST_TRIES = 2000;
/** So many of the requests are sent twice at once, and of the answers thrown away and asked for again. */
const TWICE = 0.1;
const UNHEARD = 0.1;

export interface KillReport {
  readonly kills: number;
  readonly acknowledged: number;
  readonly byKind: Readonly<Record<string, number>>;
  /** What was said to be kept and is not there, or is there more than once; '' for nothing. */
  readonly faults: readonly string[];
}

async function send(url: string, write: Write): Promise<{ readonly status: number; readonly answer: unknown }> {
  const body = write.body();
  let init: RequestInit = { method: write.method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
  if (write.form) {
    const form = new FormData();
    for (const [key, text] of Object.entries(body as Record<string, string>)) {
      if (key === 'photo') form.set(key, new File([Buffer.from(text, 'base64')], 'point.png', { type: 'image/png' }));
      else form.set(key, text);
    }
    init = { method: write.method, body: form };
  }
  const response = await fetch(`${url}${write.path}`, init);
  return { status: response.status, answer: await response.json() };
}

/** Sends a write until it is answered as done, as the pages do. @returns what is wrong where it never is; null where it is. */
async function untilTaken(url: string, write: Write, own: () => number): Promise<string | null> {
  let last = '';
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const twice = own() < TWICE ? send(url, write).catch(() => null) : null;
    // A server that is gone answers nothing, or half.
    const came = await send(url, write).catch(() => null);
    await twice;
    if (came === null) await pause(25);
    else if (own() >= UNHEARD) {
      last = `${came.status}: ${JSON.stringify(came.answer).slice(0, 300)}`;
      if (came.status >= 500) return `${write.kind} was answered ${last}`;
      const behind = write.behind?.(came.answer) === true;
      if (came.status < 400 && !behind) return null;
      // A batch that another tablet is just beginning is not there yet.
      if (came.status === 404) await pause(30);
      else if (!behind) return `${write.kind} was refused (${last})`;
    }
  }
  return `${write.kind} ${write.path} is never taken; last: ${last}`;
}

/**
 * Tablets write without pause over every kind of write there is while the server is killed at random moments; each goes on asking until
 * it is answered, as the pages do. @returns what was acknowledged, and what of it the data file does not have exactly once.
 */
export async function killsWhileWriting(kills: number, seed: number, say: (words: string) => void): Promise<KillReport> {
  const server = await KitchenServer.on();
  const random = seededNumbers(seed);
  await server.start();
  const get = async (path: string): Promise<Record<string, unknown>> => (await (await fetch(`${server.url}${path}`)).json()) as Record<string, unknown>;
  const { doc } = (await get('/api/sheets/bay-leaf-chantilly')) as { doc: Record<string, unknown> };
  const { doc: service } = (await get('/api/services/harbour-dinner')) as { doc: Record<string, unknown> };
  const db = new Database(server.path, { readonly: true, fileMustExist: true });
  const ingredient = JSON.parse((db.prepare("select facts from ingredients where id = 'honey'").get() as { facts: string }).facts) as Record<string, unknown>;
  const evening = new Evening(doc);
  const acknowledged: Write[] = [];
  const faults: string[] = [];
  let over = false;

  const tablet = async (name: string, own: () => number): Promise<void> => {
    const writer = new Writer(name, own, evening, service, ingredient);
    while (!over) {
      const write = writer.next();
      const wrong = await untilTaken(server.url, write, own);
      if (wrong === null) acknowledged.push(write);
      else {
        faults.push(wrong);
        over = true;
      }
      await pause(10 * own());
    }
  };
  const tablets = Array.from({ length: TABLETS }, (_, i) => tablet(`t${i}`, seededNumbers(seed * 101 + i)));

  let checked = 0;
  const check = (): void => {
    for (const write of acknowledged.slice(checked)) {
      const n = write.count(db);
      if (n !== null && n !== 1) faults.push(`${write.kind} ${write.path}: ${n === 0 ? 'acknowledged and not there' : `there ${n} times`}`);
    }
    checked = acknowledged.length;
  };
  for (let k = 0; k < kills && !over; k++) {
    await pause(LIVES_MS.least + (LIVES_MS.most - LIVES_MS.least) * random());
    await server.kill();
    check();
    await server.start();
    if ((k + 1) % 25 === 0) say(`${k + 1} kills, ${acknowledged.length} writes acknowledged, ${faults.length} faults`);
  }
  await pause(LIVES_MS.most);
  over = true;
  await Promise.all(tablets);
  // All of it once more: what was there must still be there.
  checked = 0;
  check();
  const whole = (db.pragma('integrity_check') as { integrity_check: string }[])[0]!.integrity_check;
  if (whole !== 'ok') faults.push(`the data file: ${whole}`);
  db.close();
  await server.kill();
  const byKind: Record<string, number> = {};
  for (const w of acknowledged) byKind[w.kind] = (byKind[w.kind] ?? 0) + 1;
  return { kills, acknowledged: acknowledged.length, byKind, faults: [...new Set(faults)] };
}
