import { fail, ok, type Result } from '../result';

/** A photo is kept as it was taken, without what else the camera wrote into it: place, time, maker, thumbnail. */

export const MOST_PHOTO_BYTES = 8 * 1024 * 1024;

export interface CleanPhoto {
  readonly kind: 'jpeg' | 'png';
  readonly bytes: Uint8Array;
}

const PNG_MARK = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
/** PNG chunks that make the picture; everything else is words about it. */
const PNG_KEPT = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'iCCP', 'sBIT', 'acTL', 'fcTL', 'fdAT']);

/**
 * Takes a photo's bytes and leaves out everything but the picture and which way is up.
 * @returns JPEG or PNG without EXIF, XMP, comments and text; a fault on `photo` for anything else, for a broken file, or above 8 MB.
 */
export function cleanPhoto(bytes: Uint8Array): Result<CleanPhoto> {
  if (bytes.length > MOST_PHOTO_BYTES)
    return fail(
      'photo',
      'too-large',
      `This photo has ${(bytes.length / 1024 / 1024).toFixed(1)}\u00a0MB; at most 8\u00a0MB are kept. Take it at a smaller size.`,
    );
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return cleanJpeg(bytes);
  if (PNG_MARK.every((b, i) => bytes[i] === b)) return cleanPng(bytes);
  return fail('photo', 'no-image', 'This file is no JPEG or PNG picture. Nothing was kept.');
}

const broken = (): Result<never> => fail('photo', 'broken', 'This picture breaks off in the middle. Nothing was kept; take it again.');

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of pieces) {
    all.set(p, at);
    at += p.length;
  }
  return all;
}

function cleanJpeg(bytes: Uint8Array): Result<CleanPhoto> {
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let turn = 1;
  let at = 2;
  for (;;) {
    while (bytes[at] === 0xff && bytes[at + 1] === 0xff) at++;
    const marker = bytes[at + 1];
    if (bytes[at] !== 0xff || marker === undefined) return broken();
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    if (length < 2 || at + 2 + length > bytes.length) return broken();
    const segment = bytes.subarray(at, at + 2 + length);
    if (marker === 0xe1) turn = turnOf(segment.subarray(4)) ?? turn;
    // Application segments but the plain header, colour profile and Adobe's colour note, and comments, are words.
    const words = (marker >= 0xe0 && marker <= 0xef && marker !== 0xe0 && marker !== 0xe2 && marker !== 0xee) || marker === 0xfe;
    if (!words) kept.push(segment);
    at += 2 + length;
    if (marker === 0xda) break;
  }
  const end = endOfJpeg(bytes, at);
  if (end === null) return broken();
  kept.push(bytes.subarray(at, end));
  if (turn !== 1) kept.splice(1, 0, onlyTurn(turn));
  return ok({ kind: 'jpeg', bytes: joined(kept) });
}

/** Past the end mark of the picture: what a camera appends behind it is left out. */
function endOfJpeg(bytes: Uint8Array, from: number): number | null {
  for (let i = from; i + 1 < bytes.length; i++) if (bytes[i] === 0xff && bytes[i + 1] === 0xd9) return i + 2;
  return null;
}

/** Which way is up, 1–8, from an EXIF segment; null where it does not say. */
function turnOf(exif: Uint8Array): number | null {
  if (String.fromCharCode(...exif.subarray(0, 4)) !== 'Exif') return null;
  const view = new DataView(exif.buffer, exif.byteOffset + 6, Math.max(0, exif.length - 6));
  if (view.byteLength < 14) return null;
  const little = view.getUint16(0) === 0x4949;
  const start = view.getUint32(4, little);
  if (start + 2 > view.byteLength) return null;
  const entries = view.getUint16(start, little);
  for (let i = 0; i < entries; i++) {
    const at = start + 2 + 12 * i;
    if (at + 12 > view.byteLength) return null;
    if (view.getUint16(at, little) !== 0x0112) continue;
    const turn = view.getUint16(at + 8, little);
    return turn >= 1 && turn <= 8 ? turn : null;
  }
  return null;
}

/** An EXIF segment that says which way is up, and nothing else. */
const onlyTurn = (turn: number): Uint8Array =>
  Uint8Array.from([
    0xff,
    0xe1,
    0,
    34,
    0x45,
    0x78,
    0x69,
    0x66,
    0,
    0,
    0x4d,
    0x4d,
    0,
    42,
    0,
    0,
    0,
    8,
    0,
    1,
    0x01,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    turn,
    0,
    0,
    0,
    0,
    0,
    0,
  ]);

function cleanPng(bytes: Uint8Array): Result<CleanPhoto> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const kept: Uint8Array[] = [bytes.subarray(0, 8)];
  let at = 8;
  while (at + 12 <= bytes.length) {
    const length = view.getUint32(at);
    const name = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    const end = at + 12 + length;
    if (end > bytes.length) return broken();
    if (PNG_KEPT.has(name)) kept.push(bytes.subarray(at, end));
    if (name === 'IEND') return ok({ kind: 'png', bytes: joined(kept) });
    at = end;
  }
  return broken();
}
