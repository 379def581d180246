import type { Metadata } from 'next';
import { kitchenOf } from '../../../core/kitchen/kitchen';
import { testsOffered } from '../../../core/tuning/worth';
import { openedKitchen } from '../../../data/kitchen';
import { readKitchenFacts } from '../../../data/kitchen-facts';
import { readOutcomes } from '../../../data/log';
import { keptTests } from '../../../data/tests-kept';
import { sheetsInUse } from '../../../data/tuning';
import { Frame } from '../../../ui/frame';
import { requestTime } from '../../request-time';
import { LogPages } from '../log-pages';
import { TuneDesk } from './tune-desk';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Tune the kitchen' };

/** A kitchen tuned in a morning: small tests, the one that narrows most in a minute of the hands first. */
export default async function TunePage({ searchParams }: { readonly searchParams: Promise<{ sheet?: string }> }) {
  const { sheet } = await searchParams;
  const db = openedKitchen();
  const facts = readKitchenFacts(db);
  const kitchen = kitchenOf(facts);
  const now = await requestTime();
  const sheets = sheetsInUse(db, now);
  const offered = testsOffered(kitchen, sheets, readOutcomes(db), keptTests(db), now);
  const asked = new Set(offered.filter((t) => t.kind === 'dip').map((t) => t.thing));
  return (
    <Frame station="Log" sheetId={sheet ?? null} heading={<h1 className="text-[20px]">Tune the kitchen</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-8">
        <LogPages sheetId={sheet ?? null} here="tune" />
      </div>
      <TuneDesk
        offered={offered}
        sheets={sheets.length}
        things={{
          larder: facts.larder.filter((i) => asked.has(i.id)),
          mixers: facts.mixers,
          places: facts.places,
          vessels: facts.vessels,
          rules: { ovens: facts.rules.ovens, waterBoilsC: facts.rules.waterBoilsC },
        }}
      />
    </Frame>
  );
}
