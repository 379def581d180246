import { plainNumber, withUnit } from '../figure';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { capacityMl, isPerPortion } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { isFreezer, placeOf } from '../kitchen/place';
import { coldAnswers, type Ready } from './ready';
import { runCold } from './run';
import type { ColdSetup } from '../document/cold-plan-schema';

/** A change that was tried, and when it would then be ready. */
export interface Tried {
  readonly key: string;
  readonly says: string;
  readonly setup: ColdSetup;
  /** Another vessel; null where it stays. */
  readonly vessel: Vessel | null;
  /** h; null where it never is. */
  readonly readyH: number | null;
  readonly savedMin: number | null;
}

/** The one readiness that a dessert is asked for: the first of its list that is no lid. */
export const mainReady = (ready: readonly Ready[]): Ready | null => ready.find((r) => r.key !== 'lid' && r.key !== 'fold') ?? null;

interface Change {
  readonly key: string;
  readonly says: string;
  readonly setup: ColdSetup;
  readonly vessel: Vessel | null;
}

/** A vessel of the shelf that holds it and in which it lies this much lower counts as shallower. */
const SHALLOWER = 0.8;

function changesFor(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup): readonly Change[] {
  const here = placeOf(kitchen, setup, s.sheet.family);
  const frozen = here !== null && isFreezer(here);
  const changes: Change[] = [];
  const add = (key: string, says: string, change: Partial<ColdSetup>, vessel: Vessel | null = null): void =>
    void changes.push({ key, says, setup: { ...setup, ...change }, vessel });
  if (!frozen && setup.iceBathMin === 0) add('ice', 'twenty minutes in an ice bath first', { iceBathMin: 20 });
  for (const p of kitchen.places) {
    if (p === here || p.kind === 'counter' || isFreezer(p) !== frozen) continue;
    add(`place:${p.id}`, `in the ${p.name.toLowerCase()}`, { placeId: p.id, airC: null });
  }
  if (setup.airC === null && here) add('colder', `the air 2\u00a0°C colder`, { airC: here.airC - 2 });
  if (setup.under === 'rack') add('metal', frozen ? 'on the freezing plate' : 'on a metal shelf', { under: frozen ? 'freezing-plate' : 'metal-shelf' });
  if (setup.cover !== 'open') add('open', 'uncovered until it is cold, then film', { cover: 'open' });
  if (setup.air === 'crowded-shelf') add('room', 'with room round it', { air: 'still-fridge' });
  if (!setup.chilledTin) add('tin', 'in a tin from the fridge', { chilledTin: true });
  if (setup.startC === null) add('start', 'everything 5\u00a0°C when it goes in', { startC: 5 });
  if (setup.together > 1) add('alone', 'alone in there', { together: 1 });
  const { vessel } = s.sheet;
  if (!isPerPortion(vessel) && s.perVesselMl.ok) {
    const ml = s.perVesselMl.value;
    const shallower = kitchen.vessels
      .map((v) => v.vessel)
      .filter(
        (v) =>
          v.name !== vessel.name &&
          !isPerPortion(v) &&
          v.kind !== 'tub' &&
          capacityMl(v) >= ml &&
          (ml / capacityMl(v)) * v.heightMm < SHALLOWER * (ml / capacityMl(vessel)) * vessel.heightMm,
      )
      .sort((a, b) => capacityMl(a) - capacityMl(b))[0];
    if (shallower)
      add(
        `vessel:${shallower.name}`,
        `in the ${shallower.name.toLowerCase()}, about ${withUnit(plainNumber((ml / capacityMl(shallower)) * shallower.heightMm, 0), 'mm')} deep`,
        {},
        shallower,
      );
  }
  return changes;
}

/** The sheet in another vessel, everything else as it is. */
export const inVessel = (s: SheetAnalysis, vessel: Vessel | null): SheetAnalysis => (vessel ? { ...s, sheet: { ...s.sheet, vessel } } : s);

/** When a set-up is ready, h; null where it never is, or cannot be worked out. */
function readyAt(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup): number | null {
  const run = runCold(s, kitchen, setup);
  return run.ok ? (mainReady(coldAnswers(s, kitchen, run.value).ready)?.atH ?? null) : null;
}

/** What would make it ready sooner: each change tried by the solver on its own, one after the other; `of` is how many there are. */
export function* tryEach(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup): Generator<{ readonly tried: Tried; readonly of: number }> {
  const nowH = readyAt(s, kitchen, setup);
  const changes = changesFor(s, kitchen, setup);
  for (const c of changes) {
    const readyH = readyAt(inVessel(s, c.vessel), kitchen, c.setup);
    yield { tried: { ...c, readyH, savedMin: readyH !== null && nowH !== null ? Math.round(60 * (nowH - readyH)) : null }, of: changes.length };
  }
}

/** Quickest first; what is never ready last. */
export const quickestFirst = (tried: readonly Tried[]): readonly Tried[] => tried.toSorted((a, b) => (a.readyH ?? Infinity) - (b.readyH ?? Infinity));
