import { SKELETONS } from '../../core/editing/skeletons';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { Frame } from '../../ui/frame';
import { NewSheetForm } from './new-sheet-form';

/** Start a sheet: from a recipe, from a family's parts, or from the cream that there is. */
export default function NewSheet() {
  const facts = readKitchenFacts(openedKitchen());
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="text-[20px]">A new sheet</h1>}>
      <NewSheetForm facts={facts} starts={SKELETONS.map(({ id, name, says }) => ({ id, name, says }))} />
    </Frame>
  );
}
