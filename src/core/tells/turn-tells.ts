import { plainNumber, withUnit } from '../figure';
import { settersOf } from '../analysis/setters';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { milkSolidsNotFatG } from '../composition/mixture';
import { plainTell, type Tell } from './tell';

/** What a dessert turns into by the time it is eaten: fruit that browns, a custard that thins, ice that feels sandy. */

const BROWNS = /^(?:banana|apple|pear|peach|apricot|fig|avocado)$/;
const SOUR = /^(?:lemon-juice|lime-juice|citric-acid|orange-juice)$/;
/** Milk solids without fat in the water, %, from which lactose crystals may be felt in a frozen dessert (11–12 by the ice-cream makers' rule). */
const SANDY_FROM_PCT = 12;

const has = (a: PartAnalysis, ids: RegExp): boolean => a.reading.lines.some((l) => ids.test(l.ingredient?.id ?? '') && (l.read?.massG ?? 0) > 0);
const cooked = (a: PartAnalysis): boolean => a.ownHeat.baked || (a.ownHeat.tempC ?? 0) >= 80 || a.part.ways['fruit-cooked'] === 'cooked';

/** Cut fruit that browns: raw, and nothing sour with it. */
function browns(a: PartAnalysis): readonly Tell[] {
  const fruit = a.reading.lines.find((l) => BROWNS.test(l.ingredient?.id ?? '') && (l.read?.massG ?? 0) > 0);
  if (!fruit || cooked(a) || has(a, SOUR)) return [];
  return [
    plainTell(
      `browns:${a.part.id}`,
      'near',
      `${fruit.name.charAt(0).toUpperCase()}${fruit.name.slice(1)} browns within the hour once it is cut: turn it in lemon juice, or cut it at the last.`,
    ),
  ];
}

/** Yolk carries an enzyme that takes cooked starch apart; only near the boil is it gone, °C (house; the books say: a minute on the boil). */
const YOLK_ENZYME_GONE_C = 90;

const starchy = (a: PartAnalysis): boolean => settersOf(a).some((x) => x.setter === 'corn-starch');

/** Cooked starch with yolk that never came near the boil, or with raw honey or banana: overnight it thins. */
function thins(a: PartAnalysis, parts: readonly PartAnalysis[]): readonly Tell[] {
  const say = (by: string, mend: string): readonly Tell[] => [
    plainTell(`thins:${a.part.id}`, 'near', `${a.part.name}: ${by} thins cooked starch overnight. ${mend}`),
  ];
  const stoppedC = a.ownHeat.tempC;
  if (
    starchy(a) &&
    a.reading.lines.some((l) => (l.role === 'yolk' || l.role === 'egg') && l.read) &&
    !a.ownHeat.baked &&
    stoppedC !== null &&
    stoppedC < YOLK_ENZYME_GONE_C
  )
    return say(`yolk heated to only ${withUnit(plainNumber(stoppedC, 0), '°C')}`, 'Boil it for a minute with the starch, or serve it today.');
  const together = [a, ...parts.filter((p) => a.part.lines.some((l) => l.fromPartId === p.part.id))];
  if (!together.some(starchy)) return [];
  const raw = (id: RegExp): boolean => together.some((p) => has(p, id) && !cooked(p) && p.part.kind !== 'custard');
  const by = raw(/^honey$/) ? 'raw honey' : raw(/^banana$/) ? 'raw banana' : null;
  return by === null ? [] : say(by, 'Lay it between, not into it, or serve it today.');
}

/** Lactose that crystallises in the frost: more milk solids than its water holds. */
function sandy(s: SheetAnalysis): readonly Tell[] {
  if (s.sheet.family !== 'semifreddo' || s.mixture.grams.water <= 0) return [];
  const pct = (100 * milkSolidsNotFatG(s.mixture)) / (s.mixture.grams.water + milkSolidsNotFatG(s.mixture));
  return pct < SANDY_FROM_PCT
    ? []
    : [
        plainTell(
          'sandy',
          'near',
          `Milk solids are ${withUnit(plainNumber(pct, 0), '%')} of its water: from 11 to 12 % on lactose may turn sandy in the freezer within weeks. Less milk powder, or eat it soon.`,
        ),
      ];
}

/** A dried shell takes up the damp of a kitchen: its sugar lies there as glass and not as crystals. */
const damp = (a: PartAnalysis): readonly Tell[] =>
  a.part.kind === 'meringue' && a.reading.mixture.massG > 0
    ? [
        plainTell(
          `damp:${a.part.id}`,
          'in',
          `${a.part.name}: its sugar draws damp. Once cold, shut it in a dry tin at once; in the open it is soft within the day, in the fridge sooner.`,
        ),
      ]
    : [];

export const turnTells = (s: SheetAnalysis): readonly Tell[] => [...s.parts.flatMap((a) => [...browns(a), ...thins(a, s.parts), ...damp(a)]), ...sandy(s)];
