import { headers } from 'next/headers';
import { kitchenEntry, SCREEN_HEADER } from '../../../entry/kitchen-entry';
import { Frame } from '../../../ui/frame';
import { LarderPages } from '../larder-pages';
import { EntryDesk } from './entry-desk';

/** Who comes into this kitchen. */
export default async function EntryPage() {
  const entry = kitchenEntry();
  return (
    <Frame station="Larder" sheetId={null} heading={<h1 className="truncate text-[20px]">Who comes in</h1>}>
      <div className="max-w-[820px] px-4 pt-2 pb-12 md:px-6">
        <LarderPages here="entry" />
        <EntryDesk locked={entry.isLocked()} fixed={entry.isFixed()} screens={entry.screens()} mine={(await headers()).get(SCREEN_HEADER) ?? ''} />
      </div>
    </Frame>
  );
}
