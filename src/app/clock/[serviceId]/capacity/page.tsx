import { CapacityDesk } from './capacity-desk';

export default function CapacityPage() {
  return <CapacityDesk />;
}
