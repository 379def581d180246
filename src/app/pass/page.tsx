import Link from 'next/link';
import { redirect } from 'next/navigation';
import { showRange, showSecondsRange } from '../../core/figure';
import { kitchenOf } from '../../core/kitchen/kitchen';
import { batchPlan } from '../../core/batch/make-batch';
import { runningBatch } from '../../data/batches';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { getSheet, getSheetVersion, listSheets, listVersions } from '../../data/sheets';
import { Frame } from '../../ui/frame';
import { StartBatch } from './start-batch';

/** Pass before a batch: goes on with the one that is being made, or starts one of the sheet in hand. */
export default async function PassPage({ searchParams }: { readonly searchParams: Promise<{ sheet?: string }> }) {
  const { sheet: wanted } = await searchParams;
  const db = openedKitchen();
  const running = runningBatch(db, wanted);
  if (running) redirect(`/pass/${running.id}`);
  const sheet = wanted ? getSheet(db, wanted) : (listSheets(db, 1)[0] ?? null);
  if (!sheet) {
    return (
      <Frame station="Pass" sheetId={null} heading={<h1 className="text-[20px]">Pass</h1>}>
        <div className="px-6 py-12">
          <p className="mb-4 text-[17px]">{wanted ? 'This sheet is no longer in the kitchen.' : 'There is no sheet to make yet.'}</p>
          <Link href="/new" className="btn btn-act">
            Start a new sheet
          </Link>
        </div>
      </Frame>
    );
  }
  const versions = listVersions(db, sheet.id).map((v) => ({
    number: v.number,
    name: v.name,
    portions: v.number === sheet.version ? sheet.doc.portions : (getSheetVersion(db, sheet.id, v.number)?.portions ?? sheet.doc.portions),
  }));
  const plan = batchPlan(sheet.doc, kitchenOf(readKitchenFacts(db)));
  return (
    <Frame station="Pass" sheetId={sheet.id} heading={<h1 className="truncate text-[20px]">Make {sheet.doc.name}</h1>}>
      <div className="mx-auto max-w-[720px] px-4 py-8 md:px-8">
        {plan.ok ? (
          <>
            <p className="mb-5 text-[19px]">
              {sheet.doc.portions} portions from version {sheet.version}, {plan.value.steps.length} steps.{' '}
              {plan.value.forecast.stageTimeS && (
                <>
                  {plan.value.forecast.stage.charAt(0).toUpperCase() + plan.value.forecast.stage.slice(1)} is expected after{' '}
                  <b className="fig">{showSecondsRange(plan.value.forecast.stageTimeS.low, plan.value.forecast.stageTimeS.high)}</b>
                  {plan.value.forecast.overrunPct && (
                    <>
                      , air <b className="fig">{showRange(plan.value.forecast.overrunPct.low, plan.value.forecast.overrunPct.high, '%')}</b>
                    </>
                  )}
                  .
                </>
              )}
            </p>
            <StartBatch sheetId={sheet.id} portions={sheet.doc.portions} versions={versions} steps={plan.value.steps} />
          </>
        ) : (
          <>
            <p className="mb-4 text-[19px]">{plan.fault.says}</p>
            <Link href={`/sheet/${sheet.id}/bench`} className="btn btn-act">
              To Bench
            </Link>
          </>
        )}
      </div>
    </Frame>
  );
}
