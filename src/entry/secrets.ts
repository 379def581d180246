import { createHash, randomBytes, randomInt, scrypt, scryptSync, timingSafeEqual } from 'node:crypto';

/** A passphrase as it is kept: salted and slow to try (scrypt, RFC 7914; N as OWASP advises for 2023 with r 8, p 1). */
export interface KeptPassphrase {
  readonly salt: string;
  readonly hash: string;
}

const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 } as const;
const HASH_BYTES = 32;

/** Keeps a passphrase with a salt of its own. Takes about a tenth of a second: only at the start, and where a cook sets one. */
export function keepPassphrase(passphrase: string): KeptPassphrase {
  const salt = randomBytes(16);
  return { salt: salt.toString('hex'), hash: scryptSync(passphrase.normalize('NFC'), salt, HASH_BYTES, COST).toString('hex') };
}

/** Whether this is the passphrase that is kept; other requests are answered meanwhile. */
export const isPassphrase = (given: string, kept: KeptPassphrase): Promise<boolean> =>
  new Promise((done, broken) =>
    scrypt(given.normalize('NFC'), Buffer.from(kept.salt, 'hex'), HASH_BYTES, COST, (error, hash) =>
      error ? broken(error) : done(timingSafeEqual(hash, Buffer.from(kept.hash, 'hex'))),
    ),
  );

export const isPassphraseNow = (given: string, kept: KeptPassphrase): boolean =>
  timingSafeEqual(scryptSync(given.normalize('NFC'), Buffer.from(kept.salt, 'hex'), HASH_BYTES, COST), Buffer.from(kept.hash, 'hex'));

/** What a screen shows from now on, 256 random bits. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

/** A secret as it is kept: it cannot be shown by who reads the file. */
export const fingerprint = (secret: string): string => createHash('sha256').update(secret).digest('hex');

export const isFingerprint = (secret: string, kept: string | null): boolean =>
  kept !== null && timingSafeEqual(Buffer.from(fingerprint(secret), 'hex'), Buffer.from(kept, 'hex'));

/** Letters and figures that are not taken for each other when read aloud or typed with wet hands. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const CODE_LENGTH = 8;

/** A code for one screen: 30^8, about 39 bits, for ten minutes and one use. */
export const newCode = (): string => Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]!).join('');

/** A code as it is typed: in two halves, in small letters, with blanks. */
export const tidyCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
