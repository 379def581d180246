import { ListDesk } from './list-desk';

export default function ListPage() {
  return <ListDesk />;
}
