import { createStore } from 'zustand/vanilla';
import { showSeconds } from '../../core/figure';
import { dropToSlow, liveView, SILENT_AFTER_S, startLive, takeSample, type LiveView } from '../../core/foam/live';
import type { Whip } from '../../core/foam/whisk';
import type { WishedStage } from '../../core/foam/kinds';
import { listen } from '../instruments/instrument-feed';

/** A running whisk as the page follows it. */
export interface LiveState {
  readonly view: LiveView;
  /** Seconds under the whisk by the wall clock. */
  readonly nowS: number;
  /** Samples of the load that were used; seconds since the last, null where none came. */
  readonly samples: number;
  readonly silentS: number | null;
  /** The load lately, for drawing. */
  readonly trace: readonly { readonly tS: number; readonly load: number }[];
}

export interface LiveStart {
  readonly whip: Whip;
  readonly target: WishedStage;
  readonly logSd: number;
  readonly startedAt: number;
}

const EVERY_MS = 250;
const TRACE = 1600;

export interface LiveWhisk {
  readonly get: () => LiveState;
  readonly subscribe: (changed: () => void) => () => void;
  /** The speed was dropped to slow at this moment. */
  readonly slow: (at: number) => void;
  /** Begins to listen and to reckon. @returns what ends it. */
  readonly follow: () => () => void;
}

/** Follows one whisk: by the load where a sensor speaks, by the clock alone where none does. */
export function makeLiveWhisk(start: LiveStart): LiveWhisk {
  const filter = startLive(start.whip, start.target, start.logSd);
  const trace: { tS: number; load: number }[] = [];
  let slowS: number | null = null;
  const nowS = (): number => Math.max(0, (Date.now() - start.startedAt) / 1000);
  const take = (tS: number, load: number): void => {
    if (slowS !== null && tS >= slowS) dropToSlow(filter, slowS);
    if (takeSample(filter, { tS, load })) {
      trace.push({ tS, load });
      if (trace.length > TRACE) trace.shift();
    }
  };
  const state = (): LiveState => {
    if (slowS !== null) dropToSlow(filter, slowS);
    const now = nowS();
    const silentS = filter.lastAtS === null ? null : now - filter.lastAtS;
    return { view: liveView(filter, now), nowS: now, samples: filter.taken, silentS, trace: [...trace] };
  };
  const store = createStore<LiveState>(state);
  return {
    get: store.getState,
    subscribe: (changed) => store.subscribe(changed),
    slow: (at) => {
      slowS ??= Math.max(0, (at - start.startedAt) / 1000);
    },
    follow: () => {
      const stop = listen((line) => {
        if (line.instrument === 'load' && line.at >= start.startedAt) take((line.at - start.startedAt) / 1000, line.value);
      });
      const tick = (): void => store.setState(state());
      tick();
      const timer = setInterval(tick, EVERY_MS);
      document.addEventListener('visibilitychange', tick);
      return () => {
        stop();
        clearInterval(timer);
        document.removeEventListener('visibilitychange', tick);
      };
    },
  };
}

/** Samples of the load before they are believed over the clock. */
export const ENOUGH_SAMPLES = 40;

/** What the sensor says, or that it says nothing. */
export function sensorWords({ silentS, samples, view }: LiveState): string {
  if (silentS === null) return 'No sensor speaks: by the clock alone.';
  if (silentS > SILENT_AFTER_S) return `The sensor is silent for ${showSeconds(silentS)}: by what it said until then, and the clock.`;
  if (samples < ENOUGH_SAMPLES) return 'Listening to the load; by the clock so far.';
  const pace = Math.round(100 * (view.pace.mid - 1));
  return `By the load, from ${samples} samples: ${pace === 0 ? 'as quick as forecast' : `${Math.abs(pace)}\u00a0% ${pace > 0 ? 'quicker' : 'slower'} than forecast`}.`;
}
