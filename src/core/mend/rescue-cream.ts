import { clockFace, plainNumber, showGrams, withUnit } from '../figure';
import { airShareAt } from '../foam/overrun';
import { addToReachFat } from '../foam/fat';
import { FAT_SETS_H, STAGE_HOLD, STAGE_X } from '../foam/house';
import { bowlfulsNeeded, networkAt, secondsTo, whip } from '../foam/whisk';
import { bowlG, shareOfPart, type Bowl } from './case';
import { creamCOf, whipOf } from './evidence';
import { BUTTER, GRAINS_BACK, HOLDS_G_PER_KG, MOST_ADDED, RICHER, WHISK_AT_C } from './house';
import {
  amount,
  between,
  creamFor,
  deg,
  freshLines,
  freshStep,
  fromLarder,
  heaviest,
  iceBathMin,
  instead,
  larderOr,
  mended,
  moreOf,
  num,
  ofRole,
  pct,
  step,
  weighable,
  type Rescue,
} from './rescue';
import type { CauseId } from './words';

/** Rescues of whipped cream, worked out for the bowl in hand. */

/** How far the fat network has gone: by the clock where one ran, else where grain is usually seen. */
const networkOf = (b: Bowl): { readonly x: number; readonly timed: boolean } => {
  const { whiskedS } = b.facts;
  const w = whipOf(b);
  return w && whiskedS !== null ? { x: networkAt(w, whiskedS), timed: true } : { x: GRAINS_BACK.usualX, timed: false };
};

export function grains(b: Bowl): Rescue {
  const { x, timed } = networkOf(b);
  const from = between(GRAINS_BACK.fromX, x, GRAINS_BACK.toX);
  const share = GRAINS_BACK.fromShare + ((from - GRAINS_BACK.fromX) / (GRAINS_BACK.toX - GRAINS_BACK.fromX)) * (GRAINS_BACK.toShare - GRAINS_BACK.fromShare);
  const g = weighable(share * bowlG(b));
  const cream = creamFor(b, g);
  const each = g / GRAINS_BACK.goes;
  const air = airShareAt(from) ?? 0.7;
  const figure = amount(
    'cold-cream',
    'Cold cream for the grains',
    g,
    'g = (5 % + 15 %·(x − 0.70)/0.15)·m',
    'The further the fat has clumped, the more loose cream it takes to carry the grains apart again.',
    [
      num('x', 'fat network', from, '', 2, timed ? `${clockFace(b.facts.whiskedS!)} min under the whisk` : 'usual where grain is first seen: no clock ran'),
      num('m', 'in the bowl', bowlG(b), 'g', 0, 'the lines'),
    ],
    'House: one part in twenty at the first grain, one in five at the last that comes back.',
    0.4,
  );
  return mended(
    `Stir in ${showGrams(g)} cold cream`,
    `${cream.name.charAt(0).toUpperCase()}${cream.name.slice(1)} at ${deg(4)} to ${deg(6)}, by hand, in three goes. No whisk.`,
    [
      step('Poured round the edge. Eight strokes from below.', { g: each, stopIf: 'it turns smooth' }),
      step('Again. It should shine and fall in a soft tip.', { g: each, stopIf: 'it turns smooth' }),
      step('The last. Still grainy: do not whisk, it is on its way to butter.', { g: each, stopIf: 'liquid shows' }),
    ],
    { adds: [cream], minutes: 3, airKept: air, holdKept: STAGE_HOLD.grainy, otherwise: 'butter', figures: [figure] },
  );
}

export function butter(b: Bowl): Rescue {
  const mass = bowlG(b);
  const fat = b.a.reading.mixture.grams.milk_fat * shareOfPart(b);
  const butterG = (BUTTER.fatInIt * fat) / (BUTTER.fatPct / 100);
  const milkG = mass - butterG;
  const sweet = b.a.reading.addedSugarG > 0;
  const again = freshLines(b);
  const opens = b.a.window.ok ? b.a.window.value.opensS : null;
  const figure = amount(
    'butter',
    'Butter that it yields',
    butterG,
    'butter = 0.97·fat/0.82',
    'Nearly all of the fat goes into the butter, which is 82 % fat; the rest is buttermilk.',
    [num('fat', 'milk fat in the bowl', fat, 'g', 0, 'the lines'), num('m', 'in the bowl', mass, 'g', 0, 'the lines')],
    'Codex standard for butter: at least 80 % fat.',
  );
  return instead(
    `Make it butter: ${showGrams(butterG)}`,
    'It does not go back to cream. Finish it as butter, and whisk a fresh bowl.',
    [
      step(`Whisk on until it clings in one lump, 30 to 60 s.`, { timerMin: 1, stopIf: 'the liquid is clear of clumps' }),
      step(`Pour off the buttermilk${sweet ? ': it holds most of the sugar' : ''}. Good for a batter the same day.`, { g: milkG }),
      step(`Knead the butter twice in water of ${deg(BUTTER.rinseC)}, press it dry${sweet ? '; it stays a sweet butter' : ''}.`, { g: butterG }),
      freshStep(again, `Bowl and cream at ${deg(WHISK_AT_C)}${opens === null ? '' : `; stand by from ${clockFace(0.8 * opens)}`}.`),
    ],
    { again, minutes: 12 + (opens ?? 240) / 60, otherwise: null, figures: [figure] },
  );
}

export function runs(b: Bowl, cause: CauseId): Rescue {
  if (cause === 'lean-cream') return richer(b);
  if (cause === 'too-wet') return setWithGelatin(b, 'Wine and juice leave too little fat for it to stand');
  if (cause === 'out-of-reach') return smallerBowl(b);
  if (cause === 'fat-melted') {
    return mended(
      `Cold for ${FAT_SETS_H[0]} to ${FAT_SETS_H[1]}${'\u00a0'}h, then whisk`,
      'Fat that was hot must set again before it can hold air.',
      [step(`Covered, at ${deg(WHISK_AT_C)} or below.`, { rests: 'cold', timerMin: 60 * FAT_SETS_H[0] }), step('Then whisk it from the start.')],
      { minutes: 60 * FAT_SETS_H[0] },
    );
  }
  return colderAndOn(b);
}

/** Chilled in the bowl, and whisked on from where it is. */
function colderAndOn(b: Bowl): Rescue {
  const { tC } = creamCOf(b);
  const nowC = b.facts.nowC ?? tC;
  const bath = nowC > WHISK_AT_C + 1 ? iceBathMin(b, nowC, WHISK_AT_C) : 0;
  const input = b.a.whiskInput.ok ? { ...b.a.whiskInput.value, creamC: Math.min(nowC, WHISK_AT_C) } : null;
  const cold = input ? whip(input) : null;
  const stage = b.a.part.whisk.stage;
  const w = whipOf(b);
  const whiskedX = b.facts.whiskedS !== null && w ? networkAt(w, b.facts.whiskedS) : null;
  const to = cold?.ok ? secondsTo(cold.value, STAGE_X[stage]) : null;
  const been = cold?.ok && whiskedX !== null ? (secondsTo(cold.value, Math.min(whiskedX, STAGE_X[stage])) ?? 0) : 0;
  const left = to === null ? null : Math.max(5, to - been);
  const steps = [
    ...(bath === null || bath > 0
      ? [
          step(
            `Bowl in ice water, stirred, to ${deg(WHISK_AT_C)}.`,
            bath === null
              ? { toC: WHISK_AT_C, cooling: true }
              : { toC: WHISK_AT_C, cooling: true, timerMin: bath, stopIf: `the thermometer says ${deg(WHISK_AT_C)}` },
          ),
        ]
      : []),
    step(
      left === null ? 'Whisk on, and watch it.' : `Whisk on: about ${clockFace(left)} more to ${stage}.`,
      left === null ? {} : { timerMin: left / 60, stopIf: 'trails stay where the whisk has been' },
    ),
  ];
  return mended(
    steps.length > 1 ? `To ${deg(WHISK_AT_C)}, then whisk on` : `Whisk on${left === null ? '' : ` for ${clockFace(left)}`}`,
    steps.length > 1 ? `At ${deg(nowC)} its fat is too soft to hold air.` : 'It has not been under the whisk long enough.',
    steps,
    { minutes: (bath ?? 10) + (left ?? 180) / 60, otherwise: 'runs' },
  );
}

/** Double cream until the fat is enough; where that is too much, gelatin. */
function richer(b: Bowl): Rescue {
  const { reading, fatPct } = b.a;
  const share = shareOfPart(b);
  const bare = (reading.mixture.massG - reading.addedSugarG) * share;
  const add = fatPct === null ? null : addToReachFat(RICHER.toPct, bare, fatPct, RICHER.withPct);
  if (!add?.ok || add.value <= 0 || add.value > 2 * MOST_ADDED * bowlG(b)) return setWithGelatin(b, 'It would take too much double cream');
  const g = weighable(add.value);
  const double = larderOr(b, g, 'double cream', 'cream-48');
  const sugarG = weighable((reading.addedSugarG / Math.max(1, reading.mixture.massG - reading.addedSugarG)) * g);
  const sugar = reading.addedSugarG > 0 ? heaviest(ofRole(b, 'sugar')) : null;
  const figure = amount(
    'double-cream',
    'Double cream to stand',
    g,
    'g = m·(35 − F)/(48 − 35)',
    'Fat by mass: what is in the bowl and what goes in come to 35 %.',
    [num('m', 'in the bowl without its sugar', bare, 'g', 0, 'the lines'), num('F', 'its fat', fatPct!, '%', 1, 'the lines')],
    'Mass balance.',
  );
  return mended(
    `Add ${showGrams(g)} double cream`,
    `It brings the bowl from ${pct(fatPct!, 1)} to ${pct(RICHER.toPct)} fat, and then it stands.`,
    [
      step(`Ice-cold, ${pct(RICHER.withPct)} fat, stirred in${sugar ? ` with ${showGrams(sugarG)} ${sugar.name}` : ''}.`, { g }),
      step('Whisk on; it comes sooner now, so watch from the start.', { stopIf: 'trails stay' }),
    ],
    { adds: sugar ? [double, moreOf(sugar, sugarG)] : [double], minutes: 6, figures: [figure], otherwise: 'runs' },
  );
}

/** Gelatin that holds a cream for a day. */
export function setWithGelatin(b: Bowl, why: string): Rescue {
  const g = weighable((HOLDS_G_PER_KG * bowlG(b)) / 1000);
  const gelatin = larderOr(b, g, 'gelatin', 'gelatin-powder-225', 'gelatin-leaf-gold');
  const figure = amount(
    'gelatin',
    'Gelatin to hold a day',
    g,
    'g = 3.5·m/1000',
    'The middle of the band that holds a cream for a day.',
    [num('m', 'in the bowl', bowlG(b), 'g', 0, 'the lines')],
    'House ±20 %: doses for creams.',
    0.2,
  );
  return mended(
    `Hold it with ${showGrams(g)} gelatin`,
    `${why}: gelatin carries it instead.`,
    [
      step(`Soak it in ${showGrams(5 * g)} cold water, 10 min.`, { g, timerMin: 10 }),
      step(`Melt it at 50 to 60${'\u00a0'}°C, beat two spoons of the cream into it, then all of it into the bowl at about 25${'\u00a0'}°C.`, {
        stopIf: 'threads show: warm it a little',
      }),
      step('Chill for 30 min, whisk once more by hand, and into the cold.', { rests: 'cold', timerMin: 30 }),
    ],
    { adds: [gelatin], minutes: 45, figures: [figure], otherwise: 'runs' },
  );
}

function smallerBowl(b: Bowl): Rescue {
  const input = b.a.whiskInput.ok ? b.a.whiskInput.value : null;
  const reaches = input
    ? b.kitchen.mixers
        .filter(
          (m) =>
            m.kind !== 'processor' &&
            whip({ ...input, mixer: m.kind, bowlMl: m.bowlMl }).ok &&
            bowlfulsNeeded({ ...input, mixer: m.kind, bowlMl: m.bowlMl }) !== null,
        )
        .sort((x, y) => x.bowlMl - y.bowlMl)[0]
    : undefined;
  return mended(
    `Into a smaller bowl${reaches ? `: ${reaches.name}` : ''}`,
    'The wires stand above it and only stir the air.',
    [
      step(reaches ? `Into the bowl of the ${reaches.name}, both cold.` : 'Into a deep narrow jug, with a hand whisk.'),
      step(`Whisk to ${b.a.part.whisk.stage}.`, { stopIf: 'trails stay' }),
    ],
    { minutes: 5 },
  );
}

/** What a siphon or a can does not give is whisked; nothing that is under pressure is opened. */
export function fizzles(b: Bowl, cause: CauseId): Rescue {
  const g = bowlG(b);
  const w = whipOf(b);
  const { stage } = b.a.part.whisk;
  const left = w ? secondsTo(w, STAGE_X[stage]) : null;
  const cream = creamFor(b, g);
  return mended(
    `Let the gas off, and whisk ${showGrams(g)}`,
    `${FIZZLES_SAYS[cause] ?? 'Its gas is gone; the cream is not.'} Under pressure it is never opened: its maker’s instructions lead.`,
    [
      step(`Lying at ${deg(WHISK_AT_C)} or below, nozzle rinsed; then once more, straight down.`, {
        timerMin: CHILLED_MIN,
        rests: 'cold',
        stopIf: 'it comes firm: go on with it',
      }),
      step('Upright, all the gas off, as its maker says. Only then the head off; the cream through a sieve.'),
      step(left === null ? `Whisk it to ${stage} by hand.` : `Whisk it: about ${clockFace(left)} to ${stage}.`, {
        g,
        ...(left === null ? {} : { timerMin: left / 60 }),
        stopIf: 'trails stay where the whisk has been',
      }),
      step(`A bought can is not opened at all: so much ${cream.name} in its place.`, { g }),
    ],
    { minutes: CHILLED_MIN + 5 + (left ?? 180) / 60, otherwise: 'runs' },
  );
}
const FIZZLES_SAYS: Readonly<Partial<Record<CauseId, string>>> = {
  'nozzle-blocked': 'A seed or a thread shuts the nozzle; the cream behind it is good.',
  'lean-cream': 'Thin cream lets the gas through.',
  'warm-cream': 'Warm cream takes up little gas.',
};
/** A siphon that is chilled once more, min (house). */
const CHILLED_MIN = 20;

export const sandy = (): Rescue =>
  mended(
    'Rest 15 min, then stir it through',
    'Sugar goes on dissolving in the cream’s own water: cold it is slow, and the whisk is of no more use.',
    [
      step('Covered, in the cold.', { rests: 'cold', timerMin: 15 }),
      step('Twenty strokes by hand from below. Taste.', { stopIf: 'no grain is felt' }),
      step('Still sandy: once more. Half an hour is the most that helps.', { timerMin: 15, stopIf: 'no grain is felt' }),
    ],
    { minutes: 17 },
  );

/** Pours off what has gathered and brings the cream back by hand, as long as it is good. */
export function backByHand(b: Bowl, poursOff: boolean): Rescue {
  const { keeping } = b.s;
  const coldH = b.facts.coldH ?? 0;
  if (coldH > keeping.eatByH) {
    return {
      ...instead(
        'Past its date',
        `It stood ${withUnit(plainNumber(coldH, 0), 'h')}; its rule is ${withUnit(plainNumber(keeping.eatByH, 0), 'h')}.`,
        [step('It goes. Make it fresh.')],
        { again: freshLines(b), minutes: 20 },
      ),
      kind: 'discard',
    };
  }
  const mascarponeG = weighable(0.1 * bowlG(b));
  const mascarpone = fromLarder(b, mascarponeG, 'mascarpone');
  const isLayered = b.s.parts.length > 1 || b.s.sheet.use === 'glass' || b.s.sheet.use === 'slice';
  if (isLayered) {
    const offG = weighable(0.03 * b.a.leftG);
    return instead(
      'Tip it off, and serve it first',
      'What is built cannot be whisked again: take the liquid away and let it be the first to go.',
      [
        step('Tilt the vessel, lift the liquid with the corner of a towel.', { amount: `≈${'\u00a0'}${showGrams(offG)}` }),
        step('A spoon of fresh cream over the edge where it has sunk.', { g: weighable(0.1 * b.a.leftG) }),
      ],
      { minutes: 5, holdKept: 0.4 },
    );
  }
  return mended(
    'Whisk it back by hand',
    `${poursOff ? 'Pour off what has gathered; the' : 'The'} cream is still good and takes its air again.`,
    [
      ...(poursOff ? [step('Pour off the liquid: stirred in, it would thin it.')] : []),
      step('In a cold bowl, with a hand whisk, 20 to 40 s.', { timerMin: 0.5, stopIf: 'a soft tip stands' }),
      ...(mascarpone ? [step('For tomorrow as well: beat this much cold mascarpone in first.', { g: mascarponeG })] : []),
    ],
    { adds: mascarpone ? [mascarpone] : [], minutes: 4, holdKept: 0.7, otherwise: 'grains' },
  );
}
