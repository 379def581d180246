import { LiveDesk } from './live-desk';

export default function LivePage() {
  return <LiveDesk />;
}
