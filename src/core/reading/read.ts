import type { Ingredient } from '../composition/ingredient';
import { ok, type Result } from '../result';
import type { DayPart, Family, PartKind, StepMachine, StepWork, Use } from '../document/kinds';
import type { CupSystem } from '../measures/units';
import type { Measures } from '../measures/line';
import { matchOf, type Matcher } from '../measures/match';
import { splitLine } from '../measures/line';
import type { Mixer } from '../kitchen/schema';
import { gramsIn, type Bowl } from './bowls';
import { corrected, withoutThinking, type Correction } from './corrected';
import { flowOf } from './flow';
import type { Flow, ListLabel } from './worktop';
import { feedsIn, headedFlow, type ListedFeed } from './headed';
import { kindOf, waysOf } from './kinds';
import { lostRows } from './lost';
import { apartIn, linesOfRow, SURE_FROM, type DraftLine, type LineContext } from './lines';
import { NO_NAME } from './mentions';
import { IN_GRAMS, rowsOf, type Row } from './rows';
import { cupsIn, familyOf, mixerIn, portionsIn, purposeIn, vesselIn, type SaidCups, type SaidPortions, type SaidVessel } from './setting';
import { stepsAfter } from './steps-after';
import { titleOf } from './title';
import { daysBefore, restsANight } from './when';
import { workIn } from './work-in';
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

/**
 * Reads a recipe in any form into bowls, lines, steps and what the sheet starts with. Nothing of the text is dropped: what is no work stands
 * in `unread`. Linear in the length of the text.
 *
 * @returns a fault on `text` when there is nothing in it, too much, or no ingredient and no work at all.
 */
export function readRecipe(given: string, context: ReadContext, choices: ReadChoices = { cups: 'auto' }): Result<Reading> {
  const { text, corrections } = corrected(withoutThinking(given));
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
  const prose = rows.value
    .filter((r) => r.kind === 'prose')
    .map((r) => r.text)
    .join('\n');
  const list = rows.value.filter((r) => r.kind === 'line').map((r) => r.text);
  const apart = { ...apartIn(prose), listed: list.some((t) => YOLKS.test(t)) && list.some((t) => WHITES.test(t)) };
  const feeds = feedsIn(rows.value);
  const isFeed = (r: Row): boolean => feeds.some((f) => f.start === r.start);
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
  const { clauses, chatter } = workIn(
    rows.value,
    listed.map((l) => l.text),
  );
  // Where nothing is measured in cups or ounces and all in grams, an oven speaks °C too.
  const metric = /\d\s?(?:g|kg|ml)\b/i.test(text) && !/\b(?:cups?|ounces?|oz|sticks?|pounds?|lbs?|quarts?)\b/i.test(text);
  const fahrenheit = /\d\s?°?\s?F\b|fahrenheit/i.test(text) || (cups.system === 'us' && !metric);
  const followed = flowOf(clauses, listed, lineContext, fahrenheit, labels);
  const flow = feeds.length > 0 || followed.steps.length === 0 ? headedFlow(followed, rows.value, feeds) : followed;
  const reading = assembled(text, rows.value, flow, feeds, [...chatter, ...corrections.map((c) => c.sentence)], cups, context);
  return ok(corrections.length === 0 ? reading : { ...reading, doubts: [...takenBack(reading, corrections), ...reading.doubts] });
}

/** Rows of a list that are of yolks, of whites. */
const YOLKS = /\byolks?\b/i;
const WHITES = /\bwhites?\b(?! (?:chocolate|sugar|wine|rum))/i;

/** Lines whose amount was taken back are to be looked at; where it was none of a line, the sentence is. */
function takenBack({ lines, doubts }: Reading, corrections: readonly Correction[]): readonly Doubt[] {
  return corrections.flatMap((c): Doubt[] => {
    const line = lines.findIndex((l) => l.draft.written.includes(c.meant));
    if (doubts.some((d) => d.line === line)) return [];
    return [
      {
        about: line < 0 ? c.sentence : lines[line]!.draft.written,
        says: `the recipe takes ‘${c.was}’ back: ‘${c.meant}’ is meant`,
        line: line < 0 ? null : line,
      },
    ];
  });
}

/** A row whose number has no measure, with the grams that its list says once. */
function inGrams(row: string): string {
  const { amounts, span } = splitLine(row);
  return amounts[0]?.unit === null && span ? `${row.slice(0, span[1])} g${row.slice(span[1])}` : row;
}

function assembled(
  text: string,
  rows: readonly Row[],
  flow: Flow,
  feeds: readonly ListedFeed[],
  chatter: readonly string[],
  cups: SaidCups,
  context: ReadContext,
): Reading {
  const used = flow.bowls.filter((b) => b.lines.size > 0 || b.takes.size > 0 || b.place === 'kept');
  const parts = partsOf(used, flow, rows).map((p, i): ReadPart => ({
    ...p,
    feeds: feeds
      .filter((f) => f.under === used[i]!.heading)
      .map((f) => ({ text: f.text, part: f.from === null ? null : (partAtHeading(f.from) ?? null), start: f.start })),
  }));
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
  const kinds = new Map(parts.map((p) => [p.id, p.kind]));
  // Yolks whisked pale for a custard, a ganache whisked smooth: no foam, and no clock for one.
  const airless = (s: (typeof flow.steps)[number]): boolean =>
    s.work === 'whisk' && s.stage === null && ['custard', 'chocolate-base'].includes(kinds.get(home(s.bowl) ?? '') ?? '');
  const steps: ReadStep[] = flow.steps.map((s, i) => ({
    text: s.text,
    verb: s.verb,
    part: home(s.bowl),
    work: airless(s) ? 'hands' : s.work,
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
  const lines: ReadLine[] = flow.lines.map((draft, i) => ({
    draft,
    part: owner.get(i) ?? fallback,
    step: flow.stepOf[i]!,
    sure: draft.ingredient !== null && draft.confidence >= SURE_FROM && draft.grams !== null && draft.doubt === '',
  }));
  const title = titleOf(rows, text);
  const heads = rows
    .filter((r) => r.kind === 'yield' || r.kind === 'about' || r.kind === 'title' || ((r.kind === 'section' || r.kind === 'head') && /\(.*\d.*\)/.test(r.text)))
    .map((r) => r.text);
  const method = rows
    .filter((r) => r.kind === 'prose' || r.kind === 'yield' || r.kind === 'about' || r.kind === 'title' || (r.kind === 'note' && MADE_IN.test(r.text)))
    .map((r) => r.text)
    .join('.\n');
  const vessel =
    vesselIn(method) ??
    vesselIn(
      rows
        .filter(
          (r) =>
            r.kind === 'line' &&
            /\d\s*(?:x|×|by)\s*\d|\d[\s-]*(?:inch|in\b|cm|["”″])[^,]*\b(?:crust|case|shell)\b|\b(?:crust|case|shell)\b[^,]*\d[\s-]*(?:inch|in\b|cm|["”″])/i.test(
              r.text,
            ),
        )
        .map((r) => r.text)
        .join('.\n'),
    );
  const freezes = flow.steps.some(
    (s) =>
      s.work === 'freeze' &&
      // 'Freeze while you make the filling': it only hardens.
      (s.minutes !== null || !/\b(?:while (?:you|the|making|preparing)|meanwhile)\b/i.test(s.text)) &&
      (s.minutes?.[0] ?? 240) >= 90 &&
      !/\bbowl\b|\bwhisk\b|\bbeaters\b/i.test(s.text.replace(/\bwhisk(?:ed)?\s+(?:the|until)/i, '')),
  );
  const chilled = flow.steps.some((s) => s.work === 'chill');
  const sections = rows.filter((r) => r.kind === 'section' && !flow.steps.some((s) => s.section === r.text));
  const unread = [
    ...rows.filter((r) => r.kind === 'note' || (r.kind === 'about' && !IN_GRAMS.test(r.text))).map((r) => r.text),
    ...chatter,
    ...sections.map((r) => r.text),
    ...headingsLost(rows, parts, steps),
  ];
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
    family: familyOf(
      title,
      parts.map((p) => p.kind),
      freezes,
      chilled,
    ),
    freezes,
    unread: [...new Set(unread)],
    doubts: doubtsOf(lines, flow),
  };
  const served =
    reading.portions === null
      ? []
      : [`${reading.portions.low} ${reading.portions.high}`, ...rows.filter((r) => r.kind === 'yield').map((r) => HOW_MANY.exec(r.text)?.[1] ?? '')];
  const understood = [
    reading.title,
    ...reading.lines.map((l) => l.draft.written),
    ...reading.parts.flatMap((p) => [p.name, ...p.feeds.map((f) => f.text)]),
    ...reading.steps.map((x) => x.text),
    ...reading.unread,
    ...served,
  ];
  return { ...reading, unread: [...reading.unread, ...lostRows(text, understood, context.larder)] };
}

/** 'For this I use a 30 by 20 cm dish': said before the work begins. */
const MADE_IN =
  /\b(?:use|need|want|take|made? in|in an?)\b[^.]{0,30}\d[^.]{0,24}\b(?:dish|tin|pan|tray|springform|ring|terrine|mou?ld|bowl|glasses|cups|ramekins)\b/i;

const NAME_BY_KIND: Readonly<Record<PartKind, string>> = {
  'whipped-cream': 'Whipped cream',
  'cheese-cream': 'Cheese cream',
  'egg-foam': 'Egg foam',
  custard: 'Custard',
  'chocolate-base': 'Chocolate',
  'fruit-base': 'Fruit',
  'set-filling': 'Filling',
  buttercream: 'Buttercream',
  soak: 'Soak',
  'biscuit-layer': 'Biscuits',
  'pressed-base': 'Base',
  meringue: 'Meringue',
  topping: 'Topping',
  crown: 'For the top',
};

function partsOf(used: readonly Bowl[], flow: Flow, rows: readonly Row[]): readonly ReadPart[] {
  const names = new Map<string, number>();
  const headings = new Map<string, Bowl>();
  // A heading names the bowl that most of its list is in.
  for (const r of rows) {
    // A letter calls a list; it is no name.
    if (r.kind !== 'part' || r.text.length === 1 || NO_NAME.test(keyOf(r.text))) continue;
    const weigh = (b: Bowl): number =>
      [...b.lines].filter((i) => flow.lines[i]!.under === r.text).reduce((g, i) => g + 1 + (flow.lines[i]!.grams ?? 0) / 1000, 0);
    const best = [...used].sort((a, b) => weigh(b) - weigh(a))[0];
    if (best && weigh(best) > 0 && !headings.has(r.text) && ![...headings.values()].includes(best)) headings.set(r.text, best);
  }
  // What two bowls held one after the other belongs to the later: fruit that followed a foam into the filling is none of the foam.
  const last = new Map(used.flatMap((b) => [...b.lines].map((i) => [i, b] as const)));
  return used.map((b) => {
    const own = [...b.lines].filter((i) => last.get(i) === b);
    const kind = kindOf(own.length > 0 ? { ...b, lines: new Set(own) } : b, flow);
    const heading = [...headings].find(([, of]) => of === b)?.[0] ?? (b.lines.size === 0 && b.heading?.length !== 1 ? b.heading : undefined);
    const base = heading ?? plainNameOf(b, kind, flow);
    const n = (names.get(keyOf(base)) ?? 0) + 1;
    names.set(keyOf(base), n);
    const takes = [...b.takes].flatMap(([id, share]) => {
      const from = flow.bowls[id]!;
      const reach = used.includes(from) ? from : null;
      return reach ? [{ part: `p${reach.id + 1}`, share, says: b.keptSays }] : [];
    });
    return {
      id: `p${b.id + 1}`,
      name: (n === 1 ? base : `${base} ${n}`).slice(0, 60),
      kind,
      stage: b.air && isWhisked(kind) ? b.stage : null,
      takes,
      ways: waysOf(b, kind, flow),
      syrupC: b.hotC !== null && b.hotC >= 100 && b.hotC <= 140 ? b.hotC : null,
      lies: b.placed === 'beside' ? 'beside' : b.placed === 'late' ? 'top' : 'in',
      feeds: [],
    };
  });
}

const isWhisked = (kind: PartKind): boolean =>
  kind === 'whipped-cream' || kind === 'cheese-cream' || kind === 'crown' || kind === 'set-filling' || kind === 'egg-foam' || kind === 'meringue';

function plainNameOf(b: Bowl, kind: PartKind, flow: Flow): string {
  if (kind === 'topping' || kind === 'biscuit-layer' || kind === 'fruit-base') {
    const heavy = [...b.lines].map((i) => flow.lines[i]!).sort((x, y) => (y.grams ?? 0) - (x.grams ?? 0))[0];
    const name = heavy?.ingredient?.name
      .replace(/\(.*?\)/g, '')
      .split(',')[0]!
      .trim();
    if (name && b.lines.size === 1) return name;
  }
  if (kind === 'egg-foam' && gramsIn(b, flow.lines) > 0) {
    const of = [...b.lines].map((i) => flow.lines[i]!);
    if (of.some((l) => l.ingredient?.id === 'aquafaba')) return 'Aquafaba foam';
    return of.some((l) => l.role === 'white') && !of.some((l) => l.role === 'yolk') ? 'Whites' : 'Egg foam';
  }
  return NAME_BY_KIND[kind];
}

/** Headings that no part and no step is named by stay in the words of the recipe. */
function headingsLost(rows: readonly Row[], parts: readonly ReadPart[], steps: readonly ReadStep[]): readonly string[] {
  const named = [...parts.map((p) => p.name), ...steps.map((s) => s.text)].join('\n');
  return rows.filter((r) => r.kind === 'part' && !NO_NAME.test(keyOf(r.text)) && !named.includes(r.text)).map((r) => r.text);
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
