import { plainNumber, showGrams, showHours, withUnit } from '../figure';
import { frozenMixOf, freezerOf, readFrozen, sliceC, type FrozenMix } from '../analysis/frozen';
import { warmUp } from '../cold/run';
import { composition } from '../composition/components';
import { combine, mix } from '../composition/mixture';
import { solutionOf } from '../heat/freezing';
import { ICE_VOLUME, KNIFE_ICE } from '../heat/house';
import { isFreezer, placeOf, wallOfVessel } from '../kitchen/place';
import { hoursToSet } from '../setting/set';
import { biscuitLayers } from '../tin/biscuits';
import { SOAK_BANDS } from '../tin/house';
import { layersInRepeats } from '../tin/repeats';
import { soaksOf, soakPart } from '../tin/sheet-soak';
import { capacityMl } from '../vessel/profile';
import { bowlG, shareOfPart, type Bowl } from './case';
import { LOOSEN, OUT_H } from './house';
import {
  amount,
  creamFor,
  deg,
  discard,
  foldedMlPerG,
  freshLines,
  freshStep,
  gramsOf,
  heaviest,
  instead,
  larderOr,
  mended,
  minutesWords,
  moreOf,
  nbRange,
  num,
  ofRole,
  pct,
  step,
  weighable,
  type Rescue,
} from './rescue';

/** Rescues of what is laid, turned out, baked and frozen. */

const soakOfPart = (b: Bowl) => soaksOf(b.s).find((x) => x.partId === b.a.part.id) ?? null;
const biscuitsG = (b: Bowl): number => gramsOf(ofRole(b, 'biscuit'));

/** Dry biscuits between wet ones take up what is too much. */
export function soggy(b: Bowl): Rescue {
  const soak = soakOfPart(b);
  const filled = soak?.served?.filled ?? 1.1;
  const right = (SOAK_BANDS.dry + SOAK_BANDS.right) / 2;
  const g = weighable(Math.max(0.1, Math.max(filled, SOAK_BANDS.right) / right - 1) * biscuitsG(b));
  const biscuit = heaviest(ofRole(b, 'biscuit'));
  const dry = biscuit ? moreOf(biscuit, g) : null;
  if (!dry || g > biscuitsG(b)) {
    return instead(
      'Turn it into a trifle',
      'They will not dry again, and no slice stands on them.',
      [step('Into glasses by the spoon: cream, what was soaked, cream.'), step('Something that cracks on top at the moment of serving: it is what they lack.')],
      { minutes: 15, change: (s) => ({ ...s, use: 'glass' }) },
    );
  }
  return mended(
    `Lay ${showGrams(g)} dry ones between`,
    'Dry biscuits drink what is too much, and come to the same wet.',
    [
      step('Lift the cream off one layer, lay them dry, cream back.', { g }),
      step('Two hours in the cold: they even out.', { rests: 'cold', timerMin: 120, stopIf: 'a knife goes through without a crack' }),
    ],
    {
      adds: [dry],
      minutes: 125,
      otherwise: 'soggy',
      figures: [
        amount(
          'dry',
          'Dry biscuits',
          g,
          'g = m·(filled/right − 1)',
          'The same liquid in more biscuits.',
          [
            num('m', 'biscuits', biscuitsG(b), 'g', 0, 'the lines'),
            num('filled', 'how full they are', 100 * filled, '%', 0, soak ? 'the dip and the rest' : 'taken as overfull'),
            num('right', 'how full is right', 100 * right, '%', 0, 'the band'),
          ],
          'Mass balance; the band is house.',
          0.3,
        ),
      ],
    },
  );
}

export function hard(b: Bowl): Rescue {
  const soak = soakOfPart(b);
  const soft = soak?.softening.ok ? soak.softening.value : null;
  const left = soft ? Math.max(0.5, soft.range[1] - (b.facts.coldH ?? 0)) : 6;
  const filled = soak?.served?.filled ?? 0.3;
  const holds = (soak?.ingredient.biscuit?.uptakePct[2] ?? 60) / 100;
  const g = weighable(Math.max(0.05, (SOAK_BANDS.dry + SOAK_BANDS.right) / 2 - filled) * holds * biscuitsG(b));
  const liquid = soakPart(b.s);
  return mended(
    `${showHours(left)} more, or brush on ${showGrams(g)}`,
    soft ? `They bend after ${nbRange(soft.range[0], soft.range[1])}h in cream.` : 'They take water from the cream, slowly.',
    [
      step(`At ${deg(4)}, covered.`, { rests: 'cold', timerMin: 60 * left, stopIf: 'a thin knife goes through' }),
      step(`No time: ${liquid ? liquid.part.name.toLowerCase() : 'cold milk or coffee'} brushed over the top layer and down the side.`, { g }),
      step('Warm knife, short strokes.'),
    ],
    {
      minutes: 60 * left,
      figures: [
        amount(
          'brush',
          'To brush on',
          g,
          'g = (right − filled)·holds·m',
          'What lacks to the middle of the right band.',
          [num('m', 'biscuits', biscuitsG(b), 'g', 0, 'the lines'), num('holds', 'what they can hold', 100 * holds, '%', 0, 'the larder')],
          'House ±30 %.',
          0.3,
        ),
      ],
    },
  );
}

export function fewBiscuits(b: Bowl): Rescue {
  const layers = biscuitLayers(b.s).filter((l) => l.partId === b.a.part.id).length;
  const have = Math.min(1, shareOfPart(b));
  const times = layers > 1 ? Math.max(1, Math.floor(layers * (have < 1 ? have : (layers - 1) / layers))) : 1;
  const built = b.s.sheet.tin.layers !== null;
  return mended(
    layers > 1 ? `Lay it in ${times} ${times === 1 ? 'layer' : 'layers'} instead of ${layers}` : 'Lay them apart, and close with crumbs',
    'Thicker cream between fewer layers: the same amount, and it cuts as well.',
    [
      step(
        layers > 1
          ? `Share the cream out over ${times}: each is ${plainNumber((100 * layers) / times - 100, 0)}${'\u00a0'}% thicker.`
          : 'Whole ones along the wall, where they show.',
      ),
      step('Broken ones and offcuts in the middle; crumbs of the last over the top cream.', { stopIf: 'the rim is reached' }),
      step('The last layer is cream, never biscuit.'),
    ],
    { minutes: 10, change: built ? (s) => ({ ...s, tin: { ...s.tin, layers: layersInRepeats(b.s, times).map((l) => ({ ...l })) } }) : null },
  );
}

export function stuck(b: Bowl): Rescue {
  const { vessel, cold, family } = b.s.sheet;
  const wall = wallOfVessel(vessel, cold.setup).wall;
  const [low, high] = wall === 'glass' || wall === 'ceramic' ? LOOSEN.glassS : wall === 'plastic' || wall === 'silicone' ? LOOSEN.plasticS : LOOSEN.steelS;
  const frozen = family === 'semifreddo';
  return mended(
    `Warm cloth for ${nbRange(low, high)}s`,
    `Only the film at the wall has to melt, not the dessert${frozen ? ': better twice short than once long' : ''}.`,
    [
      step(`A cloth wrung out at ${deg(LOOSEN.waterC)} round the wall and on the floor.`, { timerMin: high / 60 }),
      step('A thin warm knife once round, pressed to the wall.'),
      step('A cold plate on it, turned in one go, a short shake. Still stuck: once more.', { stopIf: 'it slides' }),
      step(frozen ? 'Back into the freezer for 10 min before it is cut.' : 'Into the cold for 10 min: the face closes.', {
        rests: frozen ? 'freezer' : 'cold',
        timerMin: 10,
      }),
    ],
    { minutes: 13 },
  );
}

export function leans(b: Bowl): Rescue {
  const { use } = b.s.sheet;
  const hours = hoursToSet(use === 'turn-out' ? 'turn-out' : 'slice');
  const left = Math.max(0, hours + 1 - (b.facts.coldH ?? hours));
  const freezer = b.kitchen.places.find(isFreezer);
  return mended(
    freezer ? `${freezer.name}, 30 min, then cut` : `${showHours(Math.max(0.5, left))} more in the cold`,
    'Half frozen it stands for the knife, and is soft again on the plate.',
    [
      step(freezer ? `Into the ${freezer.name.toLowerCase()}, open.` : 'At the coldest place, open.', { rests: freezer ? 'freezer' : 'cold', timerMin: 30 }),
      step('A long knife, dipped hot and wiped at every cut. Plates from the cold.'),
      ...(left > 0 ? [step(`What is not served yet: ${showHours(left)} more at ${deg(4)}.`, { timerMin: 60 * left })] : []),
      step('It still slides: in bowls, by the spoon.'),
    ],
    { minutes: 35 },
  );
}

export function crustCrumbles(b: Bowl): Rescue {
  const { mixture } = b.a.reading;
  const fat = mixture.grams.milk_fat + mixture.grams.cocoa_fat + mixture.grams.other_fat;
  const g = weighable(Math.max(0.04 * mixture.massG, (0.32 * mixture.massG - fat) / (0.82 - 0.32)) * Math.min(1, shareOfPart(b)));
  const butter = heaviest(ofRole(b, 'butter'));
  const more = butter ? moreOf(butter, g) : larderOr(b, g, 'butter', 'butter-82');
  return mended(
    `Bind it with ${showGrams(g)} melted butter`,
    'Empty still: crumbs and fat are pressed anew. Filled already: chill it hard and cut warm.',
    [
      step('Melted, through the crumbs; pressed with the foot of a glass.', { g }),
      step('Into the cold until it is hard.', { rests: 'cold', timerMin: 30 }),
      step('Already under cream: 20 min in the freezer, then a hot knife straight down.', { timerMin: 20 }),
    ],
    {
      adds: [more],
      minutes: 35,
      figures: [
        amount(
          'butter',
          'Butter to bind',
          g,
          'g = (0.32·m − fat)/(0.82 − 0.32)',
          'Fat of the whole base comes to 32 %.',
          [num('m', 'base', mixture.massG, 'g', 0, 'the lines'), num('fat', 'its fat', fat, 'g', 0, 'the lines')],
          'House: from 30 % of fat on a pressed base holds.',
          0.25,
        ),
      ],
    },
  );
}

/** The same parts as a layered glass. */
export function cracked(b: Bowl): Rescue {
  const glass = b.kitchen.vessels.map((v) => v.vessel).find((v) => v.kind === 'glass');
  const allMl = b.s.volumeMl.ok ? b.s.volumeMl.value : b.s.mixture.massG * 1.6;
  const room = glass ? 0.9 * capacityMl(glass) : 160;
  const portions = b.s.sheet.portions;
  const glasses = Math.max(1, Math.min(2000, Math.max(portions, Math.ceil(allMl / room))));
  return instead(
    `Serve it in ${glasses} glasses`,
    `Cracks that close by themselves are no fault. Broken, the same parts make a layered glass: ${withUnit(plainNumber(allMl / glasses, 0), 'mL')} each.`,
    [
      step('Hairline: leave it in the warm oven, or hide it under the cream.'),
      step('Broken: pieces as large as a walnut.', { g: bowlG(b) / glasses, amount: `${showGrams(bowlG(b) / glasses)} a glass` }),
      step('Cream, shell, fruit, cream. At once: the pieces soften within the hour.', { timerMin: 60 }),
    ],
    {
      minutes: 20,
      change: glass
        ? (s) => ({ ...s, vessel: glass, use: 'spoon', portions: glasses, tin: { ...s.tin, layers: null, count: 1 } })
        : (s) => ({ ...s, use: 'spoon' }),
    },
  );
}

export const shellWet = (b: Bowl): Rescue =>
  b.s.parts.some((p) => p.part.kind === 'crown' || p.part.kind === 'whipped-cream') && (b.facts.coldH ?? 0) > 0
    ? instead(
        'Serve it within the hour',
        'Under cream it goes on dissolving: it will not dry again.',
        [step('Now, while the middle still cracks.', { timerMin: 60 }), step('Too soft already: broken into glasses, with the cream.')],
        { minutes: 1 },
      )
    : mended(
        `Dry it at ${deg(95)}, 30 min`,
        'Sugar draws damp: bare, it dries again.',
        [
          step(`On paper, oven at ${deg(95)}, door ajar.`, { rests: 'oven', timerMin: 30, stopIf: 'it sounds hollow' }),
          step('Cool it in the dry; crown it at the moment of serving.'),
        ],
        { minutes: 45 },
      );

export function tooHard(b: Bowl): Rescue {
  const m = frozenMixOf(b.s);
  const freezer = freezerOf(b.kitchen, b.s.sheet);
  const wish = m ? sliceC(m) : null;
  const fridge = placeOf(b.kitchen, { ...b.s.sheet.cold.setup, placeId: null }, 'chantilly');
  const fromC = b.facts.nowC ?? freezer;
  const found = wish !== null && fridge ? warmUp(b.s, b.kitchen, b.s.sheet.cold.setup, fromC, fridge.id, [Math.max(fromC, wish)]) : null;
  const hours = found?.ok ? (found.value[0] ?? null) : null;
  const min = hours === null ? 20 : Math.max(5, 60 * hours);
  return mended(
    `${minutesWords(min)} in the ${fridge?.name.toLowerCase() ?? 'fridge'}`,
    wish === null
      ? 'Nothing says where a knife goes through: look every ten minutes.'
      : `A knife goes through at about ${deg(wish)}; from ${deg(fromC)} that is where it takes it, mean of the whole.`,
    [
      step(`Turned out, on its board, in the ${fridge?.name.toLowerCase() ?? 'fridge'}; not on the counter: the rim melts first.`, {
        rests: 'cold',
        timerMin: min,
        stopIf: 'a knife goes through',
      }),
      step('A knife from hot water, wiped at every cut.'),
      step('What is not eaten goes back within the half hour.'),
    ],
    { minutes: min },
  );
}

/** The frozen mix with some whipped cream more. */
function withCream(m: FrozenMix, g: number): FrozenMix {
  const cream = mix([{ massG: g, per100: composition({ water: 58.24, milk_fat: 36, milk_protein: 2.19, lactose: 3.11, salt: 0.46 }) }]);
  const mixture = combine([
    { mixture: m.mixture, share: 1 },
    { mixture: cream, share: 1 },
  ]);
  return { ...m, mixture, solution: solutionOf(mixture, m.sucroseEqG + 0.0311 * g) };
}

export function neverFroze(b: Bowl): Rescue {
  const freezer = freezerOf(b.kitchen, b.s.sheet);
  const m = frozenMixOf(b.s);
  const read = m ? readFrozen(m, freezer) : null;
  const enough = KNIFE_ICE.low + 0.03;
  if (!m || !read?.ok || read.value.frozen >= enough) {
    return mended(
      'Colder, thinner, longer',
      `${read?.ok ? `${pct(100 * read.value.frozen)} of its water should be ice at ${deg(freezer)}: the` : 'The'} place or the hours were not what they should be.`,
      [
        step(`A thermometer into the freezer: it should say ${deg(freezer)} or less.`, { toC: freezer, cooling: true }),
        step('On the metal floor, alone, not stacked; film on it.', { rests: 'freezer', timerMin: 360 }),
        step('Tonight still soft: serve it as a cold mousse.'),
      ],
      { minutes: 360 },
    );
  }
  // More cream, until half of the water is ice at this freezer.
  const frozenWith = (g: number): number => {
    const at = readFrozen(withCream(m, g), freezer);
    return at.ok ? at.value.frozen : 0;
  };
  let low = 0;
  let high = 1.5 * m.mixture.massG;
  if (frozenWith(high) < enough) {
    return instead(
      'It stays a soft cream',
      `At ${deg(freezer)} only ${pct(100 * read.value.frozen)} of its water is ice, and no cream that it bears changes that: too much sugar or spirit.`,
      [
        step('In glasses, from the freezer, with a spoon: it is at its best so.'),
        step('Colder helps: a tub in ice and salt comes to about −18 °C in an hour.', { timerMin: 60 }),
      ],
      { minutes: 5, change: (s) => ({ ...s, use: 'spoon' }) },
    );
  }
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (frozenWith(mid) < enough) low = mid;
    else high = mid;
  }
  const g = weighable(high);
  const cream = creamFor(b, g);
  return mended(
    `Fold in ${showGrams(g)} whipped cream`,
    `Only ${pct(100 * read.value.frozen)} of its water is ice at ${deg(freezer)}; so much plain cream brings it to ${pct(100 * enough)}.`,
    [
      step('Whisked to soft peak, unsweetened.', { g }),
      step('Folded through what is half frozen, quickly.'),
      step('Back into the freezer, covered.', { rests: 'freezer', timerMin: 300 }),
    ],
    {
      adds: [cream],
      minutes: 310,
      bringsMl: g * foldedMlPerG(),
      figures: [
        amount(
          'cream-to-freeze',
          'Cream until it freezes',
          g,
          'φ(m + g) = 0.53 at the freezer',
          'Each gram brings water and no sugar: the share that is ice is worked out anew on the freezing curve.',
          [num('φ', 'ice of its water now', 100 * read.value.frozen, '%', 0, 'the freezing curve'), num('T', 'freezer', freezer, '°C', 0, 'the kitchen')],
          'Freezing curve of sucrose solutions; a slice stands from half of the water on.',
        ),
      ],
    },
  );
}

export const icy = (b: Bowl): Rescue => {
  const m = frozenMixOf(b.s);
  const read = m ? readFrozen(m, freezerOf(b.kitchen, b.s.sheet)) : null;
  return instead(
    'Shave it, or soften it and stir',
    `Crystals that have grown stay${read?.ok && read.value.iceVolume > ICE_VOLUME.hard ? `; ice is ${plainNumber(read.value.iceVolume, 2)} of its volume, much for a slice` : ''}.`,
    [
      step('In the fridge until it gives, 20 min.', { rests: 'cold', timerMin: 20 }),
      step('Shaved with a fork into cold glasses: then it is meant.'),
      step('Or under something with fat: a spoon of cream, chopped chocolate.'),
    ],
    { minutes: 25 },
  );
};

export function thawed(b: Bowl): Rescue {
  const out = b.facts.outH ?? 0;
  const nowC = b.facts.nowC;
  const raw = b.s.keeping.rawEgg;
  if (out > OUT_H.usual || (raw && (out > OUT_H.warm || (nowC ?? 0) > 8))) {
    return discard(
      'It goes',
      `${raw ? 'Raw egg that has warmed' : `More than ${OUT_H.usual} h out of the cold`}: it is not frozen again, and not served. Follow your local food code.`,
      [step('Into the bin, labelled.'), freshStep(freshLines(b), 'Write down when the freezer was seen to be cold.')],
      { again: freshLines(b), minutes: 60 },
    );
  }
  return instead(
    'Serve it today as a cream',
    'Thawed, it is eaten the same day and never frozen again.',
    [step(`Into the fridge at ${deg(4)} at once; label it: eat today.`), step('In glasses: it will not stand in slices.')],
    { minutes: 5, change: (s) => ({ ...s, use: 'spoon' }), holdKept: 0.5 },
  );
}
