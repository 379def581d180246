import { ColdDesk } from './cold-desk';

export default function ColdPage() {
  return <ColdDesk />;
}
