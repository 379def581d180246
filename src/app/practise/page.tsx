import { openedKitchen } from '../../data/kitchen';
import { listPracticeStops } from '../../data/practice';
import { PractiseDesk } from './practise-desk';

export const metadata = { title: 'Practise' };

export default function PractisePage() {
  return <PractiseDesk stops={listPracticeStops(openedKitchen())} />;
}
