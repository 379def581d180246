import { plainNumber, showGrams, showHours, withUnit } from '../figure';
import { mix } from '../composition/mixture';
import { composition } from '../composition/components';
import { guest, massFor, mixingC } from '../heat/meeting';
import { temperingOf } from '../analysis/warmth';
import { MELTED_GELATIN_C, REFERENCE_BLOOM, SOAK_WATER_PER_G, SPOONFUL_C, STRINGS } from '../setting/house';
import { hoursToSet } from '../setting/set';
import { bowlG, holdsAir, shareOfPart, type Bowl } from './case';
import { BUTTERCREAM_C, CHEESE_BACK_SHARE, CHEESE_SOFT_C, FOAM_LOST_C, GANACHE_BACK, GANACHE_HOLDS, LOOSE_WATER_SHARE, REMELT_C, REMELT_SHARE } from './house';
import {
  amount,
  bowlGuestOf,
  creamFor,
  deg,
  freshLines,
  freshStep,
  gramsOf,
  heaviest,
  iceBathMin,
  instead,
  larderOr,
  mended,
  moreOf,
  num,
  ofRole,
  steamMin,
  step,
  weighable,
  type Rescue,
} from './rescue';
import type { CauseId } from './words';

/** Rescues of egg foams, of what sets, of chocolate, buttercream and cheese. */

export function whitesFlat(b: Bowl): Rescue {
  const again = freshLines(b);
  return instead(
    'Start them again',
    'A trace of fat keeps whites from ever rising: no whisking brings them back.',
    [
      step('Keep them for a custard or a batter.', { g: gramsOf(ofRole(b, 'white')) * shareOfPart(b) }),
      step('Bowl and whisk washed hot, wiped with lemon or vinegar, dried.'),
      freshStep(again, 'Separate each egg over a cup first.'),
    ],
    { again, minutes: 12 },
  );
}

export function whitesDry(b: Bowl): Rescue {
  const whitesG = gramsOf(ofRole(b, 'white')) * shareOfPart(b);
  const g = weighable(whitesG / 4);
  const white = heaviest(ofRole(b, 'white'));
  const fresh = white ? moreOf(white, g) : { ingredientId: 'egg-white', name: 'egg white', massG: g };
  return mended(
    `Whisk in ${showGrams(g)} fresh white`,
    'One fresh white for four brings back the water that the clots have lost.',
    [
      step('Unbeaten, all at once.', { g }),
      step('Slow, 10 to 20 s, until it shines again.', { timerMin: 0.33, stopIf: 'the clots are gone' }),
      step('Use it at once; folded it keeps a little less air.'),
    ],
    {
      adds: [fresh],
      minutes: 2,
      airKept: 0.85,
      figures: [
        amount(
          'fresh-white',
          'Fresh white',
          g,
          'g = m/4',
          'One white for four.',
          [num('m', 'whites in the bowl', whitesG, 'g', 0, 'the lines')],
          'House.',
          0.3,
        ),
      ],
    },
  );
}

export function yolksThin(b: Bowl): Rescue {
  const nowC = b.facts.nowC ?? 25;
  const min = steamMin(b, nowC, 71);
  return mended(
    `Over steam to ${deg(71)}, then whisk cool`,
    'Yolk foam thickens by heat as much as by air.',
    [
      step('Bowl over barely simmering water, whisked all the time.', { timerMin: Math.max(1, min), toC: 71, stopIf: `the thermometer says ${deg(71)}` }),
      step(`Off the heat, fast, until thick and at ${deg(28)}.`, { timerMin: 6, toC: 28, cooling: true, stopIf: 'a trail stays for three seconds' }),
    ],
    { minutes: 6 + min },
  );
}

export function strings(b: Bowl): Rescue {
  const isFoam = holdsAir(b.a);
  const t = temperingOf(b.a);
  const spoon = weighable(t?.ok && t.value.spoonfulG > 0 ? t.value.spoonfulG : 0.08 * bowlG(b));
  if (!isFoam) {
    const nowC = b.facts.nowC ?? 15;
    return mended(
      `Warm it to ${deg(REMELT_C)}, and sieve`,
      'Gelatin that strung melts again; nothing of it is lost.',
      [
        step('Over steam, stirred.', { timerMin: Math.max(0.5, steamMin(b, nowC, REMELT_C)), stopIf: `it is at ${deg(REMELT_C)}` }),
        step('Through a fine sieve.'),
        step(`Cool it to ${deg(SPOONFUL_C.low)}, stirring, before anything cold goes in: below ${deg(STRINGS.belowC)} it strings again.`, {
          toC: SPOONFUL_C.low,
          cooling: true,
        }),
      ],
      { minutes: 8 },
    );
  }
  return mended(
    'Sieve it, melt what stays, temper it in anew',
    'The foam stays cold; only what is in the sieve is melted again.',
    [
      step('Press the cream through a coarse sieve; scrape what stays into a small pan.'),
      step(`Melt it gently, to ${deg(MELTED_GELATIN_C)}; no boil.`, { timerMin: 2, toC: MELTED_GELATIN_C, stopIf: 'no thread is left' }),
      step(`Beat this much of the cream into it: it comes to about ${deg(SPOONFUL_C.wish)}.`, { g: spoon }),
      step('In a thin stream into the rest, whisking by hand.', { stopIf: 'new threads show: warm the spoonful again' }),
    ],
    {
      minutes: 8,
      airKept: 0.9,
      figures: t?.ok
        ? [
            amount(
              'spoonful',
              'Cream to temper with',
              spoon,
              `Σ mᵢ·[hᵢ(${SPOONFUL_C.wish}) − hᵢ(Tᵢ)] = 0`,
              'So much cold cream brings the melted gelatin to 25 °C, where it stays liquid.',
              [num('T', 'melted gelatin', MELTED_GELATIN_C, '°C', 0, 'as it is melted'), num('T', 'the cream', b.a.part.whisk.creamC, '°C', 0, 'the sheet')],
              'Heat balance.',
            ),
          ]
        : [],
    },
  );
}

const WATER = composition({ water: 100 });

/** What is lacking, as gelatin of the sheet's own kind, g; null where its dose is no matter. */
function lacking(b: Bowl): { readonly g: number; readonly id: string; readonly name: string; readonly of225: number } | null {
  if (!b.a.gelatin.ok) return null;
  const of225 = (b.a.gelatin.value.advised225G - b.a.reading.gelatin225G) * Math.min(1, shareOfPart(b));
  if (of225 < 0.5) return null;
  const own = b.a.reading.lines.find((l) => l.ingredient?.bloom && l.read)?.ingredient ?? b.kitchen.larder.get('gelatin-powder-225');
  if (!own) return null;
  return { g: weighable(of225 * Math.sqrt(REFERENCE_BLOOM / (own.bloom ?? REFERENCE_BLOOM))), id: own.id, name: own.name, of225 };
}

export function unset(b: Bowl, cause: CauseId): Rescue {
  const { use } = b.s.sheet;
  const need = use === 'slice' ? 'slice' : use === 'turn-out' ? 'turn-out' : 'glass';
  const hours = hoursToSet(need);
  if (cause === 'raw-fruit' || b.a.reading.rawProteaseFruit) {
    return instead(
      'Freeze it, or spoon it',
      'Raw fruit has eaten its gelatin: more of it would go the same way.',
      [
        step('In its vessel into the freezer, 4 h: then it is a semifreddo.', { rests: 'freezer', timerMin: 240 }),
        step('Or today in glasses, with biscuits, as a cream.'),
        step(`Next time heat that fruit to ${deg(85)} first.`),
      ],
      { minutes: 240 },
    );
  }
  if (cause === 'too-strong-set')
    return instead(
      'Freeze it, or serve it in glasses',
      'So strong nothing sets it. Cold makes it thick, not firm.',
      [step('Into the freezer, 6 h, in glasses.', { rests: 'freezer', timerMin: 360 })],
      { minutes: 360 },
    );
  const more = lacking(b);
  const waits = cause === 'too-soon' || more === null;
  if (waits) {
    const left = Math.max(0.5, hours + 1 - (b.facts.coldH ?? 0));
    return mended(
      `Leave it ${showHours(left)} more`,
      `Gelatin needs ${showHours(hours)} under ${deg(15)} for that, and the middle must be cold first.`,
      [step(`At ${deg(4)}, covered, unmoved.`, { rests: 'cold', timerMin: 60 * left }), step('Tip it then. Still loose: see the dose.')],
      { minutes: 60 * left, otherwise: 'unset' },
    );
  }
  const mass = bowlG(b);
  const warmG = weighable(REMELT_SHARE * mass);
  const gelatin = guest('gelatin', mix([{ massG: SOAK_WATER_PER_G * more.g, per100: WATER }]), 0, MELTED_GELATIN_C);
  const warm = bowlGuestOf(b, REMELT_C, warmG);
  const cold = bowlGuestOf(b, b.facts.nowC ?? 6, mass - warmG);
  const meets = mixingC([gelatin, warm, cold]);
  const meetsC = meets.ok ? meets.value : 12;
  // Below 18 °C it would string: then all of it is warmed.
  const all = meetsC < STRINGS.belowC;
  const whole = all ? steamMin(b, b.facts.nowC ?? 6, FOAM_LOST_C - 4) : steamMin({ ...b, facts: { ...b.facts, massG: warmG } }, b.facts.nowC ?? 6, REMELT_C);
  const added = { ingredientId: more.id, name: more.name, massG: more.g };
  const isFoam = holdsAir(b.a);
  return mended(
    `Bloom ${showGrams(more.g)} more gelatin`,
    `It lacks ${withUnit(plainNumber((1000 * more.of225) / Math.max(1, mass), 1), 'g/kg')} of what ${need === 'glass' ? 'a glass' : need === 'slice' ? 'a slice' : 'turning out'} asks.${isFoam ? ' It loses some of its air.' : ''}`,
    [
      step(`Soaked in ${showGrams(SOAK_WATER_PER_G * more.g)} cold water, 10 min.`, { g: more.g, timerMin: 10 }),
      all
        ? step(`All of it over steam to ${deg(FOAM_LOST_C - 4)}, stirring slowly.`, {
            g: mass,
            toC: FOAM_LOST_C - 4,
            timerMin: Math.max(0.5, whole),
            stopIf: `it is at ${deg(FOAM_LOST_C - 4)}: warmer it is no foam`,
          })
        : step(`This much of it warmed to ${deg(REMELT_C)}.`, { g: warmG, toC: REMELT_C, timerMin: Math.max(0.5, whole) }),
      step(all ? 'The melted gelatin in, in a thin stream.' : `The melted gelatin into that, then into the rest: it meets at ${deg(meetsC)}.`),
      step(`Back in its vessel, ${showHours(hours)} at ${deg(4)}.`, { rests: 'cold', timerMin: 60 * hours }),
    ],
    {
      adds: [added],
      minutes: 25 + 60 * hours,
      airKept: isFoam ? 0.75 : 1,
      figures: [
        amount(
          'more-gelatin',
          'Gelatin that it lacks',
          more.g,
          'g = (advised − there)·√(225/bloom)',
          'What the dose for this use asks less what is in it, in the strength of the kind that is used.',
          [
            num('there', 'gelatin in it, as 225 bloom', b.a.reading.gelatin225G, 'g', 1, 'the lines'),
            num('lacks', 'as 225 bloom', more.of225, 'g', 1, 'the dose for its use'),
          ],
          'House ±20 %: doses by use.',
          0.2,
        ),
      ],
    },
  );
}

export function rubbery(b: Bowl): Rescue {
  const dose = b.a.gelatin.ok ? b.a.gelatin.value.doseGPerKg : 12;
  const right = b.a.gelatin.ok ? (b.a.gelatin.value.band.low + b.a.gelatin.value.band.high) / 2 : 8;
  const g = weighable(Math.max(0, dose / right - 1) * bowlG(b));
  if (holdsAir(b.a) || g > bowlG(b)) {
    return instead(
      'Cut it in cubes under soft cream',
      'A set foam cannot be thinned without losing its air.',
      [
        step('Cubes of a centimetre, folded into soft cream or fruit: small pieces melt.'),
        step(`Room-warm for 15 min before it is eaten: gelatin is softest near ${deg(15)}.`, { rests: 'room', timerMin: 15 }),
      ],
      { minutes: 15 },
    );
  }
  const cream = creamFor(b, g);
  return mended(
    `Melt it with ${showGrams(g)} more`,
    `So much more brings ${withUnit(plainNumber(dose, 1), 'g/kg')} to ${withUnit(plainNumber(right, 0), 'g/kg')}.`,
    [
      step(`Over steam to ${deg(REMELT_C)}.`, { toC: REMELT_C, timerMin: steamMin(b, b.facts.nowC ?? 6, REMELT_C), stopIf: 'it is liquid' }),
      step(`${cream.name} or what it was made of, stirred in.`, { g }),
      step(`Into its vessel, ${showHours(hoursToSet('glass'))} at ${deg(4)}.`, { rests: 'cold', timerMin: 60 * hoursToSet('glass') }),
    ],
    {
      adds: [cream],
      minutes: 15 + 60 * hoursToSet('glass'),
      figures: [
        amount(
          'thin',
          'To thin the dose',
          g,
          'g = m·(dose/right − 1)',
          'The same gelatin in more.',
          [
            num('dose', 'in it', dose, 'g/kg', 1, 'the lines'),
            num('right', 'middle of its band', right, 'g/kg', 1, 'its use'),
            num('m', 'in the bowl', bowlG(b), 'g', 0, 'the lines'),
          ],
          'Mass balance.',
        ),
      ],
    },
  );
}

export function seized(b: Bowl): Rescue {
  const mass = bowlG(b);
  const waterG = b.a.reading.mixture.grams.water * shareOfPart(b);
  const cream = heaviest(ofRole(b, 'cream', 'milk')) ?? null;
  const liquid = cream ? { share: cream.read!.per100.water / 100, of: (g: number) => moreOf(cream, g) } : { share: 0.583, of: (g: number) => creamFor(b, g) };
  const need = (LOOSE_WATER_SHARE * mass - waterG) / (liquid.share - LOOSE_WATER_SHARE);
  const g = weighable(Math.max(0.03 * mass, need));
  const added = liquid.of(g);
  return mended(
    `Stir in ${showGrams(g)} hot ${added.name.replace(/\s*\(.*\)/, '').toLowerCase()}`,
    `A drop of water stiffens chocolate; a fifth of water makes it flow. It is a ganache then, not a coating.`,
    [
      step(`At ${deg(60)}, a third of it, stirred from the middle.`, { g: g / 3 }),
      step('Another third. It goes worse before it shines.', { g: g / 3 }),
      step('The last.', { g: g / 3, stopIf: 'it flows and shines' }),
    ],
    {
      adds: [added],
      minutes: 4,
      otherwise: 'ganache-split',
      figures: [
        amount(
          'loose',
          'Liquid until it flows',
          g,
          'g = (0.20·m − w)/(s − 0.20)',
          'Water of everything comes to a fifth.',
          [
            num('m', 'in the bowl', mass, 'g', 0, 'the lines'),
            num('w', 'its water now', waterG, 'g', 0, 'the lines'),
            num('s', 'water of what goes in', 100 * liquid.share, '%', 0, 'the larder'),
          ],
          'House: from a fifth of water on sugar and cocoa no longer clump.',
          0.25,
        ),
      ],
    },
  );
}

export function ganacheSplit(b: Bowl): Rescue {
  const mass = bowlG(b);
  const k = shareOfPart(b);
  const { grams } = b.a.reading.mixture;
  const fat = (grams.cocoa_fat + grams.milk_fat + grams.other_fat) * k;
  const water = grams.water * k;
  const milkWater = 0.88;
  const least = 3 * GANACHE_BACK.share * mass;
  const g = weighable(Math.max(least, (fat / GANACHE_HOLDS.fatPerWater - water) / milkWater));
  const milk = larderOr(b, g, 'milk', 'milk-whole');
  const nowC = b.facts.nowC ?? 28;
  return mended(
    `Beat in ${showGrams(g)} warm milk`,
    `Its fat stands outside the water that should hold it: bring both to ${deg(GANACHE_BACK.massC)} and give it water.`,
    [
      step(`Over steam to ${deg(GANACHE_BACK.massC)}; warmer than 40, let it cool first.`, {
        toC: GANACHE_BACK.massC,
        timerMin: Math.max(0.5, steamMin(b, nowC, GANACHE_BACK.massC)),
      }),
      step(`Milk at ${deg(GANACHE_BACK.liquidC)}, a third, stirred hard in the middle until a shining core stands.`, { g: g / 3 }),
      step('Another third, wider.', { g: g / 3 }),
      step('The last; a stick blender held under closes it.', { g: g / 3, stopIf: 'it shines throughout' }),
    ],
    {
      adds: [milk],
      minutes: 6,
      figures: [
        amount(
          'milk',
          'Milk to hold its fat',
          g,
          'g = (fat/1.1 − water)/0.88',
          'Water enough for 1.1 g of fat a gram, and three goes of a thirtieth at the least.',
          [num('fat', 'fat', fat, 'g', 0, 'the lines'), num('water', 'water', water, 'g', 0, 'the lines')],
          'House.',
          0.3,
        ),
      ],
    },
  );
}

export const specks = (b: Bowl): Rescue =>
  instead(
    'Call it flecked, and serve it so',
    'Chocolate that set in the fold cannot be melted without losing the foam. It tastes right.',
    [
      step('Pass a spoon through: large lumps come out by hand.'),
      step(`Grate a little chocolate over it, ${showGrams(weighable(0.015 * bowlG(b)))}: then the flecks are meant.`, { g: weighable(0.015 * bowlG(b)) }),
    ],
    { minutes: 2 },
  );

export function buttercreamCurdled(b: Bowl): Rescue {
  const nowC = b.facts.nowC ?? BUTTERCREAM_C.curdledC;
  const toC = (BUTTERCREAM_C.low + BUTTERCREAM_C.high) / 2;
  const mass = bowlG(b);
  const hotC = 45;
  const part = massFor([bowlGuestOf(b, nowC, mass), bowlGuestOf(b, hotC, mass)], 1, toC);
  // Some of the bowl itself is warmed: what goes out of the cold comes back hot.
  const out = part.ok ? weighable((part.value / (mass + part.value)) * mass) : weighable(0.15 * mass);
  return mended(
    `Warm ${showGrams(out)} of it, and beat it back`,
    `At ${deg(nowC)} the butter is too hard to take the meringue up; ${deg(toC)} is right.`,
    [
      step(`This much in a small bowl over steam, to ${deg(hotC)}.`, { g: out, toC: hotC, timerMin: 2 }),
      step('Back in, in a stream, beating fast.', { timerMin: 2, stopIf: 'it comes together and shines' }),
    ],
    {
      minutes: 5,
      otherwise: 'bc-soup',
      figures: [
        amount(
          'warmed',
          'To be warmed',
          out,
          `Σ mᵢ·[hᵢ(${toC}) − hᵢ(Tᵢ)] = 0`,
          'What is warmed and what stays cold meet in the middle of the window.',
          [
            num('T₁', 'the bowl', nowC, '°C', 0, b.facts.nowC === null ? 'usual where it curdles' : 'as measured'),
            num('T₂', 'what is warmed', hotC, '°C', 0, 'as warmed'),
            num('m', 'in the bowl', mass, 'g', 0, 'the lines'),
          ],
          'Heat balance; milk fat melts between 10 and 35 °C.',
        ),
      ],
    },
  );
}

export function buttercreamSoup(b: Bowl): Rescue {
  const nowC = b.facts.nowC ?? BUTTERCREAM_C.soupC;
  const toC = (BUTTERCREAM_C.low + BUTTERCREAM_C.high) / 2;
  const min = iceBathMin(b, nowC, toC) ?? 10;
  return mended(
    `In ice water to ${deg(toC)}, then beat`,
    `At ${deg(nowC)} its butter is melted. Nothing is spoilt.`,
    [
      step('Bowl in ice water, scraped all the time.', { timerMin: Math.max(0.5, min), stopIf: `it is at ${deg(toC)}` }),
      step('Beat fast.', { timerMin: 4, stopIf: 'it stands' }),
    ],
    { minutes: 5 + min, otherwise: 'bc-curdled' },
  );
}

export function cheeseCurdled(b: Bowl): Rescue {
  const cheeseG = gramsOf(ofRole(b, 'cheese')) * shareOfPart(b);
  const g = weighable(CHEESE_BACK_SHARE * cheeseG);
  const cream = creamFor(b, g);
  return mended(
    `Stir in ${showGrams(g)} cold cream by hand`,
    'Beaten on, its fat has left the curd. By hand and with a little cream it closes, though looser than it was.',
    [
      step('No more beating. Cold cream, a spoon at a time, turned under.', { g, stopIf: 'it is smooth' }),
      step('Through a fine sieve with a scraper.'),
      step('Into the cold for 30 min: it firms again.', { rests: 'cold', timerMin: 30 }),
    ],
    {
      adds: [cream],
      minutes: 35,
      airKept: 0.7,
      holdKept: 0.8,
      figures: [
        amount(
          'cheese-cream',
          'Cream to close it',
          g,
          'g = 0.12·cheese',
          'A little loose cream carries the fat back.',
          [num('cheese', 'cheese in the bowl', cheeseG, 'g', 0, 'the lines')],
          'House.',
          0.4,
        ),
      ],
    },
  );
}

export const cheeseLumps = (b: Bowl): Rescue =>
  mended(
    'Sieve it, and let the lumps soften',
    `Cheese beats smooth from ${deg(CHEESE_SOFT_C)} on; cold it only breaks up.`,
    [
      step('Press it through a sieve; what stays is the cheese.'),
      step(`That alone, over warm water, to ${deg(CHEESE_SOFT_C + 2)}, stirred smooth.`, {
        toC: CHEESE_SOFT_C + 2,
        timerMin: Math.max(0.5, steamMin({ ...b, facts: { ...b.facts, massG: Math.max(20, 0.15 * bowlG(b)) } }, b.facts.nowC ?? 6, CHEESE_SOFT_C + 2)),
      }),
      step('Fold it back by hand.', { stopIf: 'it is smooth' }),
    ],
    { minutes: 6 },
  );
