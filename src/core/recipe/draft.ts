import type { Ingredient } from '../composition/ingredient';
import type { Role } from '../larder/role';
import { readLine, splitLine, type Measures } from '../measures/line';
import { matchOf, type Match, type Matcher } from '../measures/match';
import { CUP_SYSTEMS, differsBySystem, type CupSystem } from '../measures/units';
import { namesPart } from '../sheet/feed';
import { isLossText } from '../sheet/loss';
import type { Family, PartKind } from '../sheet/kinds';

/** What a row of a written recipe was taken for. */
export type RowKind = 'title' | 'yield' | 'heading' | 'part' | 'line' | 'step' | 'note';

/** One row of a written recipe, as it was found. */
export interface SourceRow {
  /** Without bullets, numbers and marks. */
  readonly text: string;
  readonly kind: RowKind;
  /** As it stands in the source, where that is more. */
  readonly written?: string;
}

/** How sure a line is of its ingredient. */
export type Sureness = 'sure' | 'doubtful' | 'unknown';

/** A row with what it becomes; the cook may take it for something else, or settle its ingredient. */
export interface DraftRow extends SourceRow {
  /** For a line: which ingredient, how sure, and what else it may be. */
  readonly ingredientId: string | null;
  readonly sureness: Sureness;
  readonly confidence: number;
  readonly options: readonly Match[];
  /** g; null where it cannot be weighed yet. */
  readonly massG: number | null;
  /** Why not, in words. */
  readonly says: string;
  /** For a line that is no ingredient: it takes from another part, or says what is lost. */
  readonly takes: 'part' | 'loss' | null;
}

export interface RecipeDraft {
  readonly rows: readonly DraftRow[];
  /** Which cup and spoon the recipe means, as far as its words tell. */
  readonly cups: CupSystem;
  readonly cupsWhy: string;
}

export interface DraftContext {
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly matcher: Matcher;
  readonly measures: Measures;
  /** The parts that the recipe names: a line may take from them. */
  readonly partNames?: readonly string[];
}

/** From here on a match is taken without asking. */
export const SURE_FROM = 0.85;

/** Reads all rows, so that lines may take from parts that the recipe names. `settled` holds what the cook has chosen, by row. */
export function draftRows(rows: readonly SourceRow[], context: DraftContext, settled: Readonly<Record<number, string>> = {}): readonly DraftRow[] {
  const partNames = rows.filter((r) => r.kind === 'part').map((r) => r.text);
  return rows.map((r, i) => draftRow(r, { ...context, partNames }, settled[i]));
}

/** Reads one row again, as what it is taken for. */
export function draftRow(row: SourceRow, context: DraftContext, settledId?: string): DraftRow {
  const none: DraftRow = { ...row, ingredientId: null, sureness: 'sure', confidence: 1, options: [], massG: null, says: '', takes: null };
  if (row.kind !== 'line') return none;
  if (settledId === undefined && isLossText(row.text)) return { ...none, takes: 'loss' };
  if (settledId === undefined && namesPart(row.text, context.partNames ?? [])) return { ...none, takes: 'part' };
  const written = splitLine(row.text.slice(0, 500));
  const match = matchOf(written, context.matcher);
  const id = settledId ?? match?.ingredient.id ?? null;
  const ingredient = id === null ? null : (context.larder.get(id) ?? null);
  const read = readLine(row.text.slice(0, 500), ingredient, context.measures);
  const confidence = settledId ? 1 : (match?.confidence ?? 0);
  return {
    ...none,
    ingredientId: ingredient?.id ?? null,
    sureness: !ingredient ? 'unknown' : confidence >= SURE_FROM && read.ok ? 'sure' : 'doubtful',
    confidence,
    options: context.matcher.find(written.name, 5),
    massG: read.ok ? read.value.massG : null,
    says: read.ok ? '' : read.fault.says,
  };
}

/** Which cups a recipe means, by words that only one place uses. */
export function cupsOf(text: string, usual: CupSystem): { readonly cups: CupSystem; readonly why: string } {
  const found: readonly (readonly [RegExp, CupSystem, string])[] = [
    [/\b20[\s-]?ml tablespoons?\b|\baustralian\b/i, 'australian', 'it speaks of Australian measures'],
    [/\bimperial\b|\b(?:10|1\/2)[\s-]?(?:fl ?)?oz(?:\/\d+ ?ml)? cups?\b/i, 'imperial', 'it speaks of imperial measures'],
    [/\b250[\s-]?ml cups?\b|\bmetric cups?\b/i, 'metric', 'it says 250 mL cups'],
    [/\bsticks?\b|°\s?F\b|\bheavy (?:whipping )?cream\b|\bconfectioners?\b|\ball-purpose\b|\bgraham\b/i, 'us', 'of its words (sticks, °F, heavy cream)'],
    [/\bthickened cream\b|\bcaster sugar\b.*\bcup/is, 'metric', 'of its words (cups with caster sugar or thickened cream)'],
    [/\bdouble cream\b|\bcaster\b|\bicing sugar\b|\bpints?\b/i, 'imperial', 'of its words (double cream, caster, pint)'],
  ];
  const hit = found.find(([pattern]) => pattern.test(text));
  return hit ? { cups: hit[1], why: hit[2] } : { cups: usual, why: 'the kitchen’s own cups are these' };
}

/** The same line with its cup system written out, where the recipe means another one than the kitchen. */
export function withCups(text: string, means: CupSystem, kitchen: CupSystem): string {
  if (means === kitchen) return text;
  let out = text;
  for (const a of splitLine(text).amounts) {
    if (!a.unit || a.system || !differsBySystem(a.unit)) continue;
    const unit = /(fl\.?\s?oz\.?|fluid\s\w+|\p{L}+\.?)$/iu.exec(a.text);
    if (!unit) continue;
    out = out.replace(a.text, () => `${a.text.slice(0, unit.index)}${CUP_SYSTEMS[means].name} ${unit[0]}`);
  }
  return out;
}

const KIND_WORDS: readonly (readonly [RegExp, PartKind])[] = [
  [/\bsoak|\bsyrup\b.*\b(?:dip|brush)|\bcoffee\b/i, 'soak'],
  [/\bcrust|\bbase\b|\bcrumb/i, 'pressed-base'],
  [/\bmeringue|\bnest|\bdacquoise|\bpavlova|\bshell/i, 'meringue'],
  [/\bcustard|\bpastry cream|\bpudding\b/i, 'custard'],
  [/\bganache|\bchocolate (?:base|sauce|layer)/i, 'chocolate-base'],
  [/\bcompote|\bcoulis|\bfruit|\bpur[eé]e|\bjelly/i, 'fruit-base'],
  [/\btopping|\bto serve|\bto finish|\bgarnish|\bdecorat/i, 'topping'],
  [/\bcrown/i, 'crown'],
  [/\bfilling|\bmousse|\bcheesecake/i, 'set-filling'],
  [/\bfrosting|\bcheese|\bmascarpone/i, 'cheese-cream'],
  [/\bfinger|\bbiscuit|\bcookie|\bwafer|\bsponge|\blayers?\b/i, 'biscuit-layer'],
  [/\bcream|\bchantilly|\bsyllabub/i, 'whipped-cream'],
];

/** What kind of part a heading and its ingredients make, as far as they tell. */
export function guessKind(name: string, roles: ReadonlySet<Role>): PartKind {
  const named = KIND_WORDS.find(([pattern]) => pattern.test(name))?.[1];
  if (named && fits(named, roles)) return named === 'whipped-cream' && roles.has('cheese') ? 'cheese-cream' : named;
  if (roles.has('part')) return 'set-filling';
  if (roles.size > 0 && [...roles].every((r) => r === 'biscuit')) return 'biscuit-layer';
  if (roles.has('biscuit') && roles.has('butter') && !roles.has('cream')) return 'pressed-base';
  if (roles.has('cream')) return roles.has('cheese') ? 'cheese-cream' : 'whipped-cream';
  if (roles.has('cheese')) return 'cheese-cream';
  if (roles.has('white') && roles.has('sugar') && !roles.has('milk')) return 'meringue';
  if (roles.has('yolk')) return roles.has('milk') ? 'custard' : 'egg-foam';
  if (roles.has('milk') && (roles.has('starch') || roles.has('egg'))) return 'custard';
  if (roles.has('chocolate')) return 'chocolate-base';
  if (roles.has('fruit')) return 'fruit-base';
  if (roles.has('liquid') || roles.has('drink')) return 'soak';
  return 'topping';
}

/** A part of whipped cream needs cream or cheese; the rest is believed. */
const fits = (kind: PartKind, roles: ReadonlySet<Role>): boolean => (kind === 'whipped-cream' ? roles.has('cream') : kind === 'meringue' ? roles.has('white') : true);

const FAMILY_WORDS: readonly (readonly [RegExp, Family])[] = [
  [/tirami|trifle/i, 'tiramisu'],
  [/icebox|refrigerator cake|slice\b/i, 'icebox'],
  [/syllabub/i, 'syllabub'],
  [/semifreddo|parfait|frozen/i, 'semifreddo'],
  [/mousse/i, 'mousse'],
  [/cheesecake|tart\b/i, 'cheesecake'],
  [/nest|meringue|pavlova/i, 'nest'],
  [/frosting|icing|stabili[sz]ed|piping/i, 'frosting'],
  [/pudding/i, 'pudding'],
];

/** Which family a dessert belongs to, by its name and its parts. */
export function guessFamily(name: string, kinds: readonly PartKind[]): Family {
  const named = FAMILY_WORDS.find(([pattern]) => pattern.test(name))?.[1];
  if (named) return named;
  if (kinds.includes('meringue')) return 'nest';
  if (kinds.includes('soak') && kinds.includes('biscuit-layer')) return 'tiramisu';
  if (kinds.includes('pressed-base')) return 'cheesecake';
  if (kinds.includes('biscuit-layer')) return 'icebox';
  if (kinds.includes('chocolate-base') || kinds.includes('set-filling')) return 'mousse';
  return kinds.length > 1 ? 'pudding' : 'chantilly';
}

