import { PageTabs } from '../../ui/page-tabs';

/** The pages of the Log. */
export const LogPages = ({ sheetId, here }: { readonly sheetId: string | null; readonly here: 'batches' | 'learnt' | 'tune' | 'compare' | 'book' }) => {
  const of = (path: string): string => `${path}${sheetId ? `?sheet=${sheetId}` : ''}`;
  return (
    <PageTabs
      label="Pages of Log"
      pages={[
        { href: of('/log'), name: 'Batches', here: here === 'batches' },
        { href: of('/log/learnt'), name: 'What it has learnt', here: here === 'learnt' },
        { href: of('/log/tune'), name: 'Tune', here: here === 'tune' },
        { href: of('/log/compare'), name: 'Two batches', here: here === 'compare' },
        { href: '/log/book', name: 'The book', here: here === 'book' },
      ]}
    />
  );
};
