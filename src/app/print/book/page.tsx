import { aside } from '../../../aside/aside';
import { entrySays, SECTION_NAMES, SECTIONS, writtenBy, type BookDay } from '../../../core/book/book-day';
import { DaySchema } from '../../../core/book/entry';
import { showDay } from '../../../core/timetable/typed-moment';
import { kitchenDay } from '../../../data/book';
import { dataFilePath } from '../../../data/data-file-path';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { requestTime } from '../../request-time';
import { PrintBar } from '../print-bar';

const STATES = { in: 'within', out: 'OUTSIDE', missing: 'MISSING', open: 'to come', told: '' } as const;

/** The book on paper, or as the browser's PDF: a page for each day, missing entries as missing. */
export default async function PrintBook({ searchParams }: { readonly searchParams: Promise<{ readonly from?: string; readonly to?: string }> }) {
  const asked = await searchParams;
  const db = openedKitchen();
  const now = await requestTime();
  const from = DaySchema.safeParse(asked.from).data ?? kitchenDay(db, now);
  const to = DaySchema.safeParse(asked.to).data ?? from;
  const { rules } = readKitchenFacts(db);
  const zone = rules.zone || Intl.DateTimeFormat().resolvedOptions().timeZone;
  const pages = await aside().ask('bookPages', { path: dataFilePath(), from, to, now });
  return (
    <div className="print-page mx-auto max-w-[190mm] bg-paper px-4 py-6 sm:px-8">
      <PrintBar back={`/log/book?day=${from}`} says="Back to the book" />
      {pages.map((page, i) => (
        <section key={page.day} className={i > 0 ? 'mt-10 break-before-page' : ''}>
          <PrintedDay page={page} kitchen={rules.kitchenName} zone={zone} />
        </section>
      ))}
      <p className="mt-4 border-t border-steel pt-2 text-[12px] text-ink-soft">
        Held against the kitchen’s own figures and usual rules; what the law asks for is said by {rules.authority || 'the local food code'}.
      </p>
    </div>
  );
}

function PrintedDay({ page, kitchen, zone }: { readonly page: BookDay; readonly kitchen: string; readonly zone: string }) {
  return (
    <>
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-2">
        <h1 className="text-[24px] leading-tight">{showDay(page.day)}</h1>
        <p className="text-[13.5px]">{kitchen}</p>
      </header>
      {SECTIONS.map((section) => {
        const rows = page.rows.filter((r) => r.section === section);
        if (rows.length === 0) return null;
        return (
          <section key={section} className="mt-3 break-inside-avoid">
            <h2 className="text-[15px]">{SECTION_NAMES[section]}</h2>
            <table className="w-full table-fixed text-[12.5px]">
              <tbody>
                {rows.map((r) => (
                  <tr key={r.key} className="border-t border-steel align-baseline">
                    <td className={`w-[13%] py-0.5 pr-2 ${r.state === 'missing' || r.state === 'out' ? 'font-[650]' : 'text-ink-soft'}`}>{STATES[r.state]}</td>
                    <td className="w-[36%] py-0.5 pr-2">
                      {r.about}
                      {r.asks !== '' && <span className="block text-ink-soft">{r.asks}</span>}
                    </td>
                    <td className="py-0.5 pr-2">
                      {r.says}
                      {r.written?.before.map((e) => (
                        <s key={e.id} className="block text-ink-soft">
                          {entrySays(e.says)}, {writtenBy(e, zone)}
                        </s>
                      ))}
                    </td>
                    <td className="w-[20%] py-0.5 text-ink-soft">
                      {r.written && writtenBy(r.written.entry, zone)}
                      {r.afterSigning && ', after signing'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
      {page.takenBack.map((s) => (
        <p key={s.entry.id} className="border-t border-steel py-0.5 text-[12.5px]">
          Taken back by {writtenBy(s.entry, zone)}: <s>{s.before.map((e) => `${entrySays(e.says)}, ${writtenBy(e, zone)}`).join('; ')}</s>
        </p>
      ))}
      <p className="mt-3 border-t-2 border-ink pt-2 text-[13.5px]">{page.signed ? `Signed by ${writtenBy(page.signed.entry, zone)}` : 'Not signed'}</p>
    </>
  );
}
