'use client';

import Link from 'next/link';

/** On the screen only: print, or back to Bench. */
export function PrintBar({ sheetId }: { readonly sheetId: string }) {
  return (
    <div className="mb-5 flex gap-3 print:hidden">
      <button type="button" className="btn btn-act" onClick={() => window.print()}>
        Print
      </button>
      <Link href={`/sheet/${sheetId}/files`} className="btn">
        Back to the sheet
      </Link>
    </div>
  );
}
