import { AboveDesk } from './above-desk';

export default function AbovePage() {
  return <AboveDesk />;
}
