import { SKELETONS } from '../../core/editing/skeletons';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { Frame } from '../../ui/frame';
import { NewSheetForm } from './new-sheet-form';

interface NewProps {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/** Start a sheet: from a recipe, from a family's parts, or from the cream that there is. */
export default async function NewSheet({ searchParams }: NewProps) {
  const { start } = await searchParams;
  const from = SKELETONS.find((s) => s.id === start)?.id ?? '';
  const facts = readKitchenFacts(openedKitchen());
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="text-[20px]">A new sheet</h1>}>
      <NewSheetForm facts={facts} from={from} starts={SKELETONS.map(({ id, name, says }) => ({ id, name, says }))} />
    </Frame>
  );
}
