import { PageTabs } from '../../ui/page-tabs';

export type ClockPage = 'plan' | 'list' | 'shopping' | 'labels' | 'capacity';

/** The pages of Clock, all of one service. */
export const ClockPages = ({ serviceId, here }: { readonly serviceId: string; readonly here: ClockPage }) => (
  <PageTabs
    label="Pages of Clock"
    pages={(
      [
        ['plan', '', 'Ribbon'],
        ['list', '/list', 'List'],
        ['shopping', '/shopping', 'Shopping'],
        ['labels', '/labels', 'Labels and files'],
        ['capacity', '/capacity', 'How many'],
      ] as const
    ).map(([key, path, name]) => ({ href: `/clock/${serviceId}${path}`, name, here: here === key }))}
  />
);
