import { PageTabs } from '../../ui/page-tabs';

/** The pages of Whisk; Live and Fold are of a sheet. */
export const WhiskPages = ({ sheetId, here }: { readonly sheetId: string | null; readonly here: 'forecast' | 'live' | 'fold' | 'practise' }) => (
  <PageTabs
    label="Pages of Whisk"
    pages={[
      { href: sheetId ? `/sheet/${sheetId}/whisk` : '/whisk', name: 'Forecast', here: here === 'forecast' },
      ...(sheetId
        ? [
            { href: `/sheet/${sheetId}/whisk/live`, name: 'Live', here: here === 'live' },
            { href: `/sheet/${sheetId}/whisk/fold`, name: 'Fold', here: here === 'fold' },
          ]
        : []),
      { href: `/practise${sheetId ? `?sheet=${sheetId}` : ''}`, name: 'Practise', here: here === 'practise' },
    ]}
  />
);
