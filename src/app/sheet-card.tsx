import Link from 'next/link';
import { analyseSheet } from '../core/analysis/analyse';
import type { Kitchen } from '../core/kitchen/kitchen';
import { sheetTells } from '../core/tells/sheet-tells';
import { tellText } from '../core/tells/tell';
import type { StoredSheet } from '../data/sheets';
import { plainNumber } from '../core/figure';
import { SheetCut } from '../ui/sheet/sheet-cut';
import { ClockTime } from '../ui/clock-time';

/** A sheet in the list: its small cut, its worst tell, and the two ways on. */
export function SheetCard({ sheet, kitchen }: { readonly sheet: StoredSheet; readonly kitchen: Kitchen }) {
  const analysis = analyseSheet(sheet.doc, kitchen);
  const worst = sheetTells(analysis, kitchen)[0];
  return (
    <li className="grid grid-cols-[92px_minmax(0,1fr)] items-center gap-x-5 gap-y-2 border-t border-steel py-3.5 sm:grid-cols-[92px_minmax(0,1fr)_auto]">
      <Link href={`/sheet/${sheet.id}/bench`} className="row-span-2 block h-[76px] sm:row-span-1" tabIndex={-1} aria-hidden="true">
        <SheetCut analysis={analysis} small />
      </Link>
      <div className="min-w-0">
        <Link href={`/sheet/${sheet.id}/bench`} className="font-figure text-[18px] font-[650] hover:underline">
          {sheet.doc.name}
        </Link>
        <p className="text-[14px] text-ink-soft">
          {sheet.doc.portions}&nbsp;portions, {plainNumber(analysis.mixture.massG, 0)}&nbsp;g; version {sheet.version}, <ClockTime at={sheet.updatedAt} />
        </p>
        {worst && (
          <p className={`line-clamp-2 text-[14.5px] ${worst.state === 'out' ? 'text-beet' : ''}`}>{tellText(worst)}</p>
        )}
      </div>
      <div className="col-start-2 flex gap-2 sm:col-start-3">
        <Link href={`/sheet/${sheet.id}/bench`} className="btn">
          Open
        </Link>
        <Link href={`/pass?sheet=${sheet.id}`} className="btn btn-act">
          Make it
        </Link>
      </div>
    </li>
  );
}
