import { notFound } from 'next/navigation';
import { plainNumber, showGrams } from '../../../core/figure';
import { analyseSheet } from '../../../core/analysis/analyse';
import { readyHours } from '../../../core/cold/hours';
import { kitchenOf } from '../../../core/kitchen/kitchen';
import { lineName, shownSteps } from '../../../core/batch/method';
import { FAMILY_NAMES } from '../../../core/document/kinds';
import { shoppingOf } from '../../../core/shopping/shopping';
import { vesselSize } from '../../../core/vessel/profile';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { getSheet } from '../../../data/sheets';
import { SheetCut } from '../../../ui/sheet/sheet-cut';
import { requestTime } from '../../request-time';
import { PrintBar } from '../print-bar';

/** The sheet for a kitchen wall: one or two pages of A4 or Letter, readable at an arm's length. */
export default async function PrintSheet({ params }: { readonly params: Promise<{ sheetId: string }> }) {
  const { sheetId } = await params;
  const db = openedKitchen();
  const stored = getSheet(db, sheetId);
  if (!stored) notFound();
  const facts = readKitchenFacts(db);
  const kitchen = kitchenOf(facts);
  const s = analyseSheet(stored.doc, kitchen);
  const steps = shownSteps(s, readyHours(s, kitchen));
  const { allergens, ethanolG } = shoppingOf(s);
  const number = (stepId: string | null): string => {
    const n = steps.findIndex((x) => x.key === stepId);
    return n < 0 ? '' : `${n + 1}`;
  };
  const printed = new Date(await requestTime());
  return (
    <div className="print-page mx-auto max-w-[190mm] bg-paper px-4 py-6 sm:px-8">
      <PrintBar back={`/sheet/${sheetId}/files`} says="Back to the sheet" />
      <header className="flex items-start justify-between gap-6 border-b-2 max-sm:flex-wrap print:flex-nowrap border-ink pb-3">
        <div>
          <h1 className="text-[26px] leading-tight">{stored.doc.name}</h1>
          <p className="mt-1">
            {FAMILY_NAMES[stored.doc.family]}; <span className="fig">{stored.doc.portions}</span> portions of{' '}
            <span className="fig">{showGrams(s.mixture.massG / stored.doc.portions)}</span>; {stored.doc.vessel.name}, {vesselSize(stored.doc.vessel)}
          </p>
          <p className="text-[13.5px] text-ink-soft">
            {facts.rules.kitchenName}, version {stored.version}, printed {printed.toISOString().slice(0, 10)}
          </p>
        </div>
        <div className="h-[120px] w-[230px] shrink-0">
          <SheetCut analysis={s} />
        </div>
      </header>
      <div className="mt-3 gap-8 sm:columns-2 print:columns-2">
        {s.parts.map((a) => (
          <section key={a.part.id} className="mb-4 break-inside-avoid">
            <h2 className="flex items-baseline justify-between text-[16px]">
              {a.part.name}
              <span className="fig text-[14px]">{plainNumber(a.reading.mixture.massG, 0)}&nbsp;g</span>
            </h2>
            <table className="w-full text-[13.5px]">
              <tbody>
                {a.reading.lines.map((l) => (
                  <tr key={l.line.id} className="border-t border-steel align-baseline">
                    <td className="fig w-[64px] py-0.5 pr-2 text-right text-[14.5px]">
                      {l.read ? (l.kind === 'loss' ? `−${showGrams(-l.read.massG)}` : showGrams(l.read.massG)) : '–'}
                    </td>
                    <td className="py-0.5">{l.read ? lineName(l) : l.line.text}</td>
                    <td className="py-0.5 pl-2 text-right text-ink-soft">{l.cooksMeasure}</td>
                    <td className="fig w-[22px] py-0.5 text-right font-medium text-ink-soft">{number(l.line.stepId)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
      </div>
      <h2 className="mt-1 text-[17px]">Method</h2>
      <ol>
        {steps.map((x, i) => (
          <li key={x.key} className="grid break-inside-avoid grid-cols-[22px_minmax(0,1fr)_auto] gap-x-2 border-t border-steel py-1 text-[13.5px]">
            <span className="fig text-right">{i + 1}</span>
            <span>
              <b className="font-[650]">{x.title}</b>
              {x.partName && <span className="text-ink-soft"> {x.partName}</span>}
              {x.detail && <span className="block">{x.detail}</span>}
            </span>
            <span className="text-right whitespace-nowrap text-ink-soft">{x.takes}</span>
          </li>
        ))}
      </ol>
      {(stored.doc.notes || stored.doc.unread.length > 0) && (
        <section className="mt-3 break-inside-avoid border-t border-steel pt-2 text-[13.5px] whitespace-pre-line">
          <h2 className="text-[16px]">Notes</h2>
          {[stored.doc.notes, ...stored.doc.unread].filter(Boolean).join('\n')}
        </section>
      )}
      <footer className="mt-3 border-t-2 border-ink pt-2 text-[13.5px]">
        {allergens.length > 0 ? `Allergens: ${allergens.join(', ')}.` : 'No listed allergens.'}{' '}
        {ethanolG > 0.1 ? `Alcohol ${plainNumber(ethanolG, 1)}\u00a0g a portion. ` : ''}
        Keeping, eggs and allergens: follow your local food code and a qualified person’s advice.
      </footer>
    </div>
  );
}
