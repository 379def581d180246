import { kitchenOf, type Kitchen } from '../core/kitchen/kitchen';
import { SAMPLE_INGREDIENTS } from './sample/sample-ingredients';
import { STARTING_MIXERS, STARTING_PLACES, STARTING_RULES, startingLarder, startingVessels } from './starting-kitchen';

const made = new Map<string, Kitchen>();

/** A kitchen that ships with the program, whatever the data file holds: what a calculator that needs one reckons with. */
export function kitchenNamed(name: string): Kitchen {
  const known = made.get(name);
  if (known) return known;
  const larder = name === 'gannet-quay' ? [...startingLarder(), ...SAMPLE_INGREDIENTS] : startingLarder();
  const kitchen = kitchenOf({
    larder,
    mixers: STARTING_MIXERS,
    vessels: startingVessels(),
    places: STARTING_PLACES,
    rules: name === 'gannet-quay' ? { ...STARTING_RULES, kitchenName: 'Gannet Quay' } : STARTING_RULES,
    corrections: [],
  });
  made.set(name, kitchen);
  return kitchen;
}
