import Link from 'next/link';
import { analyseSheet } from '../../core/analysis/analyse';
import type { Kitchen } from '../../core/kitchen/kitchen';
import { sheetTells } from '../../core/tells/sheet-tells';
import { tellText } from '../../core/tells/tell';
import type { StoredSheet } from '../../data/sheets';
import { plainNumber } from '../../core/figure';
import { SheetCut } from '../../ui/sheet/sheet-cut';
import { inTurn } from '../in-turn';
import { SheetMenu } from './sheet-menu';

/** A sheet of the gallery: its cut, its name, how much it makes, whether anything of it is out of its band. */
export async function SheetTile({ sheet, kitchen, folders }: { readonly sheet: StoredSheet; readonly kitchen: Kitchen; readonly folders: readonly string[] }) {
  await inTurn();
  const analysis = analyseSheet(sheet.doc, kitchen);
  const worst = sheetTells(analysis, kitchen)[0];
  return (
    <li className="flex min-w-0 flex-col">
      <Link href={`/sheet/${sheet.id}/bench`} className="group block">
        <span className="block h-[92px]" aria-hidden="true">
          <SheetCut analysis={analysis} small />
        </span>
        <span className="mt-2 block font-figure text-[16px] font-[650] leading-tight group-hover:underline">{sheet.doc.name}</span>
      </Link>
      <p className="mt-0.5 text-[14px] text-ink-soft">
        {sheet.doc.portions}&nbsp;portions, {plainNumber(analysis.mixture.massG, 0)}&nbsp;g
      </p>
      {worst?.state === 'out' && <p className="mt-0.5 line-clamp-2 text-[13.5px] text-beet">{tellText(worst)}</p>}
      <p className="mt-auto flex items-center gap-1 pt-1.5">
        {!sheet.archived && (
          <Link href={`/pass?sheet=${sheet.id}`} className="btn min-h-9 px-3 text-[14px]">
            Make it
          </Link>
        )}
        <SheetMenu id={sheet.id} name={sheet.doc.name} folder={sheet.folder} folders={folders} archived={sheet.archived} />
      </p>
    </li>
  );
}
