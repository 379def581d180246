import { openedKitchen } from '../../../../data/kitchen';
import { listStock } from '../../../../data/stock';
import { ShoppingDesk } from './shopping-desk';

export default async function ShoppingPage() {
  return <ShoppingDesk stock={listStock(openedKitchen())} />;
}
