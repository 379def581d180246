import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getSheet } from '../../../data/sheets';
import { SheetProvider } from '../../../ui/sheet/sheet-provider';

interface LayoutProps {
  readonly children: ReactNode;
  readonly params: Promise<{ sheetId: string }>;
}

/** One open sheet, shared by its stations: undo and unsaved edits live on between them. */
export default async function SheetLayout({ children, params }: LayoutProps) {
  const { sheetId } = await params;
  const db = openedKitchen();
  const sheet = getSheet(db, sheetId);
  if (!sheet) notFound();
  return (
    <SheetProvider key={sheetId} id={sheetId} saved={sheet} facts={readKitchenFacts(db)}>
      {children}
    </SheetProvider>
  );
}
