import { openedKitchen } from '../../../../data/kitchen';
import { listVersions } from '../../../../data/sheets';
import { VersionsDesk } from './versions-desk';

/** Every kept state of a sheet, two of them side by side. */
export default async function VersionsPage({ params }: { readonly params: Promise<{ sheetId: string }> }) {
  const { sheetId } = await params;
  return <VersionsDesk versions={listVersions(openedKitchen(), sheetId)} />;
}
