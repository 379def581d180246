import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { Frame } from '../../ui/frame';
import { PasteDesk } from './paste-desk';

/** A written recipe becomes a sheet, each row under the cook's eyes. */
export default function Paste() {
  return (
    <Frame station="Bench" sheetId={null} heading={<h1 className="truncate text-[20px]">A written recipe</h1>}>
      <PasteDesk facts={readKitchenFacts(openedKitchen())} />
    </Frame>
  );
}
