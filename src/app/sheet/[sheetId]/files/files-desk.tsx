'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { FILE_FORMATS, writeSheetFile } from '../../../../core/files/write';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { BenchPages } from '../bench-pages';

/** The sheet as a file or on paper; and the way in for files of others. */
export function FilesDesk() {
  const { id, status } = useSheet();
  const analysis = useAnalysis();
  const files = useMemo(() => FILE_FORMATS.map((f) => ({ ...f, written: writeSheetFile(f.key, analysis) })), [analysis]);
  return (
    <SheetFrame station="Bench">
      <section aria-label="Files and print" className="max-w-[920px] px-4 pt-2 pb-10 md:px-6">
        <BenchPages sheetId={id} here="files" />
        <ul className="mt-3">
          <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-4 border-t border-steel py-3">
            <div>
              <h2 className="text-[17px]">On paper</h2>
              <p className="text-ink-soft">For the kitchen wall, A4 or Letter: the cut, the lines by part, the method.</p>
            </div>
            <Link href={`/print/${id}`} className="btn btn-act" prefetch={false}>
              Print sheet
            </Link>
          </li>
          {files.map((f) => (
            <li key={f.key} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-4 border-t border-steel py-3">
              <div>
                <h2 className="text-[17px]">{f.name}</h2>
                <p className="text-ink-soft">{f.for}</p>
                <p className="text-[13.5px] text-ink-soft">
                  {f.written.cannot.length === 0 ? 'Carries everything, and is read back as it was.' : `Has no place for ${f.written.cannot.join('; ')}.`}
                </p>
              </div>
              <a href={`/api/sheets/${id}/files/${f.key}`} download={f.written.name} className="btn" aria-disabled={status.kind !== 'saved'}>
                {f.written.name.split('.').slice(1).join('.')} file
              </a>
            </li>
          ))}
          <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-4 border-t border-steel py-3">
            <div>
              <h2 className="text-[17px]">From a file</h2>
              <p className="text-ink-soft">A sheet’s own JSON, a schema.org recipe, a table of lines, or any recipe as text: it becomes a new sheet.</p>
            </div>
            <Link href="/paste" className="btn">
              Read one in
            </Link>
          </li>
        </ul>
      </section>
    </SheetFrame>
  );
}
