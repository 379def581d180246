import Link from 'next/link';

interface PageTabsProps {
  readonly label: string;
  /** Where each leads, and what it is called. */
  readonly pages: readonly { readonly href: string; readonly name: string; readonly here: boolean }[];
}

/** Pages that belong together, the present one marked. */
export function PageTabs({ label, pages }: PageTabsProps) {
  return (
    <nav aria-label={label} className="flex min-w-0 gap-x-4 overflow-x-auto text-[14px] sm:gap-x-5">
      {pages.map((p) => (
        <Link
          key={p.href}
          href={p.href}
          aria-current={p.here ? 'page' : undefined}
          className={`flex min-h-9 items-center border-b-2 whitespace-nowrap pointer-coarse:min-h-11 ${p.here ? 'border-yolk font-[650]' : 'border-transparent text-ink-soft hover:text-ink'}`}
        >
          {p.name}
        </Link>
      ))}
    </nav>
  );
}
