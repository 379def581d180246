import { CompareDesk } from './compare-desk';

export default function ComparePage() {
  return <CompareDesk />;
}
