import { PageTabs } from '../../ui/page-tabs';

/** The pages of Tin, all of one sheet. */
export const TinPages = ({ sheetId, here }: { readonly sheetId: string; readonly here: 'layers' | 'above' | 'soak' | 'yield' }) => (
  <PageTabs
    label="Pages of Tin"
    pages={[
      { href: `/sheet/${sheetId}/tin`, name: 'Layers', here: here === 'layers' },
      { href: `/sheet/${sheetId}/tin/above`, name: 'From above', here: here === 'above' },
      { href: `/sheet/${sheetId}/tin/soak`, name: 'Soak and rest', here: here === 'soak' },
      { href: `/sheet/${sheetId}/tin/yield`, name: 'Slices and piping', here: here === 'yield' },
    ]}
  />
);
