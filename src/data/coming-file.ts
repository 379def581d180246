import { closeSync, existsSync, mkdirSync, openSync, readdirSync, rmSync, statSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { fail, ok, type Result } from '../core/result';

/** A large file on its way in: it comes in pieces, one behind the other, so that no answer has to hold all of it and a lost piece is sent again. */

const KEPT_MS = 86_400_000;
const ending = '.coming';

/** Where a file lies while it comes. @param upload its id, of letters, digits, _ and - only. */
export const comingPath = (folder: string, upload: string): string => join(folder, `${upload}${ending}`);

/** How much of it is there, bytes. */
export const cameOf = (folder: string, upload: string): number => {
  const path = comingPath(folder, upload);
  return existsSync(path) ? statSync(path).size : 0;
};

/**
 * Puts a piece where it belongs; a piece that came before is taken again. What was begun and left a day ago goes.
 * @param from where in the file the piece begins, bytes. @param mostBytes of the whole file.
 * @returns how much of the file is there now, bytes; a fault on `from` where a piece before it is missing, on `file` where it becomes too large.
 */
export function takePiece(folder: string, upload: string, from: number, piece: Uint8Array, mostBytes: number, now: number): Result<number> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const name of readdirSync(folder).filter((n) => n.endsWith(ending)))
    if (now - statSync(join(folder, name)).mtimeMs > KEPT_MS) rmSync(join(folder, name));
  const there = cameOf(folder, upload);
  if (from > there) return fail('from', 'missing', `A piece of it is missing: ${there} bytes are here.`);
  if (from + piece.length > mostBytes) {
    dropComing(folder, upload);
    return fail('file', 'too-large', `That is more than ${Math.round(mostBytes / 1e6)} MB: too large to be read here.`);
  }
  const file = openSync(comingPath(folder, upload), from === 0 ? 'w' : 'r+', 0o600);
  try {
    for (let at = 0; at < piece.length;) at += writeSync(file, piece, at, piece.length - at, from + at);
  } finally {
    closeSync(file);
  }
  return ok(cameOf(folder, upload));
}

/** It was read, or is not wanted. */
export const dropComing = (folder: string, upload: string): void => rmSync(comingPath(folder, upload), { force: true });
