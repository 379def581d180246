import { copiesFolder, listCopies } from '../../../data/copies';
import { dataFilePath } from '../../../data/data-file-path';
import { freeBytes, isNearlyFull } from '../../../data/disk';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { thingsRevision } from '../../../data/kitchen-things';
import { Frame } from '../../../ui/frame';
import { LarderPages } from '../larder-pages';
import { Copies } from './copies';
import { KitchenDesk } from './kitchen-desk';

/** What stands in the kitchen, and how it works there. */
export default function KitchenPage() {
  const db = openedKitchen();
  const free = freeBytes(dataFilePath());
  const { vessels, mixers, places, rules } = readKitchenFacts(db);
  return (
    <Frame station="Larder" sheetId={null} heading={<h1 className="truncate text-[20px]">The kitchen</h1>}>
      <div className="max-w-[1000px] px-4 pt-2 pb-12 md:px-6">
        <LarderPages here="kitchen" />
        <KitchenDesk things={{ vessels, mixers, places, rules }} revision={thingsRevision(db)} />
        <Copies folder={copiesFolder()} first={listCopies()} disk={{ free, nearlyFull: isNearlyFull(free) }} />
      </div>
    </Frame>
  );
}
