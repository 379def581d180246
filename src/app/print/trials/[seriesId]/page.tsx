import { notFound } from 'next/navigation';
import { openedKitchen } from '../../../../data/kitchen';
import { seriesSheet } from '../../../../data/trials';
import { PrintBar } from '../../print-bar';

/** So many of each code: one for the tub, one for each of a few spoons. */
const OF_EACH = 4;

/** Labels that say a code and nothing of what is in it. */
export default async function PrintTrials({ params }: { readonly params: Promise<{ seriesId: string }> }) {
  const { seriesId } = await params;
  const found = seriesSheet(openedKitchen(), seriesId);
  if (!found) notFound();
  const codes = found.series.trials.map((t) => t.code).toSorted();
  return (
    <div className="print-page mx-auto max-w-[190mm] bg-paper px-4 py-6 sm:px-8">
      <PrintBar back={`/sheet/${found.sheetId}/trials`} says="Back to the trials" />
      <h1 className="sr-only">Labels for tasting {found.series.sheet.name}</h1>
      <ul className="grid grid-cols-2 gap-[4mm] sm:grid-cols-4">
        {codes.flatMap((code) =>
          Array.from({ length: OF_EACH }, (_, i) => (
            <li key={`${code}${i}`} className="grid h-[30mm] content-center justify-items-center border border-ink break-inside-avoid">
              <span className="fig text-[34px] leading-none font-[650]">{code}</span>
              <span className="mt-1 text-[12px] text-ink-soft">to taste</span>
            </li>
          )),
        )}
      </ul>
    </div>
  );
}
