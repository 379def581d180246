import { kitchenEntry, SCREEN_HEADER } from '../../entry/kitchen-entry';

const BEAT_MS = 15_000;
/** Nothing on the way may change it: packing each line for each screen took longer than saying it. */
const HEADERS = {
  'content-type': 'text/event-stream; charset=utf-8',
  'cache-control': 'no-store, no-transform',
  connection: 'keep-alive',
  'x-accel-buffering': 'no',
};

/**
 * An answer that stays open: `begin` gets a way to say things and gives back what ends them. It ends when the reader goes.
 * A screen that was put out meanwhile hears no more.
 */
export function eventStream(request: Request, begin: (say: (data: string) => void) => () => void): Response {
  const encoder = new TextEncoder();
  let end = (): void => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let open = true;
      const write = (text: string): void => {
        if (!open) return;
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          end();
        }
      };
      write(': open\n\n');
      const stop = begin((data) => write(`data: ${data}\n\n`));
      // A quiet line must not look like a broken one.
      const beat = setInterval(() => (mayStay(request) ? write(': still here\n\n') : end()), BEAT_MS);
      end = () => {
        if (!open) return;
        open = false;
        clearInterval(beat);
        stop();
        try {
          controller.close();
        } catch {
          // The reader closed it already.
        }
      };
      request.signal.addEventListener('abort', end);
    },
    cancel: () => end(),
  });
  return new Response(stream, { headers: HEADERS });
}

function mayStay(request: Request): boolean {
  const entry = kitchenEntry();
  return !entry.isLocked() || entry.screens().some((s) => s.id === request.headers.get(SCREEN_HEADER));
}
