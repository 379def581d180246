import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { sheetsForService, soFarByServing } from '../../../data/service-plans';
import { getService } from '../../../data/services';
import { requestTime } from '../../request-time';
import { ServiceProvider } from '../service-provider';

/** A service with everything that its plan rests on. */
export default async function ServiceLayout({ params, children }: { readonly params: Promise<{ serviceId: string }>; readonly children: ReactNode }) {
  const { serviceId } = await params;
  const db = openedKitchen();
  const service = getService(db, serviceId);
  if (!service) notFound();
  const at = await requestTime();
  const now = Math.floor(at / 60_000);
  return (
    <ServiceProvider
      id={service.id}
      first={{ doc: service.doc, revision: service.revision, soFar: [...soFarByServing(db, service.doc, at)] }}
      facts={readKitchenFacts(db)}
      sheets={sheetsForService(db)}
      serverNow={now}
    >
      {children}
    </ServiceProvider>
  );
}
