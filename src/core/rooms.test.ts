import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import rooms from './rooms.json';

/** The rooms of the core stand on each other in the order of rooms.json; lint keeps to that list, and docs/architecture.md shows it. */

const CORE = dirname(fileURLToPath(import.meta.url));
const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
const importsOf = new Map(
  files.map((file): [string, readonly string[]] => {
    const text = readFileSync(join(CORE, file), 'utf8');
    const targets = [...text.matchAll(/\bfrom '(\.[^']+)'|\bimport\('(\.[^']+)'\)/g)].map((m) =>
      relative(CORE, normalize(join(CORE, dirname(file), `${m[1] ?? m[2]}.ts`))),
    );
    return [file, targets.filter((t) => existsSync(join(CORE, t)))];
  }),
);
/** A room is a folder of the core; what lies beside the folders is common to all, the registry aside, which is of the calculators. */
const roomOf = (file: string): string | null => (file.includes('/') ? file.split('/')[0]! : file === 'calculators.ts' ? 'calculators' : null);

describe('the rooms of the core', () => {
  it('are those of the list', () => {
    expect([...new Set(files.flatMap((f) => roomOf(f) ?? []))].sort()).toEqual(rooms.map((r) => r.room).sort());
  });
  it('each imports only rooms that stand before it', () => {
    rooms.forEach((r, i) => {
      for (const other of r.imports)
        expect(
          rooms.slice(0, i).map((x) => x.room),
          `${r.room} imports ${other}`,
        ).toContain(other);
    });
  });
  it('the list is what the files do: no import more, and none that nothing uses', () => {
    for (const r of rooms) {
      const used = new Set(files.filter((f) => roomOf(f) === r.room).flatMap((f) => importsOf.get(f)!.flatMap((t) => roomOf(t) ?? [])));
      used.delete(r.room);
      expect([...used].sort(), r.room).toEqual([...r.imports].sort());
    }
  });
  it('what is common to all imports no room', () => {
    for (const f of files.filter((x) => roomOf(x) === null)) for (const t of importsOf.get(f)!) expect(roomOf(t), `${f} imports ${t}`).toBeNull();
  });
  it('no file waits for itself, not even for a type', () => {
    const state = new Map<string, 'open' | 'done'>();
    const walk = (file: string, path: readonly string[]): void => {
      if (state.get(file) === 'done') return;
      expect(state.get(file), [...path, file].join(' → ')).not.toBe('open');
      state.set(file, 'open');
      for (const t of importsOf.get(file) ?? []) walk(t, [...path, file]);
      state.set(file, 'done');
    };
    for (const f of files) walk(f, []);
  });
  it('docs/architecture.md shows them so', () => {
    const page = readFileSync(join(CORE, '../../docs/architecture.md'), 'utf8');
    for (const r of rooms) expect(page).toContain(`| \`core/${r.room}\` | ${r.holds} | ${r.imports.join(', ') || 'none'} |`);
    const shown = [...page.matchAll(/^\| `core\/([a-z]+)` \|/gm)].map((m) => m[1]);
    expect(shown).toEqual(rooms.map((r) => r.room));
  });
});
