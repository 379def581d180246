import { createStore } from 'zustand/vanilla';
import type { InstrumentLine } from '../../instruments/wire';
import { whileShown } from '../while-shown';

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
let stop: (() => void) | null = null;
let users = 0;
/** Who must go on hearing while another tab is in front: a probe that writes a curve down. */
const behind = new Set<() => boolean>();

function openStream(): () => void {
  const stream = new EventSource('/api/instruments/stream');
  stream.onopen = () => store.setState({ open: true });
  stream.onerror = () => store.setState({ open: false });
  stream.onmessage = (message: MessageEvent<string>) => {
    const line = JSON.parse(message.data) as InstrumentLine;
    for (const listener of listeners) listener(line);
    if (line.instrument !== 'load') store.setState((s) => ({ devices: { ...s.devices, [line.id]: { line, heardAt: Date.now() } } }));
  };
  return () => stream.close();
}

/**
 * Opens the page's one stream while anybody listens and the page is on screen. @param alsoBehind whether it must go on behind another tab.
 * @returns what ends this listening.
 */
export function listen(listener?: Listener, alsoBehind?: () => boolean): () => void {
  if (listener) listeners.add(listener);
  if (alsoBehind) behind.add(alsoBehind);
  users++;
  stop ??= whileShown(openStream, () => [...behind].some((b) => b()));
  return () => {
    if (listener) listeners.delete(listener);
    if (alsoBehind) behind.delete(alsoBehind);
    users--;
    if (users > 0) return;
    stop?.();
    stop = null;
    store.setState({ devices: {}, open: false });
  };
}

export const feed = { get: store.getState, subscribe: (changed: () => void) => store.subscribe(changed) };
