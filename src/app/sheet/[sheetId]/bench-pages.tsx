import { PageTabs } from '../../../ui/page-tabs';

const PAGES = [
  ['lines', 'Formula', 'bench'],
  ['figures', 'What it will be like', 'figures'],
  ['solve', 'Solve and what if', 'solve'],
  ['trials', 'Trials', 'trials'],
  ['shopping', 'Shopping, cost', 'shopping'],
  ['versions', 'Versions', 'versions'],
  ['files', 'Files', 'files'],
] as const;

/** The pages of Bench for one sheet. */
export const BenchPages = ({ sheetId, here }: { readonly sheetId: string; readonly here: (typeof PAGES)[number][0] }) => (
  <PageTabs label="Pages of this sheet" pages={PAGES.map(([key, name, path]) => ({ href: `/sheet/${sheetId}/${path}`, name, here: key === here }))} />
);
