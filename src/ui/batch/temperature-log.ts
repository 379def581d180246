import { createStore } from 'zustand/vanilla';
import { devicesOf } from '../instruments/use-instruments';
import { feed, listen } from '../instruments/instrument-feed';
import { KEPT_TEMPERATURES, TOLD_TEMPERATURES } from './kept-here';

/** One temperature of a series; `at` in ms since 1970. */
export interface Sample {
  readonly series: string;
  readonly at: number;
  readonly tC: number;
}

export interface TemperatureState {
  readonly samples: readonly Sample[];
  /** Which probe, by serial, writes into which series, on this tablet. */
  readonly logging: Readonly<Record<string, string>>;
  readonly trouble: string | null;
}

const EVERY_MS = 2000;
const MOST_AT_ONCE = 500;

export interface TemperatureLog {
  readonly get: () => TemperatureState;
  readonly subscribe: (changed: () => void) => () => void;
  /** A probe writes into a series from now on; null ends it. */
  readonly logFrom: (series: string, probeId: string | null) => void;
  /** A temperature that was read and typed. */
  readonly add: (series: string, tC: number) => void;
  /** Takes one away that was read or typed wrongly. */
  readonly remove: (sample: Sample) => Promise<void>;
  readonly follow: () => () => void;
}

/** A moment of a series is there once. */
const momentOf = (s: Sample): string => `${s.at} ${s.series}`;

/** What the server has taken from this tablet, and when, by the server's clock, ms since 1970. */
type Told = Sample & { readonly toldAt: number };
/** So many of them outlive the page; a probe writes one every two seconds. */
const MOST_TOLD = 2000;

/**
 * The temperatures of a batch on one tablet: what the server has, and what goes there. What could not be sent yet is kept here; so is what
 * was sent since the page was made, for without the server a page is shown as it was kept.
 * @param known of the page. @param asOf when the server made it, ms since 1970.
 */
export function makeTemperatureLog(batchId: string, known: readonly Sample[], asOf: number): TemperatureLog {
  const PREFIXES = { temperatures: KEPT_TEMPERATURES, told: TOLD_TEMPERATURES, logging: 'soft-peak:logging:' } as const;
  const keyOf = (what: keyof typeof PREFIXES): string => PREFIXES[what] + batchId;
  const read = <T>(what: keyof typeof PREFIXES, none: T): T => {
    try {
      return (JSON.parse(localStorage.getItem(keyOf(what)) ?? 'null') as T | null) ?? none;
    } catch {
      return none;
    }
  };
  const write = (what: keyof typeof PREFIXES, value: unknown): void => {
    try {
      localStorage.setItem(keyOf(what), JSON.stringify(value));
    } catch {
      // A private window may refuse; the server is told within moments.
    }
  };
  /** All that this screen ever had waiting: what else lies there is another tab's, and stays. */
  const mine = new Set<string>();
  const keepWaiting = (): void => {
    for (const w of waiting) mine.add(momentOf(w));
    write('temperatures', [...read<Sample[]>('temperatures', []).filter((s) => !mine.has(momentOf(s))), ...waiting]);
  };
  const keepTold = (samples: readonly Sample[], answer: Response): void => {
    // The header says whole seconds: counted to their end, so that nothing told is taken for older than the page.
    const said = Date.parse(answer.headers.get('date') ?? '') + 999;
    const toldAt = Number.isFinite(said) ? said : Date.now();
    write('told', [...read<Told[]>('told', []), ...samples.map((s) => ({ ...s, toldAt }))].slice(-MOST_TOLD));
  };
  const store = createStore<TemperatureState>(() => ({ samples: known, logging: {}, trouble: null }));
  let waiting: Sample[] = [];
  let sending = false;
  /** As many at once; one by one after the server refused some, so that a bad one holds back none behind it. */
  let atOnce = MOST_AT_ONCE;
  /** What was refused last; it stays in sight until the next temperature is taken. */
  let refused: string | null = null;

  const send = async (): Promise<void> => {
    if (sending || waiting.length === 0) return;
    sending = true;
    const samples = waiting.slice(0, atOnce);
    const settled = (): void => {
      // What was taken away meanwhile is no longer among them: only those that were sent go.
      waiting = waiting.filter((w) => !samples.includes(w));
      keepWaiting();
    };
    let more = false;
    try {
      const answer = await fetch(`/api/batches/${batchId}/temperatures`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ samples }),
      });
      if (answer.ok) {
        keepTold(samples, answer);
        settled();
        store.setState({ trouble: refused });
        more = waiting.length > 0;
        if (!more) atOnce = MOST_AT_ONCE;
      } else if (answer.status >= 400 && answer.status < 500 && answer.status !== 401 && answer.status !== 403) {
        more = true;
        if (samples.length === 1) {
          const [bad] = samples;
          settled();
          more = waiting.length > 0;
          const { says } = (await answer.json().catch(() => ({}))) as { says?: string };
          refused = `${bad!.tC}\u00a0°C was not taken: ${says ?? 'the kitchen refuses it.'}`;
          store.setState((s) => ({ samples: s.samples.filter((x) => x !== bad), trouble: refused }));
        } else atOnce = 1;
      } else throw new Error('refused');
    } catch {
      store.setState({ trouble: 'The server does not answer: temperatures are kept on this tablet.' });
    }
    sending = false;
    if (more) await send();
  };

  const take = (sample: Sample): void => {
    refused = null;
    store.setState((s) => ({ samples: [...s.samples, sample] }));
    waiting.push(sample);
    keepWaiting();
    void send();
  };

  const sampleProbes = (): void => {
    const now = Date.now();
    const probes = devicesOf(feed.get(), 'probe');
    for (const [series, id] of Object.entries(store.getState().logging)) {
      const probe = probes.find((p) => p.line.id === id);
      if (probe && now - probe.heardAt < 2 * EVERY_MS) take({ series, at: now, tC: probe.line.value });
    }
    void send();
  };

  return {
    get: store.getState,
    subscribe: (changed) => store.subscribe(changed),
    logFrom: (series, probeId) => {
      const { [series]: _, ...rest } = store.getState().logging;
      const logging = probeId === null ? rest : { ...rest, [series]: probeId };
      store.setState({ logging });
      write('logging', logging);
    },
    add: (series, tC) => take({ series, at: Date.now(), tC }),
    remove: async (sample) => {
      const others = (list: readonly Sample[]): Sample[] => list.filter((s) => s.series !== sample.series || s.at !== sample.at);
      const unsent = waiting.filter((s) => !others(waiting).includes(s));
      waiting = others(waiting);
      keepWaiting();
      const answer = await fetch(`/api/batches/${batchId}/temperatures?${new URLSearchParams({ series: sample.series, at: `${sample.at}` })}`, {
        method: 'DELETE',
      }).catch(() => null);
      // One that never reached the server is gone with the tablet's own copy.
      if (answer?.ok || answer?.status === 404) {
        write('told', others(read<Told[]>('told', [])));
        store.setState((s) => ({ samples: others(s.samples), trouble: null }));
      } else {
        // It may have arrived without its answer: it stays what it was, here too.
        waiting = [...waiting, ...unsent];
        keepWaiting();
        store.setState({ trouble: 'The server does not answer: the temperature is still there.' });
      }
    },
    follow: () => {
      store.setState({ logging: read<Record<string, string>>('logging', {}) });
      // What was measured here and never arrived is shown again, also where the page is one of before.
      waiting = read<Sample[]>('temperatures', []);
      keepWaiting();
      // A page that is younger than what was told has it, or it was taken away elsewhere.
      const told = read<Told[]>('told', []).filter((t) => t.toldAt > asOf);
      write('told', told);
      store.setState((s) => {
        const shown = new Set(s.samples.map(momentOf));
        const missing = [...told.map(({ series, at, tC }) => ({ series, at, tC })), ...waiting].filter(
          (w) => !shown.has(momentOf(w)) && shown.add(momentOf(w)),
        );
        return { samples: [...s.samples, ...missing].sort((a, b) => a.at - b.at) };
      });
      const stop = listen(undefined, () => Object.keys(store.getState().logging).length > 0);
      const timer = setInterval(sampleProbes, EVERY_MS);
      return () => {
        stop();
        clearInterval(timer);
      };
    },
  };
}
