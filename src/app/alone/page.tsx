import { AlonePage } from './alone-page';

export const metadata = { title: 'Not kept on this tablet' };

export default function Alone() {
  return <AlonePage />;
}
