import { plainNumber, showGrams, showHours, withUnit } from '../figure';
import { SWEETNESS_BANDS } from '../composition/sweetness';
import type { LineReading } from '../lines/read-part';
import { temperingOf } from '../analysis/warmth';
import { capacityMl, isPerPortion } from '../vessel/profile';
import { bowlG, holdsAir, shareOfPart, type Bowl } from './case';
import { MOST_ADDED, OUT_H, SEEN_SHORT, SOUR, STRONG_ABV } from './house';
import {
  amount,
  creamFor,
  deg,
  discard,
  foldedMlPerG,
  freshLines,
  freshStep,
  heaviest,
  mended,
  moreOf,
  num,
  pct,
  step,
  weighable,
  type Added,
  type Rescue,
} from './rescue';

/** Rescues of taste, of amounts and order, of time; and what must go. */

/** Unsweetened cream until something of the whole is down at its edge; beyond what it bears, a smaller portion. */
function thinned(b: Bowl, what: string, from: number, to: number, unit: string, inCream: number, otherwise: string): Rescue {
  const mass = bowlG(b);
  const need = from <= to || to <= inCream ? 0 : (mass * (from - to)) / (to - inCream);
  const g = weighable(Math.min(need, MOST_ADDED * mass));
  const reached = (mass * from + g * inCream) / (mass + g);
  if (need <= 0)
    return mended(
      'By its figures it is right',
      `${what} ${plainNumber(from, 1)} ${unit}: inside its band. Cold and hunger change a taste; ask a second tongue.`,
      [step('Taste it at 10 °C, not from the fridge.', { timerMin: 10 })],
      { minutes: 10 },
    );
  const cream = creamFor(b, g);
  return mended(
    `Fold in ${showGrams(g)} unsweetened cream`,
    `${what} falls from ${plainNumber(from, 1)} to ${plainNumber(reached, 1)} ${unit}${need > g ? `, not to ${plainNumber(to, 1)}: more would be another dessert` : ''}.`,
    [step('Whisked to soft peak, cold.', { g }), step('Folded through in one go.', { stopIf: 'the streaks are gone' }), step(otherwise)],
    {
      adds: [cream],
      minutes: 6,
      bringsMl: g * foldedMlPerG(),
      figures: [
        amount(
          'thin',
          `Cream against ${what.toLowerCase()}`,
          g,
          'g = m·(v − w)/(w − c)',
          'What goes in brings hardly any of it: the mean of both is the wish.',
          [
            num('m', 'in the bowl', mass, 'g', 0, 'the lines'),
            num('v', what.toLowerCase(), from, unit, 1, 'the sheet'),
            num('w', 'the edge of its band', to, unit, 1, 'the band'),
          ],
          'Mass balance.',
        ),
      ],
    },
  );
}

export function tooSweet(b: Bowl): Rescue {
  const band = SWEETNESS_BANDS[b.s.sheet.sweetness];
  return thinned(
    b,
    'Sweetness',
    b.a.sweetness,
    Math.min(band.high, Math.max(1, b.a.sweetness)),
    'of 100',
    0.5,
    `Or by taste: ${showGrams(weighable(0.004 * bowlG(b)))} lemon juice, or something bitter on the plate.`,
  );
}

export const tooSour = (b: Bowl): Rescue =>
  thinned(
    b,
    'Acid',
    (1000 * b.a.reading.mixture.grams.acid) / Math.max(1, b.a.reading.mixture.massG),
    SOUR.toGPerKg,
    'g/kg',
    0,
    `Or ${showGrams(weighable(0.02 * bowlG(b)))} icing sugar: it covers, it does not take away.`,
  );

export const tooStrong = (b: Bowl): Rescue =>
  thinned(b, 'Alcohol', b.a.abvPct, STRONG_ABV, '% vol', 0, 'Or smaller glasses: what is drunk counts. Not for children, whatever it tastes of.');

export function bland(b: Bowl): Rescue {
  const mass = bowlG(b);
  const salt = weighable(0.001 * mass);
  const lemon = weighable(0.006 * mass);
  return mended(
    `${showGrams(salt)} salt, then ${showGrams(lemon)} lemon juice`,
    'Salt and acid open what fat and cold keep shut; flavour itself comes last.',
    [
      step('Salt, dissolved in a few drops of water. Taste.', { g: salt, stopIf: 'it tastes of itself' }),
      step('Lemon juice, in drops. Taste.', { g: lemon, stopIf: 'it tastes of itself' }),
      step(`Serve it at ${deg(10)} rather than ${deg(4)}: 15 min out.`, { timerMin: 15 }),
    ],
    {
      adds: [
        { ingredientId: 'salt', name: 'salt', massG: salt },
        { ingredientId: 'lemon-juice', name: 'lemon juice', massG: lemon },
      ],
      minutes: 5,
    },
  );
}

const perPortionMl = (b: Bowl): number | null => (b.s.volumeMl.ok ? b.s.volumeMl.value / b.s.sheet.portions : null);

/** What there is of the planned, 0–1: as measured, else a fifth short. */
function thereShare(b: Bowl): { readonly share: number; readonly seen: boolean } {
  const planned = b.a.foamMl.ok ? b.a.foamMl.value : null;
  if (b.facts.volumeMl !== null && planned) return { share: Math.min(1, b.facts.volumeMl / planned), seen: true };
  if (b.facts.massG !== null) return { share: Math.min(1, shareOfPart(b)), seen: true };
  return { share: 0.8, seen: false };
}

export function short(b: Bowl): Rescue {
  const { share, seen } = thereShare(b);
  const { portions } = b.s.sheet;
  const fewer = Math.max(1, Math.floor(portions * share + 1e-9));
  const lacking = freshLines({ ...b, facts: { ...b.facts, massG: null } })
    .map((l): Added => ({ ...l, massG: l.massG * (1 - share) }))
    .filter((l) => l.massG >= 0.5);
  const each = perPortionMl(b);
  const barely = 1 - share < SEEN_SHORT;
  return mended(
    barely ? 'Share it out: nobody sees it' : `Fill ${fewer} instead of ${portions}`,
    `${seen ? '' : 'Taken as a fifth short; measure it for your own figure. '}${each === null ? '' : `${withUnit(plainNumber(each, 0), 'mL')} a portion as planned, or ${withUnit(plainNumber(each * share, 0), 'mL')} each if all ${portions} are to be filled.`}`,
    [
      step(barely ? 'A spoon less in each.' : `Fill ${fewer} as planned; or all ${portions}, ${pct(100 * share)} full, with a higher topping.`),
      ...(barely ? [] : [freshStep(lacking, `That makes the rest of it${b.a.window.ok ? ', in a smaller bowl' : ''}.`)]),
    ],
    { minutes: 5, change: barely ? null : (s) => ({ ...s, portions: fewer }) },
  );
}

export function left(b: Bowl): Rescue {
  const each = perPortionMl(b);
  const leftG = b.facts.massG ?? 0.15 * b.a.reading.mixture.massG;
  const perG = b.a.foamMl.ok ? b.a.foamMl.value / Math.max(1, b.a.reading.mixture.massG) : 1;
  const ml = leftG * perG;
  const more = each === null || each <= 0 ? 0 : Math.floor(ml / each);
  const { keeping } = b.s;
  return mended(
    more > 0 ? `${more} portion${more === 1 ? '' : 's'} more` : 'Pipe it, and keep it cold',
    `${showGrams(leftG)} left${b.facts.massG === null ? ', as a guess' : ''}: ${withUnit(plainNumber(ml, 0), 'mL')}${each === null ? '' : `, ${plainNumber(ml / Math.max(1, each), 1)} portions`}.`,
    [
      step(more > 0 ? `Into ${more} more glass${more === 1 ? '' : 'es'}, or the next size up.` : 'In a bag, laid flat, covered.', { g: leftG }),
      step(`Good until ${showHours(Math.min(keeping.goodH, keeping.eatByH))} after it was made; whisk it back by hand before it is used.`),
      step('Rosettes on paper, frozen: they go on a cup straight from the freezer.', { timerMin: 120 }),
    ],
    { minutes: 5, change: more > 0 ? (s) => ({ ...s, portions: s.portions + more }) : null },
  );
}

export function glasses(b: Bowl): Rescue {
  const { portions, vessel } = b.s.sheet;
  const n = b.facts.glasses !== null && b.facts.glasses > 0 ? b.facts.glasses : Math.max(1, portions - 2);
  const total = b.s.volumeMl.ok ? b.s.volumeMl.value : null;
  const holds = capacityMl(vessel);
  const each = total === null ? null : total / n;
  const fits = each === null || !isPerPortion(vessel) || each <= holds;
  const over = fits || each === null ? 0 : (each - holds) * n;
  const most = total === null ? n : Math.max(1, Math.ceil(total / (0.95 * holds)));
  return mended(
    each === null ? `${n} portions` : `${n} × ${withUnit(plainNumber(Math.min(each, fits ? each : 0.95 * holds), 0), 'mL')}`,
    `${n} instead of ${portions}${b.facts.glasses === null ? ' (say how many there are)' : ''}${each === null ? '' : n < portions ? `: ${pct(100 * (portions / n - 1))} more in each` : `: ${pct(100 * (1 - portions / n))} less in each`}${fits ? '.' : `; ${withUnit(plainNumber(over, 0), 'mL')} stay over, one of these holds ${withUnit(plainNumber(holds, 0), 'mL')}.`}`,
    [
      step(
        fits ? 'Tare one, fill it, and fill the others by weight.' : `Fill each to a finger under the rim; ${most} of them hold all of it.`,
        total === null ? {} : { amount: showGrams(b.s.mixture.massG / n) },
      ),
      ...(fits ? [] : [step('The rest into a bowl for the kitchen, or into cups.')]),
      step('Topping shared out anew: count it first.'),
    ],
    { minutes: 5, change: (s) => ({ ...s, portions: n }) },
  );
}

/** Where a line that was forgotten can still go in. */
function stillIn(b: Bowl, l: LineReading): string {
  const g = l.read!.massG * Math.min(1, shareOfPart(b));
  switch (l.role) {
    case 'sugar':
      return holdsAir(b.a)
        ? 'as icing sugar, sifted over and folded in; or as a syrup of two parts to one of water, cold, in a thin stream'
        : 'stirred in while it is warm, until no grain is felt';
    case 'gelatin': {
      const t = temperingOf(b.a);
      return `soaked, melted at 50 to 60 °C, beaten into ${showGrams(weighable(t?.ok && t.value.spoonfulG > 0 ? t.value.spoonfulG : 0.08 * bowlG(b)))} of it first, then in a thin stream`;
    }
    case 'drink':
    case 'sour':
    case 'liquid':
      return holdsAir(b.a) && g > 0.05 * bowlG(b)
        ? 'half now, by spoons; the rest over the biscuits or beside: more would take the air'
        : 'by spoons, folded in';
    case 'salt':
    case 'acid':
    case 'flavour':
      return 'dissolved in a spoon of cream, folded in';
    case 'yolk':
    case 'egg':
    case 'white':
      return 'not any more, uncooked: it would be a dessert with raw egg for 24 h';
    case 'starch':
    case 'setter':
      return 'stirred smooth in something cold, brought to the boil in it, folded in cool';
    case 'butter':
    case 'chocolate':
      return 'melted, at 35 °C, into a third of it first';
    case 'fruit':
    case 'nut':
    case 'biscuit':
      return 'on top, or between the layers';
    default:
      return 'folded in cold, by spoons';
  }
}

export function forgot(b: Bowl): Rescue {
  const lines = b.a.reading.lines.filter((l) => l.kind === 'ingredient' && l.ingredient && l.read && l.read.massG > 0);
  const late = lines.filter((l) => l.role !== 'cream' && l.role !== 'cheese' && l.role !== 'milk');
  const shown = (late.length > 0 ? late : lines).slice(0, 6);
  return mended(
    'It can still go in',
    `What of ${b.a.part.name} is still on the bench, and how it goes in now.`,
    shown.map((l) => step(`${l.name}: ${stillIn(b, l)}.`, { g: weighable(l.read!.massG * Math.min(1, shareOfPart(b))) })),
    { minutes: 6 },
  );
}

export function twice(b: Bowl): Rescue {
  const lines = b.a.reading.lines.filter((l) => l.kind === 'ingredient' && l.ingredient && l.read && l.read.massG > 0);
  const doubled = heaviest(lines.filter((l) => l.role === 'sugar' || l.role === 'drink' || l.role === 'sour' || l.role === 'gelatin')) ?? heaviest(lines);
  const k = Math.min(1, shareOfPart(b));
  const rest = lines.filter((l) => l !== doubled).map((l) => moreOf(l, l.read!.massG * k));
  const name = doubled?.name ?? 'it';
  return mended(
    'Make the rest twice',
    `If ${name} went in twice, the others twice bring everything back to what it was: two of them.`,
    [
      ...rest.slice(0, 5).map((l) => step(`${l.name} once more.`, { g: weighable(l.massG) })),
      step(`${b.s.sheet.portions * 2} portions instead of ${b.s.sheet.portions}; or keep half of it for tomorrow.`),
      step('Something else went in twice: the same, with that one left out.'),
    ],
    { again: rest, minutes: 15, change: (s) => ({ ...s, portions: Math.min(2000, s.portions * 2) }) },
  );
}

export function allIn(b: Bowl): Rescue {
  const own = b.a.reading.lines.find(
    (l) => l.ingredient && b.s.parts.some((p) => p !== b.a && p.reading.lines.some((m) => m.ingredient?.id === l.ingredient?.id)),
  );
  const elsewhere = own ? b.s.parts.flatMap((p) => (p === b.a ? [] : p.reading.lines.filter((m) => m.ingredient?.id === own.ingredient?.id && m.read))) : [];
  const later = elsewhere.reduce((g, l) => g + l.read!.massG, 0);
  const name = own?.name ?? 'it';
  const liquid = !holdsAir(b.a) || b.facts.whiskedS === null || b.facts.whiskedS < 10;
  const again = own && later > 0 ? [moreOf(own, later)] : [];
  const total = (own?.read?.massG ?? 0) + later;
  const backG = total > 0 ? (bowlG(b) + later) * (later / Math.max(1, bowlG(b) + later)) : 0;
  if (liquid && b.a.reading.lines.filter((l) => l.read && l.read.massG > 0).length <= 1) {
    return mended(
      `Ladle ${showGrams(later)} back out`,
      'Nothing else is in it yet: what was for later is simply taken out again.',
      [step(`Into a bowl of its own, for ${elsewhere[0] ? 'the later step' : 'later'}.`, { g: later })],
      { minutes: 2 },
    );
  }
  return mended(
    `Open another ${showGrams(later)} ${name} for later`,
    `${showGrams(later)} more than this step wanted are in it: softer, and more of it.`,
    [
      step(`Take ${showGrams(backG)} of the mix out: so much is too much. It serves as a sauce or for the next batch.`, { g: backG }),
      step(`Weigh the ${name} for the later step anew, and put it apart.`, { g: later }),
    ],
    { again, minutes: 6 },
  );
}

export function leftOut(b: Bowl): Rescue {
  const hours = b.facts.outH;
  const nowC = b.facts.nowC;
  const warm = (b.kitchen.rules.roomC ?? 20) > OUT_H.warmFromC || (nowC ?? 0) > OUT_H.warmFromC;
  const limit = warm ? OUT_H.warm : OUT_H.usual;
  const raw = b.s.keeping.rawEgg;
  if ((hours !== null && hours > limit) || (raw && hours !== null && hours > limit / 2)) {
    return discard(
      'It goes',
      `${showHours(hours)} out of the cold${raw ? ' with raw egg in it' : ''}; the usual rule is ${withUnit(String(raw ? limit / 2 : limit), 'h')}${warm ? ` above ${deg(OUT_H.warmFromC)}` : ''}. Taste and smell say nothing of it. Follow your local food code.`,
      [step('Into the bin, labelled, so that nobody saves it.'), freshStep(freshLines(b), 'From the cold, and back into it.')],
      { again: freshLines(b), minutes: 40 },
    );
  }
  return mended(
    'Into the cold, and eaten today',
    `${hours === null ? `Nobody knows how long: more than ${withUnit(String(limit), 'h')}, and it goes.` : `${showHours(hours)} of the ${withUnit(String(limit), 'h')} that it may stand.`} What it has stood it keeps: the clock does not start anew.`,
    [
      step(`At ${deg(4)}, alone, uncovered until it is cold.`),
      step('Label it: today only.'),
      step(`Its shape: ${b.s.keeping.cleanH === null ? 'look at it before it is served' : `whisk it back by hand if its edge is round`}.`),
    ],
    { minutes: 5, holdKept: 0.5 },
  );
}

export const foreign = (b: Bowl): Rescue =>
  discard(
    'All of it goes, and all that stood open',
    'Glass, metal or plaster cannot be sieved out with certainty. There is no rescue.',
    [
      step('Stop. Nobody tastes. Everything open within an arm’s length goes too.', { g: bowlG(b) }),
      step('Clear and wipe wet from above; new bowls, new cloths.'),
      freshStep(freshLines(b), 'Write down what broke, and where.'),
    ],
    { again: freshLines(b), minutes: 40 },
  );
