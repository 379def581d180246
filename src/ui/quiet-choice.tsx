'use client';

import { OpensPanel } from './opens-panel';

interface QuietChoiceProps<V extends string> {
  /** What is chosen, for those who hear it: 'Kind of Filling'. */
  readonly label: string;
  readonly value: V;
  readonly options: readonly (readonly [V, string])[];
  readonly onChange: (value: V) => void;
  /** Said instead of the option's name. */
  readonly face?: string;
  readonly className?: string;
}

/** One of several, as words that can be touched: the list floats beside them. */
export function QuietChoice<V extends string>({ label, value, options, onChange, face, className = '' }: QuietChoiceProps<V>) {
  const shown = face ?? options.find(([v]) => v === value)?.[1] ?? value;
  return (
    <OpensPanel
      className={`min-h-7 text-left underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11 ${className}`}
      label={`${label}: ${shown}`}
      panelLabel={label}
      face={shown}
      panel={(close) => (
        <ul className="-m-1.5 max-h-[50vh] overflow-y-auto">
          {options.map(([v, name]) => (
            <li key={v}>
              <button
                type="button"
                aria-pressed={v === value}
                className={`flex min-h-9 w-full items-center rounded-s px-2 py-1 text-left hover:bg-yolk-pale pointer-coarse:min-h-11 ${v === value ? 'font-[650]' : ''}`}
                onClick={() => {
                  onChange(v);
                  close();
                }}
              >
                {name}
              </button>
            </li>
          ))}
        </ul>
      )}
    />
  );
}
