import type { Ingredient } from '../composition/ingredient';
import { ok, type Result } from '../result';
import type { DayPart, Family, PartKind, StepMachine, StepWork, Use } from '../document/kinds';
import type { CupSystem } from '../measures/units';
import type { Measures } from '../measures/line';
import { matchOf, type Matcher } from '../measures/match';
import { splitLine } from '../measures/line';
import type { Mixer } from '../kitchen/schema';
import { amountsIn } from './amounts';
import { gramsIn, type Bowl } from './bowls';
import { clausesOf, clauseOf, sentencesOf, type Clause } from './clauses';
import { corrected } from './corrected';
import { flowOf } from './flow';
import type { Flow, FlowClause, ListLabel } from './worktop';
import { feedsIn, headedFlow, type ListedFeed } from './headed';
import { kindOf, waysOf } from './kinds';
import { lostRows } from './lost';
import { apartIn, linesOfRow, SURE_FROM, type DraftLine, type LineContext } from './lines';
import { IN_GRAMS, inlineHead, rowsOf, sameHeading, type Row } from './rows';
import { cupsIn, familyOf, mixerIn, portionsIn, purposeIn, vesselIn, type SaidCups, type SaidPortions, type SaidVessel } from './setting';
import { IN_AN_OVEN, temperaturesIn } from './degrees';
import { timesIn } from './times';
import { daysBefore, longCold, ON_THE_DAY, restsANight, whenSaid, type SaidWhen } from './when';
import { BEFORE_SERVING, FOAM_NAMED, HOT, LAYING, stageIn } from './work';
import { keyOf } from './words';

/** What reading needs of a kitchen. */
export interface ReadContext {
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly matcher: Matcher;
  readonly measures: Measures;
}

/** A bowl that becomes a part of the sheet. */
export interface ReadPart {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly stage: 'soft' | 'medium' | 'firm' | null;
  readonly takes: readonly { readonly part: string; readonly share: number; readonly says: string }[];
  readonly ways: Readonly<Record<string, string>>;
  readonly syrupC: number | null;
  /** Put into the dessert before it rests, on top of it after that, or served beside it. */
  readonly lies: 'in' | 'top' | 'beside';
  /** Rows of its list that take from other parts or say what is lost, as written. */
  readonly feeds: readonly { readonly text: string; readonly part: string | null; readonly start: number }[];
}

export interface ReadLine {
  readonly draft: DraftLine;
  readonly part: string;
  readonly step: number | null;
  readonly sure: boolean;
}

export interface ReadStep {
  readonly text: string;
  /** The word that asks for the work; '' where none stands there. */
  readonly verb: string;
  readonly part: string | null;
  readonly work: StepWork;
  readonly minutes: readonly [number, number] | null;
  readonly temperature: { readonly c: number; readonly of: 'oven' | 'mix' } | null;
  readonly lines: readonly number[];
  readonly machine: StepMachine | null;
  readonly stage: 'soft' | 'medium' | 'firm' | null;
  /** Parts that it puts into the dessert. */
  readonly places: readonly string[];
  /** Steps whose product it uses. */
  readonly after: readonly number[];
  /** How many days before serving it is done: as it is said, or because a night lies between. */
  readonly ahead: number;
  /** Said to be done by then, on that day. */
  readonly by: DayPart | null;
  readonly start: number;
  readonly end: number;
}

/** What a cook should look at, with what it is about. */
export interface Doubt {
  readonly about: string;
  readonly says: string;
  readonly line: number | null;
}

/** A recipe, understood. */
export interface Reading {
  readonly title: string;
  readonly portions: SaidPortions | null;
  readonly cups: SaidCups;
  readonly parts: readonly ReadPart[];
  readonly lines: readonly ReadLine[];
  readonly steps: readonly ReadStep[];
  readonly vessel: SaidVessel | null;
  readonly mixer: Mixer['kind'] | null;
  readonly use: Use | null;
  readonly family: Family;
  readonly freezes: boolean;
  /** Notes, tips and all else that is no work: kept in the words of the recipe. */
  readonly unread: readonly string[];
  readonly doubts: readonly Doubt[];
}

/** What a cook has settled while looking at it. */
export interface ReadChoices {
  readonly cups: CupSystem | 'auto';
}

/** A sentence begins with when it is done within so many characters. */
const LEADING = 60;
const KEEPS = /\b(?:keeps|keep for up|keep up to|will keep|holds? (?:well )?for|lasts?|it'll hold|it'll keep|can be (?:made|stored|kept|frozen|prepared)|leftovers?|best (?:eaten|served|within|the)|eat within|store (?:it|in|any|the|leftovers)|good for (?:up to )?\d|any (?:that is )?left)\b/i;
/** Things that are brought together in a bowl, without a verb. */
const TOGETHER_IN = /^[\p{L}][\p{L} '’-]*(?:\s?[+,&]\s?[\p{L}][\p{L} '’-]*)+ in(?:to)? (?:the |a )?(?:\w+ )?(?:mixer|mixing bowl|bowl|pan|saucepan|processor|blender)\b/iu;
const THING_IN = /^(?:then )?(?:the )?(?!(?:put|pour|when|while|as|is|it|that|this|all|back|go|goes|right)\b)(?:[\p{L}'-]+ ){0,2}[\p{L}'-]+ in,\s/iu;
const NEVER = /\b(?:don['’]t|do not|never|avoid|no need to|without)\b/i;

/**
 * Reads a recipe in any form into bowls, lines, steps and what the sheet starts with. Nothing of the text is dropped: what is no work stands
 * in `unread`. Linear in the length of the text.
 *
 * @returns a fault on `text` when there is nothing in it, too much, or no ingredient and no work at all.
 */
export function readRecipe(given: string, context: ReadContext, choices: ReadChoices = { cups: 'auto' }): Result<Reading> {
  const { text, sentences } = corrected(given);
  const cups: SaidCups = choices.cups === 'auto' ? cupsIn(text, context.measures.cups) : { system: choices.cups, quotes: [] };
  const measures: Measures = { ...context.measures, cups: cups.system };
  const lineContext: LineContext = { larder: context.larder, matcher: context.matcher, measures };
  const known = new Map<string, boolean>();
  const isIngredient = (name: string): boolean => {
    const hit = known.get(name);
    if (hit !== undefined) return hit;
    const m = name.length > 60 ? null : matchOf(splitLine(name), context.matcher);
    known.set(name, m !== null && m.confidence >= SURE_FROM);
    return known.get(name)!;
  };
  const rows = rowsOf(text, isIngredient);
  if (!rows.ok) return rows;
  const prose = rows.value.filter((r) => r.kind === 'prose').map((r) => r.text).join('\n');
  const apart = apartIn(prose);
  const feeds = feedsIn(rows.value);
  const isFeed = (r: Row): boolean => feeds.some((f) => f.text === r.text && f.under === r.under);
  const labels = new Map<string, ListLabel>();
  for (const r of rows.value) if (r.kind === 'part' && r.label !== null) labels.set(r.label, { under: r.text });
  const grams = rows.value.some((r) => IN_GRAMS.test(r.text));
  const listed: DraftLine[] = [];
  for (const r of rows.value) {
    if (r.kind !== 'line' || isFeed(r)) continue;
    if (r.label !== null) labels.set(r.label, { line: listed.length });
    const said = grams ? inGrams(r.text) : r.text;
    listed.push(...linesOfRow(said, r, lineContext, apart).map((l) => (said === r.text ? l : { ...l, written: r.text })));
  }
  const { clauses, chatter } = workIn(rows.value, listed.length > 0);
  // Where nothing is measured in cups or ounces and all in grams, an oven speaks °C too.
  const metric = /\d\s?(?:g|kg|ml)\b/i.test(text) && !/\b(?:cups?|ounces?|oz|sticks?|pounds?|lbs?|quarts?)\b/i.test(text);
  const fahrenheit = /\d\s?°?\s?F\b|fahrenheit/i.test(text) || (cups.system === 'us' && !metric);
  const followed = flowOf(clauses, listed, lineContext, fahrenheit, labels);
  const flow = feeds.length > 0 || followed.steps.length === 0 ? headedFlow(followed, rows.value, feeds) : followed;
  const reading = assembled(text, rows.value, flow, feeds, [...chatter, ...sentences], cups, context);
  if (sentences.length === 0) return ok(reading);
  return ok({ ...reading, doubts: [...sentences.map((about): Doubt => ({ about, says: 'the recipe takes an amount back here: what was meant is taken', line: null })), ...reading.doubts] });
}

/** A row whose number has no measure, with the grams that its list says once. */
function inGrams(row: string): string {
  const { amounts, span } = splitLine(row);
  return amounts[0]?.unit === null && span ? `${row.slice(0, span[1])} g${row.slice(span[1])}` : row;
}

interface Work {
  readonly clauses: readonly FlowClause[];
  /** Sentences that are no work and stand beside none. */
  readonly chatter: readonly string[];
}

/** The actions of all prose, each with what stands around it; what is no work goes with the action before it. */
function workIn(rows: readonly Row[], hasList: boolean): Work {
  const clauses: FlowClause[] = [];
  const headings = rows.filter((r) => r.kind === 'part').map((r) => r.text);
  const chatter: string[] = [];
  for (const row of rows) {
    if (row.kind !== 'prose') continue;
    const inline = inlineHead(row.text, headings)?.lead ?? '';
    const body = row.text.slice(inline.length);
    const first = clauses.length;
    let pending = inline.trim();
    let section = inline && whenSaid(inline) ? null : row.under;
    let when: SaidWhen = whenSaid(row.text.slice(0, LEADING)) ?? (row.under === null ? null : whenSaid(row.under)) ?? ON_THE_DAY;
    for (const sentence of sentencesOf(body)) {
      // 'For the mirror warm the purée': what follows is of that list.
      const meant = /^(?:then |and )?(?:for|(?:make|prepare)(?=[^:.]{3,34}:)) (?:the |your )?([\p{L}][\p{L} '’-]{2,30})/iu.exec(sentence)?.[1];
      section = (meant === undefined ? undefined : headings.find((h) => sameHeading(h, meant) || keyOf(meant).startsWith(`${keyOf(h)} `))) ?? section;
      const parts = clausesOf(sentence);
      const works = parts.map((c) => isWork(c, sentence, hasList));
      // 'On the day, …', 'just before serving …': from there on.
      when = (clauses.length > first ? whenSaid(sentence.slice(0, LEADING)) : null) ?? when;
      parts.forEach((c, i) => {
        const last = clauses.at(-1);
        if (works[i]) {
          // The long cold is what the day before is for: it and what follows it reach into the day itself.
          if (longCold(c.text)) when = ON_THE_DAY;
          clauses.push({ clause: c, section, start: row.start, end: row.end, before: pending, after: '', when: whenSaid(c.text) ?? when });
          pending = '';
        } else if (last && clauses.length > first && pending === '') clauses[clauses.length - 1] = { ...last, after: [last.after, c.text].filter(Boolean).join(' ') };
        else pending = [pending, c.text].filter(Boolean).join(' ');
      });
    }
    if (pending !== '') {
      const last = clauses.at(-1);
      if (last && clauses.length > first) clauses[clauses.length - 1] = { ...last, after: [last.after, pending].filter(Boolean).join(' ') };
      else chatter.push(pending);
    }
  }
  return { clauses, chatter };
}

/** Whether a clause is work: a verb that asks for something, an amount to be had, or a time in a place; not what it keeps, or what not to do. */
function isWork(c: Clause, sentence: string, hasList: boolean): boolean {
  if (KEEPS.test(sentence) && /\b(?:days?|hours?|weeks?|months?|overnight|fridge|freezer|refrigerator|ahead|advance|moment|same day)\b/i.test(sentence) && !/^(?:cover|chill|refrigerate|put|pipe|serve|leave|let|freeze)/i.test(c.text)) {
    if (!amountsIn(c).length || /\bkeeps\b|\blasts?\b/i.test(c.text)) return false;
  }
  const before = c.words.slice(0, Math.max(0, c.at)).map((w) => w.said).join(' ').replace(/^.*\s[,:]\s?/, '');
  if (c.verb && NEVER.test(before)) return false;
  // A question, or a word to whoever reads: no work.
  if (/\?["”’)]*$/.test(c.text.trim()) || /\b(?:comments?|ratings?|rate (?:this|it)|reviews?|tag (?:me|us)|subscribe|newsletter|share (?:this|it) (?:on|with)|follow (?:me|us|along)|print (?:this|the)|jump to)\b/i.test(c.text)) return false;
  // 'It will frost one cake or pipe 24 cupcakes': how far it goes.
  if (/^(?:and )?(?:it|this|that)(?:['’]ll| will| should)? (?:be )?(?:enough |frosts?|covers?|fills?|makes?|pipes?|ices?|yields?)\b[^.;]*\b(?:\d|one|two|an?|enough)\b/i.test(c.text) && amountsIn(c).every((a) => a.amount.unit === null) && timesIn(c.text).every((t) => t.minutes[0] >= 1440)) return false;
  // 'The mixture will steam and seize', 'you can make your own': what happens, what may be.
  if (c.verb && (/\b(?:will|may|might|should)$/.test(before) && !/^(?:then |and |now )*(?:you|we|i)\b/.test(before))) return false;
  if (/\byou can (?:also )?(?:make|buy|use|get) (?:your own|them|it|one)\b/i.test(c.text)) return false;
  // 'I make this every autumn': of the dish, not of the work.
  if (/^(?:so )?(?:i|we)(?:'ve)? (?:\w+ )?(?:make|made|serve|love|like|bring) (?:this|it|them|these)\b/i.test(c.text)) return false;
  // 'That's 400 g but I only use 250, crushed with the butter': what is told with its amounts is work.
  const told = !hasList && amountsIn(c).length > 1;
  if (c.verb && !told && !/^(?:when|once|as soon as|if|after)\b/.test(before) && /\b(?:because|since|which|that's why|i|we|it|he|she|they)\b/.test(before) && before.split(' ').length > 3 && !/\b(?:i|we|you)$/.test(before) && !/\b(?:you|want|need|have|then|and|now|just|to)\b/.test(before)) return false;
  if (c.verb) return true;
  if (/^(?:do (?:that|this|the same)|and so on)\b|^again\W*$/i.test(c.text) || LAYING.test(c.text)) return true;
  // 'Cocoa just before it goes out.'
  if (!/^(?:just|right|immediately|before|at|to|on|when)\b/i.test(c.text) && BEFORE_SERVING.test(c.words.slice(0, 10).map((w) => w.said).join(' '))) return true;
  if (/\b(?:o\/n|overnight)\b/i.test(c.text) || (timesIn(c.text).length > 0 && /\b(?:fridge|freezer|oven|microwave|water|cold|room|boil|simmer|steam|hob|stove|speed|high|low|medium|mixer)\b/i.test(c.text))) return true;
  if (!hasList && amountsIn(c).length > 0) return true;
  // 'Butter in, a cube at a time.'
  if (THING_IN.test(c.text)) return true;
  // 'Mascarpone + cream + sugar in the mixer bowl'.
  if (TOGETHER_IN.test(c.text)) return true;
  // 'Bain-marie to 70 °C', 'the whites, stiff'.
  if (IN_AN_OVEN.test(c.text) || (HOT.test(c.text) && temperaturesIn(c.text, false).length > 0) || FOAM_NAMED.test(c.text)) return true;
  // 'All in the mixer bowl, cold', 'medium speed to soft'.
  if (/^all in(?:to)?\b/i.test(c.text) || (/\bspeed\b/i.test(c.text) && stageIn(c.text) !== null)) return true;
  return /\b(?:till|until|'til)\b/i.test(c.text) && /\b(?:smooth|thick|set|firm|peaks?|cool|melted)\b/i.test(c.text) && c.words.length <= 24 && !/^(?:it|this|that)\b/i.test(c.text);
}

function assembled(text: string, rows: readonly Row[], flow: Flow, feeds: readonly ListedFeed[], chatter: readonly string[], cups: SaidCups, context: ReadContext): Reading {
  const used = flow.bowls.filter((b) => b.lines.size > 0 || b.takes.size > 0 || b.place === 'kept');
  const parts = partsOf(used, flow, rows).map((p, i): ReadPart => ({ ...p, feeds: feeds.filter((f) => f.under === used[i]!.heading).map((f) => ({ text: f.text, part: f.from === null ? null : (partAtHeading(f.from) ?? null), start: f.start })) }));
  function partAtHeading(heading: string): string | undefined {
    const i = used.findIndex((b) => b.heading === heading);
    return i < 0 ? undefined : `p${used[i]!.id + 1}`;
  }
  const idOf = new Map(used.map((b, i) => [b.id, parts[i]!.id]));
  const partAt = (bowl: number | null): string | null => (bowl === null ? null : (idOf.get(bowl) ?? null));
  const owner = new Map<number, string>();
  for (const b of used) for (const i of b.lines) owner.set(i, idOf.get(b.id)!);
  const home = (bowl: number | null): string | null => {
    let id = bowl;
    // What was only prepared has gone into another bowl: its steps are of that one.
    while (id !== null && !idOf.has(id)) id = flow.bowls[id]!.into;
    return partAt(id);
  };
  const order = stepsAfter(flow);
  const days = daysBefore(flow.steps.map((s, i) => ({ when: s.when, night: restsANight(s.text, s.minutes), after: order[i]! })));
  const steps: ReadStep[] = flow.steps.map((s, i) => ({
    text: s.text,
    verb: s.verb,
    part: home(s.bowl),
    work: s.work,
    minutes: s.minutes,
    temperature: s.temperature ? { c: s.temperature.c, of: s.temperature.of } : null,
    lines: [...s.lines].sort((a, b) => a - b),
    machine: s.machine,
    stage: s.stage,
    places: [...new Set([...s.places].flatMap((b) => home(b) ?? []))],
    after: order[i]!,
    ahead: days[i]!,
    by: s.when.by,
    start: s.start,
    end: s.end,
  }));
  const fallback = parts[0]?.id ?? '';
  const lines: ReadLine[] = flow.lines.map((draft, i) => ({ draft, part: owner.get(i) ?? fallback, step: flow.stepOf[i]!, sure: draft.ingredient !== null && draft.confidence >= SURE_FROM && draft.grams !== null && draft.doubt === '' }));
  const title = titleOf(rows, text);
  const heads = rows.filter((r) => r.kind === 'yield' || r.kind === 'about' || r.kind === 'title').map((r) => r.text);
  const method = rows.filter((r) => r.kind === 'prose' || r.kind === 'yield' || r.kind === 'about' || r.kind === 'title').map((r) => r.text).join('.\n');
  const vessel = vesselIn(method) ?? vesselIn(rows.filter((r) => r.kind === 'line' && /\d\s*(?:x|×|by)\s*\d/i.test(r.text)).map((r) => r.text).join('.\n'));
  const freezes = flow.steps.some((s) => s.work === 'freeze' && (s.minutes?.[0] ?? 240) >= 90 && !/\bbowl\b|\bwhisk\b|\bbeaters\b/i.test(s.text.replace(/\bwhisk(?:ed)?\s+(?:the|until)/i, '')));
  const chilled = flow.steps.some((s) => s.work === 'chill');
  const sections = rows.filter((r) => r.kind === 'section' && !PLAIN_HEAD.test(r.text) && !flow.steps.some((s) => s.section === r.text));
  const unread = [...rows.filter((r) => r.kind === 'note' || r.kind === 'about').map((r) => r.text), ...chatter, ...sections.map((r) => r.text), ...headingsLost(rows, parts, steps)];
  const reading: Reading = {
    title,
    portions: portionsIn([...heads, title], method),
    cups,
    parts,
    lines,
    steps,
    vessel,
    mixer: mixerIn(method),
    use: purposeIn(method, vessel),
    family: familyOf(title, parts.map((p) => p.kind), freezes, chilled),
    freezes,
    unread: [...new Set(unread)],
    doubts: doubtsOf(lines, flow),
  };
  const served = reading.portions === null ? [] : [`${reading.portions.low} ${reading.portions.high}`, ...rows.filter((r) => r.kind === 'yield').map((r) => HOW_MANY.exec(r.text)?.[1] ?? '')];
  const understood = [reading.title, ...reading.lines.map((l) => l.draft.written), ...reading.parts.flatMap((p) => [p.name, ...p.feeds.map((f) => f.text)]), ...reading.steps.map((x) => x.text), ...reading.unread, ...served];
  return { ...reading, unread: [...reading.unread, ...lostRows(text, understood, context.larder)] };
}

/** What hands do to a dessert that is built: it waits for that, as if something were laid on it. */
const HANDLES = new Set('roll cover wrap cut slice tap bang peel trim mark lift run unwrap tilt invert flatten shape seal'.split(' '));

/** The steps that each step waits for: the one before it in its bowl, those that made what it takes, and what was built before. */
function stepsAfter(flow: Flow): readonly (readonly number[])[] {
  const lastOf = new Map<number, number>();
  let lastBuilt: number | null = null;
  let lastAny: number | null = null;
  // What was only softened or soaked is one with what it went into; a foam or a custard has a line of its own until it is folded.
  const taken = new Set(flow.bowls.flatMap((b) => [...b.takes.keys()]));
  const root = (id: number): number => (flow.bowls[id]!.into === null || taken.has(id) ? id : root(flow.bowls[id]!.into!));
  let loose: { step: number; until: StepWork | null }[] = [];
  const placed = new Set<number>();
  return flow.steps.map((s, i) => {
    const after = new Set<number>();
    const bowls = new Set<number>([...(s.bowl === null ? [] : [s.bowl]), ...s.places, ...[...s.lines].flatMap((l) => flow.bowls.filter((b) => b.lines.has(l)).map((b) => b.id))]);
    for (const b of bowls) {
      if (lastOf.has(root(b))) after.add(lastOf.get(root(b))!);
      for (const t of flow.bowls[root(b)]!.takes.keys()) if (lastOf.has(root(t)) && (flow.bowls[root(b)]!.takenAt.get(t) ?? 0) <= i && s.bowl !== null && root(s.bowl) === root(b)) after.add(lastOf.get(root(t))!);
    }
    // 'When quite cold, whip …': when what was just done is.
    if (lastAny !== null && /^(?:when|once|as soon as) (?:quite |completely |totally |fully |it(?:'s| is) |they(?:'re| are) )*(?:cold|cool|cooled|set|firm|frozen|baked|done|ready)\b/i.test(s.text)) after.add(lastAny);
    const tool = bowls.size === 0 && /\b(?:bowl|whisk|beaters|plate|tin|glasses)\b/i.test(s.text) && placed.size === 0;
    const builds = !tool && (s.places.size > 0 || (s.bowl !== null && placed.has(root(s.bowl))) || (s.work === 'fill' && s.bowl === null) || s.work === 'finish' || s.work === 'serve' || (s.bowl === null && (s.work === 'chill' || s.work === 'freeze' || s.work === 'bake' || s.work === 'wait')) || (s.bowl === null && s.lines.size === 0 && lastBuilt !== null && HANDLES.has(s.verb)));
    if (builds && lastBuilt !== null) after.add(lastBuilt);
    if (after.size === 0 && s.bowl === null && lastAny !== null && builds) after.add(lastAny);
    for (const b of bowls) if (s.bowl === null || root(b) === root(s.bowl) || s.places.has(b) || !lastOf.has(root(b))) lastOf.set(root(b), i);
    // What belongs to no bowl (a bowl in the freezer, an oven that heats) is for the next thing that is made.
    // 'Turn the oven off' goes on with what is in it.
    const oven = s.machine === 'oven' && s.work === 'hands' && /\b(?:off|down|reduce|lower)\b/i.test(s.text) && lastAny !== null;
    if (oven) {
      for (const [bowl, last] of lastOf) if (last === lastAny) lastOf.set(bowl, i);
      after.add(lastAny!);
      lastBuilt = i;
    } else if (bowls.size === 0 && !builds) loose.push({ step: i, until: (s.work === 'chill' || s.work === 'freeze') && /\bbowl|\bwhisk|\bbeaters/i.test(s.text) ? 'whisk' : s.machine === 'oven' ? 'bake' : null });
    else {
      const wanted = (l: (typeof loose)[number]): boolean => l.until === null || l.until === s.work || !flow.steps.slice(i).some((x) => x.work === l.until);
      for (const l of loose.filter(wanted)) after.add(l.step);
      loose = loose.filter((l) => !wanted(l));
    }
    for (const b of s.places) placed.add(root(b));
    if (builds) lastBuilt = i;
    lastAny = i;
    return [...after].filter((x) => x < i).sort((a, b) => a - b);
  });
}

const NAME_BY_KIND: Readonly<Record<PartKind, string>> = {
  'whipped-cream': 'Whipped cream', 'cheese-cream': 'Cheese cream', 'egg-foam': 'Egg foam', custard: 'Custard', 'chocolate-base': 'Chocolate', 'fruit-base': 'Fruit', 'set-filling': 'Filling', buttercream: 'Buttercream', soak: 'Soak', 'biscuit-layer': 'Biscuits', 'pressed-base': 'Base', meringue: 'Meringue', topping: 'Topping', crown: 'For the top',
};

function partsOf(used: readonly Bowl[], flow: Flow, rows: readonly Row[]): readonly ReadPart[] {
  const names = new Map<string, number>();
  const headings = new Map<string, Bowl>();
  // A heading names the bowl that most of its list is in.
  for (const r of rows) {
    // A letter calls a list; it is no name.
    if (r.kind !== 'part' || r.text.length === 1) continue;
    const weigh = (b: Bowl): number => [...b.lines].filter((i) => flow.lines[i]!.under === r.text).reduce((g, i) => g + 1 + (flow.lines[i]!.grams ?? 0) / 1000, 0);
    const best = [...used].sort((a, b) => weigh(b) - weigh(a))[0];
    if (best && weigh(best) > 0 && !headings.has(r.text) && ![...headings.values()].includes(best)) headings.set(r.text, best);
  }
  return used.map((b) => {
    const kind = kindOf(b, flow);
    const heading = [...headings].find(([, of]) => of === b)?.[0] ?? (b.lines.size === 0 && b.heading?.length !== 1 ? b.heading : undefined);
    const base = heading ?? plainNameOf(b, kind, flow);
    const n = (names.get(keyOf(base)) ?? 0) + 1;
    names.set(keyOf(base), n);
    const takes = [...b.takes].flatMap(([id, share]) => {
      const from = flow.bowls[id]!;
      const reach = used.includes(from) ? from : null;
      return reach ? [{ part: `p${reach.id + 1}`, share, says: b.keptSays }] : [];
    });
    return { id: `p${b.id + 1}`, name: (n === 1 ? base : `${base} ${n}`).slice(0, 60), kind, stage: b.air && isWhisked(kind) ? b.stage : null, takes, ways: waysOf(b, kind, flow), syrupC: b.hotC !== null && b.hotC >= 100 && b.hotC <= 140 ? b.hotC : null, lies: b.placed === 'beside' ? 'beside' : b.placed === 'late' ? 'top' : 'in', feeds: [] };
  });
}

const isWhisked = (kind: PartKind): boolean => kind === 'whipped-cream' || kind === 'cheese-cream' || kind === 'crown' || kind === 'set-filling' || kind === 'egg-foam' || kind === 'meringue';

function plainNameOf(b: Bowl, kind: PartKind, flow: Flow): string {
  if (kind === 'topping' || kind === 'biscuit-layer' || kind === 'fruit-base') {
    const heavy = [...b.lines].map((i) => flow.lines[i]!).sort((x, y) => (y.grams ?? 0) - (x.grams ?? 0))[0];
    const name = heavy?.ingredient?.name.replace(/\(.*?\)/g, '').split(',')[0]!.trim();
    if (name && b.lines.size === 1) return name;
  }
  if (kind === 'egg-foam' && gramsIn(b, flow.lines) > 0) return [...b.lines].some((i) => flow.lines[i]!.role === 'white') && ![...b.lines].some((i) => flow.lines[i]!.role === 'yolk') ? 'Whites' : 'Egg foam';
  return NAME_BY_KIND[kind];
}

function titleOf(rows: readonly Row[], text: string): string {
  const row = rows.find((r) => r.kind === 'title');
  if (row) return row.text.slice(0, 120);
  const cheat = /^(?:right|ok(?:ay)?|so|well|now)?[, ]*(?:so )?for (?:the |my |our |a )([\p{L}][\p{L}\p{M}'’ -]{4,40}?),/iu.exec(text.trim());
  if (cheat) return capital(cheat[1]!.trim());
  const told = /\b(?:this is|here(?:'s| is)|how (?:i|we) make|recipe for)\s+(?:my |the |a |an |our |how (?:i|we) (?:make|do) (?:my |the |a |our )?)?(?!what|how|all|it\b)([\p{L}][\p{L}\p{M}'’ -]{4,60}?)(?=[,.;:!]|\s+(?:and|that|which|from|for|we|i)\b)/iu.exec(text.slice(0, 400));
  if (told) return capital(told[1]!.trim());
  // 'So my nan’s trifle, right.': named in passing.
  const passing = /^(?:(?:right|ok(?:ay)?|so|well|now)[, ]+)+((?:my|our) [\p{L}][\p{L}\p{M}'’ -]{3,40}?)[,.:]/iu.exec(text.trim()) ?? /^(?:(?:right|ok(?:ay)?|so|well|now)[, ]+)+the ([\p{L}][\p{L}\p{M}'’ -]{3,40}?)\./iu.exec(text.trim());
  if (passing && clauseOf(passing[1]!).verb === null) return capital(passing[1]!.trim());
  // 'Apple Snow. Take six large …': a name with a full stop before the work.
  const stop = /^(\p{Lu}[\p{L}\p{M}'’ -]{3,44})\.\s+(?=\p{Lu})/u.exec(text.trim());
  if (stop && clauseOf(stop[1]!).verb === null) return capital(stop[1]!);
  const old = /^to make (?:a |an |the )?([^.:,;\n]{4,60})[.:,;\n]/i.exec(text.trim());
  if (old) return capital(old[1]!);
  const mine = /\bwhat (?:i|we) do for (?:my|the|our) ([\p{L}][\p{L}\p{M}'’ -]{3,40}?)[,.:]/iu.exec(text.slice(0, 200));
  if (mine) return capital(mine[1]!);
  const colon = /^([\p{L}][\p{L}\p{M}\d'’ -]{4,70}?(?:, [\p{L}\p{M}'’ -]{4,40})?):\s/u.exec(text.trim());
  if (colon) return capital(colon[1]!);
  return 'Recipe as it was told';
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

const PLAIN_HEAD = /^(?:the )?(?:(?:step|stage|part) \w+|(?:ingredients?|item|name) (?:amounts?|quantity|weight|grams)|ingredients?|method|directions?|instructions?|preparation|procedure|steps|notes?|tips?|what you(?:['’]ll)? need|how to make it|you(?:['’]ll)? need)\b.{0,20}$/i;

/** Headings that no part and no step is named by stay in the words of the recipe. */
function headingsLost(rows: readonly Row[], parts: readonly ReadPart[], steps: readonly ReadStep[]): readonly string[] {
  const named = [...parts.map((p) => p.name), ...steps.map((s) => s.text)].join('\n');
  return rows.filter((r) => r.kind === 'part' && !named.includes(r.text)).map((r) => r.text);
}

function doubtsOf(lines: readonly ReadLine[], flow: Flow): readonly Doubt[] {
  const out: Doubt[] = [];
  lines.forEach((l, i) => {
    const { draft } = l;
    if (draft.ingredient === null) out.push({ about: draft.written, says: draft.fault || 'not in the larder', line: i });
    else if (draft.confidence < SURE_FROM) out.push({ about: draft.written, says: `is this ${draft.ingredient.name}?`, line: i });
    else if (draft.grams === null) out.push({ about: draft.written, says: draft.fault, line: i });
    else if (draft.doubt !== '') out.push({ about: draft.written, says: draft.doubt, line: i });
  });
  for (const d of flow.doubts) if (!out.some((o) => o.line === d.line)) out.push({ about: lines[d.line]!.draft.written, says: d.says, line: d.line });
  return out;
}

/** The number that such a row begins with: 'For 1 large (10 people)', 'Serves 8-10'. */
const HOW_MANY = /^\W*(?:serves?|makes?|yields?|feeds|servings?|portions?|enough for|for)\D{0,14}(\d{1,4}(?:\s*[-–]\s*\d{1,4})?)/i;
