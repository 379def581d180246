import { planOf } from '../../../aside/plans';
import { kitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getService } from '../../../data/services';
import { kitchenEntry } from '../../../entry/kitchen-entry';
import { OWN_PAGE_HEADERS } from '../../own-page';
import { overPage, seenPage } from './page-of-sheet';

export const dynamic = 'force-dynamic';

// An address that lets somebody look is told to nobody.
const HEADERS = { ...OWN_PAGE_HEADERS, 'referrer-policy': 'no-referrer' } as const;

/** The day sheet of a service, for whoever has its link. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ link: string }> }): Promise<Response> {
  const { link } = await params;
  const now = Date.now();
  const serviceId = kitchenEntry().serviceShown(link, now);
  const access = serviceId === null ? null : kitchen();
  const service = serviceId !== null && access?.ok ? getService(access.db, serviceId) : null;
  if (!service || !access?.ok) return new Response(overPage(), { status: 404, headers: HEADERS });
  return new Response(seenPage(readKitchenFacts(access.db).rules.kitchenName, service.doc, await planOf(service.id, now), Math.floor(now / 60_000)), {
    headers: HEADERS,
  });
}
