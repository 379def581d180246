import { LabelsDesk } from './labels-desk';

export default function LabelsPage() {
  return <LabelsDesk />;
}
