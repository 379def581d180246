import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanPhoto, MOST_PHOTO_BYTES } from './photo';

const text = (s: string): number[] => [...s].map((c) => c.charCodeAt(0));
const segment = (marker: number, body: readonly number[]): number[] => [0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 255, ...body];
const exif = (turn: number): number[] =>
  segment(0xe1, [
    ...text('Exif'),
    0,
    0,
    ...text('II'),
    42,
    0,
    8,
    0,
    0,
    0,
    2,
    0,
    0x0f,
    0x01,
    2,
    0,
    4,
    0,
    0,
    0,
    ...text('Gull'),
    0x12,
    0x01,
    3,
    0,
    1,
    0,
    0,
    0,
    turn,
    0,
    0,
    0,
    0,
    0,
    0,
    0,
  ]);
const jpeg = (...middle: readonly number[]): Uint8Array =>
  Uint8Array.from([
    0xff,
    0xd8,
    ...segment(0xe0, text('JFIF\0')),
    ...middle,
    ...segment(0xdb, [0, 1, 2, 3]),
    ...segment(0xda, [1, 2, 3]),
    10,
    20,
    0xff,
    0,
    30,
    0xff,
    0xd9,
    ...text('maker’s trailer'.replace('’', '')),
  ]);
const chunk = (name: string, body: readonly number[]): number[] => [0, 0, 0, body.length, ...text(name), ...body, 9, 9, 9, 9];
const png = (...middle: readonly number[]): Uint8Array =>
  Uint8Array.from([
    0x89,
    0x50,
    0x4e,
    0x47,
    0x0d,
    0x0a,
    0x1a,
    0x0a,
    ...chunk('IHDR', [1, 2, 3]),
    ...middle,
    ...chunk('IDAT', [7, 8]),
    ...chunk('IEND', []),
    1,
    2,
    3,
  ]);
const has = (bytes: Uint8Array, words: string): boolean => Buffer.from(bytes).includes(words);

describe('a photo without what else the camera wrote', () => {
  it('JPEG: maker, place, comments and what hangs behind the picture go; the picture stays byte for byte', () => {
    const got = cleanPhoto(jpeg(...exif(1), ...segment(0xe1, text('http://ns.adobe.com/xap: place')), ...segment(0xfe, text('comment'))));
    expect(got.ok && got.value.kind).toBe('jpeg');
    if (!got.ok) return;
    for (const words of ['Gull', 'Exif', 'place', 'comment', 'trailer']) expect(has(got.value.bytes, words)).toBe(false);
    expect([...got.value.bytes]).toEqual([...jpeg()].slice(0, -'makers trailer'.length));
  });
  it('which way is up stays, and only that', () => {
    const got = cleanPhoto(jpeg(...exif(6)));
    if (!got.ok) throw new Error(got.fault.says);
    expect(has(got.value.bytes, 'Exif')).toBe(true);
    expect(has(got.value.bytes, 'Gull')).toBe(false);
    expect(cleanPhoto(got.value.bytes)).toEqual(got);
  });
  it('PNG: text chunks go', () => {
    const got = cleanPhoto(png(...chunk('tEXt', text('where')), ...chunk('eXIf', text('when'))));
    expect(got.ok && [...got.value.bytes]).toEqual([...png()].slice(0, -3));
  });
  it.each([
    ['no picture', Uint8Array.from(text('%PDF-1.7')), 'no-image'],
    ['nothing', new Uint8Array(0), 'no-image'],
    ['a page that calls itself a picture', Uint8Array.from(text('<svg onload="x">')), 'no-image'],
    ['broken off', jpeg().slice(0, 20), 'broken'],
    ['too large', new Uint8Array(MOST_PHOTO_BYTES + 1), 'too-large'],
  ])('%s is refused', (_, bytes, code) => {
    const got = cleanPhoto(bytes);
    expect(got.ok ? '' : got.fault.code).toBe(code);
  });
  it('fuzz: any bytes behind a picture’s first ones are taken or refused, never thrown at; what is taken is stable', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(jpeg(...exif(3)), png(), Uint8Array.from([0xff, 0xd8]), Uint8Array.from(png().slice(0, 8))),
        fc.uint8Array({ maxLength: 60 }),
        fc.nat(60),
        (base, noise, at) => {
          const bytes = Uint8Array.from([...base.slice(0, at), ...noise, ...base.slice(at)]);
          const got = cleanPhoto(bytes);
          if (got.ok) expect(cleanPhoto(got.value.bytes)).toEqual(got);
        },
      ),
      { numRuns: 600 },
    );
  });
});
