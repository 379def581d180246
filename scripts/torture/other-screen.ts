import { pause } from './kitchen-server';

/**
 * Another screen, a process of its own, so that what it waits for is the server and never the torture's own work: it asks for what
 * takes a millisecond until it is told to stop, and then says when it waited for longer than a tenth of a second.
 */
export interface Waited {
  /** By the clock of the day, ms since 1970. */
  readonly from: number;
  readonly ms: number;
}

const now = (): number => performance.timeOrigin + performance.now();
const waited: Waited[] = [];
let over = false;
process.once('message', () => (over = true));
while (!over) {
  const from = now();
  await fetch(`${process.argv[2]!}/api/log`, { method: 'OPTIONS' }).then(
    (r) => r.arrayBuffer(),
    () => undefined,
  );
  const ms = now() - from;
  if (ms > 100) waited.push({ from, ms });
  await pause(10);
}
process.send!(waited, () => process.exit(0));
