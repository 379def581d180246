'use client';

import Link from 'next/link';

/** On the screen only: print, or back to where it came from. */
export function PrintBar({ back, says }: { readonly back: string; readonly says: string }) {
  return (
    <div className="mb-5 flex gap-3 print:hidden">
      <button type="button" className="btn btn-act" onClick={() => window.print()}>
        Print
      </button>
      <Link href={back} className="btn">
        {says}
      </Link>
    </div>
  );
}
