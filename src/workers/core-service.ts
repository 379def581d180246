import { wrap, type Remote } from 'comlink';
import type { CoreService } from './core.worker';

let service: Remote<CoreService> | null = null;

/** One worker for the page, started at its first question. */
export function coreService(): Remote<CoreService> {
  service ??= wrap<CoreService>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }));
  return service;
}
