import { wrap, type Remote } from 'comlink';
import type { Kitchen } from '../core/sheet/analyse';
import type { CoreService } from './core.worker';

let service: Remote<CoreService> | null = null;

/** One worker for the page, started at its first question. */
export function coreService(): Remote<CoreService> {
  service ??= wrap<CoreService>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }));
  return service;
}

let kept: Kitchen | null = null;

/** The worker with this kitchen in it: sent once, it is large. */
export async function coreWith(kitchen: Kitchen): Promise<Remote<CoreService>> {
  const core = coreService();
  if (kept !== kitchen) {
    await core.keepKitchen({ ...kitchen, larder: [...kitchen.larder.values()] });
    kept = kitchen;
  }
  return core;
}
