import Link from 'next/link';
import { dayClock, dayDate } from '../../core/timetable/clock-words';
import { minuteOf } from '../../core/timetable/zone';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { listServices, removedServices, type StoredService } from '../../data/services';
import { listSheetNames, getSheet } from '../../data/sheets';
import { Frame } from '../../ui/frame';
import { requestTime } from '../request-time';
import { newService, newServing } from './new-service';
import { StartService } from './start-service';
import { TakenAway } from './taken-away';

/** Clock without a service in hand: those that are planned, and a new one. */
export default async function Clock({ searchParams }: { readonly searchParams: Promise<{ sheet?: string }> }) {
  const { sheet: sheetId } = await searchParams;
  const db = openedKitchen();
  const now = Math.floor((await requestTime()) / 60_000);
  const { rules } = readKitchenFacts(db);
  const names = new Map(listSheetNames(db).map((s) => [s.id, s.name]));
  const last = (s: StoredService): number => Math.max(0, ...s.doc.servings.map((x) => minuteOf(x.at, s.doc.zone)));
  const all = listServices(db);
  const coming = all.filter((s) => s.doc.servings.length === 0 || last(s) >= now - 120).toSorted((a, b) => last(a) - last(b));
  const gone = all.filter((s) => !coming.includes(s)).toSorted((a, b) => last(b) - last(a));
  const away = removedServices(db, 60_000 * now).map((s) => ({ id: s.id, name: s.doc.name, until: dayDate(Math.floor(s.until / 60_000), s.doc.zone) }));
  const machineZone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  const fresh = newService(rules, now, machineZone);
  const sheet = sheetId ? getSheet(db, sheetId) : null;
  const first = sheet ? { ...fresh, name: sheet.doc.name, servings: [newServing(fresh, sheet.id, sheet.doc.portions, now, 'first')] } : fresh;
  return (
    <Frame station="Clock" sheetId={sheetId ?? null} heading={<h1 className="truncate text-[20px]">Services</h1>}>
      <div className="mx-auto max-w-[820px] px-4 py-6 md:px-8">
        <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
          <StartService doc={first} says={sheet ? `Plan ${sheet.doc.name}` : 'Plan a service'} act={coming.length === 0 || sheet !== null} />
          {all.length === 0 && away.length === 0 && (
            <p className="text-[17px]">No service yet: say what is served and when, and everything counts back from there.</p>
          )}
        </div>
        <ServiceRows services={coming} names={names} />
        {gone.length > 0 && (
          <>
            <h2 className="mt-8 mb-1 text-[17px]">Past</h2>
            <ServiceRows services={gone.slice(0, 12)} names={names} />
          </>
        )}
        {away.length > 0 && <TakenAway services={away} />}
      </div>
    </Frame>
  );
}

function ServiceRows({ services, names }: { readonly services: readonly StoredService[]; readonly names: ReadonlyMap<string, string> }) {
  return (
    <ul>
      {services.map((s) => (
        <li key={s.id} className="border-t border-steel py-3">
          <Link href={`/clock/${s.id}`} className="block hover:[&_.name]:underline">
            <span className="name text-[17px] font-[650]">{s.doc.name}</span>
            <span className="block text-ink-soft">
              {s.doc.servings.length === 0
                ? 'nothing served yet'
                : s.doc.servings
                    .toSorted((a, b) => (a.at < b.at ? -1 : 1))
                    .slice(0, 5)
                    .map((x) => `${dayClock(minuteOf(x.at, s.doc.zone), s.doc.zone)} ${names.get(x.sheetId) ?? 'a sheet that is gone'}`)
                    .join(' · ')}
              {s.doc.servings.length > 5 && ` and ${s.doc.servings.length - 5} more`}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
