import type { Role } from '../larder/role';
import type { StepMachine, StepWork } from '../document/kinds';
import { gramsIn, newBowl, type Bowl } from './bowls';
import type { Clause } from './clauses';
import type { SaidTemperature } from './degrees';
import { apartIn, type Apart, type DraftLine, type LineContext } from './lines';
import { lexiconOf, mentionsIn, type Lexicon } from './mentions';
import type { SaidWhen } from './when';
import { keyOf } from './words';
import { mentionsElectric } from './work';

/** A clause with where it stands. */
export interface FlowClause {
  readonly clause: Clause;
  /** Heading of the method that it stands under. */
  readonly section: string | null;
  /** Of the text that was read. */
  readonly start: number;
  readonly end: number;
  /** Words around it that are no work: shown with it. */
  readonly before: string;
  readonly after: string;
  /** The day before, in the morning. */
  readonly when: SaidWhen;
}

/** One action of the work. */
export interface FlowStep {
  readonly text: string;
  readonly work: StepWork;
  readonly verb: string;
  readonly minutes: readonly [number, number] | null;
  readonly temperature: SaidTemperature | null;
  readonly machine: StepMachine | null;
  readonly stage: 'soft' | 'medium' | 'firm' | null;
  /** Lines that it uses or names. */
  readonly lines: Set<number>;
  /** The bowl that it works on; null for none. */
  bowl: number | null;
  /** Bowls that it puts into the dessert. */
  readonly places: Set<number>;
  readonly section: string | null;
  readonly when: SaidWhen;
  readonly start: number;
  readonly end: number;
}

export interface Flow {
  readonly lines: readonly DraftLine[];
  readonly bowls: readonly Bowl[];
  readonly steps: readonly FlowStep[];
  /** The first step that uses each line; null where none does. */
  readonly stepOf: readonly (number | null)[];
  readonly doubts: readonly { readonly line: number; readonly says: string }[];
}

/** What a mention stands for here: a line that is not yet in a bowl, or a bowl; how much of it. */
export type Item = { readonly at: number; readonly share: Share; readonly named: boolean } & (
  { readonly kind: 'line'; readonly line: number } | { readonly kind: 'bowl'; readonly bowl: number }
);
export type Share = { readonly kind: 'all' } | { readonly kind: 'rest' } | { readonly kind: 'part'; readonly share: number; readonly said: string };
export const ALL: Share = { kind: 'all' };

/** What a letter of the list stands for: all under a heading, or one line. */
export type ListLabel = { readonly under: string } | { readonly line: number };

/** Words before what something goes into or onto. */
export const DEST = new Set(['into', 'onto', 'over', 'to', 'in', 'on', 'through', 'upon']);

/** A clause as it is followed. */
export interface Heard {
  readonly fc: FlowClause;
  readonly c: Clause;
  /** Its place among all clauses. */
  readonly index: number;
  readonly verb: string;
  /** Its words from the verb on; with the words around it. */
  readonly after: string;
  readonly around: string;
  /** It adds to what is there. */
  readonly additive: boolean;
}

/** A step in the hands of the cook: what it takes, lines first used and bowls, and how it was said. */
export interface Job {
  readonly step: FlowStep;
  /** Index of the step. */
  readonly at: number;
  readonly h: Heard;
  readonly items: readonly Item[];
  readonly lines: readonly (Item & { readonly kind: 'line' })[];
  readonly bowls: readonly (Item & { readonly kind: 'bowl'; readonly b: Bowl })[];
  /** Behind which word its goal stands; −1 for none. */
  readonly destAt: number;
}

/** From this share of sugar on, cooked cream or butter is a caramel, a sauce (house). */
export const SAUCE_SUGAR = 0.3;
/** From here on what is laid on something is a layer, g (house). */
const LAYER_G = 150;

/** The list without a heading, beside others that have one. */
export const BARE = '';

/** What stands on the worktop while the work is followed: lines not yet used, bowls, the bowl in hand. */
export class Worktop {
  readonly lines: DraftLine[];
  /** The bowl of each line; null while none has it. */
  readonly bowlOf: (number | null)[];
  readonly stepOf: (number | null)[];
  readonly bowls: Bowl[] = [];
  readonly steps: FlowStep[] = [];
  readonly doubts: { line: number; says: string }[] = [];
  readonly hasList: boolean;
  /** All clauses, one behind the other. */
  readonly said: string;
  readonly electric: boolean;
  /** What the work takes apart. */
  readonly apart: Apart;
  /** 'The pan' of a loaf or a pie is what is filled. */
  readonly panIsTin: boolean;
  /** Headings of the list, with what follows 'for the' where one is meant. */
  readonly headings: readonly { readonly heading: string; readonly key: string }[];
  private learnt: Lexicon | null = null;
  /** The heading of the list that the clause in hand works from, by what it names; null where it does not say. */
  company: string | typeof BARE | null = null;
  /** Several things of that list are named, or the list itself. */
  inCompany = false;
  current: number | null = null;
  section: string | null = null;
  /** Something stands in the vessel; it has been chilled there. */
  built = false;
  chilled = false;
  biscuitWord = '';
  /** What has been chopped, taken, melted, and waits to be used: 'mix both'. */
  inHand: Item[] = [];
  /** A bowl was fetched: what comes next goes into that one. */
  ownBowl = false;
  /** Of a line that was divided, the line of its rest. */
  readonly restOf = new Map<number, number>();
  /** A line as it was before it was divided. */
  readonly wholeOf = new Map<number, DraftLine>();
  /** Rests that came back to their line. */
  readonly gone = new Set<number>();

  constructor(
    readonly clauses: readonly FlowClause[],
    readonly listed: readonly DraftLine[],
    readonly context: LineContext,
    readonly fahrenheit: boolean,
    readonly labels: ReadonlyMap<string, ListLabel>,
  ) {
    this.lines = [...listed];
    this.bowlOf = listed.map(() => null);
    this.stepOf = listed.map(() => null);
    this.hasList = listed.length > 0;
    const whole = clauses.map((c) => c.clause.text).join(' ');
    this.headings = [...new Set(listed.flatMap((l) => (l.under === null ? [] : [l.under])))].map((heading) => ({
      heading,
      key: keyOf(heading).replace(/^(?:for )?(?:the )?/, ''),
    }));
    this.said = whole;
    this.electric = mentionsElectric(whole);
    this.apart = apartIn(whole);
    this.panIsTin =
      /\b(?:loaf|cake|spring[- ]?form|baking|pie|tart|brownie|square|inch|x ?\d{1,2}) pan\b|\bpan with (?:plastic|parchment|cling|film|foil)/i.test(whole);
  }

  /** What each phrase stands for, by the lines that there are now. */
  get lexicon(): Lexicon {
    this.learnt ??= lexiconOf(this.lines, this.context.larder);
    return this.learnt;
  }

  /** Lines of the list that some clause names, wherever it stands; found when it is first asked. */
  namedSomewhere(): ReadonlySet<number> {
    this.named ??= new Set(
      this.clauses.flatMap((f) =>
        mentionsIn(f.clause.words, this.lexicon, f.clause.at).flatMap((m) => (m.sense.kind === 'line' ? m.sense.lines.map((l) => l.line) : [])),
      ),
    );
    return this.named;
  }
  private named: ReadonlySet<number> | null = null;

  /** A line more, of no bowl yet. @returns its index. */
  addLine(line: DraftLine): number {
    this.lines.push(line);
    this.bowlOf.push(null);
    this.stepOf.push(null);
    return this.lines.length - 1;
  }

  /** The names of the lines have changed. */
  relearn(): void {
    this.learnt = null;
  }

  root(id: number): number {
    return this.bowls[id]!.into === null ? id : this.root(this.bowls[id]!.into!);
  }

  live(): readonly Bowl[] {
    return this.bowls.filter((b) => b.into === null);
  }

  here(): Bowl | null {
    return this.current === null ? null : this.bowls[this.root(this.current)]!;
  }

  make(heading: string | null): Bowl {
    const b = newBowl(this.bowls.length, heading, Math.max(0, this.steps.length - 1));
    this.bowls.push(b);
    return b;
  }

  addLineTo(i: number, bowl: Bowl): void {
    this.bowlOf[i] = bowl.id;
    bowl.lines.add(i);
    bowl.heading ??= this.lines[i]!.under;
  }

  /** No bowl has it yet. */
  fresh = (i: number): boolean => this.bowlOf[i] === null;

  /** The bowl worked on last of those that pass a test. */
  latest(test: (b: Bowl) => boolean): Bowl | null {
    return (
      this.live()
        .filter((b) => b.place !== 'kept' && test(b))
        .sort((x, y) => y.lastStep - x.lastStep)[0] ?? null
    );
  }

  holds(b: Bowl, ...roles: Role[]): boolean {
    const all = (x: Bowl): boolean =>
      [...x.lines].some((i) => roles.includes(this.lines[i]!.role!)) ||
      [...x.takes.keys()].some((t) => all(this.bowls[t]!)) ||
      this.bowls.some((y) => y.into === x.id && all(y));
    return all(b);
  }

  /** Gelatin in its water that has gone nowhere yet. */
  waits(b: Bowl): boolean {
    return b.into === null && b.placed === 'no' && b.lines.size > 0 && [...b.lines].every((i) => ['gelatin', 'liquid'].includes(this.lines[i]!.role!));
  }

  /** Whether a bowl has been given another, itself or by what it took. */
  holdsBowl(b: Bowl, other: Bowl): boolean {
    return [...b.takes.keys()].some((id) => id === other.id || (this.root(id) === other.id && !other.takes.has(id)) || this.holdsBowl(this.bowls[id]!, other));
  }

  /** Whether a line is most of the bowl that it is in: then its name is the bowl's. */
  mainOf(i: number): boolean {
    const b = this.bowls[this.root(this.bowlOf[i]!)]!;
    const aside =
      b.lines.size <= 3 &&
      ![...b.lines].some((j) => ['cream', 'cheese', 'yolk', 'white', 'egg', 'chocolate', 'milk', 'biscuit'].includes(this.lines[j]!.role!));
    return b.place === 'mix' && b.placed === 'no' && (aside || (this.lines[i]!.grams ?? 0) > 0.5 * gramsIn(b, this.lines)) && b.takes.size === 0;
  }

  /** Yolks and hot milk or cream: one custard, however the yolks were whisked and by whatever spoonfuls they were warmed. */
  makesCustard(a: Bowl, b: Bowl): boolean {
    const eggs = (x: Bowl): boolean => this.holds(x, 'yolk', 'egg') && !this.holds(x, 'white') && !x.heated;
    const hot = (x: Bowl): boolean => x.heated && !x.air && this.holds(x, 'milk', 'cream');
    return (eggs(a) && hot(b)) || (eggs(b) && hot(a));
  }

  weightOf(i: number): number {
    return ['flavour', 'salt', 'acid', 'gelatin', 'setter', 'sugar', 'sour', 'nut', 'starch', 'cocoa'].includes(this.lines[i]!.role!)
      ? 0
      : (this.lines[i]!.grams ?? 0);
  }

  /** A flavour, salt, an acid: it goes where the hands are. */
  seasons(i: number): boolean {
    return ['flavour', 'salt', 'acid'].includes(this.lines[i]!.role!);
  }

  /** Enough of it to be a layer of its own. */
  isWeighty(i: number): boolean {
    return (this.lines[i]!.grams ?? 0) >= LAYER_G;
  }

  isFoamed(b: Bowl): boolean {
    // Chilled evaporated milk is whipped alone.
    const milk = b.takes.size === 0 && b.lines.size > 0 && [...b.lines].every((i) => ['milk', 'sugar', 'flavour'].includes(this.lines[i]!.role!));
    // What chickpeas were cooked in too.
    const pulses = [...b.lines].some((i) => this.lines[i]!.ingredient?.id === 'aquafaba');
    return b.air && (milk || pulses || this.holds(b, 'cream') || this.holds(b, 'white') || this.holds(b, 'yolk', 'egg'));
  }

  isCooked(b: Bowl): boolean {
    // A caramel or a sauce of cream and much sugar.
    if (
      b.heated &&
      !b.air &&
      this.holds(b, 'cream', 'butter') &&
      [...b.lines].reduce((g, i) => g + (this.lines[i]!.role === 'sugar' ? (this.lines[i]!.grams ?? 0) : 0), 0) >
        SAUCE_SUGAR * Math.max(1, gramsIn(b, this.lines))
    )
      return true;
    if (b.baked && this.holds(b, 'biscuit', 'nut') && !this.holds(b, 'cream', 'white')) return true;
    // A meringue that was baked.
    if (b.baked && this.holds(b, 'white') && !this.holds(b, 'cream')) return true;
    // A brittle.
    if (
      b.heated &&
      !b.air &&
      this.holds(b, 'sugar') &&
      this.holds(b, 'nut') &&
      !this.holds(b, 'cream', 'milk', 'butter', 'white', 'yolk', 'egg', 'fruit', 'chocolate', 'liquid')
    )
      return true;
    return (
      b.heated && gramsIn(b, this.lines) > 60 && (this.holds(b, 'yolk', 'egg', 'chocolate', 'fruit') || (this.holds(b, 'milk') && this.holds(b, 'starch')))
    );
  }

  /** Gelatin in what it was bloomed in, a syrup. */
  isWetOrGel(b: Bowl): boolean {
    return !this.holds(b, 'cream', 'cheese', 'white', 'yolk', 'egg', 'chocolate', 'fruit', 'milk', 'starch', 'butter', 'biscuit');
  }

  /** A soak, a syrup: nothing that sets or stands. */
  isWetOnly(b: Bowl | null): boolean {
    return (
      b !== null &&
      b.place !== 'layer' &&
      b.place !== 'topping' &&
      !this.holds(b, 'cream', 'cheese', 'white', 'yolk', 'egg', 'chocolate', 'fruit', 'milk', 'gelatin', 'setter', 'starch', 'butter', 'biscuit')
    );
  }

  onlyButter(list: readonly number[], b: Bowl): boolean {
    return list.every((i) => this.lines[i]!.role === 'butter' || this.weightOf(i) === 0) && this.holds(b, 'white', 'yolk', 'egg');
  }

  sameBlock(b: Bowl, list: readonly number[]): boolean {
    return list.every((i) => [...b.lines].some((j) => this.lines[j]!.block === this.lines[i]!.block && this.lines[j]!.under === this.lines[i]!.under));
  }
}
