import { NextResponse } from 'next/server';
import { isFileFormat, writeSheetFile } from '../../../../../../core/files/write';
import { analyseSheet } from '../../../../../../core/analysis/analyse';
import { inShownUnits } from '../../../../../../core/measures/shown';
import { kitchenOf } from '../../../../../../core/kitchen/kitchen';
import { readKitchenFacts } from '../../../../../../data/kitchen-facts';
import { getSheet } from '../../../../../../data/sheets';
import { refuse, withKitchen } from '../../../../answers';

export const dynamic = 'force-dynamic';

/** The sheet as a file: `sheet`, `recipe`, `lines` or `markdown`. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ sheetId: string; format: string }> }) {
  const { sheetId, format } = await params;
  if (!isFileFormat(format)) return refuse(404, 'There is no such file format here: sheet, recipe, lines or markdown.');
  return withKitchen((db) => {
    const sheet = getSheet(db, sheetId);
    if (!sheet) return refuse(404, 'This sheet is no longer in the kitchen.');
    const facts = readKitchenFacts(db);
    const file = writeSheetFile(format, analyseSheet(sheet.doc, kitchenOf(facts)));
    // What people read is in the kitchen's units; what programs read is as it is kept.
    return new NextResponse(format === 'markdown' ? inShownUnits(file.text, facts.rules.shown) : file.text, {
      headers: {
        'content-type': `${file.mime}; charset=utf-8`,
        'content-disposition': `attachment; filename="${file.name}"`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
