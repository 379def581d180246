import { createStore } from 'zustand/vanilla';
import type { InstrumentLine } from '../../instruments/wire';

/** What the instruments said last, by serial, and when this page heard it. */
export interface Heard {
  readonly line: InstrumentLine;
  readonly heardAt: number;
}

export interface FeedState {
  readonly devices: Readonly<Record<string, Heard>>;
  /** Whether the line to the server stands. */
  readonly open: boolean;
}

/** Every line as it comes, for those who need all of them. */
type Listener = (line: InstrumentLine) => void;

const store = createStore<FeedState>(() => ({ devices: {}, open: false }));
const listeners = new Set<Listener>();
let stream: EventSource | null = null;
let users = 0;

function openStream(): void {
  stream = new EventSource('/api/instruments/stream');
  stream.onopen = () => store.setState({ open: true });
  stream.onerror = () => store.setState({ open: false });
  stream.onmessage = (message: MessageEvent<string>) => {
    const line = JSON.parse(message.data) as InstrumentLine;
    for (const listener of listeners) listener(line);
    if (line.instrument !== 'load') store.setState((s) => ({ devices: { ...s.devices, [line.id]: { line, heardAt: Date.now() } } }));
  };
}

/** Opens the page's one stream while anybody listens. @returns what ends this listening. */
export function listen(listener?: Listener): () => void {
  if (listener) listeners.add(listener);
  users++;
  if (!stream) openStream();
  return () => {
    if (listener) listeners.delete(listener);
    users--;
    if (users > 0) return;
    stream?.close();
    stream = null;
    store.setState({ devices: {}, open: false });
  };
}

export const feed = { get: store.getState, subscribe: (changed: () => void) => store.subscribe(changed) };
