import { fork } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { seededNumbers } from '../../src/core/random';
import type { Held } from '../../src/data/held';
import { KitchenServer } from './kitchen-server';
import type { Waited } from './other-screen';

export interface InputReport {
  readonly inputs: number;
  readonly byStatus: Readonly<Record<string, number>>;
  /** The longest that a page or a route took when it was first opened after the start, ms. */
  readonly firstOpenedMs: number;
  /** The longest that another screen's question waited while one input was read, ms. */
  readonly longestStallMs: number;
  /** The longest that the server's first thread held everybody up, by its own reckoning, ms. */
  readonly serverHeldMs: number;
  /** How much of that it was itself at work, at most, ms: of what another screen waits the rest is the disk's and the machine's. */
  readonly serverWorkedMs: number;
  /** Of those questions, how many waited for longer than a tenth of a second. */
  readonly stalls: number;
  readonly slowest: readonly string[];
  readonly faults: readonly string[];
}

/** The pages of the sample kitchen. */
const PAGES: readonly string[] = [
  '/',
  '/log',
  '/larder',
  '/larder/kitchen',
  '/larder/stock',
  '/clock',
  '/clock/harbour-dinner',
  '/sheet/bay-leaf-chantilly/bench',
  '/pass/sample-1',
  '/log/sample-1',
  '/log/learnt',
  '/mend',
  '/practise',
];

/** After how many inputs the server is asked how long it held others, so that a long hold is told with what was asked then. */
const ASKS_EVERY = 10;
/** How many of the longest are told. */
const LONGEST = 8;

type Random = () => number;
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
/** Routes that answer for as long as they are listened to, and those that would end the torture: who is in, going back. */
const LEFT_OUT = /\/stream$|^\/api\/entry|\/go-back$/;

interface Route {
  readonly path: string;
  readonly methods: readonly string[];
}

/** Every route of the program with what it answers to, by the files of the program itself. */
const routes = (): readonly Route[] =>
  readdirSync('src/app/api', { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('/route.ts'))
    .map((f) => ({
      path: `/api/${f.slice(0, -'/route.ts'.length)}`,
      methods: [...readFileSync(`src/app/api/${f}`, 'utf8').matchAll(/^export (?:async function|function|const) ([A-Z]+)\b/gm)].map((m) => m[1]!),
    }))
    .filter((r) => !LEFT_OUT.test(r.path));

const ODD_WORDS = [
  '',
  ' ',
  'x',
  'null',
  '__proto__',
  'constructor',
  'toString',
  '..',
  '../..',
  '%00',
  '%ff',
  '%2e%2e%2f',
  'é',
  '🍮',
  '\u202e',
  "'; drop table batches; --",
  '1e309',
  '-1',
  '9'.repeat(400),
  'a'.repeat(5000),
  '{{7*7}}',
  '<script>',
  'Nope/Zone',
];
const ODD_NUMBERS = [0, -1, 1, 0.1, 1e-300, 1e300, 8.64e15, 8.64e15 + 1, 2 ** 53, -(2 ** 31), 301, 1001];
const pick = <T>(random: Random, of: readonly T[]): T => of[Math.floor(of.length * random())]!;

/** Any value of JSON, not too deep. */
function oddValue(random: Random, depth = 0): unknown {
  const r = random();
  if (r < 0.25 || depth > 3) return pick(random, ODD_WORDS);
  if (r < 0.5) return pick(random, ODD_NUMBERS);
  if (r < 0.6) return pick(random, [null, true, false]);
  if (r < 0.8) return Array.from({ length: Math.floor(random() ** 4 * (depth === 0 ? 400 : 12)) }, () => oddValue(random, depth + 1));
  return Object.fromEntries(
    Array.from({ length: Math.floor(4 * random()) }, () => [
      pick(random, ['id', 'doc', 'event', 'kind', 'at', 'packs', 'things', 'samples', ...ODD_WORDS]),
      oddValue(random, depth + 1),
    ]),
  );
}

/** A value with one of its places put wrong: near to what is right it reaches further. */
function spoilt(random: Random, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || random() < 0.12) return oddValue(random);
  const keys = Object.keys(value);
  if (keys.length === 0) return oddValue(random);
  const key = pick(random, keys);
  const inside = spoilt(random, (value as Record<string, unknown>)[key]);
  if (Array.isArray(value)) return value.map((v: unknown, i) => (String(i) === key ? inside : v));
  return { ...value, [key]: inside };
}

/**
 * Every route with odd, spoilt and foreign input, while another screen asks its small question again and again: nothing may be answered
 * with a fault of the server's own, no page may be broken afterwards, and nobody waits.
 */
export async function oddInputs(inputs: number, seed: number, say: (words: string) => void): Promise<InputReport> {
  const server = await KitchenServer.on();
  await server.start();
  const random = seededNumbers(seed);
  const get = async (path: string): Promise<Record<string, unknown>> => (await (await fetch(`${server.url}${path}`)).json()) as Record<string, unknown>;
  const { doc: sheet, revision } = await get('/api/sheets/bay-leaf-chantilly');
  const { doc: service } = await get('/api/services/harbour-dinner');
  const larder = await (await fetch(`${server.url}/api/larder/file`)).text();
  const right: Readonly<Record<string, unknown>> = {
    '/api/sheets': { doc: sheet },
    '/api/sheets/[sheetId]': { doc: sheet, baseRevision: revision },
    '/api/services': { doc: service },
    '/api/services/[serviceId]': { doc: service, baseRevision: 1 },
    '/api/batches': { sheetId: 'bay-leaf-chantilly' },
    '/api/batches/[batchId]/events': { event: { kind: 'off-plan', entry: { at: 1_790_000_000_000, kind: 'note', words: 'x' } }, baseRevision: 1 },
    '/api/batches/[batchId]/temperatures': { samples: [{ series: 'cook|by hand', at: 1_790_000_000_000, tC: 20 }] },
    '/api/stock': { packs: [{ id: 'odd-pack', ingredientId: 'honey', sizeG: 500, leftG: 500, bestBefore: null }] },
    '/api/practice': { seed: 7, stoppedS: 90 },
    '/api/calc/[name]': { liquidG: 120, foamG: 60 },
  };
  const all = routes();
  const ids: Readonly<Record<string, readonly string[]>> = {
    sheetId: ['bay-leaf-chantilly'],
    serviceId: ['harbour-dinner'],
    batchId: ['sample-1', 'sample-2'],
    ingredientId: ['honey'],
    name: ['whisk', 'biscuits', 'timetable', 'overrun', 'read-recipe', 'mend-causes'],
    format: ['sheet', 'csv', 'ics', 'plan'],
    number: ['1'],
    layer: ['0'],
  };
  const pathOf = (route: string): string =>
    route.replace(/\[(\w+)\]/g, (_, key: string) =>
      encodeURIComponent(
        random() < 0.7
          ? pick(random, ids[key] ?? ['x'])
          : pick(
              random,
              ODD_WORDS.filter((w) => w !== '' && w !== '.' && w !== '..'),
            ),
      ),
    );

  const faults: string[] = [];
  const byStatus: Record<string, number> = {};
  const slow: { ms: number; what: string }[] = [];
  // What a page or a route loads when it is first opened after a start is no fault of what is put in: it is told by itself.
  let firstOpenedMs = 0;
  for (const path of [...PAGES, ...all.map((r) => pathOf(r.path))]) {
    const from = performance.now();
    await fetch(`${server.url}${path}`).then((r) => r.arrayBuffer());
    firstOpenedMs = Math.max(firstOpenedMs, Math.round(performance.now() - from));
  }
  let [serverHeldMs, serverWorkedMs] = [0, 0];
  const held: { ms: number; during: string }[] = [];
  let since: string[] = [];
  const heard = (text: string): void => {
    const { longestHeldMs, longestWorkedMs } = JSON.parse(text) as Held;
    [serverHeldMs, serverWorkedMs] = [Math.max(serverHeldMs, longestHeldMs), Math.max(serverWorkedMs, longestWorkedMs)];
    held.push({ ms: longestWorkedMs, during: [...new Set(since)].join(', ') });
    held.sort((a, b) => b.ms - a.ms).splice(LONGEST);
    since = [];
  };
  const askHowLong = (): Promise<void> =>
    fetch(`${server.url}/api/health`)
      .then((r) => r.text())
      .then(heard);
  // From here on.
  await askHowLong();
  [serverHeldMs, serverWorkedMs, held.length] = [0, 0, 0];
  const asked: { at: number; what: string }[] = [];
  const other = fork(new URL('./other-screen.ts', import.meta.url), [server.url]);
  for (let i = 0; i < inputs; i++) {
    const { path: route, methods } = pick(random, all);
    const method = random() < 0.9 ? pick(random, methods) : pick(random, METHODS);
    const query =
      random() < 0.3
        ? `?${new URLSearchParams({ [pick(random, ['grid', 'skip', 'at', 'series', 'by', 'thing', 'screen'])]: pick(random, ODD_WORDS) }).toString()}`
        : '';
    const path = `${pathOf(route)}${query}`;
    let body: string | FormData | undefined;
    let type = 'application/json';
    if (method !== 'GET') {
      const r = random();
      if (route === '/api/larder/file') {
        const at = Math.floor(larder.length * random());
        body = `${larder.slice(0, at)}${pick(random, ODD_WORDS)}${larder.slice(at + Math.floor(20 * random()))}`;
        type = 'text/csv';
      } else if (r < 0.1) {
        body = new FormData();
        for (let k = 0; k < 4; k++)
          body.set(
            pick(random, ['kind', 'at', 'value', 'words', 'photo', 'id']),
            random() < 0.3 ? new File([pick(random, ODD_WORDS)], 'x.png') : pick(random, ['note', 'photo', 'weep', ...ODD_WORDS]),
          );
      } else if (r < 0.2) body = pick(random, ODD_WORDS);
      else if (r < 0.205) body = `"${'a'.repeat(Math.floor(40_000_000 * random()))}"`;
      else body = JSON.stringify(right[route] !== undefined && r < 0.8 ? spoilt(random, right[route]) : oddValue(random));
    }
    const from = performance.now();
    asked.push({ at: performance.timeOrigin + from, what: `${method} ${route}` });
    since.push(`${method} ${route}`);
    try {
      const response = await fetch(`${server.url}${path}`, {
        method,
        ...(body === undefined ? {} : { body }),
        ...(typeof body === 'string' ? { headers: { 'content-type': type } } : {}),
        signal: AbortSignal.timeout(60_000),
      });
      const text = await response.text();
      if (route === '/api/health' && response.status === 200 && text !== '') heard(text);
      byStatus[response.status] = (byStatus[response.status] ?? 0) + 1;
      if (response.status >= 500)
        faults.push(`${method} ${route} was answered ${response.status}: ${text.slice(0, 160)} for ${typeof body === 'string' ? body.slice(0, 300) : path}`);
    } catch (error) {
      faults.push(`${method} ${path.slice(0, 200)}: ${String(error)} for ${typeof body === 'string' ? body.slice(0, 300) : 'a form'}`);
      if (
        !(await fetch(`${server.url}/api/health`).then(
          () => true,
          () => false,
        ))
      ) {
        faults.push('the server is gone');
        break;
      }
    }
    slow.push({ ms: performance.now() - from, what: `${method} ${route}` });
    if (slow.length > 400) slow.sort((a, b) => b.ms - a.ms).splice(12);
    if ((i + 1) % ASKS_EVERY === 0) await askHowLong().catch(() => undefined);
    if ((i + 1) % 2000 === 0) say(`${i + 1} inputs, ${faults.length} faults`);
  }
  const told = new Promise<readonly Waited[]>((hear, fail) => other.once('message', (w) => hear(w as readonly Waited[])).once('exit', fail));
  other.send('over');
  const stalls = (await told).map((w) => {
    const last = asked.findLastIndex((a) => a.at <= w.from + w.ms);
    return {
      ms: w.ms,
      during: asked
        .slice(Math.max(0, last - 2), last + 1)
        .map((a) => a.what)
        .join(', '),
    };
  });
  await askHowLong();
  // No page is broken by what was taken in.
  for (const page of PAGES) {
    const status = await fetch(`${server.url}${page}`).then(
      (r) => r.status,
      () => 0,
    );
    if (status !== 200) faults.push(`afterwards ${page} is answered ${status}`);
  }
  await server.kill();
  stalls.sort((a, b) => b.ms - a.ms);
  return {
    inputs,
    byStatus,
    firstOpenedMs,
    longestStallMs: Math.round(stalls[0]?.ms ?? 0),
    stalls: stalls.length,
    serverHeldMs,
    serverWorkedMs,
    slowest: [
      ...held.map((h) => `the server worked ${h.ms} ms at a stretch among ${h.during}`),
      ...stalls.slice(0, LONGEST).map((s) => `others waited ${Math.round(s.ms)} ms during ${s.during}`),
      ...slow
        .sort((a, b) => b.ms - a.ms)
        .slice(0, LONGEST)
        .map((s) => `${s.what} ${Math.round(s.ms)} ms`),
    ],
    faults: [...new Set(faults)],
  };
}
