import { draftLine } from './lines';
import type { Meant } from './meant';
import type { Heard, Worktop } from './worktop';

/** 'A handful of each'. */
const OF_EACH = /\b((?:an?|one|two|three|half an?|\d{1,3}) ?(?:[a-z]+)?) of each\b/i;
/** 'I use about 24 of them'; 'a third of them' is a share. */
const OF_THEM =
  /\b(\d{1,3}|(?:(?:an?|two|three|four|half an?) )?dozen|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|eighteen|twenty|thirty) of (?:them|those|these)\b/i;
/** 'An 11 ounce box does it', 'I use five'. */
const DOES_IT =
  /\ban? (\d{1,4}[\s-]?(?:ounce|oz|g|gram|grams)) (?:box|packet|bag|tin|can|punnet) (?:does it|is enough|is plenty|will do)\b|\b(?:i|we) (?:use|need|take) ((?:about )?(?:\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|twelve))(?=\s*(?:[,.;]|$))/gi;

const COUNT = String.raw`\d{1,3}|(?:(?:an?|one|two|three|four|half an?) )?dozen|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|eighteen|twenty|thirty`;
const NEARLY = String.raw`(?:about |around |roughly |maybe |some )?`;
/** 'Savoiardi (you need about 24)', 'savoiardi (24 or so)', 'savoiardi, you'll need about 24,'. */
const SO_MANY = new RegExp(
  String.raw`(?:\(\s*(?:(?:you|we|i|it|that)(?:['’](?:ll|d|s)| will| would)? (?:need|want|use|takes?|makes?|is) )?|,\s*(?:you|we|i)(?:['’](?:ll|d)| will| would)? (?:need|want|use) )${NEARLY}(${COUNT})(?: or so| of them| in all| in total)?\s*(?=[),.;]|$)`,
  'gi',
);
/** So far behind its name, characters. */
const NEAR = 3;

/** Amounts that are said behind what they are of, where that was named without one: in the same clause, or of what was named last. */
export function saidBehind(w: Worktop, { c }: Heard, meant: Meant): void {
  const open = (line: number): boolean => w.lines[line]!.grams === null;
  const named = (): readonly { readonly line: number; readonly at: number }[] =>
    meant.items.flatMap((x) => (x.kind === 'line' && open(x.line) ? [{ line: x.line, at: x.at }] : []));
  const each = OF_EACH.exec(c.text)?.[1];
  if (each !== undefined) for (const { line } of named()) amounted(w, line, each);
  const them = OF_THEM.exec(c.text)?.[1];
  const last = them === undefined ? -1 : w.lines.findLastIndex((l, i) => open(i) && l.ingredient?.piece != null);
  if (last >= 0) amounted(w, last, them!);
  for (const m of c.text.matchAll(SO_MANY)) {
    const before = named().filter((x) => w.lines[x.line]!.ingredient?.piece != null && isRightBefore(c.text, c.words[x.at], m.index));
    if (before[0]) amounted(w, before[0].line, m[1]!);
  }
  for (const m of c.text.matchAll(DOES_IT)) {
    const before = [...named()].filter((x) => (c.words[x.at]?.start ?? Infinity) < m.index).sort((a, b) => b.at - a.at)[0];
    if (before) amounted(w, before.line, (m[1] ?? m[2]!).replace(/-/g, ' '));
  }
}

/** A line that was named without an amount, with the one that is said of it. */
function amounted(w: Worktop, line: number, said: string): void {
  const { text, under, block, start, end } = w.lines[line]!;
  w.lines[line] = draftLine(`${said} ${text}`, { under, block, start, end }, w.context);
}

/** Whether a thing's name ends where something stands: no other word lies between. */
function isRightBefore(text: string, word: { readonly start: number; readonly end: number } | undefined, at: number): boolean {
  return word !== undefined && word.end <= at + 1 && !/\p{L}/u.test(text.slice(word.end, at)) && at - word.end <= NEAR;
}
