import Papa from 'papaparse';
import { COMPONENTS, type Component } from '../composition/components';
import { IngredientSchema, type Ingredient } from '../composition/ingredient';
import { readTable, type ReadTable } from '../table/table';
import { fail, ok, type Fault, type Result } from '../result';

/** The columns of a larder file, in their order. Grams are per 100 g; lists are parted by ';', aliases by '|'. */
export const LARDER_COLUMNS = [
  'id',
  'name',
  'category',
  ...COMPONENTS,
  'density_g_per_ml',
  'grams_per_us_cup',
  'piece_grams',
  'piece_name',
  'bloom',
  'biscuit_shape',
  'biscuit_w_mm',
  'biscuit_l_mm',
  'biscuit_h_mm',
  'soak_uptake_1s_pct',
  'soak_uptake_2s_pct',
  'soak_uptake_4s_pct',
  'pack_grams',
  'edible_pct',
  'price_per_kg',
  'allergens',
  'flags',
  'note',
  'foam_role',
  'own_sweetness',
  'own_freezing',
  'aliases',
  'inferred',
  'own',
  'revision',
] as const;

type Row = Readonly<Record<string, string>>;
type CellNumber = ReadTable['number'];

const list = (cell: string | undefined, mark: string): string[] =>
  cell
    ? cell
        .split(mark)
        .map((x) => x.trim())
        .filter(Boolean)
    : [];

function ingredientOf(row: Row, number: CellNumber): unknown {
  const value = (column: string): number | null => ((row[column] ?? '').trim() === '' ? null : number(row[column]!));
  const piece = value('piece_grams');
  const shape = (row.biscuit_shape ?? '').trim();
  const width = value('biscuit_w_mm');
  const isBiscuit = width !== null && value('soak_uptake_1s_pct') !== null;
  return {
    id: row.id,
    name: row.name,
    aliases: list(row.aliases, '|'),
    category: row.category,
    foamRole: row.foam_role || 'none',
    composition: Object.fromEntries(COMPONENTS.map((c: Component) => [c, value(c) ?? 0])),
    densityGPerMl: value('density_g_per_ml'),
    gramsPerUsCup: value('grams_per_us_cup'),
    piece: piece === null ? null : { grams: piece, name: row.piece_name ?? '' },
    bloom: value('bloom'),
    ownSweetness: value('own_sweetness'),
    ownFreezing: value('own_freezing'),
    packG: value('pack_grams'),
    ediblePct: value('edible_pct') ?? 100,
    pricePerKg: value('price_per_kg'),
    allergens: list(row.allergens, ';'),
    flags: list(row.flags, ';'),
    note: row.note ?? '',
    biscuit: isBiscuit
      ? {
          shape: shape === 'round' || shape === 'rect' ? shape : 'loose',
          widthMm: width,
          lengthMm: value('biscuit_l_mm'),
          heightMm: value('biscuit_h_mm'),
          uptakePct: [value('soak_uptake_1s_pct'), value('soak_uptake_2s_pct'), value('soak_uptake_4s_pct')],
        }
      : null,
    inferred: list(row.inferred, ';'),
    own: row.own === 'yes',
  };
}

/** What a larder file holds: the ingredients that could be read, and a sentence for each row that could not. */
export interface ReadLarder {
  readonly ingredients: readonly Ingredient[];
  /** As which revision each was taken out of a kitchen, by its id; none where the file does not say. */
  readonly revisions: ReadonlyMap<string, number>;
  readonly faults: readonly Fault[];
}

/**
 * Reads a larder file: header row, any of comma, semicolon or tab, decimal point or comma, with or without a byte-order mark.
 * Columns that are missing count as empty; `id` and `name` must be there.
 * @returns a fault on the whole file when it is no such table; otherwise every row, read or refused with its number.
 */
export function readLarderCsv(text: string): Result<ReadLarder> {
  const table = readTable(text, ['id', 'name']);
  if (!table.ok) return table;
  const ingredients: Ingredient[] = [];
  const revisions = new Map<string, number>();
  const faults: Fault[] = [];
  const seen = new Set<string>();
  table.value.rows.forEach((written, i) => {
    const row = Object.fromEntries(Object.entries(written).map(([column, text]) => [column, asMeant(text)]));
    const where = `row ${i + 2} (${(row.id ?? '').slice(0, 40) || 'no id'})`;
    if (table.value.slipped.has(i)) {
      faults.push({
        field: where,
        code: 'slipped',
        says: `${where}: it has more cells than there are columns. A comma in a text needs quotation marks round the text.`,
      });
      return;
    }
    const parsed = IngredientSchema.safeParse(ingredientOf(row, table.value.number));
    if (!parsed.success) {
      const issue = parsed.error.issues[0];
      faults.push({ field: where, code: 'row', says: `${where}: ${issue?.path.join('.') ?? ''} ${issue?.message ?? 'cannot be read'}.` });
    } else if (seen.has(parsed.data.id)) faults.push({ field: where, code: 'twice', says: `${where}: this id stands in the file twice; the first is taken.` });
    else {
      seen.add(parsed.data.id);
      ingredients.push(parsed.data);
      const revision = (row.revision ?? '').trim() === '' ? NaN : table.value.number(row.revision!);
      if (revision !== null && Number.isInteger(revision) && revision > 0) revisions.set(parsed.data.id, revision);
    }
  });
  if (ingredients.length === 0) return fail('file', 'empty', faults[0]?.says ?? 'There is no ingredient in this file.');
  return ok({ ingredients, revisions, faults });
}

const cell = (value: number | string | null): string => (value === null ? '' : String(value));

/** A text that a table program would take for a sum, with a mark before it that it takes for text; numbers stay numbers. */
const BEGINS_A_SUM = /^'*[=+\-@\t\r]/;
const harmless = (text: string): string => (BEGINS_A_SUM.test(text) && !/^-?[\d.]+(?:e-?\d+)?$/i.test(text) ? `'${text}` : text);
const asMeant = (text: string): string => (text.startsWith("'") && BEGINS_A_SUM.test(text) ? text.slice(1) : text);

/**
 * Writes a larder as the file that `readLarderCsv` reads: nothing is lost either way.
 * @param revisions of the ingredients, by id: so that what is edited meanwhile is known when the file comes back.
 */
export function writeLarderCsv(ingredients: readonly Ingredient[], revisions: ReadonlyMap<string, number> = new Map()): string {
  const rows = ingredients.map((i) => {
    const values: Record<(typeof LARDER_COLUMNS)[number], string> = {
      ...(Object.fromEntries(COMPONENTS.map((c) => [c, cell(i.composition[c])])) as Record<Component, string>),
      id: i.id,
      name: i.name,
      category: i.category,
      density_g_per_ml: cell(i.densityGPerMl),
      grams_per_us_cup: cell(i.gramsPerUsCup),
      piece_grams: cell(i.piece?.grams ?? null),
      piece_name: i.piece?.name ?? '',
      bloom: cell(i.bloom),
      biscuit_shape: i.biscuit?.shape === 'loose' ? '' : (i.biscuit?.shape ?? ''),
      biscuit_w_mm: cell(i.biscuit?.widthMm ?? null),
      biscuit_l_mm: cell(i.biscuit?.lengthMm ?? null),
      biscuit_h_mm: cell(i.biscuit?.heightMm ?? null),
      soak_uptake_1s_pct: cell(i.biscuit?.uptakePct[0] ?? null),
      soak_uptake_2s_pct: cell(i.biscuit?.uptakePct[1] ?? null),
      soak_uptake_4s_pct: cell(i.biscuit?.uptakePct[2] ?? null),
      pack_grams: cell(i.packG),
      edible_pct: cell(i.ediblePct),
      price_per_kg: cell(i.pricePerKg),
      allergens: i.allergens.join(';'),
      flags: i.flags.join(';'),
      note: i.note,
      foam_role: i.foamRole,
      own_sweetness: cell(i.ownSweetness),
      own_freezing: cell(i.ownFreezing),
      aliases: i.aliases.join('|'),
      inferred: i.inferred.join(';'),
      own: i.own ? 'yes' : '',
      revision: cell(revisions.get(i.id) ?? null),
    };
    return LARDER_COLUMNS.map((c) => harmless(values[c]));
  });
  return `${Papa.unparse({ fields: [...LARDER_COLUMNS], data: rows }, { newline: '\n' })}\n`;
}
