import { TinDesk } from './tin-desk';

export default function TinPage() {
  return <TinDesk />;
}
