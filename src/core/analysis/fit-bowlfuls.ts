import type { Sheet } from '../document/schema';
import { eggBowlfulsNeeded } from '../foam/egg-whisk';
import { bowlfulsNeeded } from '../foam/whisk';
import type { Kitchen } from '../kitchen/kitchen';
import { analyseSheet } from './analyse';

/** A sheet whose whisked parts are each split into as many bowlfuls as their mixers need; a plan of more is left. */
export function fitBowlfuls(sheet: Sheet, kitchen: Kitchen): Sheet {
  const { parts } = analyseSheet(sheet, kitchen);
  return {
    ...sheet,
    parts: sheet.parts.map((part, i) => {
      const a = parts[i]!;
      let needed: number | null = null;
      if (a.whiskInput.ok) needed = bowlfulsNeeded(a.whiskInput.value);
      else if (a.eggFoam && a.mixer)
        needed = eggBowlfulsNeeded({
          foam: a.eggFoam.foam,
          mixer: a.mixer.kind,
          bowlMl: a.mixer.bowlMl,
          speed: part.whisk.speed,
          mixMl: a.mixMl,
          eggC: part.heat.eggC,
        });
      return needed !== null && needed > part.whisk.batches ? { ...part, whisk: { ...part.whisk, batches: needed } } : part;
    }),
  };
}
