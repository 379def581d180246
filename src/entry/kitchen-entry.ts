import { dataFilePath } from '../data/data-file-path';
import { Entry } from './entry';

const held = globalThis as typeof globalThis & { softPeakEntry?: { readonly of: string; readonly entry: Entry } };

/** The cookie that a screen shows. */
export const SHOWN = 'soft-peak';
/** Set by the guard on every request that it lets through: which screen asks; '' where none is asked. */
export const SCREEN_HEADER = 'x-soft-peak-screen';
/** Set by the guard on every request that it lets through: the mark without which no script in the page's text runs. */
export const NONCE_HEADER = 'x-soft-peak-nonce';

/** Where the entries of a kitchen stand: beside its data file. */
export const entryPath = (): string => `${dataFilePath().replace(/\.db$/, '')}.entry.json`;

/** Who comes into this server's kitchen. */
export function kitchenEntry(): Entry {
  const fixed = process.env.SOFT_PEAK_PASSPHRASE ?? '';
  const of = `${entryPath()}\n${fixed}`;
  if (held.softPeakEntry?.of !== of) held.softPeakEntry = { of, entry: new Entry(entryPath(), fixed) };
  return held.softPeakEntry.entry;
}

/** The cookie's text for a screen; `Secure` where the connection is. '' as what it shows takes it away. */
export const cookieOf = (shown: string, secure: boolean): string =>
  `${SHOWN}=${shown}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${shown === '' ? 0 : 90 * 24 * 3600}${secure ? '; Secure' : ''}`;

/** Whether a browser reached this over TLS: by the reverse proxy's word, or itself. */
export const isSecure = (request: Request): boolean =>
  (request.headers.get('x-forwarded-proto') ?? new URL(request.url).protocol.slice(0, -1)).split(',')[0]!.trim() === 'https';

/** Where a request comes from, as far as that is known. */
export const addressOf = (request: Request): string => (request.headers.get('x-forwarded-for') ?? '').split(',').at(-1)!.trim().slice(0, 60) || 'here';
