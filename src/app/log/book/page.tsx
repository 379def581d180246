import { aside } from '../../../aside/aside';
import { DaySchema } from '../../../core/book/entry';
import { kitchenDay } from '../../../data/book';
import { dataFilePath } from '../../../data/data-file-path';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { Frame } from '../../../ui/frame';
import { requestTime } from '../../request-time';
import { LogPages } from '../log-pages';
import { BookDesk } from './book-desk';

/** The book of a day: what an inspector or a head cook asks for. */
export default async function BookPage({ searchParams }: { readonly searchParams: Promise<{ readonly day?: string }> }) {
  const asked = DaySchema.safeParse((await searchParams).day);
  const db = openedKitchen();
  const now = await requestTime();
  const today = kitchenDay(db, now);
  const day = asked.success && asked.data <= today ? asked.data : today;
  const [page] = await aside().ask('bookPages', { path: dataFilePath(), from: day, to: day, now });
  const { rules } = readKitchenFacts(db);
  return (
    <Frame station="Log" sheetId={null} heading={<h1 className="truncate text-[20px]">The book</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={null} here="book" />
      </div>
      <BookDesk
        key={day}
        page={page!}
        today={today}
        zone={rules.zone || Intl.DateTimeFormat().resolvedOptions().timeZone}
        cooks={rules.crew.map((c) => c.name)}
        authority={rules.authority}
      />
    </Frame>
  );
}
