import { KitchenServer, pause } from './kitchen-server';

export interface StreamReport {
  readonly ticks: number;
  /** Requests that were sent a second time, because their connection had been closed. */
  readonly sentAgain: number;
  /** From the tick's being sent to its being seen on another screen, ms. */
  readonly p50: number;
  readonly p95: number;
  readonly memoryMb: { readonly first: number; readonly last: number; readonly most: number };
  readonly faults: readonly string[];
}

const SETTLE_MS = 20_000;

/** Reads a stream's messages until it is told to stop. */
async function listen(url: string, signal: AbortSignal, hear: (data: string) => void): Promise<void> {
  const response = await fetch(url, { signal });
  // Packed, each line waited for the packing of all the others: ten times as long.
  if (response.headers.has('content-encoding')) throw new Error('what a screen is told is packed on its way');
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const parts = (rest + value).split('\n\n');
    rest = parts.pop()!;
    for (const part of parts) if (part.startsWith('data: ')) hear(part.slice(6));
  }
}

/**
 * Screens that listen, and as many that write, for some minutes on a few batches: how soon a tick is seen elsewhere, and whether the
 * server's memory stays.
 */
export async function streamsAndWriters(streams: number, minutes: number, say: (words: string) => void): Promise<StreamReport> {
  const server = await KitchenServer.on();
  await server.start();
  const stop = new AbortController();
  const faults: string[] = [];
  /** Connections that were closed under a request: it is sent again, an event with its own id, as a tablet does. */
  let again = 0;
  const ask = async (path: string, init?: RequestInit): Promise<Response> => {
    for (let left = 3; ; left--) {
      try {
        return await fetch(`${server.url}${path}`, init);
      } catch (error) {
        again++;
        if (left === 0) throw error;
        await pause(200);
      }
    }
  };
  const post = async (path: string, body: unknown): Promise<{ status: number; answer: Record<string, unknown> }> => {
    const response = await ask(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
    return { status: response.status, answer: (await response.json()) as Record<string, unknown> };
  };
  const BATCHES = 10;
  const batches = await Promise.all(
    Array.from({ length: BATCHES }, async (_, i) => {
      const id = `streams-${i}`;
      const made = await post('/api/batches', { id, sheetId: 'bay-leaf-chantilly' });
      if (made.status >= 300) faults.push(`no batch: ${made.status}`);
      return { id, revision: 1, n: 0 };
    }),
  );
  /** When each tick was sent, and how long until each of the others has seen it. */
  const sentAt = new Map<string, number>();
  const delays: number[] = [];
  const heard: Promise<void>[] = [];
  for (let i = 0; i < streams; i++) {
    const batch = batches[i % BATCHES]!;
    const seen = new Set<string>();
    heard.push(
      listen(`${server.url}/api/batches/${batch.id}/stream`, stop.signal, (data) => {
        const { progress } = JSON.parse(data) as { progress: { ticks: string[] } };
        for (const tick of progress.ticks) {
          const at = sentAt.get(`${batch.id} ${tick}`);
          if (at === undefined || seen.has(tick)) continue;
          seen.add(tick);
          delays.push(performance.now() - at);
        }
      }).catch((error: unknown) => {
        if (!stop.signal.aborted) faults.push(`a stream ended: ${String(error)}`);
      }),
    );
  }
  const until = Date.now() + 60_000 * minutes;
  const memory: number[] = [];

  const watch = (async () => {
    // What the first pages load is no leak.
    await pause(Math.min(SETTLE_MS, 15_000 * minutes));
    while (Date.now() < until) {
      memory.push(((await (await ask('/api/health')).json()) as { memoryMb: number }).memoryMb);
      await pause(2000);
    }
  })();
  // One writer for each batch, a tick a second or so as a busy pass has, on and off again so that a batch does not grow.
  let ticks = 0;
  await Promise.all(
    batches.map(async (batch, b) => {
      await pause(100 * b);
      while (Date.now() < until) {
        const line = `l${batch.n++}`;
        for (const on of [true, false]) {
          if (on) sentAt.set(`${batch.id} ${line}`, performance.now());
          const { status, answer } = await post(`/api/batches/${batch.id}/events`, {
            id: `${batch.id}-${line}-${String(on)}`,
            event: { kind: 'tick', line, on },
            baseRevision: batch.revision,
          });
          if (status !== 200) faults.push(`a tick was answered ${status}`);
          batch.revision = ((answer.batch ?? answer.current) as { revision: number }).revision;
          ticks++;
          await pause(400);
        }
      }
    }),
  );
  await watch;
  stop.abort();
  await Promise.all(heard);
  await server.kill();
  say(`${delays.length} sightings of ${ticks / 2} ticks`);
  if (delays.length === 0) faults.push('nothing was seen');
  const sorted = delays.sort((a, b) => a - b);
  const at = (q: number): number => sorted[Math.floor(q * (sorted.length - 1))] ?? NaN;
  return {
    ticks: ticks / 2,
    sentAgain: again,
    p50: at(0.5),
    p95: at(0.95),
    memoryMb: { first: memory[0] ?? NaN, last: memory.at(-1) ?? NaN, most: Math.max(...memory) },
    faults,
  };
}
