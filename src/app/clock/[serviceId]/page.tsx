import { PlanDesk } from './plan-desk';

export default function PlanPage() {
  return <PlanDesk />;
}
