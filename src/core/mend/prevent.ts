import { clockFace, plainNumber, showGrams, showHours, withUnit } from '../figure';
import { analyseSheet } from '../analysis/analyse';
import { moveSliceTo, frozenMixOf, freezerOf } from '../analysis/frozen';
import { meetingsOf, temperingOf } from '../analysis/warmth';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Part, Sheet } from '../document/schema';
import { addToReachFat } from '../foam/fat';
import { whip } from '../foam/whisk';
import { REFERENCE_BLOOM } from '../setting/house';
import { hoursToSet } from '../setting/set';
import { SWEETNESS_BANDS } from '../composition/sweetness';
import { soaksOf } from '../tin/sheet-soak';
import { lineOf } from './after';
import type { Bowl } from './case';
import { HOLDS_G_PER_KG, RICHER, WHISK_AT_C } from './house';
import { fromLarder, heaviest, ofRole, weighable, type Added } from './rescue';
import type { CauseId } from './words';

/** A change of the sheet by which it does not come again. */
export interface Prevention {
  readonly label: string;
  /** What it moves, before → after; '' for what is only done otherwise. */
  readonly moves: string;
  /** The sheet with it; null for a habit that no sheet holds. */
  readonly change: Sheet | null;
}

const arrow = (name: string, before: string | null, after: string | null): string | null =>
  before !== null && after !== null && before !== after ? `${name} ${before} → ${after}` : null;

const windowWords = (s: SheetAnalysis, partId: string): string | null => {
  const a = s.parts.find((p) => p.part.id === partId);
  return a?.window.ok ? `${clockFace(a.window.value.opensS)}–${a.window.value.closesS === null ? '…' : clockFace(a.window.value.closesS)}` : null;
};

/** The figures that a change moves, most telling first, at most three. */
function movesOf(before: SheetAnalysis, after: SheetAnalysis, partId: string): string {
  const of = (s: SheetAnalysis) => s.parts.find((p) => p.part.id === partId);
  const [b, a] = [of(before), of(after)];
  const hours = (h: number | null | undefined): string | null => (h == null ? null : showHours(h));
  const dose = (x: typeof b): string | null => (x?.gelatin.ok ? withUnit(plainNumber(x.gelatin.value.doseGPerKg, 1), 'g/kg') : null);
  const rows = [
    arrow('window', windowWords(before, partId), windowWords(after, partId)),
    arrow('fat', b?.fatPct == null ? null : withUnit(plainNumber(b.fatPct, 1), '%'), a?.fatPct == null ? null : withUnit(plainNumber(a.fatPct, 1), '%')),
    arrow('gelatin', dose(b), dose(a)),
    arrow('clean', hours(before.keeping.cleanH), hours(after.keeping.cleanH)),
    arrow('sweetness', plainNumber(before.sweetness, 1), plainNumber(after.sweetness, 1)),
    arrow('served after', hours(before.sheet.servedAfterH), hours(after.sheet.servedAfterH)),
  ];
  return rows
    .filter((r) => r !== null)
    .slice(0, 3)
    .join(' · ');
}

type Change = { readonly label: string; readonly change: Sheet | null };

const withPart = (b: Bowl, change: (part: Part) => Part, partId = b.a.part.id): Sheet => ({
  ...b.s.sheet,
  parts: b.s.sheet.parts.map((p) => (p.id === partId ? change(p) : p)),
});
const withWhisk = (b: Bowl, change: Partial<Part['whisk']>): Sheet => withPart(b, (p) => ({ ...p, whisk: { ...p.whisk, ...change } }));
const stepOf = (b: Bowl): string | null => b.s.sheet.steps.find((s) => s.partId === b.a.part.id)?.id ?? null;

function freshId(sheet: Sheet): string {
  const taken = new Set(sheet.parts.flatMap((p) => p.lines.map((l) => l.id)));
  let n = 1;
  while (taken.has(`prevents-${n}`)) n++;
  return `prevents-${n}`;
}

/** Some of an ingredient more in the part: on its own line where it has one. */
function withMore(b: Bowl, added: Added): Sheet {
  const own = b.a.reading.lines.find((l) => l.ingredient?.id === added.ingredientId && l.read);
  return withPart(b, (p) => ({
    ...p,
    lines: own
      ? p.lines.map((l) => (l.id === own.line.id ? { ...lineOf({ ...added, name: own.name, massG: own.read!.massG + added.massG }, l.id, l.stepId) } : l))
      : [...p.lines, lineOf(added, freshId(b.s.sheet), stepOf(b))],
  }));
}

function gelatinTo(b: Bowl): Change[] {
  if (!b.a.gelatin.ok) return [];
  const { advised225G } = b.a.gelatin.value;
  const own = heaviest(b.a.reading.lines.filter((l) => l.ingredient?.bloom && l.read));
  const kind = own?.ingredient ?? b.kitchen.larder.get('gelatin-powder-225');
  if (!kind || advised225G < 0.5) return [];
  const massG = weighable(advised225G * Math.sqrt(REFERENCE_BLOOM / (kind.bloom ?? REFERENCE_BLOOM)));
  const change = own
    ? withPart(b, (p) => ({
        ...p,
        lines: p.lines.map((l) => (l.id === own.line.id ? lineOf({ ingredientId: kind.id, name: own.name, massG }, l.id, l.stepId) : l)),
      }))
    : withMore(b, { ingredientId: kind.id, name: kind.name, massG });
  return [{ label: `${showGrams(massG)} ${own?.name ?? kind.name}`, change }];
}

function stabilised(b: Bowl): Change[] {
  if (b.a.reading.gelatin225G > 0) return gelatinTo(b);
  const gelatin = fromLarder(b, weighable((HOLDS_G_PER_KG * b.a.reading.mixture.massG) / 1000), 'gelatin-powder-225', 'gelatin-leaf-gold');
  return gelatin ? [{ label: `${showGrams(gelatin.massG)} gelatin in it`, change: withMore(b, gelatin) }] : [];
}

function fatTo(b: Bowl, wishPct: number, sourcePct: number, ids: readonly string[], label: string): Change[] {
  const bare = b.a.reading.mixture.massG - b.a.reading.addedSugarG;
  const add = b.a.fatPct === null ? null : addToReachFat(wishPct, bare, b.a.fatPct, sourcePct);
  if (!add?.ok || add.value < 1) return [];
  const more = fromLarder(b, weighable(add.value), ...ids);
  return more ? [{ label: `${showGrams(more.massG)} ${label} in it`, change: withMore(b, more) }] : [];
}

function sweetTo(b: Bowl): Change[] {
  const band = SWEETNESS_BANDS[b.s.sheet.sweetness];
  const sugar = heaviest(ofRole(b, 'sugar'));
  if (!sugar || b.s.sweetness <= band.high) return [];
  const massG = weighable(Math.max(1, (sugar.read!.massG * (band.low + band.high)) / 2 / b.s.sweetness));
  return [
    {
      label: `${showGrams(massG)} ${sugar.name} instead of ${showGrams(sugar.read!.massG)}`,
      change: withPart(b, (p) => ({
        ...p,
        lines: p.lines.map((l) => (l.id === sugar.line.id ? lineOf({ ingredientId: sugar.ingredient!.id, name: sugar.name, massG }, l.id, l.stepId) : l)),
      })),
    },
  ];
}

function dipTo(b: Bowl): Change[] {
  const right = soaksOf(b.s).find((x) => x.partId === b.a.part.id)?.rightS;
  if (!right?.ok) return [];
  const dipS = Math.round(2 * right.value) / 2;
  return [{ label: `dip ${withUnit(plainNumber(dipS, 1), 's')}`, change: { ...b.s.sheet, tin: { ...b.s.sheet.tin, dipS } } }];
}

function foldTo(b: Bowl): Change[] {
  const meeting = meetingsOf(b.s).find((m) => m.partId === b.a.part.id && m.mend);
  if (!meeting?.mend) return [];
  const { partId, name, toC } = meeting.mend;
  return [
    {
      label: `${name} at ${withUnit(plainNumber(toC, 0), '°C')} when it is folded`,
      change: withPart(b, (p) => ({ ...p, heat: { ...p.heat, atC: toC } }), partId),
    },
  ];
}

function restTo(b: Bowl): Change[] {
  const { use, family } = b.s.sheet;
  const hours = Math.ceil(hoursToSet(use === 'turn-out' ? 'turn-out' : use === 'slice' ? 'slice' : 'glass') + 2);
  if (family === 'semifreddo' || b.s.sheet.servedAfterH >= hours) return [{ label: 'longer in the cold, alone on its shelf', change: null }];
  return [{ label: `served after ${showHours(hours)}`, change: { ...b.s.sheet, servedAfterH: hours } }];
}

function softerFrost(b: Bowl): Change[] {
  const m = frozenMixOf(b.s);
  const moved = m ? moveSliceTo(m, freezerOf(b.kitchen, b.s.sheet), 'sucrose') : null;
  const sugar = moved?.ok && moved.value.amount > 0 ? fromLarder(b, weighable(Math.min(moved.value.amount, 0.06 * b.s.mixture.massG)), 'sugar-caster') : null;
  return sugar && sugar.massG >= 1 ? [{ label: `${showGrams(sugar.massG)} more sugar`, change: withMore(b, sugar) }] : [];
}

function smallerMixer(b: Bowl): Change[] {
  const input = b.a.whiskInput.ok ? b.a.whiskInput.value : null;
  const other = input
    ? b.kitchen.mixers.find((m) => m.id !== b.a.part.whisk.mixerId && m.kind !== 'processor' && whip({ ...input, mixer: m.kind, bowlMl: m.bowlMl }).ok)
    : undefined;
  return other ? [{ label: `whisk it with the ${other.name}`, change: withWhisk(b, { mixerId: other.id, batches: 1 }) }] : [];
}

const habit = (...labels: string[]): Change[] => labels.map((label) => ({ label, change: null }));

function past(b: Bowl): Change[] {
  const w = b.a.part.whisk;
  const slow: Change[] =
    b.a.mixer?.kind === 'planetary' && !w.slowFromSoft ? [{ label: 'drop to slow at soft peak', change: withWhisk(b, { slowFromSoft: true }) }] : [];
  const softer: Change[] = w.stage === 'firm' ? [{ label: 'stop at medium', change: withWhisk(b, { stage: 'medium' }) }] : [];
  return [...slow, ...cold(b), ...softer, ...habit('start its clock: Pass calls before the window closes')];
}

const cold = (b: Bowl): Change[] =>
  b.a.part.whisk.creamC > WHISK_AT_C
    ? [{ label: `cream and bowl at ${withUnit(String(WHISK_AT_C), '°C')}`, change: withWhisk(b, { creamC: WHISK_AT_C }) }]
    : habit(`take its temperature: ${withUnit(String(WHISK_AT_C), '°C')} in the bowl`);

const finer = (b: Bowl): Change[] => {
  const coarse = heaviest(ofRole(b, 'sugar').filter((l) => l.ingredient!.id === 'sugar-granulated' || l.ingredient!.id === 'sugar-caster'));
  const icing = b.kitchen.larder.get('icing-sugar-starch');
  if (!coarse || !icing)
    return b.a.part.whisk.sugarAt === 'soft-peak' ? [{ label: 'sugar in from the start', change: withWhisk(b, { sugarAt: 'start' }) }] : [];
  return [
    {
      label: 'icing sugar instead',
      change: withPart(b, (p) => ({
        ...p,
        lines: p.lines.map((l) =>
          l.id === coarse.line.id ? lineOf({ ingredientId: icing.id, name: 'icing sugar', massG: coarse.read!.massG }, l.id, l.stepId) : l,
        ),
      })),
    },
  ];
};

const tempered = (b: Bowl): Change[] => {
  const t = temperingOf(b.a);
  return habit(
    t?.ok && t.value.spoonfulG > 0
      ? `beat ${showGrams(t.value.spoonfulG)} of it into the gelatin first: ${withUnit(plainNumber(t.value.spoonfulC, 0), '°C')}`
      : 'everything that meets gelatin at 22 °C or more',
  );
};

const BY_CAUSE: Readonly<Record<CauseId, (b: Bowl) => readonly Change[]>> = {
  'past-firm': past,
  'warm-cream': cold,
  'rich-cream': (b) => fatTo(b, 36, 3.6, ['milk-whole'], 'milk'),
  'lean-cream': (b) => fatTo(b, RICHER.toPct, RICHER.withPct, ['cream-48'], 'double cream'),
  'gas-first': () => habit('cold cream to the mark, a charge by its maker’s figures, held straight down'),
  'nozzle-blocked': () => habit('all that goes in through a fine sieve; icing sugar dissolved first'),
  'stopped-early': () => habit('start its clock with the whisk'),
  'out-of-reach': smallerMixer,
  'too-wet': stabilised,
  'fat-melted': () => habit('6 to 12 h in the cold before the whisk'),
  'coarse-sugar': finer,
  'past-hold': stabilised,
  'no-stabiliser': stabilised,
  'soft-stage': (b) => [{ label: 'whisk to medium', change: withWhisk(b, { stage: 'medium' }) }],
  'warm-place': (b) => habit(`the fridge at 4 °C${b.kitchen.rules.fridgeC > 4 ? `: it is entered as ${plainNumber(b.kitchen.rules.fridgeC, 0)}` : ''}`),
  'fat-in-whites': () => habit('each egg over a cup; bowl wiped with vinegar'),
  'whisked-dry': () => habit('stop at soft peak for folding, firm for baking'),
  'sugar-early': () => habit('a third of the sugar at soft peak, the rest by spoons'),
  'not-long-yolks': () => habit('whisk until a trail stays for three seconds'),
  'cold-contact': tempered,
  'dry-gelatin': () => habit('powder in five times its weight of cold water, leaves in plenty, 10 min'),
  'boiled-gelatin': () => habit('melted at 50 to 60 °C, never on the flame'),
  'low-dose': gelatinTo,
  'raw-fruit': () => habit('heat that fruit to 85 °C first'),
  'too-strong-set': () => habit('less spirit in what sets, more beside it'),
  'too-soon': restTo,
  'high-dose': gelatinTo,
  'little-water': () => habit('spoon and bowl dry; liqueur only with a fifth of liquid'),
  'too-hot-mix': () => habit('mix below 40 °C, in three goes'),
  'too-fat-mix': () => habit('more cream or milk for so much chocolate'),
  'cold-fold': foldTo,
  'butter-cold': () => habit('butter at 20 °C, in pieces'),
  'butter-warm': () => habit('meringue at 24 °C or less before the butter'),
  'worked-again': () => habit('a trial of one spoon on paper; what was piped is served or kept apart, and goes back into no bag'),
  'over-mixed': () => habit('cheese beaten 20 to 30 s, then by hand'),
  'cold-cheese': () => habit('cheese an hour out of the cold, stirred alone first'),
  'too-hot': () => habit('off the hob at 82 °C, into a cold bowl'),
  'not-cooked': () => habit('a thermometer in it to the end'),
  'starch-thinned': () => habit('a full minute at the boil; honey and banana beside, not in it'),
  'dry-starch': () => habit('starch smooth in something cold first'),
  'too-little-heat': () => habit('over steam to 71 °C; or eggs from a carton'),
  'stirred-syrup': () => habit('no spoon once it boils; a spoon of glucose in it'),
  'too-deep': () => habit('ice water first, then shallow: Cold says how deep'),
  'fruit-early': () => habit('fruit on at the moment of serving'),
  'no-acid': () => habit('turned in lemon juice at once'),
  'over-folded': () => habit('a third first, then the rest; stop at the last streak'),
  'warm-fold': foldTo,
  waited: () => habit('base and foam ready at the same minute: Clock does that'),
  'dipped-long': dipTo,
  'dipped-short': dipTo,
  miscounted: () => habit('count them in Tin for the vessel that is there'),
  'no-lining': () => habit('film or acetate with long ends'),
  'too-soft-set': (b) => (b.a.reading.gelatin225G > 0 ? gelatinTo(b) : stabilised(b)),
  'little-fat-base': () => habit('30 % of fat in the base, pressed with a glass'),
  'cooled-fast': () => habit('left in the oven, door shut, until it is cold'),
  'crowned-early': () => habit('crowned within the hour it is eaten'),
  'much-ice': softerFrost,
  'little-ice': sweetTo,
  'warm-freezer': () => habit('a thermometer in the freezer; -18 °C or less'),
  'slow-freezing': () => habit('smaller moulds, alone on the metal floor'),
  'freezer-open': () => habit('a freezer alarm, or a written round'),
  'more-than-band': sweetTo,
  'weighed-wrong': () => habit('tick each line at the scale on Pass'),
  'tastes-cold': () => habit('taste it at the temperature at which it is eaten'),
  'smaller-yield': () => habit('weigh a cup of foam: the log corrects the yield'),
  'larger-yield': () => habit('weigh a cup of foam: the log corrects the yield'),
  'step-missed': () => habit('weigh everything ahead: what is left on the bench was missed'),
  'not-divided': () => habit('mise en place: divided amounts stand apart'),
  'nobody-there': () => habit('a timer that rings where you are'),
};

/** Where the sheet is right already, only the work can be. */
const AS_IT_IS = habit('nothing in the sheet: it is as it should be; write down what was done');

/** What keeps a cause from coming again, each with the figures that it moves. */
export function preventions(b: Bowl, cause: CauseId): readonly Prevention[] {
  const found = BY_CAUSE[cause](b);
  return (found.length > 0 ? found : AS_IT_IS).map(({ label, change }) => ({
    label,
    change,
    moves: change ? movesOf(b.s, analyseSheet(change, b.kitchen), b.a.part.id) : '',
  }));
}
