import type { Track } from '../core/tells/tell';

/** A short ruler: the right band shaded, the value as a mark, a house figure's range around it. */
export function TrackRuler({ track, out }: { readonly track: Track; readonly out: boolean }) {
  const at = (v: number): string => `${(100 * Math.min(1, Math.max(0, (v - track.from) / (track.to - track.from)))).toFixed(2)}%`;
  const span = (low: number, high: number) => ({ left: at(low), right: `calc(100% - ${at(high)})` });
  return (
    <div className="relative h-[22px]" role="img" aria-label={track.says}>
      <i className="absolute inset-x-0 top-[10px] h-[2px] bg-steel" />
      <i className="absolute top-[7px] h-2 rounded-[1px] bg-fern/35" style={span(track.low, track.high)} />
      {track.range && <i className={`absolute top-[9px] h-1 rounded-[1px] ${out ? 'bg-beet/55' : 'bg-ink/40'}`} style={span(track.range[0], track.range[1])} />}
      <i className={`absolute top-[2px] -ml-[1.5px] h-[18px] w-[3px] ${out ? 'bg-beet' : 'bg-ink'}`} style={{ left: at(track.value) }} />
    </div>
  );
}
