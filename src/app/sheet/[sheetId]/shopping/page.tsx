import { ShoppingDesk } from './shopping-desk';

export default function ShoppingPage() {
  return <ShoppingDesk />;
}
