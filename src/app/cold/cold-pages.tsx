import { PageTabs } from '../../ui/page-tabs';

/** The pages of Cold, all of one sheet. */
export const ColdPages = ({ sheetId, here }: { readonly sheetId: string; readonly here: 'run' | 'compare' | 'base' | 'probe' }) => (
  <PageTabs
    label="Pages of Cold"
    pages={[
      { href: `/sheet/${sheetId}/cold`, name: 'How long', here: here === 'run' },
      { href: `/sheet/${sheetId}/cold/compare`, name: 'Two set-ups', here: here === 'compare' },
      { href: `/sheet/${sheetId}/cold/base`, name: 'Cooked bases', here: here === 'base' },
      { href: `/sheet/${sheetId}/cold/probe`, name: 'By the probe', here: here === 'probe' },
    ]}
  />
);
