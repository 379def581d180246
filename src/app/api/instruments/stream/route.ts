import { readInstrumentLine } from '../../../../instruments/wire';
import { standInsSay } from '../../../../instruments/stand-ins';
import { eventStream } from '../../event-stream';
import { heldStandIns } from '../held';

export const dynamic = 'force-dynamic';

const EVERY_MS = 250;

/**
 * What the instruments say, as they say it: each event is a JSON line. They are the stand-ins, unless SOFT_PEAK_INSTRUMENTS names
 * the address of a real device's stream; its lines are checked and passed on.
 */
export function GET(request: Request): Response {
  const real = process.env.SOFT_PEAK_INSTRUMENTS;
  return eventStream(request, (say) => (real ? passOn(real, say) : standIns(say)));
}

function standIns(say: (data: string) => void): () => void {
  // What the load said since it was switched on comes first, so that a page that joins late knows as much.
  let from = 0;
  const tick = (): void => {
    const now = Date.now();
    for (const line of standInsSay(heldStandIns(now), from, now)) say(JSON.stringify(line));
    from = now;
  };
  tick();
  const timer = setInterval(tick, EVERY_MS);
  return () => clearInterval(timer);
}

/** Reads a device's stream line by line; what is no instrument's line is left out. */
function passOn(address: string, say: (data: string) => void): () => void {
  const stop = new AbortController();
  const read = async (): Promise<void> => {
    while (!stop.signal.aborted) {
      try {
        const answer = await fetch(address, { signal: stop.signal, headers: { accept: 'text/event-stream' } });
        let rest = '';
        const decoder = new TextDecoder();
        for await (const bytes of answer.body ?? []) {
          const lines = (rest + decoder.decode(bytes as Uint8Array, { stream: true })).split('\n');
          rest = lines.pop()!.slice(-4000);
          for (const text of lines) {
            const line = readInstrumentLine(text.replace(/^data:\s*/, ''));
            if (line) say(JSON.stringify(line));
          }
        }
      } catch {
        // The device is away: it is asked again; the page shows that it is silent.
      }
      await new Promise((again) => setTimeout(again, 2000));
    }
  };
  void read();
  return () => stop.abort();
}
