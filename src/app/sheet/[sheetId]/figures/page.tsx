import { FiguresDesk } from './figures-desk';

export default function FiguresPage() {
  return <FiguresDesk />;
}
