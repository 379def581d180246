import 'server-only';

let last: Promise<void> = Promise.resolve();

/** Waits until whoever else asks of the server has been answered: between the pieces of a page that is long to draw. */
export function inTurn(): Promise<void> {
  last = last.then(() => new Promise((go) => setImmediate(go)));
  return last;
}
