import { plainNumber, showGrams, showHours, withUnit } from '../figure';
import { iceForBath, meetingsOf, syrupOf } from '../analysis/warmth';
import { FOLD_KEEPS, KEEPING_H } from '../foam/house';
import { ICE_BATH, POURED_C } from '../heat/house';
import { guest, massFor } from '../heat/meeting';
import { mix } from '../composition/mixture';
import { composition } from '../composition/components';
import { foldStrokes } from '../foam/fold-strokes';
import { bowlG, holdsAir, shareOfPart, type Bowl } from './case';
import { CUSTARD_BACK_C, DANGER_C, EGG_CURDLES_C, FRESH_FOAM_MOST } from './house';
import {
  amount,
  bowlGuestOf,
  creamFor,
  deg,
  discard,
  freshLines,
  freshStep,
  foldedMlPerG,
  gramsOf,
  heaviest,
  iceBathMin,
  instead,
  larderOr,
  mended,
  minutesWords,
  moreOf,
  num,
  ofRole,
  steamMin,
  step,
  weighable,
  type Rescue,
} from './rescue';

/** Rescues of custards, syrups, fruit and folds. */

const ICE = guest('ice', mix([{ massG: 1000, per100: composition({ water: 100 }) }]), 0, ICE_BATH.iceC);

/** Ice and minutes that bring the bowl down. */
export function iceFor(b: Bowl, fromC: number, toC: number): { readonly iceG: number; readonly min: number } {
  const mass = massFor([bowlGuestOf(b, fromC), ICE], 1, Math.max(1, toC - 2));
  return { iceG: weighable(mass.ok ? Math.max(mass.value, 0.3 * bowlG(b)) : bowlG(b)), min: iceBathMin(b, fromC, toC) ?? 15 };
}

export function scrambled(b: Bowl): Rescue {
  const nowC = b.facts.nowC;
  const again = freshLines(b);
  if (nowC !== null && nowC > CUSTARD_BACK_C) {
    return instead(
      'Sieve it, or start again',
      `At ${deg(nowC)} the egg is cooked through: no blender makes that smooth again.`,
      [
        step('Through a fine sieve. Smooth under it: use what runs through, it is a thin sauce.'),
        freshStep(again, `Off the hob at ${deg(82)}, into a cold bowl at once.`),
      ],
      { again, minutes: 20 },
    );
  }
  const ice = iceFor(b, nowC ?? EGG_CURDLES_C, 60);
  return mended(
    'Cold bowl, blender, sieve',
    'Flecks that have just formed break up again, if the heat stops now.',
    [
      step('Off the heat, into a cold bowl in ice water.', {
        amount: `${showGrams(ice.iceG)} ice`,
        timerMin: Math.max(0.5, ice.min),
        stopIf: `it is under ${deg(60)}`,
      }),
      step('Stick blender held under the surface, 30 s.', { timerMin: 0.5, stopIf: 'it is smooth' }),
      step('Through a fine sieve; about a twentieth stays in it.'),
    ],
    { minutes: 4 + ice.min, otherwise: 'burnt' },
  );
}

export function custardThin(b: Bowl): Rescue {
  const starch = ofRole(b, 'starch').length > 0;
  const nowC = b.facts.nowC ?? 70;
  if (starch) {
    return mended(
      'Back to the boil for a minute',
      'Starch thickens only where it has bubbled, and the boil ends what thins it.',
      [
        step('Stirred all the time, to the first bubbles.', { timerMin: Math.max(1, steamMin(b, nowC, 95)) }),
        step('One minute more at the boil.', { timerMin: 1, stopIf: 'it coats a spoon' }),
        step('Cool it in two stages; it thickens again as it cools.'),
      ],
      { minutes: 8, otherwise: 'custard-thin' },
    );
  }
  if (nowC < EGG_CURDLES_C - 4) {
    return mended(
      `Cook it on to ${deg(82)}`,
      `At ${deg(nowC)} the yolk has not thickened yet.`,
      [
        step('Low heat, stirring with a flat spoon.', {
          timerMin: Math.max(1, steamMin(b, nowC, 82)),
          toC: 82,
          stopIf: `it is at ${deg(82)}: above ${deg(EGG_CURDLES_C)} it scrambles`,
        }),
        step('Into a cold bowl at once.'),
      ],
      { minutes: 6, otherwise: 'scrambled' },
    );
  }
  const g = weighable(0.01 * bowlG(b));
  const added = larderOr(b, g, 'corn starch', 'corn-starch');
  return mended(
    `Bind it with ${showGrams(g)} starch`,
    'The yolk has given what it has: starch does the rest.',
    [
      step(`Stirred smooth in ${showGrams(weighable(5 * g))} cold milk.`, { g }),
      step('Into the hot custard, whisking, to the boil for a minute.', { timerMin: 1, stopIf: 'it coats a spoon' }),
    ],
    {
      adds: [added],
      minutes: 6,
      figures: [
        amount(
          'starch',
          'Starch to bind it',
          g,
          'g = 0.01·m',
          'Ten grams a kilo make a thin custard coat a spoon.',
          [num('m', 'in the pan', bowlG(b), 'g', 0, 'the lines')],
          'House: 8–12 g/kg.',
          0.2,
        ),
      ],
    },
  );
}

export const lumpy = (): Rescue =>
  mended(
    'Blend it, then sieve it',
    'The lumps are starch that swelled outside before it was wet inside.',
    [
      step('Stick blender, held under.', { timerMin: 0.5, stopIf: 'it is smooth' }),
      step('Through a fine sieve, pressed with a scraper.'),
      step('Back to the boil for a minute: the middle of the lumps was raw.', { timerMin: 1 }),
    ],
    { minutes: 5 },
  );

export function eggCold(b: Bowl): Rescue {
  const nowC = b.facts.nowC ?? 55;
  const min = steamMin(b, nowC, 71);
  return mended(
    `Back over steam to ${deg(71)}`,
    'What did not reach it counts as raw, whatever its steps say.',
    [
      step('Whisking all the time; a whisked meringue or yolk foam bears it.', {
        timerMin: Math.max(0.5, min),
        toC: 71,
        stopIf: `it is at ${deg(71)} in the middle`,
      }),
      step('Whisk until it is cool again.', { timerMin: 6 }),
      step(`Not possible any more: it is a dessert with raw egg. ${KEEPING_H.rawEgg}${'\u00a0'}h at most, and not for the very young, old, pregnant or ill.`),
    ],
    { minutes: 7 + min, airKept: 0.9 },
  );
}

export function syrupGrainy(b: Bowl): Rescue {
  const read = syrupOf(b.a, b.kitchen.rules);
  const waterG = weighable(Math.max(20, 0.35 * (read?.sugarG ?? gramsOf(ofRole(b, 'sugar')))));
  const min = read?.syrup.ok ? read.syrup.value.minutes : 8;
  return mended(
    `Add ${showGrams(waterG)} water, melt it, boil again`,
    'It crystallised; nothing is lost but time. The water boils off again.',
    [
      step('Water in, lid on, low, until every crystal is gone. No spoon.', { g: waterG, timerMin: 4, stopIf: 'it is clear' }),
      step('Wash the wall with a wet brush; then full heat.'),
      step(`To ${deg(b.a.part.heat.syrupC)}.`, { timerMin: Math.max(1, min), toC: b.a.part.heat.syrupC }),
    ],
    { minutes: 6 + min },
  );
}

export function custardWarm(b: Bowl): Rescue {
  const nowC = b.facts.nowC ?? 30;
  const hours = b.facts.coldH ?? 0;
  if (nowC > DANGER_C.low && nowC < DANGER_C.high && hours > 6) {
    return discard(
      'It goes',
      `${deg(nowC)} after ${showHours(hours)}: longer than any usual rule for cooked bases allows between ${deg(DANGER_C.high)} and ${deg(DANGER_C.low)}. Taste and smell say nothing of it. Follow your local food code.`,
      [step('Into the bin, labelled, so that nobody saves it.'), freshStep(freshLines(b), 'Cool it stirred in ice water, then shallow in a tray.')],
      { again: freshLines(b), minutes: 60 },
    );
  }
  const ice = iceFor(b, nowC, 5);
  const bath = iceForBath(b.a);
  return mended(
    `Into ice water now: ${showGrams(ice.iceG)} ice`,
    `${minutesWords(ice.min)} stirred do what hours in the fridge do not. Then it is as the rule asks, if it was not over two hours above ${deg(21)}.`,
    [
      step('Pan or bowl into ice and water, stirred every minute.', { amount: `${showGrams(ice.iceG)} ice`, timerMin: ice.min, stopIf: `it is at ${deg(5)}` }),
      step('Then shallow in a tray, film on it, into the cold.'),
    ],
    {
      minutes: ice.min + 3,
      figures: bath?.ok
        ? [
            amount(
              'ice',
              'Ice',
              ice.iceG,
              'Σ mᵢ·[hᵢ(T) − hᵢ(Tᵢ)] = 0',
              'The ice that takes up what the base gives off.',
              [num('T', 'the base', nowC, '°C', 0, b.facts.nowC === null ? 'usual' : 'as measured'), num('m', 'in the bowl', bowlG(b), 'g', 0, 'the lines')],
              'Heat balance.',
            ),
          ]
        : [],
    },
  );
}

export function juiceRuns(b: Bowl): Rescue {
  const fruitG = gramsOf(ofRole(b, 'fruit')) * shareOfPart(b);
  const juice = weighable(0.15 * fruitG);
  const starch = weighable(0.03 * juice);
  return mended(
    'Drain it, bind the juice, lay it late',
    'Sugar and cold draw the juice out; the cream is not at fault.',
    [
      step('Fruit into a sieve; the juice is worth keeping.', { amount: `≈${'\u00a0'}${showGrams(juice)}`, timerMin: 10 }),
      step(`Boil the juice with ${showGrams(starch)} starch for a minute; cold, it glazes the fruit.`, { g: starch, timerMin: 1 }),
      step('Lay the fruit at the moment of serving.'),
    ],
    { minutes: 15 },
  );
}

export function browned(b: Bowl): Rescue {
  const fruitG = gramsOf(ofRole(b, 'fruit')) * shareOfPart(b);
  const g = weighable(0.03 * fruitG);
  const lemon = larderOr(b, g, 'lemon juice', 'lemon-juice');
  return mended(
    `Cut the faces off, turn it in ${showGrams(g)} lemon juice`,
    'Only the face is brown. Acid stops it going on.',
    [step('A thin slice from each brown face; or turn it face down.'), step('Lemon juice over it at once, then drain.', { g })],
    {
      adds: [lemon],
      minutes: 4,
      figures: [
        amount(
          'lemon',
          'Lemon juice',
          g,
          'g = 0.03·fruit',
          'Three grams for a hundred of fruit.',
          [num('fruit', 'fruit', fruitG, 'g', 0, 'the lines')],
          'House.',
          0.3,
        ),
      ],
    },
  );
}

/** Fresh foam that brings back the volume a fold has lost. */
export function flat(b: Bowl): Rescue {
  const full = b.a.foamMl.ok ? b.a.foamMl.value * Math.min(1, shareOfPart(b)) : null;
  const mixMl = b.a.mixMl * Math.min(1, shareOfPart(b));
  if (full === null)
    return instead('Serve it as a cream', 'Nothing says how high it should have been: in glasses nobody sees it.', [step('Into glasses, cold.')], {
      minutes: 5,
    });
  // Where nobody has measured it: half of its air is gone.
  const nowMl = b.facts.volumeMl ?? mixMl + (full - mixMl) / 2;
  const lostMl = Math.max(0, full - nowMl);
  const source = b.s.parts.find((p) => b.a.folds.some((f) => f.fromPartId === p.part.id) && p.foamMl.ok && p.reading.dairyG > 0);
  const perG = source?.foamMl.ok ? source.foamMl.value / source.reading.mixture.massG : foldedMlPerG() / FOLD_KEEPS;
  const g = weighable(lostMl / (perG * FOLD_KEEPS));
  const airKept = Math.min(1, Math.max(0.05, (nowMl - mixMl) / Math.max(1, full - mixMl)));
  const most = FRESH_FOAM_MOST * bowlG(b);
  if (lostMl <= 0)
    return mended(
      'It is as full as it should be',
      `${withUnit(plainNumber(nowMl, 0), 'mL')} is what the sheet reckons with.`,
      [step('Fill it, and stop folding.')],
      { minutes: 1 },
    );
  const strokes = foldStrokes(full);
  if (g > most) {
    return instead(
      'Serve it as a dense cream',
      `It would take ${showGrams(g)} of fresh foam: more folding than it bears.`,
      [step('Into glasses; it sets heavier, and tastes the same.'), step('Count fewer portions, or smaller glasses.')],
      { minutes: 5, airKept },
    );
  }
  const own = source ? heaviest(source.reading.lines.filter((l) => l.role === 'cream' && l.read)) : null;
  const cream = own ? moreOf(own, g) : creamFor(b, g);
  return mended(
    `Fold in ${showGrams(g)} fresh whipped cream`,
    `${withUnit(plainNumber(lostMl, 0), 'mL')} are missing; soft peak, in one go, ${strokes.ok ? `${plainNumber(strokes.value / 2, 0)} strokes` : 'few strokes'}.`,
    [
      step('Whisk it to soft peak, cold.', { g }),
      step('A spoon of it stirred in, then all of it folded from below.', { stopIf: 'the last streak is nearly gone' }),
    ],
    {
      adds: [cream],
      minutes: 6,
      airKept,
      bringsMl: g * perG * FOLD_KEEPS,
      figures: [
        amount(
          'fresh-foam',
          'Fresh foam',
          g,
          'g = lost/(mL per g · kept)',
          'The volume that is missing over what a gram of fresh foam brings and keeps.',
          [
            num('lost', 'missing', lostMl, 'mL', 0, b.facts.volumeMl === null ? 'half of its air: nobody measured' : 'as measured'),
            num('v', 'fresh foam', perG, 'mL/g', 2, 'its air on the sheet'),
          ],
          'Volume balance.',
          0.25,
        ),
      ],
    },
  );
}

export function baseHot(b: Bowl): Rescue {
  const meeting = meetingsOf(b.s).find((m) => m.partId === b.a.part.id && m.kind === 'fold');
  const window = meeting?.window ?? { lowC: 18, highC: 24 };
  const fromC = b.facts.nowC ?? Math.max(window.highC + 8, meeting?.judgedC ?? 35);
  const toC = (window.lowC + window.highC) / 2;
  const base = b.s.parts.find((p) => b.a.part.lines.some((l) => l.fromPartId === p.part.id) && !holdsAir(p)) ?? b.a;
  const bowl: Bowl = { ...b, a: base, facts: { ...b.facts, massG: b.facts.massG ?? base.reading.mixture.massG } };
  const ice = iceFor(bowl, Math.min(POURED_C, fromC), toC);
  return mended(
    `Cool the base to ${deg(toC)} first`,
    `At ${deg(fromC)} it melts the foam. ${minutesWords(ice.min)} in ice water bring it into its window of ${deg(window.lowC)} to ${deg(window.highC)}.`,
    [
      step('Stop folding. Bowl into ice and water, stirred.', { amount: `${showGrams(ice.iceG)} ice`, timerMin: ice.min, stopIf: `it is at ${deg(toC)}` }),
      step('The foam waits in the cold, no longer than 20 min.', { timerMin: 20 }),
      step('What has melted already: fold in fresh cream for it.'),
    ],
    {
      minutes: ice.min + 2,
      airKept: 0.9,
      otherwise: 'flat',
      figures: [
        amount(
          'ice',
          'Ice',
          ice.iceG,
          'Σ mᵢ·[hᵢ(T) − hᵢ(Tᵢ)] = 0',
          'The ice that takes up what the base gives off.',
          [
            num('T', 'the base', fromC, '°C', 0, b.facts.nowC === null ? 'by the sheet' : 'as measured'),
            num('m', 'the base', bowlG(bowl), 'g', 0, 'the lines'),
          ],
          'Heat balance.',
        ),
      ],
    },
  );
}

export function baseSet(b: Bowl): Rescue {
  const meeting = meetingsOf(b.s).find((m) => m.partId === b.a.part.id && m.kind === 'fold');
  const window = meeting?.window ?? { lowC: 18, highC: 25 };
  const toC = window.lowC + 2;
  const nowC = b.facts.nowC ?? 8;
  const base = b.s.parts.find((p) => b.a.part.lines.some((l) => l.fromPartId === p.part.id) && !holdsAir(p)) ?? b.a;
  const bowl: Bowl = { ...b, a: base, facts: { ...b.facts, massG: b.facts.massG ?? base.reading.mixture.massG } };
  const melts = Math.max(toC, base.reading.gelatin225G > 0 ? 30 : toC);
  const min = steamMin(bowl, nowC, melts);
  return mended(
    `Over steam to ${deg(melts)}, then back to ${deg(toC)}`,
    'It has set, not spoilt: melted it takes the foam.',
    [
      step('Stirred over barely simmering water, no hotter.', { timerMin: Math.max(0.5, min), stopIf: 'it is smooth and flows' }),
      step(`Off the steam, stirred, to ${deg(toC)}; fold at once.`, { toC, cooling: true, stopIf: `it is at ${deg(window.lowC)}: it sets again` }),
    ],
    { minutes: 4 + min },
  );
}

export function burnt(b: Bowl): Rescue {
  const again = freshLines(b);
  return discard(
    'Do not scrape. Pour off, taste, or start again',
    'What is burnt cannot be taken out of what it touched; only what never touched it is still good.',
    [
      step('Pour it, unscraped, into a clean pan. Taste a spoon of it.', { stopIf: 'it is bitter: it goes' }),
      freshStep(again, 'Lower heat, a thicker pan, stirred with a flat spoon.'),
    ],
    { again, minutes: 25 },
  );
}
