import Link from 'next/link';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { Frame } from '../../ui/frame';
import { LarderDesk } from './larder-desk';
import { LarderPages } from './larder-pages';

/** Larder: every ingredient that the kitchen knows. */
export default function Larder() {
  const facts = readKitchenFacts(openedKitchen());
  return (
    <Frame
      station="Larder"
      sheetId={null}
      heading={<h1 className="truncate text-[20px]">Larder</h1>}
      right={
        <Link href="/larder/new" className="btn btn-act">
          New ingredient
        </Link>
      }
    >
      <div className="px-4 pt-2 pb-10 md:px-6">
        <LarderPages here="ingredients" />
        <LarderDesk larder={facts.larder} />
      </div>
    </Frame>
  );
}
