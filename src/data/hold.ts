import { existsSync, mkdirSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { DataFileError } from './kitchen-file';

/** One server holds a data file: two would not hear of each other, and each would keep in mind what the other has changed. */

const BEATS_EVERY_MS = 10_000;
/** A holder that has said nothing for so long is gone, whatever else now bears its number. */
export const SILENT_AFTER_MS = 60_000;

const holdPath = (path: string): string => `${path}.server`;

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as { code?: string }).code === 'EPERM';
  }
}

/** The process that holds a data file now, other than this one; null where none does. */
function holderOf(path: string, now: number): number | null {
  const file = holdPath(path);
  if (!existsSync(file)) return null;
  const pid = Number(readFileSync(file, 'utf8'));
  const held = Number.isInteger(pid) && pid > 0 && pid !== process.pid && now - statSync(file).mtimeMs < SILENT_AFTER_MS && isAlive(pid);
  return held ? pid : null;
}

/**
 * Holds a data file for this process as long as it runs.
 * @returns what lets go of it. @throws DataFileError: 'in-use' where another server holds it, 'unwritable' where nothing can be written there.
 */
export function takeHold(path: string, now: number): () => void {
  const holder = holderOf(path, now);
  if (holder !== null) throw new DataFileError(path, 'in-use', `the server with process number ${holder} has it open`);
  const file = holdPath(path);
  try {
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(file, String(process.pid), { mode: 0o600 });
  } catch (error) {
    throw new DataFileError(path, 'unwritable', error instanceof Error ? error.message : String(error));
  }
  const isMine = (): boolean => existsSync(file) && Number(readFileSync(file, 'utf8')) === process.pid;
  const beat = setInterval(() => {
    const at = new Date();
    // A machine that slept may find it taken: another's is not kept fresh.
    if (isMine()) utimesSync(file, at, at);
  }, BEATS_EVERY_MS);
  beat.unref();
  return () => {
    clearInterval(beat);
    if (isMine()) rmSync(file, { force: true });
  };
}
