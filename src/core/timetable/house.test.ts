import { describe, expect, it } from 'vitest';
import {
  AHEAD_MOST_H,
  BLOOMED_MOST_MIN,
  BUTTER_OUT_MIN,
  FOAM_WEIGHT,
  FRUIT_IN_LEMON_MOST_MIN,
  FRUIT_MOST_MIN,
  GROWS,
  HOT_MOST_MIN,
  KNIFE_WAIT_MIN,
  LATE_MIN,
  NEXT_BOWL_MIN,
  OVEN_HEATS_MIN,
  ROOM_PER_LITRE,
  SHORT_WAIT_H,
  UNCOVERED_MOST_MIN,
  USUAL_HANDS_MIN,
  WEIGHED_MOST_MIN,
} from './house';

/* The house figures of the timetable in a cook's words, so that none is changed by a slip of the pen. */
describe('hands and waits, by the house', () => {
  it('twice the portions: piping takes eight tenths longer, a pot a fifth', () => {
    expect(2 ** GROWS.pieces).toBeCloseTo(1.803, 2);
    expect(2 ** GROWS.pot).toBeCloseTo(1.189, 2);
  });
  it('minutes: a step that says none, the next bowl, an oven, the knife', () =>
    expect([USUAL_HANDS_MIN, NEXT_BOWL_MIN, OVEN_HEATS_MIN, KNIFE_WAIT_MIN]).toEqual([5, 2, 20, 10]));
  it('butter stands out for one to four hours, bloomed gelatin waits two, weighed things one', () =>
    expect([BUTTER_OUT_MIN.least, BUTTER_OUT_MIN.most, BLOOMED_MOST_MIN, WEIGHED_MOST_MIN].map((m) => m / 60)).toEqual([1, 4, 2, 1]));
  it('minutes: from the hob to the whisk, filled and not yet cold', () => expect([HOT_MOST_MIN, UNCOVERED_MOST_MIN]).toEqual([2, 15]));
  it('before it is served: topped and crowned half an hour, sliced a third of one, unmoulded four', () =>
    expect([LATE_MIN.top, LATE_MIN.crown, LATE_MIN.sliced, LATE_MIN.unmould].map((m) => Math.round((100 * m) / 60) / 100)).toEqual([0.5, 0.5, 0.33, 4]));
  it('fruit is cut an hour before, ten in lemon juice; parts are made three days ahead at most', () =>
    expect([FRUIT_MOST_MIN / 60, FRUIT_IN_LEMON_MOST_MIN / 60, AHEAD_MOST_H / 24]).toEqual([1, 10, 3]));
  it('twelve glasses of 150 mL take three litres of a fridge', () => expect(12 * 0.15 * ROOM_PER_LITRE).toBeCloseTo(2.88, 9));
  it('waits up to five hours are planned with their longer end; a foam too early weighs four times', () => expect([SHORT_WAIT_H, FOAM_WEIGHT]).toEqual([5, 4]));
});
