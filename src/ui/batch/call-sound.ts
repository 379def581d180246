/** A soft two-note call, made here: no file, nothing loaded. Silent where the browser has no sound yet. */
export function callSound(urgent: boolean): void {
  const context = held();
  if (!context) return;
  const notes = urgent ? [880, 1175, 880, 1175] : [660, 880];
  notes.forEach((hz, i) => {
    const at = context.currentTime + 0.22 * i;
    const tone = context.createOscillator();
    const gain = context.createGain();
    tone.frequency.value = hz;
    gain.gain.setValueAtTime(0.0001, at);
    gain.gain.exponentialRampToValueAtTime(0.25, at + 0.02);
    gain.gain.exponentialRampToValueAtTime(0.0001, at + 0.2);
    tone.connect(gain).connect(context.destination);
    tone.start(at);
    tone.stop(at + 0.22);
  });
}

let audio: AudioContext | null = null;

function held(): AudioContext | null {
  if (typeof AudioContext === 'undefined') return null;
  audio ??= new AudioContext();
  if (audio.state === 'suspended') void audio.resume();
  return audio;
}

/** To be called from a touch, so that later calls may sound. */
export const allowSound = (): void => void held();
