import { NextResponse } from 'next/server';
import { templateSvg } from '../../../../../../core/files/template';
import { PAPERS, templatePdf, type Paper } from '../../../../../../core/files/template-pdf';
import { analyseSheet } from '../../../../../../core/analysis/analyse';
import { kitchenOf } from '../../../../../../core/kitchen/kitchen';
import { biscuitLayers, layAsk } from '../../../../../../core/tin/biscuits';
import { laidAs } from '../../../../../../core/tin/laid-as';
import { readKitchenFacts } from '../../../../../../data/kitchen-facts';
import { getSheet } from '../../../../../../data/sheets';
import { refuse, withKitchen } from '../../../../answers';

export const dynamic = 'force-dynamic';

const isPaper = (as: string): as is Paper => Object.hasOwn(PAPERS, as);

/** A layer of biscuits at true size: `?as=svg`, `a4` or `letter` (PDF). Layers are counted from 0 over all vessels. */
export async function GET(request: Request, { params }: { readonly params: Promise<{ sheetId: string; layer: string }> }) {
  const { sheetId, layer } = await params;
  const as = new URL(request.url).searchParams.get('as') ?? 'a4';
  if (as !== 'svg' && !isPaper(as)) return refuse(404, 'A template comes as svg, a4 or letter.');
  return withKitchen(async (db) => {
    const sheet = getSheet(db, sheetId);
    if (!sheet) return refuse(404, 'This sheet is no longer in the kitchen.');
    const s = analyseSheet(sheet.doc, kitchenOf(readKitchenFacts(db)));
    const found = /^\d{1,3}$/.test(layer) ? biscuitLayers(s)[Number(layer)] : undefined;
    if (!found) return refuse(404, 'This sheet has no such layer of biscuits.');
    const plan = laidAs(layAsk(s, found));
    if (!plan.ok) return refuse(422, plan.fault.says);
    const title = `${sheet.doc.name}, layer ${found.turn + 1} of ${found.ingredient.name.toLowerCase()}, ${found.vessel.name}`;
    const name = `${sheetId}-layer-${found.turn + 1}`;
    const headers = (mime: string, ending: string) => ({
      'content-type': mime,
      'content-disposition': `attachment; filename="${name}.${ending}"`,
      'x-content-type-options': 'nosniff',
    });
    if (as === 'svg') return new NextResponse(templateSvg(plan.value, title), { headers: headers('image/svg+xml; charset=utf-8', 'svg') });
    return new NextResponse(Buffer.from(await templatePdf(plan.value, title, as)), { headers: headers('application/pdf', 'pdf') });
  });
}
