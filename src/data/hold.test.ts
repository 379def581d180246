import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { SILENT_AFTER_MS, takeHold } from './hold';

let path = '';
beforeEach(() => {
  path = join(mkdtempSync(join(tmpdir(), 'soft-peak-hold-')), 'kitchen.db');
});
const heldBy = (pid: number, silentMs = 0): void => {
  writeFileSync(`${path}.server`, String(pid));
  const at = new Date(Date.now() - silentMs);
  utimesSync(`${path}.server`, at, at);
};

describe('a data file', () => {
  it('is held by one server, which may ask again, and let go at its end', () => {
    const letGo = takeHold(path, Date.now());
    expect(readFileSync(`${path}.server`, 'utf8')).toBe(String(process.pid));
    takeHold(path, Date.now())();
    letGo();
    expect(existsSync(`${path}.server`)).toBe(false);
  });
  it('that another living server holds is refused, and says by which', () => {
    heldBy(process.ppid);
    expect(() => takeHold(path, Date.now())).toThrow(expect.objectContaining({ code: 'in-use', detail: expect.stringContaining(String(process.ppid)) }));
    expect(readFileSync(`${path}.server`, 'utf8')).toBe(String(process.ppid));
  });
  it('of a server that was killed, or has been silent for a minute, is free at once', () => {
    heldBy(spawnSync('true').pid);
    takeHold(path, Date.now())();
    heldBy(process.ppid, SILENT_AFTER_MS + 1000);
    takeHold(path, Date.now())();
    for (const odd of ['', 'x', '-1', '0', '1e99']) {
      writeFileSync(`${path}.server`, odd);
      takeHold(path, Date.now())();
    }
  });
  it('that somebody else has taken meanwhile stays theirs', () => {
    const letGo = takeHold(path, Date.now());
    heldBy(process.ppid);
    letGo();
    expect(existsSync(`${path}.server`)).toBe(true);
  });
});
