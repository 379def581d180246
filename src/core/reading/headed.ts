import { namesPart, readFeedAmount } from '../lines/feed';
import { isLossText } from '../lines/loss';
import { splitLine } from '../measures/line';
import { newBowl, rolesIn, type Bowl } from './bowls';
import type { Flow } from './worktop';
import type { DraftLine } from './lines';
import { sameHeading, type Row } from './rows';

/** A row of a list that takes from another part ('half of the custard'), or says what is lost: no ingredient of its own. */
export interface ListedFeed {
  readonly text: string;
  readonly under: string | null;
  /** Heading of the part that it takes from; null for a loss. */
  readonly from: string | null;
  /** Where it stands in the text. */
  readonly start: number;
}

/** '(see below)', '(from above)', ', recipe follows'. */
const SEE_THERE = /\s*[(,]\s*(?:(?:see|from|as|the|recipe|made) )*(?:above|below|follows|overleaf)\)?\s*$/i;

/** '250 g pastry cream', where a part of several words is called just so: no bought one. */
const isCalled = (row: string, part: string): boolean => part.trim().includes(' ') && sameHeading(splitLine(row).name, part);

/** Rows of a list that name a part under whose heading other rows stand, in full and with no measure of their own. */
export function feedsIn(rows: readonly Row[]): readonly ListedFeed[] {
  const headings = rows.filter((r) => r.kind === 'part').map((r) => r.text);
  return rows.flatMap((r): ListedFeed[] => {
    if (r.kind !== 'line') return [];
    if (isLossText(r.text)) return [{ text: r.text, under: r.under, from: null, start: r.start }];
    const others = headings.filter((h) => h !== r.under);
    const said = r.text.replace(SEE_THERE, '');
    if (
      !namesPart(said, others) ||
      !/^\s*(?:all|the (?:rest|whole|remainder|remaining)|whole|rest|remaining|half|a (?:third|quarter|half)|one (?:third|half)|\d|½|⅓|¼|two thirds|three quarters)/i.test(
        said,
      )
    )
      return [];
    const amount = readFeedAmount(said);
    const from = others.find((h) => namesPart(said, [h]))!;
    // '4 egg whites' under another heading than 'Egg whites' is an ingredient: a share is at most all, or a mass of what is made.
    if (!amount.ok || (amount.value.kind === 'mass' && !/\bof (?:the )?/i.test(said) && said === r.text && !isCalled(said, from))) return [];
    return [{ text: said, under: r.under, from, start: r.start }];
  });
}

/** Words of a heading that say what is done, where no method does. */
const HINTS: readonly (readonly [RegExp, (b: Bowl) => void])[] = [
  [/\bmeringue|\bnests?\b|\bshells?\b|\bpavlova|\bdacquoise/i, (b) => (b.baked = true)],
  [/\bbase\b|\bcrust\b|\bcrumb/i, (b) => (b.pressed = true)],
  [/\bsoak|\bdip\b|\bsyrup\b|\bcoffee\b/i, (b) => (b.place = 'soak')],
  [/\btopping|\bdecorat|\bgarnish|\bto (?:serve|finish)/i, (b) => (b.place = 'topping')],
  [/\bfingers?\b|\bbiscuits?\b|\bwafers?\b|\bcookies\b|\blayers?\b|\bsponge/i, (b) => (b.place = 'layer')],
  [/\bcustard|\bcooked|\bcompote|\bcurd/i, (b) => (b.heated = true)],
  [/\bcream\b|\bchantilly|\bsyllabub|\bfoam|\bmousse/i, (b) => (b.air = true)],
];

/**
 * The bowls of a recipe whose list says itself what is made of what, or that has no method: one for each heading, with what its work shows.
 * @param feeds rows that take from other parts.
 */
export function headedFlow(flow: Flow, rows: readonly Row[], feeds: readonly ListedFeed[]): Flow {
  const headings = [...new Set([...rows.filter((r) => r.kind === 'part').map((r) => r.text)])];
  const unheaded = flow.lines.some((l) => l.under === null);
  const names: (string | null)[] = [
    ...(unheaded ? [null] : []),
    ...headings.filter((h) => flow.lines.some((l) => l.under === h) || feeds.some((f) => f.under === h)),
  ];
  const holder = (i: number): Bowl | undefined => flow.bowls.find((b) => b.lines.has(i));
  const bowls = names.map((heading, id): Bowl => {
    const mine = flow.lines.flatMap((l, i) => (l.under === heading ? [i] : []));
    const olds = [...new Set(mine.flatMap((i) => holder(i) ?? []))].sort(
      (a, b) => mine.filter((i) => b.lines.has(i)).length - mine.filter((i) => a.lines.has(i)).length,
    );
    const main = olds[0];
    const kept = main ?? newBowl(id, heading, 0);
    const b: Bowl = {
      ...kept,
      id,
      heading,
      lines: new Set(mine),
      takes: new Map(),
      takenAt: new Map(),
      into: null,
      keptSays: '',
      place: flow.steps.length === 0 ? 'mix' : kept.place,
    };
    if (flow.steps.length === 0) {
      const roles = rolesIn(b, flow.lines);
      const only = (...r: DraftLine['role'][]): boolean => [...roles.keys()].every((x) => r.includes(x));
      for (const [pattern, say] of HINTS) if (heading !== null && pattern.test(heading)) say(b);
      const fits: Readonly<Record<Bowl['place'], boolean>> = {
        mix: true,
        kept: true,
        topping: true,
        layer: only('biscuit'),
        soak: only('liquid', 'drink', 'sugar', 'sour', 'flavour'),
      };
      if (!fits[b.place]) b.place = 'mix';
      if (roles.has('milk') && (roles.has('yolk') || roles.has('egg') || roles.has('starch'))) b.heated = true;
      if (roles.has('cream') && !b.heated) b.air = true;
    }
    return b;
  });
  const at = (heading: string | null): number => names.indexOf(heading);
  for (const f of feeds) {
    const [to, from] = [at(f.under), f.from === null ? -1 : at(f.from)];
    if (to >= 0 && from >= 0 && to !== from) bowls[to]!.takes.set(from, Math.min(1, (bowls[to]!.takes.get(from) ?? 0) + 0.5));
  }
  const ofOld = (old: number | null, lines: ReadonlySet<number>): number | null => {
    const named = [...lines].map((i) => bowls.findIndex((b) => b.lines.has(i))).filter((i) => i >= 0);
    if (named.length > 0) return [...named].sort((a, b) => named.filter((x) => x === b).length - named.filter((x) => x === a).length)[0]!;
    if (old === null) return null;
    const held = flow.bowls[old]!;
    const i = bowls.findIndex((b) => [...held.lines].some((l) => b.lines.has(l)));
    return i >= 0 ? i : null;
  };
  let lastOf: number | null = null;
  const steps = flow.steps.map((s) => {
    const under = names.findIndex((n) => sameHeading(n, s.section));
    const bowl = s.bowl === null ? null : (ofOld(s.bowl, s.lines) ?? (under >= 0 ? under : lastOf));
    const places = new Set([...s.places].flatMap((p) => ofOld(p, new Set(flow.bowls[p]!.lines)) ?? []));
    lastOf = bowl ?? lastOf;
    return { ...s, bowl, places };
  });
  return { ...flow, bowls, steps };
}
