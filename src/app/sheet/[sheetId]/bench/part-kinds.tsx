'use client';

import { addPart } from '../../../../core/editing/edits';
import { PART_KINDS, PART_KIND_NAMES, type PartKind } from '../../../../core/document/kinds';
import { startingPart } from '../../../../core/editing/starting';
import { railHatch } from '../../../../ui/part-look';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The kinds of part; choosing one puts it at the end of the building order. */
export function PartKinds({ onDone }: { readonly onDone: () => void }) {
  const { doc, edit, context, kitchen } = useSheet();
  const mixerId = doc.parts[0]?.whisk.mixerId ?? kitchen.mixers[0]?.id ?? 'planetary';
  const add = (kind: PartKind) =>
    edit('part', (d) => {
      const part = startingPart(freshId(), kind, mixerId, kitchen.rules.ways);
      const taken = d.parts.filter((p) => p.name === part.name || p.name.startsWith(`${part.name} `)).length;
      return addPart(d, taken > 0 ? { ...part, name: `${part.name} ${taken + 1}` } : part, context);
    });
  return (
    <ul className="-m-1.5">
      {PART_KINDS.map((kind) => (
        <li key={kind}>
          <button
            type="button"
            className="flex min-h-9 w-full items-center gap-3 rounded-s px-1.5 text-left hover:bg-yolk-pale pointer-coarse:min-h-11"
            onClick={() => {
              add(kind);
              onDone();
            }}
          >
            <span className="h-5 w-2.5 rounded-[2px]" style={{ background: railHatch(kind) }} aria-hidden="true" />
            {PART_KIND_NAMES[kind]}
          </button>
        </li>
      ))}
    </ul>
  );
}
