import Link from 'next/link';
import { SKELETONS } from '../../core/editing/skeletons';

/** A sheet from its family: each a working skeleton of its parts. */
export function FamilyList() {
  return (
    <ul className="border-t border-steel-light">
      {SKELETONS.map((s) => (
        <li key={s.id}>
          <Link
            href={`/new?start=${s.id}`}
            className="grid min-h-11 items-baseline gap-x-5 border-b border-steel-light px-1 py-2.5 hover:bg-paper sm:grid-cols-[190px_minmax(0,1fr)]"
          >
            <span className="font-[600] underline underline-offset-2">{s.name}</span>
            <span className="text-[14.5px] text-ink-soft">{s.says}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
