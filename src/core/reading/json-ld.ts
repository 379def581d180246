import { MOST_CHARACTERS } from '../table/table';
import { fail, ok, type Result } from '../result';
import { portionsIn } from './setting';
import { lookUp } from '../look-up';

type Json = Readonly<Record<string, unknown>>;
const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const isType = (x: Json, type: string): boolean =>
  (Array.isArray(x['@type']) ? x['@type'] : [x['@type']]).some((t) => typeof t === 'string' && t.replace(/^.*[/#]/, '') === type);
/** No recipe is nested deeper. */
const DEEPEST = 12;
const MOST_ROWS = 2000;

/** The first schema.org Recipe in a tree of JSON; null when there is none. */
function findRecipe(x: unknown, depth: number): Json | null {
  if (depth > DEEPEST) return null;
  if (Array.isArray(x)) {
    for (const item of x.slice(0, MOST_ROWS)) {
      const found = findRecipe(item, depth + 1);
      if (found) return found;
    }
    return null;
  }
  if (!isObject(x)) return null;
  if (isType(x, 'Recipe')) return x;
  for (const key of ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item']) {
    const found = findRecipe(x[key], depth + 1);
    if (found) return found;
  }
  return null;
}

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  deg: '°',
  eacute: 'é',
  egrave: 'è',
  uuml: 'ü',
};

/** Text without tags, entities turned to letters. */
export function plainText(html: unknown): string {
  if (typeof html === 'number') return String(html);
  if (typeof html !== 'string') return '';
  return html
    .slice(0, 20_000)
    .replace(/<br\s*\/?>|<\/p>|<\/li>/gi, '\n')
    .replace(/<[^>]{0,400}>/g, ' ')
    .replace(/&#x([0-9a-f]{1,6});/gi, (_, hex: string) => letter(parseInt(hex, 16)))
    .replace(/&#(\d{1,7});/g, (_, n: string) => letter(Number(n)))
    .replace(/&(\w{2,8});/g, (whole, name: string) => lookUp(ENTITIES, name) ?? whole)
    .replace(/[ \t\u00a0]+/g, ' ')
    .trim();
}

const letter = (code: number): string => (code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : ' ');

/** Every text of instructions, one a row; sections as headings. */
function stepsOf(x: unknown, depth = 0): readonly string[] {
  if (depth > DEEPEST) return [];
  if (typeof x === 'string') {
    return plainText(x)
      .split(/\n+/)
      .filter((t) => t.trim() !== '')
      .map((text) => text.trim().replace(/^\d{1,2}[.)]\s+/, ''));
  }
  if (Array.isArray(x)) return x.slice(0, MOST_ROWS).flatMap((item) => stepsOf(item, depth + 1));
  if (!isObject(x)) return [];
  if (isType(x, 'HowToSection')) return [...(x.name ? ['', `${plainText(x.name)}:`] : []), ...stepsOf(x.itemListElement ?? x.steps, depth + 1)];
  if (x.itemListElement) return stepsOf(x.itemListElement, depth + 1);
  const text = plainText(x.text ?? x.name ?? '');
  return text ? [text.replace(/\n+/g, ' ')] : [];
}

/** Whether text holds a JSON-LD block or is JSON itself. */
export const looksLikeJson = (text: string): boolean => /application\/ld\+json/i.test(text.slice(0, 2_000_000)) || /^\s*[[{]/.test(text.slice(0, 2000));

/**
 * Reads a schema.org Recipe, from a JSON file or from a page that holds one in a script block.
 * @returns its text as a cook would write it down; a fault on `file` when there is no recipe in it or it is no JSON.
 */
export function textOfJsonLd(text: string): Result<string> {
  if (text.length > MOST_CHARACTERS) return fail('file', 'too-large', 'That file is larger than 5 MB: no recipe is. Nothing was read.');
  const blocks = /<script/i.test(text)
    ? [...text.matchAll(/<script[^>]{0,300}application\/ld\+json[^>]{0,300}>([\s\S]*?)<\/script>/gi)].map((m) => m[1]!)
    : [text];
  let broken = false;
  for (const block of blocks) {
    let json: unknown;
    try {
      json = JSON.parse(block.trim().replace(/^\uFEFF/, ''));
    } catch {
      broken = true;
      continue;
    }
    const recipe = findRecipe(json, 0);
    if (recipe) return ok(written(recipe));
  }
  return broken
    ? fail('file', 'no-json', 'That is not JSON that can be read: it may be cut off. Paste the recipe as text instead.')
    : fail('file', 'no-recipe', 'There is no schema.org Recipe in it.');
}

/** A recipe as plain text: title, yield, ingredients, method, and what is said about it as a note. */
function written(recipe: Json): string {
  const yields = (Array.isArray(recipe.recipeYield) ? recipe.recipeYield : [recipe.recipeYield]).map(plainText).filter(Boolean);
  const said = yields.find((y) => portionsIn([/\D/.test(y) ? y : `Serves ${y}`], '') !== null) ?? yields[0];
  const list = Array.isArray(recipe.recipeIngredient) ? recipe.recipeIngredient : Array.isArray(recipe.ingredients) ? recipe.ingredients : [];
  const about = plainText(recipe.description);
  return [
    plainText(recipe.name) || 'Recipe without a name',
    ...(said ? [/\D/.test(said) ? said : `Serves ${said}`] : []),
    '',
    'Ingredients',
    ...list.slice(0, MOST_ROWS).flatMap((item) => {
      const line = plainText(item).replace(/\n/g, ' ');
      return line ? [line.endsWith(':') ? `\n${line}` : line] : [];
    }),
    '',
    'Method',
    ...stepsOf(recipe.recipeInstructions),
    ...(about ? ['', 'Notes', about] : []),
  ].join('\n');
}
