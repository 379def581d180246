import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { thingsRevision } from '../../data/kitchen-things';
import { Frame } from '../../ui/frame';
import { BeginDesk } from './begin-desk';
import { FamilyList } from './family-list';
import { stepNamed } from './steps';

interface BeginProps {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/** The first hour of a kitchen: what it measures with, where it is cold, what it has, whose rules, then the first sheet. Each can be left out. */
export default async function Begin({ searchParams }: BeginProps) {
  const { step } = await searchParams;
  const db = openedKitchen();
  const { vessels, mixers, places, rules } = readKitchenFacts(db);
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="text-[20px]">Setting up</h1>}>
      <BeginDesk
        at={stepNamed(typeof step === 'string' ? step : '')}
        things={{ vessels, mixers, places, rules }}
        revision={thingsRevision(db)}
        families={<FamilyList />}
      />
    </Frame>
  );
}
