import { WhiskDesk } from './whisk-desk';

export default function WhiskPage() {
  return <WhiskDesk />;
}
