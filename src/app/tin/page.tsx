import { redirect } from 'next/navigation';
import { openedKitchen } from '../../data/kitchen';
import { listSheets } from '../../data/sheets';

/** Tin without a sheet in hand: the one last touched. */
export default function Tin() {
  const last = listSheets(openedKitchen(), 1)[0];
  redirect(last ? `/sheet/${last.id}/tin` : '/new');
}
