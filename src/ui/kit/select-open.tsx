'use client';

import { Select } from 'radix-ui';
import { SELECT_LOOK, SelectFace, type SelectProps } from './select';

interface SelectOpenProps extends SelectProps<string> {
  readonly onClose: () => void;
}

/** The list does not take the empty word for a value, which is one here: 'as the sheet'. */
const inList = (value: string): string => `=${value}`;
const outOfList = (value: string): string => value.slice(1);

/** A list that is open, by its primitive: arrows, first letters, Home and End, a touch elsewhere. */
export default function SelectOpen({ id, value, options, onChange, label, placeholder = '', className = '', onClose }: SelectOpenProps) {
  return (
    <Select.Root
      open
      value={inList(value)}
      onValueChange={(v) => {
        if (outOfList(v) !== value) onChange(outOfList(v));
      }}
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Select.Trigger id={id} {...(label === undefined ? {} : { 'aria-label': label })} className={`${SELECT_LOOK} ${className}`}>
        <SelectFace text={options.find(([v]) => v === value)?.[1] ?? placeholder} />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          collisionPadding={10}
          className="z-50 max-h-[min(420px,var(--radix-select-content-available-height))] min-w-[var(--radix-select-trigger-width)] max-w-[94vw] overflow-hidden rounded-s border border-steel bg-paper shadow-float"
        >
          <Select.Viewport className="py-1">
            {options.map(([v, name]) => (
              <Select.Item
                key={v}
                value={inList(v)}
                data-value={v}
                className="flex min-h-9 cursor-default items-center px-3 outline-none data-[highlighted]:bg-yolk-pale data-[state=checked]:font-[650] pointer-coarse:min-h-11"
              >
                <Select.ItemText>{name}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
