import { SoakDesk } from './soak-desk';

export default function SoakPage() {
  return <SoakDesk />;
}
