import { MOST_CHARACTERS } from '../files/table';
import { splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';
import type { RowKind, SourceRow } from './draft';

const BULLET = /^[\s\u00a0]*(?:[-–*•▢☐□◦·●○‣]|\[[ x]?\])[\s\u00a0]+/i;
const NUMBERED = /^[\s\u00a0]*(?:step[\s\u00a0]*)?(\d{1,2})[.):][\s\u00a0]+(?=\D)/i;
const INGREDIENTS = /^(?:the )?ingredients?\b[^.]{0,30}:?$/i;
const METHOD = /^(?:the )?(?:method|directions?|instructions?|preparation|procedure|steps|how to make it)\b[^.]{0,20}:?$/i;
const NOTES = /^(?:(?:cook|chef|baker)?['’]?s? ?)?(?:notes?|tips?|storage|to store)\b[^.]{0,20}:?$/i;
const YIELD = /^(?:serves?|makes?|yields?|servings?|portions?|for)\b[:\s]*(?:about |approx\.? )?\d/i;
const TIMES = /^(?:prep(?:aration)?|cook(?:ing)?|total|chill(?:ing)?|rest(?:ing)?|active|ready in|difficulty|level)\b[^.]{0,20}[:\s]\s*(?:time)?:?\s*(?:\d|easy|medium|hard|overnight)/i;
const FOR_THE = /^(?:for|to make) (?:the )?(.{2,60}?):?$/i;
/** A line of ingredients is short; longer rows are told from steps by their verbs. */
const LONGEST_LINE = 140;
const STEP_VERB = /^(?:\w+ly )?(?:add|arrange|bake|beat|blend|bloom|boil|break|bring|brush|chill|chop|combine|cook|cool|cover|crush|cut|dip|dissolve|divide|drain|drizzle|dust|fill|finish|fold|freeze|garnish|grease|heat|in a|into|layer|leave|let|lightly|line|make|meanwhile|melt|mix|place|pipe|pour|preheat|prepare|press|put|refrigerate|remove|rest|roll|scrape|serve|set|sieve|sift|simmer|slice|smooth|soak|soften|spoon|spread|sprinkle|stir|strain|take|tip|top|toast|transfer|turn|unmould|using|warm|wash|weigh|when|whip|whisk|while|with|once|repeat)\b/i;

/** Whether a row reads like an amount and a name. */
function looksLikeLine(text: string): boolean {
  if (text.length > LONGEST_LINE) return false;
  const { amounts, span, name } = splitLine(text.slice(0, 500));
  if (amounts.length === 0 || !span || name === '') return false;
  const leads = span[0] <= 2;
  return leads ? !/[.!]\s+\p{Lu}/u.test(text) : !STEP_VERB.test(text) && text.length < 70 && !/[.!]$/.test(text);
}

/**
 * Reads a recipe as it is written anywhere: a title, what it serves, ingredients under headings, a method. Every row that is not
 * blank comes back, in order, as what it was taken for: nothing is dropped.
 * @returns a fault on `text` when there is nothing in it, or more than 5 MB.
 */
export function readRecipeText(text: string): Result<readonly SourceRow[]> {
  if (text.length > MOST_CHARACTERS) return fail('text', 'too-large', 'That is more than 5 MB of text: no recipe is so long. Nothing was read.');
  const rows = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n|\u2028|\u2029/)
    .map((r) => r.replace(/\u0000/g, ' ').trimEnd());
  if (rows.every((r) => r.trim() === '')) return fail('text', 'empty', 'There is nothing to read yet: paste a recipe, or type it, one ingredient a row.');
  return ok(classified(rows));
}

function classified(rows: readonly string[]): readonly SourceRow[] {
  const out: SourceRow[] = [];
  let mode: 'start' | 'lines' | 'steps' | 'notes' = 'start';
  const filled = rows.map((r) => r.trim());
  for (let i = 0; i < filled.length; i++) {
    const raw = filled[i]!;
    const push = (text: string, kind: RowKind): void => void out.push(text === raw ? { text, kind } : { text, kind, written: raw });
    if (raw === '') continue;
    const bare = raw.replace(/^#{1,6}\s+/, '').replace(/^\*\*(.+)\*\*:?$/, '$1');
    const marked = bare !== raw;
    if (INGREDIENTS.test(bare)) {
      mode = 'lines';
      push(raw, 'heading');
    } else if (METHOD.test(bare)) {
      mode = 'steps';
      push(raw, 'heading');
    } else if (NOTES.test(bare)) {
      mode = 'notes';
      push(raw, 'heading');
    } else if (mode === 'notes') push(raw.replace(BULLET, ''), 'note');
    else if (out.length === 0 && !looksLikeLine(bare) && bare.length <= 120) push(bare, 'title');
    else if (YIELD.test(bare) && bare.length < 60) push(bare, 'yield');
    else if (TIMES.test(bare) && bare.length < 80) push(bare, 'note');
    else if (mode === 'steps') push(stepText(bare), isStepHeading(bare, marked) ? 'heading' : 'step');
    else {
      const item = bare.replace(BULLET, '');
      const bulleted = item !== bare;
      const next = filled.slice(i + 1).find((r) => r !== '') ?? '';
      if (looksLikeLine(item)) {
        mode = 'lines';
        push(item, 'line');
      } else if (!bulleted && isPartHeading(item, marked, next)) {
        mode = 'lines';
        push(partName(item), 'part');
      } else if (NUMBERED.test(item) || STEP_VERB.test(item) || item.length > LONGEST_LINE || /[.!]$/.test(item)) {
        push(stepText(item), mode === 'start' && !STEP_VERB.test(item) && !NUMBERED.test(item) ? 'note' : 'step');
      } else push(item, mode === 'start' ? 'note' : 'line');
    }
  }
  return out;
}

const stepText = (text: string): string => text.replace(BULLET, '').replace(NUMBERED, '').trim();

const isStepHeading = (text: string, marked: boolean): boolean => !NUMBERED.test(text) && text.length < 60 && (marked || (text.endsWith(':') && !/[.!?]/.test(text)));

/** 'For the cream', 'Topping:', or a few words before a row with an amount. */
function isPartHeading(text: string, marked: boolean, next: string): boolean {
  if (text.length > 60 || /[.!?]$/.test(text)) return false;
  if (marked || text.endsWith(':') || FOR_THE.test(text)) return true;
  const unweighed = splitLine(text).unweighed;
  return !unweighed && text.split(/\s+/).length <= 5 && looksLikeLine(next.replace(BULLET, ''));
}

function partName(text: string): string {
  const name = (FOR_THE.exec(text)?.[1] ?? text).replace(/:$/, '').trim();
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** How many a row of yield says: 'Serves 8', 'makes about 12 glasses', 'Serves 6–8' (the greater); null where none is read. */
export function portionsOf(text: string): number | null {
  const numbers = [...text.matchAll(/\d{1,4}/g)].map((m) => Number(m[0])).filter((n) => n >= 1 && n <= 2000);
  if (numbers.length === 0) return null;
  return /\d\s*(?:-|–|to)\s*\d/.test(text) ? Math.max(...numbers.slice(0, 2)) : numbers[0]!;
}
