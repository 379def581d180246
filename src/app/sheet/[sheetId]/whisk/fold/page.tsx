import { FoldDesk } from './fold-desk';

export default function FoldPage() {
  return <FoldDesk />;
}
