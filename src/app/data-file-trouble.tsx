import { Mark } from '../ui/mark';

const WORDS = {
  damaged: {
    head: 'The kitchen’s data file is damaged',
    todo: 'Put back your latest copy of it, or move it away to start with an empty kitchen. Copies made before an upgrade lie beside it and end in .before-….',
  },
  unwritable: {
    head: 'The kitchen’s data file cannot be written',
    todo: 'Check that its folder exists, that the disk is not full and that this program may write there; or name another place in SOFT_PEAK_DATA.',
  },
  'in-use': { head: 'Another server has this kitchen open', todo: 'Use that one, or stop it; for a kitchen of its own name another file in SOFT_PEAK_DATA.' },
  newer: { head: 'The kitchen’s data file comes from a newer Soft Peak', todo: 'Start the newer version, or name another file in SOFT_PEAK_DATA.' },
} as const;

/** Shown instead of every page while the data file cannot be used. */
export function DataFileTrouble({ path, code, detail }: { readonly path: string; readonly code: keyof typeof WORDS; readonly detail: string }) {
  const { head, todo } = WORDS[code];
  return (
    <main className="mx-auto max-w-[640px] px-6 py-16">
      <div className="mb-6 flex items-center gap-2.5 font-figure text-[18px] font-[650]">
        <Mark /> Soft Peak
      </div>
      <h1 className="mb-3 text-[28px]">{head}</h1>
      <p className="mb-4 text-[17px]">Nothing in it has been changed or overwritten. {todo} Then load this page again.</p>
      <dl className="grid grid-cols-[90px_1fr] gap-y-1 border-t border-steel pt-3">
        <dt className="text-ink-soft">File</dt>
        <dd className="break-all">{path}</dd>
        <dt className="text-ink-soft">Found</dt>
        <dd className="break-all">{detail}</dd>
      </dl>
    </main>
  );
}
