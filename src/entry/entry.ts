import { randomUUID } from 'node:crypto';
import { chmodSync, closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, statSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';
import { z } from 'zod';
import { fail, ok, type Result } from '../core/result';
import { fingerprint, isFingerprint, isPassphrase, isPassphraseNow, keepPassphrase, newCode, newSecret, tidyCode } from './secrets';
import { Tries } from './tries';

const hex = z
  .string()
  .regex(/^[0-9a-f]+$/)
  .max(200);
const ScreenSchema = z.object({
  id: z.uuid(),
  name: z.string().min(1).max(60),
  /** Fingerprint of what it shows now, and of what it was told to show next. */
  secret: hex,
  next: hex.nullable(),
  /** ms since 1970: when it came in, was seen last, and was last told to show something new. */
  since: z.number(),
  seen: z.number(),
  renewed: z.number(),
});
const LinkSchema = z.object({
  serviceId: z.string().min(1).max(80),
  /** Fingerprint of what stands in its address. */
  secret: hex,
  /** ms since 1970. */
  until: z.number(),
});
const EntryFileSchema = z.object({
  format: z.literal('soft-peak-entry'),
  passphrase: z.object({ salt: hex, hash: hex }).nullable(),
  screens: z.array(ScreenSchema).max(500),
  /** Links by which a stranger may look at the day sheet of a service. */
  links: z.array(LinkSchema).max(500).default([]),
});
type EntryFile = z.infer<typeof EntryFileSchema>;
type Screen = EntryFile['screens'][number];

/** A screen that may come in, as it is listed. */
export type KnownScreen = Readonly<Pick<Screen, 'id' | 'name' | 'since' | 'seen'>>;

export const LEAST_LETTERS = 8;
const MOST_LETTERS = 200;
const CODE_LASTS_MS = 10 * 60_000;
/** A screen shows something new after so long. */
const RENEWED_AFTER_MS = 24 * 3_600_000;
/** One that was not seen for so long comes in anew. */
export const FORGOTTEN_AFTER_MS = 90 * 24 * 3_600_000;
/** 'Seen' is written down no more often than this. */
const SEEN_EVERY_MS = 10 * 60_000;
const MOST_SCREENS = 200;
/** A link to look at a day sheet is good for so long. */
export const LINK_LASTS_MS = 7 * 24 * 3_600_000;
const MOST_LINKS = 200;

/**
 * Who comes in: the kitchen's passphrase and the screens that have given it, in a small file of its own beside the data file, so that no
 * copy, export or going back of the kitchen carries or revives an entry. A file that cannot be read lets nobody in.
 */
export class Entry {
  private readonly tries = new Tries();
  private code: { readonly code: string; readonly until: number } | null = null;
  private held: { readonly stamp: string; readonly file: EntryFile | null } | null = null;

  /** @param path of the file. @param fixed the passphrase that the server was started with; '' for none: then one may be set here. */
  constructor(
    private readonly path: string,
    private readonly fixed: string,
  ) {
    const file = this.file();
    if (fixed === '' || file === null) return;
    if (file.passphrase === null || !isPassphraseNow(fixed, file.passphrase))
      this.write({ ...file, passphrase: keepPassphrase(fixed), screens: [], links: [] });
  }

  /** Whether a passphrase is asked for at all. */
  isLocked(): boolean {
    return this.file()?.passphrase !== null;
  }

  /** Whether the one who starts the server has set it: then it is changed there. */
  isFixed(): boolean {
    return this.fixed !== '';
  }

  /** @param shown the cookie of a request. @returns the screen, with what it shows from now on where that has changed; null for a stranger. */
  screenOf(shown: string | undefined, now: number): { readonly id: string; readonly show: string | null } | null {
    const [id, secret] = (shown ?? '').split('.');
    const file = this.file();
    const screen = file?.screens.find((s) => s.id === id);
    if (!file || !screen || !secret || now - screen.seen > FORGOTTEN_AFTER_MS) return null;
    // What it was told to show is valid from the moment it shows it; until then the old one is, for the answer may have been lost.
    const followed = isFingerprint(secret, screen.next);
    if (!followed && !isFingerprint(secret, screen.secret)) return null;
    const current: Screen = followed ? { ...screen, secret: screen.next!, next: null } : screen;
    const due = now - current.renewed > RENEWED_AFTER_MS;
    const show = due ? newSecret() : null;
    const after: Screen = { ...current, seen: now, ...(show ? { next: fingerprint(show), renewed: now } : {}) };
    if (followed || due || now - screen.seen > SEEN_EVERY_MS || now < screen.seen) this.put(file, after);
    return { id: screen.id, show: show && `${screen.id}.${show}` };
  }

  /**
   * Lets a screen in by the passphrase or by a code.
   * @param address where the try comes from. @returns what it shows; a fault on `passphrase` when it is wrong or must wait.
   */
  async comeIn(given: string, name: string, address: string, now: number): Promise<Result<string>> {
    const file = this.file();
    if (!file?.passphrase)
      return fail(
        'passphrase',
        'unreadable',
        file
          ? 'No passphrase is set: nothing is asked here.'
          : `${this.path} cannot be read. Who runs the server may take it away and start again with a passphrase.`,
      );
    const waitS = this.tries.waitS(address, now);
    if (waitS > 0)
      return fail('passphrase', 'wait', `Too many wrong tries. Try again in ${waitS < 90 ? `${waitS}\u00a0s` : `${Math.ceil(waitS / 60)}\u00a0min`}.`);
    // Counted before it is known, so that many at once are no way round.
    this.tries.wrong(address, now);
    const byCode = this.code !== null && now < this.code.until && tidyCode(given) === this.code.code;
    if (!byCode && !(given.length <= MOST_LETTERS && (await isPassphrase(given, file.passphrase))))
      return fail('passphrase', 'wrong', 'That is neither the kitchen’s passphrase nor a code that is good now.');
    if (byCode) this.code = null;
    this.tries.right(address);
    return this.letIn(name, now);
  }

  /** A screen more. @returns what it shows. */
  private letIn(name: string, now: number): Result<string> {
    const file = this.file();
    if (!file) return fail('passphrase', 'unreadable', `${this.path} cannot be read.`);
    const secret = newSecret();
    const screen: Screen = {
      id: randomUUID(),
      name: name.trim().slice(0, 60) || 'Tablet',
      secret: fingerprint(secret),
      next: null,
      since: now,
      seen: now,
      renewed: now,
    };
    const known = file.screens
      .filter((s) => now - s.seen <= FORGOTTEN_AFTER_MS)
      .sort((a, b) => b.seen - a.seen)
      .slice(0, MOST_SCREENS - 1);
    this.write({ ...file, screens: [...known, screen] });
    return ok(`${screen.id}.${secret}`);
  }

  /** Screens that may come in, the one seen last first. */
  screens(): readonly KnownScreen[] {
    return [...(this.file()?.screens ?? [])].sort((a, b) => b.seen - a.seen).map(({ id, name, since, seen }) => ({ id, name, since, seen }));
  }

  /** A screen comes in no more. */
  remove(id: string): void {
    const file = this.file();
    if (file) this.write({ ...file, screens: file.screens.filter((s) => s.id !== id) });
  }

  /** None comes in any more, but this one. */
  removeOthers(id: string): void {
    const file = this.file();
    if (file) this.write({ ...file, screens: file.screens.filter((s) => s.id === id) });
  }

  /** A code that lets one screen in; the one before it is void. */
  makeCode(now: number): { readonly code: string; readonly until: number } {
    this.code = { code: newCode(), until: now + CODE_LASTS_MS };
    return this.code;
  }

  /**
   * A link by which whoever has it may look at the day sheet of a service, and at nothing else; the one before it is void.
   * @returns what stands in its address, 256 random bits, and until when it is good, ms since 1970.
   */
  makeLink(serviceId: string, now: number): Result<{ readonly secret: string; readonly until: number }> {
    const file = this.file();
    if (!file?.passphrase) return fail('link', 'unlocked', 'Without a passphrase no other machine is answered: set one on Larder, Who comes in.');
    const secret = newSecret();
    const until = now + LINK_LASTS_MS;
    const others = file.links.filter((l) => l.serviceId !== serviceId && l.until > now).slice(-(MOST_LINKS - 1));
    this.write({ ...file, links: [...others, { serviceId, secret: fingerprint(secret), until }] });
    return ok({ secret, until });
  }

  /** Until when there is a link to a service, ms since 1970; null where there is none. */
  linkUntil(serviceId: string, now: number): number | null {
    return this.file()?.links.find((l) => l.serviceId === serviceId && l.until > now)?.until ?? null;
  }

  /** The service that a link shows; null where it is none, is over or was taken back. */
  serviceShown(secret: string, now: number): string | null {
    const file = this.file();
    if (!file?.passphrase || !/^[\w-]{43}$/.test(secret)) return null;
    return file.links.find((l) => l.until > now && isFingerprint(secret, l.secret))?.serviceId ?? null;
  }

  /** Takes the link to a service back. */
  removeLink(serviceId: string): void {
    const file = this.file();
    if (file) this.write({ ...file, links: file.links.filter((l) => l.serviceId !== serviceId) });
  }

  /**
   * Sets or changes the passphrase; every other screen then gives it anew.
   * @param before the one until now, where one is set. @param screenId the screen that asks; null where none was needed.
   * @returns what the asking screen shows from now on; faults on `before` and `passphrase`.
   */
  async setPassphrase(before: string, passphrase: string, screenId: string | null, address: string, now: number): Promise<Result<string>> {
    const file = this.file();
    if (!file) return fail('passphrase', 'unreadable', `${this.path} cannot be read.`);
    if (this.isFixed()) return fail('passphrase', 'fixed', 'It is set where the server is started (SOFT_PEAK_PASSPHRASE), and changed there.');
    if (passphrase.length < LEAST_LETTERS || passphrase.length > MOST_LETTERS)
      return fail('passphrase', 'out-of-range', `A passphrase has ${LEAST_LETTERS} to ${MOST_LETTERS} letters; several words are best.`);
    if (file.passphrase) {
      const waitS = this.tries.waitS(address, now);
      if (waitS > 0) return fail('before', 'wait', `Too many wrong tries. Try again in ${waitS}\u00a0s.`);
      this.tries.wrong(address, now);
      if (!(await isPassphrase(before, file.passphrase))) return fail('before', 'wrong', 'That is not the passphrase until now.');
      this.tries.right(address);
    }
    const name = file.screens.find((s) => s.id === screenId)?.name ?? 'This screen';
    this.write({ ...file, passphrase: keepPassphrase(passphrase), screens: [], links: [] });
    return this.letIn(name, now);
  }

  /** The file as it is now; null where it cannot be read. One that is not there asks for nothing. */
  private file(): EntryFile | null {
    const stamp = existsSync(this.path) ? ((s) => `${s.mtimeMs} ${s.size} ${s.ino}`)(statSync(this.path)) : '';
    if (this.held?.stamp === stamp) return this.held.file;
    const empty: EntryFile = { format: 'soft-peak-entry', passphrase: null, screens: [], links: [] };
    let file: EntryFile | null = stamp === '' ? empty : null;
    if (stamp !== '') {
      try {
        file = EntryFileSchema.parse(JSON.parse(readFileSync(this.path, 'utf8')));
      } catch (error) {
        console.error(`soft-peak: ${this.path} cannot be read, nobody is let in: ${error instanceof Error ? error.message.slice(0, 200) : String(error)}`);
      }
    }
    this.held = { stamp, file };
    return file;
  }

  private put(file: EntryFile, screen: Screen): void {
    this.write({ ...file, screens: file.screens.map((s) => (s.id === screen.id ? screen : s)) });
  }

  /** Written beside and put in its place, so that it is whole at any moment; for its owner's eyes only. */
  private write(file: EntryFile): void {
    mkdirSync(dirname(this.path), { recursive: true });
    const beside = `${this.path}.new`;
    const out = openSync(beside, 'w', 0o600);
    try {
      writeSync(out, JSON.stringify(file, null, 1));
      fsyncSync(out);
    } finally {
      closeSync(out);
    }
    chmodSync(beside, 0o600);
    renameSync(beside, this.path);
    this.held = null;
  }
}
