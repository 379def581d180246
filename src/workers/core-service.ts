import { wrap, type Remote } from 'comlink';
import type { Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
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

let sheetsSent: ReadonlyMap<string, Sheet> | null = null;

/** The worker with this kitchen and these sheets in it. */
export async function coreForService(kitchen: Kitchen, sheets: ReadonlyMap<string, Sheet>): Promise<Remote<CoreService>> {
  const core = await coreWith(kitchen);
  if (sheetsSent !== sheets) {
    await core.keepSheets([...sheets]);
    sheetsSent = sheets;
  }
  return core;
}
