import { PageTabs } from '../../ui/page-tabs';

/** The pages of the Larder. */
export const LarderPages = ({ here }: { readonly here: 'ingredients' | 'stock' | 'kitchen' | 'instruments' | 'entry' }) => (
  <PageTabs
    label="Pages of the larder"
    pages={[
      { href: '/larder', name: 'Ingredients', here: here === 'ingredients' },
      { href: '/larder/stock', name: 'In stock', here: here === 'stock' },
      { href: '/larder/kitchen', name: 'Vessels, mixers, places, rules', here: here === 'kitchen' },
      { href: '/larder/entry', name: 'Who comes in', here: here === 'entry' },
      { href: '/instruments', name: 'Instruments', here: here === 'instruments' },
    ]}
  />
);
