import { describe, expect, it } from 'vitest';
import { temperaturesIn } from './degrees';
import { cupsIn, portionsIn, vesselIn } from './setting';
import { timesIn } from './times';
import { verbOfForm } from './verbs';
import { stageIn } from './work';

const times = (text: string): readonly (readonly number[])[] => timesIn(text).map((t) => t.minutes.map((m) => Math.round(m * 100) / 100));
const heat = (text: string, fahrenheit = false) => temperaturesIn(text, fahrenheit).map((t) => [t.c, t.of]);

describe('times, min', () => {
  it.each<[string, readonly (readonly number[])[]]>([
    ['bake for 8 to 10 minutes', [[8, 10]]],
    ['8–10 min', [[8, 10]]],
    ['half an hour', [[30, 30]]],
    ['an hour and a half', [[90, 90]]],
    ['an hour and a quarter', [[75, 75]]],
    ['1 hour 15 minutes', [[75, 75]]],
    ['1½ hours', [[90, 90]]],
    ['1 1/2 hrs', [[90, 90]]],
    ['30 minutes to 1 hour', [[30, 60]]],
    ['overnight', [[480, 720]]],
    [
      '4 hours or overnight',
      [
        [240, 240],
        [480, 720],
      ],
    ],
    ['until the next day', [[480, 720]]],
    ['a couple of minutes', [[2, 3]]],
    ['a few minutes', [[3, 5]]],
    ['twenty minutes', [[20, 20]]],
    ['for 45 seconds', [[0.75, 0.75]]],
    ['7:40–10:30 min', [[7.67, 10.5]]],
    ['2 days', [[2880, 2880]]],
    ['3 months', [[129_600, 129_600]]],
    [
      'beat for 2 minutes, then rest 1 hour',
      [
        [2, 2],
        [60, 60],
      ],
    ],
    ['20 cm, 3 eggs, 4 spoons', []],
    ['a small minute-steak', []],
  ])('%s', (text, right) => expect(times(text)).toEqual(right));
  it('at least and at most', () => {
    expect(timesIn('chill for at least 4 hours')[0]?.bound).toBe('least');
    expect(timesIn('for up to 2 days')[0]?.bound).toBe('most');
    expect(timesIn('for 2 days')[0]?.bound).toBeNull();
  });
});

describe('temperatures, °C', () => {
  it.each<[string, boolean, readonly (readonly [number, string])[]]>([
    ['Preheat the oven to 350°F', false, [[176.7, 'oven']]],
    ['bake at 350 degrees', false, [[176.7, 'oven']]],
    ['bake at 225 degrees', true, [[107.2, 'oven']]],
    ['bake at 140 degrees', false, [[140, 'oven']]],
    ['Heat the oven to 180 C / 160 C fan', false, [[180, 'oven']]],
    ['bake at gas mark 4', false, [[177, 'oven']]],
    ['gas ½', false, [[130, 'oven']]],
    ['whisk over steam to 71 °C', false, [[71, 'mix']]],
    ['boil the syrup to 118–121°C', false, [[121, 'mix']]],
    ['cook until a thermometer shows 160F', false, [[71.1, 'mix']]],
    ['cool to 20 °C', false, [[20, 'mix']]],
    ['freeze at -18 °C', false, [[-18, 'mix']]],
    ['20 cm tin', false, []],
  ])('%s', (text, fahrenheit, right) => expect(heat(text, fahrenheit)).toEqual(right));
});

describe('how far it is whipped', () => {
  it.each<[string, string | null]>([
    ['whip the cream to soft peaks', 'soft'],
    ['whip until it just holds its shape', 'soft'],
    ['whip 200 ml cream until soft', 'soft'],
    ['beat to medium peaks', 'medium'],
    ['mix on medium speed', null],
    ['whisk until stiff', 'firm'],
    ['whisk the whites to stiff, glossy peaks', 'firm'],
    ['whip, but not too stiff', null],
    ['stir until smooth', null],
  ])('%s: %s', (text, right) => expect(stageIn(text)).toBe(right));
});

describe('for how many, in what', () => {
  it.each<[string, readonly [number, number] | null]>([
    ['Serves 6', [6, 6]],
    ['Serves 6-8', [6, 8]],
    ['Makes about 12 cupcakes', [12, 12]],
    ['for eight people', [8, 8]],
    ['Makes a 20 cm cake', null],
  ])('%s', (text, right) => {
    const found = portionsIn([text], text);
    expect(found === null ? null : [found.low, found.high]).toEqual(right);
  });
  it.each<[string, Record<string, unknown> | null]>([
    ['Line a 20 cm springform tin.', { shape: 'springform', acrossMm: 200 }],
    ['Press into a 9-inch springform pan.', { shape: 'springform', acrossMm: 229 }],
    ['Line a 9x13 inch pan.', { lengthMm: 330, widthMm: 229 }],
    ['Line a 2 lb loaf tin with film.', { shape: 'terrine', count: 1 }],
    ['Divide between 6 glasses of 200 ml.', { count: 6, eachMl: 200 }],
    ['Whisk in a large bowl.', null],
  ])('%s', (text, right) => {
    const found = vesselIn(text);
    if (right === null) expect(found).toBeNull();
    else expect(found).toMatchObject(right);
  });
  it.each<[string, string, string]>([
    ['1 cup heavy cream, 1 stick butter, 350°F', 'metric', 'us'],
    ['1 pint double cream, 4 oz caster sugar, icing sugar', 'us', 'imperial'],
    ['300 ml cream, 50 g sugar', 'us', 'us'],
  ])('%s in a kitchen with %s cups', (text, usual, right) => expect(cupsIn(text, usual as 'us').system).toBe(right));
});

describe('the evidence for cups', () => {
  it('is quoted whole, and none is made up', () => {
    expect(cupsIn('Chill at 40°F.', 'metric').quotes).toEqual(['40°F']);
    expect(cupsIn('300 ml cream', 'metric')).toEqual({ system: 'metric', quotes: [] });
    expect(cupsIn('1 cup sugar', 'australian')).toEqual({ system: 'australian', quotes: [] });
  });
});

describe('verbs', () => {
  it.each<[string, string | null]>([
    ['whipping', 'whip'],
    ['whisked', 'whisk'],
    ['folded', 'fold'],
    ['beaten', 'beat'],
    ['poured', 'pour'],
    ['butter', null],
  ])('%s', (form, base) => expect(verbOfForm(form)?.base ?? null).toBe(base));
});
