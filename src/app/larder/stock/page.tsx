import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { listStock } from '../../../data/stock';
import { Frame } from '../../../ui/frame';
import { requestTime } from '../../request-time';
import { LarderPages } from '../larder-pages';
import { StockDesk } from './stock-desk';

/** Packs in the larder, whole and opened, with their days. */
export default async function StockPage() {
  const db = openedKitchen();
  const today = new Date(await requestTime()).toISOString().slice(0, 10);
  const ingredients = readKitchenFacts(db).larder.map((i) => ({ id: i.id, name: i.name, packG: i.packG }));
  return (
    <Frame station="Larder" sheetId={null} heading={<h1 className="text-[20px]">Larder</h1>}>
      <div className="px-4 pt-2 pb-10 md:px-6">
        <LarderPages here="stock" />
        <StockDesk first={listStock(db)} ingredients={ingredients} today={today} />
      </div>
    </Frame>
  );
}
