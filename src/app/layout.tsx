import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { Suspense, type ReactNode } from 'react';
import { kitchen } from '../data/kitchen';
import { dueByLastPlans } from '../aside/plans';
import { unitsHere } from '../core/measures/shown-here';
import { UNITS_ATTRIBUTE } from '../ui/units/said';
import { NONCE_HEADER } from '../entry/kitchen-entry';
import { DueProvider } from '../ui/due-strip';
import { OthersProvider } from '../ui/others-here';
import { EarlyHands, KEEP_EARLY_HANDS } from '../ui/early-hands';
import { DataFileTrouble } from './data-file-trouble';
import { requestTime } from './request-time';

export const metadata: Metadata = { title: 'Soft Peak', description: 'A workbench for whipped and aerated cream desserts.' };
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#f3f7f9' };
// Every page shows the kitchen as it is now.
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const access = kitchen();
  return (
    <html lang="en" {...{ [UNITS_ATTRIBUTE]: JSON.stringify(unitsHere()) }}>
      <head>
        {/* Asked for like everything else here: by a screen that is in. */}
        <link rel="manifest" href="/soft-peak.webmanifest" crossOrigin="use-credentials" />
      </head>
      <body>
        <script nonce={(await headers()).get(NONCE_HEADER) ?? ''} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: KEEP_EARLY_HANDS }} />
        {access.ok ? (
          <DueProvider first={dueByLastPlans(access.db, await requestTime())}>
            <OthersProvider>
              <Suspense>
                {children}
                <EarlyHands />
              </Suspense>
            </OthersProvider>
          </DueProvider>
        ) : (
          <DataFileTrouble path={access.error.path} code={access.error.code} detail={access.error.detail} />
        )}
      </body>
    </html>
  );
}
