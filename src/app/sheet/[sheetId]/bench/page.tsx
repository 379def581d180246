import { BenchDesk } from './bench-desk';

export default function BenchPage() {
  return <BenchDesk />;
}
