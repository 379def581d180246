import { SolveDesk } from './solve-desk';

export default function SolvePage() {
  return <SolveDesk />;
}
