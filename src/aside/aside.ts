import type { EventEmitter } from 'node:events';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Tinypool } from 'tinypool';
import type * as questions from './questions';

/*
 * The second thread of the server: what takes long is asked here, so that no screen waits for what another one asked. One thread: it keeps
 * what it has worked out, and two cores are what such a machine has. The build writes it beside the app.
 */

type Questions = typeof questions;
type Question = keyof Questions;

/** The file of the second thread in a built app. */
export const asideFile = (): string => join(process.cwd(), '.next', 'aside.mjs');

/** What was asked took longer than may be waited for, and was stopped. */
export class TookTooLong extends Error {
  override name = 'TookTooLong';
  constructor(readonly seconds: number) {
    super(`stopped after ${seconds} s`);
  }
}

/** Whether an error is that one: by its name, for each bundle of the app has this class of its own, and the thread is shared by all. */
export const tookTooLong = (error: unknown): error is TookTooLong => error instanceof Error && error.name === 'TookTooLong';

/** Longest that a question may take with its wait in the row, s. */
const LIMIT_S = 60;
/** Memory of the second thread: a question that wants more ends, and the server stays. */
const MEMORY_MB = 1024;

export interface Aside {
  /** Asks the second thread. @throws TookTooLong when the limit is over; the thread is then a new one for the next question. */
  readonly ask: <Q extends Question>(question: Q, about: Parameters<Questions[Q]>[0], limitS?: number) => Promise<Awaited<ReturnType<Questions[Q]>>>;
  /** Ends it with what it remembers; the next question begins a new one. */
  readonly end: () => Promise<void>;
}

/** @param file the bundle of questions.ts. */
export function asideOf(file: string): Aside {
  let pool: Tinypool | null = null;
  const begun = (): Tinypool => {
    if (pool) return pool;
    if (!existsSync(file)) throw new Error(`the second thread is not built (${file}): npm run build`);
    pool = new Tinypool({
      filename: pathToFileURL(file).href,
      minThreads: 1,
      maxThreads: 1,
      concurrentTasksPerWorker: 1,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
    });
    // What ended the thread between two questions; who asks is told by the question itself.
    (pool as unknown as EventEmitter).on('error', (error) => console.error('soft-peak: the second thread ended', error));
    return pool;
  };
  return {
    async ask(question, about, limitS = LIMIT_S) {
      const limit = AbortSignal.timeout(1000 * limitS);
      try {
        return await begun().run(about, { name: question, signal: limit });
      } catch (error) {
        throw limit.aborted ? new TookTooLong(limitS) : error;
      }
    },
    async end() {
      const ended = pool;
      pool = null;
      await ended?.destroy();
    },
  };
}

const held = globalThis as typeof globalThis & { softPeakAside?: Aside };

/** The second thread of this server. */
export function aside(): Aside {
  if (held.softPeakAside) return held.softPeakAside;
  const made = asideOf(asideFile());
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void made.end());
  return (held.softPeakAside = made);
}
