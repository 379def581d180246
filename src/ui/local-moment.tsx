'use client';

interface LocalMomentProps {
  /** What it is the moment of; the time's field carries it too. */
  readonly label: string;
  /** For those who hear it, where several stand on a page. */
  readonly of?: string;
  /** 'YYYY-MM-DDTHH:mm'; '' for none. */
  readonly value: string;
  /** Shown soft: it is only what it comes to. */
  readonly soft?: boolean;
  /** Called with a whole moment; with '' where the day was emptied. */
  readonly onChange: (value: string) => void;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const TIME = /^\d{2}:\d{2}$/;
/** The time that a day gets which has none yet. */
const USUAL_TIME = '08:00';

/** A day and a time of the kitchen's clock. */
export function LocalMoment({ label, of, value, soft = false, onChange }: LocalMomentProps) {
  const named = of ? `${of}, ${label.toLowerCase()}` : label;
  const tone = soft ? 'text-ink-soft' : '';
  return (
    <fieldset className="grid grid-cols-[minmax(0,1fr)_112px] gap-x-2">
      <legend className="text-[13.5px] text-ink-soft">{label}</legend>
      <input type="date" aria-label={`${named}, day`} value={value.slice(0, 10)} onChange={(e) => onChange(DAY.test(e.target.value) ? `${e.target.value}T${value.slice(11) || USUAL_TIME}` : '')} className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`} />
      <input type="time" step={300} aria-label={`${named}, time`} value={value.slice(11)} disabled={value === ''} onChange={(e) => TIME.test(e.target.value) && onChange(`${value.slice(0, 10)}T${e.target.value}`)} className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`} />
    </fieldset>
  );
}
