import { YieldDesk } from './yield-desk';

export default function YieldPage() {
  return <YieldDesk />;
}
