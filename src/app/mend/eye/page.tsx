import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { listSheets } from '../../../data/sheets';
import { EyeDesk } from './eye-desk';

export const metadata = { title: 'Train the eye' };

/** As many desserts as the questions are taken from. */
const MOST = 12;

export default function EyePage() {
  const db = openedKitchen();
  return <EyeDesk sheets={listSheets(db, MOST).map((s) => s.doc)} kitchen={readKitchenFacts(db)} />;
}
