'use client';

import { DayPicker, getDefaultClassNames } from 'react-day-picker';

const usual = getDefaultClassNames();
const two = (n: number): string => String(n).padStart(2, '0');
const asDate = (day: string): Date => {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  return new Date(y, m - 1, d);
};
const asDay = (date: Date): string => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

/** A month of days; the chosen one and today are marked. Arrow keys move in it. */
export function Calendar({ value, onChoose }: { readonly value: string; readonly onChoose: (day: string) => void }) {
  const chosen = value === '' ? undefined : asDate(value);
  return (
    <DayPicker
      mode="single"
      required={false}
      weekStartsOn={1}
      showOutsideDays
      autoFocus
      selected={chosen}
      {...(chosen ? { defaultMonth: chosen } : {})}
      startMonth={new Date(2000, 0)}
      endMonth={new Date(2100, 11)}
      onSelect={(date) => date && onChoose(asDay(date))}
      classNames={{
        root: `${usual.root} text-[14.5px]`,
        months: 'relative',
        month_caption: 'flex h-9 items-center px-1 text-[16px] font-[650]',
        nav: 'absolute right-0 top-0 flex',
        button_previous: 'flex size-9 items-center justify-center text-ink-soft hover:text-ink pointer-coarse:size-11',
        button_next: 'flex size-9 items-center justify-center text-ink-soft hover:text-ink pointer-coarse:size-11',
        chevron: 'size-4 fill-current',
        weekday: 'size-9 text-[13px] font-[500] text-ink-soft pointer-coarse:size-11',
        day: 'p-0 text-center',
        day_button: 'fig size-9 rounded-s hover:bg-yolk-pale pointer-coarse:size-11',
        today: '[&_button]:font-[750] [&_button]:underline [&_button]:decoration-2 [&_button]:underline-offset-4',
        selected: '[&_button]:bg-yolk [&_button]:font-[650]',
        outside: 'text-ink-soft',
        hidden: 'invisible',
      }}
    />
  );
}
