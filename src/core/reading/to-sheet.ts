import { USUAL_COLD } from '../document/usual-cold';
import type { SweetnessBand } from '../composition/sweetness';
import { CUP_SYSTEMS, differsBySystem, type CupSystem } from '../measures/units';
import { splitLine } from '../measures/line';
import { newLine, type EditContext } from '../editing/edits';
import { FORMAT_VERSION, goesByItself, USUAL_WAIT_H, type Family, type PartKind, type Use } from '../document/kinds';
import type { Line, Part, Sheet, Step } from '../document/schema';
import type { Mixer, ShelfVessel } from '../kitchen/schema';
import { startingPart } from '../editing/starting';
import { USUAL_TIN } from '../document/usual-tin';
import { capacityMl } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import type { Reading, ReadPart, ReadStep } from './read';
import { layersSaid } from './repeats';
import type { SaidVessel } from './setting';
import { isPerPortion } from '../vessel/profile';
import type { LaidLayer } from '../document/tin-plan-schema';

/** What turning a reading into a sheet needs besides it. */
export interface ToSheet {
  readonly context: EditContext;
  readonly mixers: readonly Mixer[];
  readonly vessels: readonly ShelfVessel[];
  /** Fresh ids, so that the core has no randomness. */
  readonly newId: () => string;
}

/** A sheet of what was read, with what of it the recipe did not say. */
export interface SheetRead {
  readonly sheet: Sheet;
  /** Line of the sheet for each line that was read. */
  readonly lineIds: readonly string[];
  /** Step of the sheet for each step that was read. */
  readonly stepIds: readonly string[];
  readonly notSaid: readonly ('vessel' | 'mixer' | 'use' | 'portions' | 'cups')[];
}

/** The same line with its cup system written out, where the recipe means another one than the kitchen. */
export function withCups(text: string, means: CupSystem, kitchen: CupSystem): string {
  if (means === kitchen) return text;
  let out = text;
  for (const a of splitLine(text).amounts) {
    if (!a.unit || a.system || !differsBySystem(a.unit)) continue;
    const unit = /(fl\.?\s?oz\.?|fluid\s\w+|\p{L}+\.?)$/iu.exec(a.text.replace(/\s+and\s+.*$/i, ''));
    if (!unit) continue;
    out = out.replace(a.text, () => `${a.text.slice(0, unit.index)}${CUP_SYSTEMS[means].name} ${a.text.slice(unit.index)}`);
  }
  return out;
}

const FAMILY_PORTIONS = 8;
const SWEETNESS: Readonly<Record<Family, SweetnessBand>> = {
  chantilly: 'chantilly',
  frosting: 'frosting',
  tiramisu: 'dessert',
  icebox: 'dessert',
  syllabub: 'dessert',
  semifreddo: 'semifreddo',
  mousse: 'fruit-mousse',
  cheesecake: 'dessert',
  nest: 'meringue',
  pudding: 'dessert',
};
const USE_BY_FAMILY: Readonly<Record<Family, Use>> = {
  chantilly: 'spoon',
  frosting: 'pipe',
  tiramisu: 'spoon',
  icebox: 'slice',
  syllabub: 'glass',
  semifreddo: 'slice',
  mousse: 'glass',
  cheesecake: 'slice',
  nest: 'spoon',
  pudding: 'spoon',
};
/** Vessel that a family starts in where the recipe says none. */
const VESSEL_BY_FAMILY: Readonly<Record<Family, Vessel['kind']>> = {
  chantilly: 'bowl',
  frosting: 'bowl',
  tiramisu: 'tray',
  icebox: 'springform',
  syllabub: 'glass',
  semifreddo: 'terrine',
  mousse: 'glass',
  cheesecake: 'springform',
  nest: 'free',
  pudding: 'bowl',
};

/**
 * A sheet from a reading: every part, line and step as it was understood, the cook's own order kept, the vessel, mixer, stage and use as they
 * were said. What was not said is set by the kind of dessert, and named in `notSaid`.
 */
export function readingToSheet(r: Reading, to: ToSheet): SheetRead {
  const { context, newId } = to;
  const notSaid: SheetRead['notSaid'][number][] = [];
  const mixer = to.mixers.find((m) => m.kind === r.mixer) ?? to.mixers[0];
  if (r.mixer === null) notSaid.push('mixer');
  if (r.portions === null) notSaid.push('portions');
  if (r.cups.quotes.length === 0) notSaid.push('cups');
  const use = r.use ?? USE_BY_FAMILY[r.family];
  if (r.use === null) notSaid.push('use');
  const portions = Math.min(2000, Math.round(r.portions?.high ?? FAMILY_PORTIONS));
  const vessel = vesselOf(r.vessel, r.family, to.vessels);
  if (r.vessel === null) notSaid.push('vessel');
  const ordered = inBuildOrder(r);
  const partIds = new Map(ordered.map((p) => [p.id, newId()]));
  const stepIds = r.steps.map(() => newId());
  const lineIds = r.lines.map(() => newId());
  // What goes on once the mould is off, or the tin is full and set, stands over its rim; in a bowl or a glass it is still within.
  const rimmed = vessel.kind === 'springform' || vessel.kind === 'terrine' || vessel.kind === 'mould';
  const shells: Part[] = ordered.map((p) => ({
    ...partOf(p, partIds.get(p.id)!, mixer?.id ?? '', use),
    stands: p.lies === 'beside' || (rimmed && p.lies === 'top') ? 'beside' : 'in',
  }));
  const parts = shells.map((shell, i): Part => {
    const read = ordered[i]!;
    const own = r.lines.flatMap((l, k): Line[] => {
      if (l.part !== read.id) return [];
      const text = withCups(l.draft.text, r.cups.system, context.measures.cups).slice(0, 480);
      const typed = newLine(lineIds[k]!, text, context);
      const id = l.draft.ingredient?.id ?? null;
      return [
        {
          ...typed,
          ingredientId: id,
          fromPartId: null,
          stepId: l.step === null ? null : stepIds[l.step]!,
          lastGood: id !== null && l.draft.grams !== null ? { text, ingredientId: id, fromPartId: null } : null,
        },
      ];
    });
    // What the list says itself stands as it is written.
    const listed = read.feeds.map((f): Line => {
      const from = f.part === null ? null : (partIds.get(f.part) ?? null);
      return {
        id: newId(),
        text: f.text.slice(0, 480),
        ingredientId: null,
        fromPartId: from,
        lastGood: { text: f.text.slice(0, 480), ingredientId: null, fromPartId: from },
        stepId: firstFeeding(r, read.id, f.part, stepIds),
      };
    });
    const feeds =
      read.feeds.length > 0
        ? listed
        : read.takes.flatMap((t): Line[] => {
            const from = shells.find((x) => x.id === partIds.get(t.part));
            if (!from) return [];
            const text = withCups(feedText(t.share, t.says, from.name, r, t.part), r.cups.system, context.measures.cups);
            return [
              {
                id: newId(),
                text,
                ingredientId: null,
                fromPartId: from.id,
                lastGood: { text, ingredientId: null, fromPartId: from.id },
                stepId: firstFeeding(r, read.id, t.part, stepIds),
              },
            ];
          });
    const place = new Map<string, number>([
      ...r.lines.map((l, k) => [lineIds[k]!, l.draft.start] as const),
      ...read.feeds.map((f, k) => [feeds[k]!.id, f.start] as const),
    ]);
    const lines = read.feeds.length > 0 ? [...own, ...feeds].toSorted((a, b) => (place.get(a.id) ?? 0) - (place.get(b.id) ?? 0)) : [...own, ...feeds];
    return { ...shell, lines: lines.slice(0, 200) };
  });
  const steps = stepsOf(r, stepIds, partIds);
  const laid = isPerPortion(vessel) ? null : layersSaid(r.steps, new Map(r.parts.map((p) => [p.id, p.kind])));
  const layers = laid?.flatMap((p, i): LaidLayer[] => (partIds.has(p) ? [{ id: `l${i + 1}`, partId: partIds.get(p)!, by: 'share', amount: 0 }] : [])) ?? null;
  const sheet: Sheet = {
    format: 'soft-peak-sheet',
    formatVersion: FORMAT_VERSION,
    name: r.title.slice(0, 120) || 'Pasted recipe',
    family: r.family,
    portions,
    use,
    sweetness: SWEETNESS[r.family],
    vessel,
    tin: { ...USUAL_TIN, layers, count: vessel.kind === 'glass' || vessel.kind === 'mould' || vessel.kind === 'free' ? 1 : Math.max(1, r.vessel?.count ?? 1) },
    cold: USUAL_COLD,
    parts: parts.length > 0 ? parts : [startingPart(newId(), 'whipped-cream', mixer?.id ?? '')],
    steps,
    method: steps.length > 0 ? 'own' : 'ways',
    ways: {},
    servedAfterH: USUAL_WAIT_H,
    notes: r.unread.join('\n').slice(0, 20_000),
    unread: [],
  };
  return { sheet, lineIds, stepIds, notSaid };
}

/** The step at which a part is given another one: the first of its own that waits for it, else its first; null where it has none. */
function firstFeeding(r: Reading, part: string, from: string | null, stepIds: readonly string[]): string | null {
  const mixes = ['fold', 'hands', 'beat', 'whisk', 'heat'];
  const at = r.steps.findIndex((s) => s.part === part && mixes.includes(s.work) && from !== null && s.after.some((a) => r.steps[a]!.part === from));
  const any = at >= 0 ? at : r.steps.findIndex((s) => s.part === part);
  return any >= 0 ? stepIds[any]! : null;
}

function partOf(p: ReadPart, id: string, mixerId: string, use: Use): Part {
  const part = startingPart(id, p.kind, mixerId);
  const stage = p.stage ?? usualStage(p.kind, use);
  return {
    ...part,
    name: p.name,
    ways: { ...part.ways, ...p.ways },
    whisk: { ...part.whisk, stage, ...(p.ways['sugar-moment'] === 'soft-peak' ? { sugarAt: 'soft-peak' as const } : {}) },
    heat: p.syrupC === null ? part.heat : { ...part.heat, syrupC: Math.min(140, Math.max(80, p.syrupC)) },
  };
}

const usualStage = (kind: PartKind, use: Use): 'soft' | 'medium' | 'firm' =>
  use === 'pipe' && (kind === 'whipped-cream' || kind === 'cheese-cream' || kind === 'crown') ? 'firm' : 'medium';

/** 'all of the cream', '1/4 of the cream', '1 cup of the cream', 'the rest of the cream' where others take a share of it too. */
function feedText(share: number, says: string, name: string, r: Reading, from: string): string {
  const shared = r.parts.flatMap((p) => p.takes.filter((t) => t.part === from)).length > 1;
  if (splitLine(`${says} foam`).amounts[0]?.unit?.dimension === 'volume') return `${says} of the ${name}`;
  if (says !== '' && /\d|half|third|quarter/i.test(says)) return `${says} of the ${name}`;
  if (shared && share >= 0.5) return `the rest of the ${name}`;
  if (share >= 0.985) return `all of the ${name}`;
  return `${Math.round(100 * share)} % of the ${name}`;
}

/** Times that a wait takes where nothing says how long, h (house). */
const UNSAID_H: Readonly<Partial<Record<ReadStep['work'], readonly [number, number]>>> = {
  chill: [2, 4],
  freeze: [6, 10],
  wait: [0.25, 0.5],
  soak: [0.08, 0.17],
  bake: [0.2, 0.25],
};

/** The parts in the order in which they lie in the dessert; what goes into another stands before it, and what nothing places stays where it was read. */
function inBuildOrder(r: Reading): readonly ReadPart[] {
  const placedAt = new Map<string, number>();
  r.steps.forEach((s, i) => s.places.forEach((p, k) => !placedAt.has(p) && placedAt.set(p, i + k / 100)));
  const rank = (p: ReadPart, seen: readonly string[]): number => {
    const takers = r.parts.filter((t) => !seen.includes(t.id) && t.takes.some((x) => x.part === p.id));
    const before = takers.map((t) => rank(t, [...seen, p.id]) - 0.0001);
    return Math.min(placedAt.get(p.id) ?? Infinity, ...before);
  };
  const ranks = new Map(r.parts.map((p) => [p.id, rank(p, [p.id])]));
  // One that is nowhere placed keeps to the one read before it.
  let last = -1;
  const keys = new Map(r.parts.map((p) => [p.id, (last = Number.isFinite(ranks.get(p.id)!) ? ranks.get(p.id)! : last)]));
  return r.parts
    .map((p, i) => ({ p, i }))
    .sort((a, b) => keys.get(a.p.id)! - keys.get(b.p.id)! || a.i - b.i)
    .map((x) => x.p);
}

function stepsOf(r: Reading, ids: readonly string[], partIds: ReadonlyMap<string, string>): readonly Step[] {
  let ovenC: number | null = null;
  const builders = r.steps.map((s, i) => (s.work === 'fill' || s.work === 'finish' ? i : -1)).filter((i) => i >= 0);
  const placed = new Set(r.steps.flatMap((s) => s.places));
  const taken = new Set(r.parts.flatMap((p) => p.takes.map((t) => t.part)));
  // A part that no step puts into the dessert goes in with the last one that builds, or with the last that works on it.
  const homeless = r.parts.filter((p) => !placed.has(p.id) && !taken.has(p.id)).map((p) => p.id);
  const last = builders.at(-1) ?? r.steps.length - 1;
  const made = homeless.map((p) => r.steps.findLastIndex((s) => s.part === p)).filter((i) => i >= 0 && i < last);
  return r.steps.slice(0, 290).map((s, i): Step => {
    if (s.temperature?.of === 'oven') ovenC = s.temperature.c;
    const words = stepWords(s.text);
    // What is dipped or brushed is in hand; what soaks in water goes on by itself.
    const by = goesByItself(s.work) && !(s.work === 'soak' && s.places.length > 0 && s.minutes === null);
    const said = s.minutes ? ([s.minutes[0], Math.max(s.minutes[0], s.minutes[1])] as [number, number]) : null;
    const hours = by ? (said ? ([said[0] / 60, said[1] / 60] as const) : UNSAID_H[s.work]!) : null;
    const places = [...s.places, ...(i === last && r.parts.length > 1 ? homeless : [])];
    const baked = s.work === 'bake' ? (s.temperature?.of === 'oven' ? s.temperature.c : ovenC) : null;
    return {
      id: ids[i]!,
      partId: s.part === null ? null : (partIds.get(s.part) ?? null),
      key: null,
      title: words.title,
      short: s.verb.slice(0, 30) || s.work,
      detail: words.detail,
      handsMin: !by && said && said[1] <= 6000 ? Math.round(said[1] * 10) / 10 : null,
      waitH: hours ? [Math.min(1000, hours[0]), Math.min(1000, hours[1])] : null,
      tempC: s.temperature?.of === 'mix' && s.temperature.c >= -40 && s.temperature.c <= 300 ? s.temperature.c : null,
      ovenC: baked !== null && baked >= 30 && baked <= 300 ? Math.round(baked) : null,
      useWithinMin: null,
      whisks: s.work === 'whisk' && s.part !== null,
      wants: [],
      parts: [...new Set(places)].flatMap((p) => partIds.get(p) ?? []),
      edited: true,
      note: '',
      work: s.work,
      minutes: said && said[1] <= 100_000 ? said : null,
      machine: s.machine,
      after: [...new Set([...s.after, ...(i === last ? made : [])])]
        .filter((a) => a < 290)
        .map((a) => ids[a]!)
        .slice(0, 60),
      ahead: s.ahead,
      by: s.by,
    };
  });
}

/** The first sentence as the title, what follows as the detail; all words stay. */
export function stepWords(text: string): { readonly title: string; readonly detail: string } {
  const clean = text.replace(/\s+/g, ' ').trim();
  const cut = /^(.{8,150}?[.!;])\s+(.+)$/s.exec(clean);
  const title = cut ? cut[1]! : clean;
  const detail = cut ? cut[2]! : '';
  const tidy = capital(title.replace(/^(?:and|then|,)\s+/i, '').replace(/[,;.]$/, ''));
  if (tidy.length <= 190) return { title: tidy, detail: detail.slice(0, 4000) };
  const short = tidy.slice(0, 180).replace(/\s+\S*$/, '');
  return { title: `${short}…`, detail: `${tidy.slice(short.length).trim()} ${detail}`.trim().slice(0, 4000) };
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** The vessel as it is said, in the size of the kitchen's own where one is as large; the family's usual one where nothing is said. */
function vesselOf(said: SaidVessel | null, family: Family, shelf: readonly ShelfVessel[]): Vessel {
  const kinds = said ? KIND_OF_SHAPE[said.shape] : [VESSEL_BY_FAMILY[family]];
  const mine = shelf.filter((v) => kinds.includes(v.vessel.kind)).map((v) => v.vessel);
  const fits = mine.find((v) => said === null || sameSize(v, said));
  if (fits && (said === null || hasSize(said) || mine.length === 1)) return fits;
  if (said === null) return mine[0] ?? shelf[0]!.vessel;
  return made(said) ?? fits ?? mine[0] ?? shelf[0]!.vessel;
}

const KIND_OF_SHAPE: Readonly<Record<SaidVessel['shape'], readonly Vessel['kind'][]>> = {
  springform: ['springform'],
  ring: ['springform'],
  round: ['springform'],
  tart: ['springform'],
  tray: ['tray'],
  dish: ['tray'],
  terrine: ['terrine'],
  glass: ['glass'],
  mould: ['mould'],
  bowl: ['bowl'],
  free: ['free'],
  dome: ['dome'],
  tub: ['tub'],
};
const hasSize = (v: SaidVessel): boolean => v.acrossMm !== undefined || v.lengthMm !== undefined || v.eachMl !== undefined;
const near = (a: number, b: number, share = 0.03): boolean => Math.abs(a - b) <= share * b;

function sameSize(v: Vessel, said: SaidVessel): boolean {
  if (said.eachMl !== undefined) return near(capacityMl(v), said.eachMl, 0.12);
  if (said.acrossMm !== undefined) return 'topMm' in v && near(v.topMm, said.acrossMm);
  if (said.lengthMm !== undefined) return 'lengthMm' in v && near(v.lengthMm, said.lengthMm) && (said.widthMm === undefined || near(v.widthMm, said.widthMm));
  return !hasSize(said);
}

const cm = (mm: number): string => `${Math.round(mm / 5) / 2}`;

/** A vessel of the size that is said, with the usual height of its kind; null where no size is said. */
function made(said: SaidVessel): Vessel | null {
  const across = said.acrossMm;
  const clamp = (mm: number): number => Math.min(1000, Math.max(20, mm));
  switch (said.shape) {
    case 'springform':
    case 'ring':
    case 'round':
      return across === undefined
        ? null
        : {
            kind: 'springform',
            name: `${said.shape === 'springform' ? 'Springform' : said.shape === 'ring' ? 'Ring' : 'Round tin'} ${cm(across)} cm`,
            topMm: clamp(across),
            baseMm: clamp(across),
            heightMm: said.heightMm ?? 70,
          };
    case 'tart':
      return across === undefined
        ? null
        : { kind: 'springform', name: `Tart tin ${cm(across)} cm`, topMm: clamp(across), baseMm: clamp(across - 10), heightMm: said.heightMm ?? 35 };
    case 'tray':
    case 'dish': {
      if (said.lengthMm === undefined) return null;
      const [l, w] = [clamp(said.lengthMm), clamp(said.widthMm ?? said.lengthMm)];
      return {
        kind: 'tray',
        name: `Dish ${cm(l)} × ${cm(w)} cm`,
        lengthMm: l,
        widthMm: w,
        baseLengthMm: clamp(l - 10),
        baseWidthMm: clamp(w - 10),
        heightMm: said.heightMm ?? 55,
      };
    }
    case 'terrine': {
      const ml = said.eachMl;
      const length = said.lengthMm ?? (ml === undefined ? undefined : 260 * (ml / 1200) ** (1 / 3));
      if (length === undefined) return null;
      const width = said.widthMm ?? 0.32 * length;
      const high = said.heightMm ?? (ml === undefined ? 0.25 * length : (ml * 1000) / (length * width * 0.9));
      return {
        kind: 'terrine',
        name: ml === undefined ? `Loaf tin ${cm(length)} cm` : `Terrine ${Math.round(ml / 10) / 100} L`,
        lengthMm: clamp(length),
        widthMm: clamp(width),
        baseLengthMm: clamp(length - 14),
        baseWidthMm: clamp(width - 12),
        heightMm: Math.min(300, Math.max(20, high)),
      };
    }
    case 'glass':
    case 'mould': {
      if (said.eachMl === undefined) return null;
      // As high as it is wide, a little narrower at its foot.
      const side = ((said.eachMl * 1000) / (Math.PI / 4) / 0.82) ** (1 / 3);
      return {
        kind: said.shape,
        name: `${said.shape === 'glass' ? 'Glass' : 'Mould'} ${Math.round(said.eachMl)} mL`,
        topMm: clamp(side),
        baseMm: clamp(side * 0.8),
        heightMm: Math.max(10, side),
      };
    }
    case 'bowl':
    case 'dome': {
      const mm = across ?? (said.eachMl === undefined ? undefined : 2 * ((said.eachMl * 1000 * 3) / (2 * Math.PI)) ** (1 / 3));
      return mm === undefined
        ? null
        : {
            kind: said.shape,
            name: `${said.shape === 'bowl' ? 'Bowl' : 'Dome'} ${cm(mm)} cm`,
            topMm: clamp(mm),
            baseMm: said.shape === 'bowl' ? Math.max(20, mm * 0.45) : 5,
            heightMm: clamp(mm / 2),
          };
    }
    case 'free':
      return across === undefined ? null : { kind: 'free', name: `Shell ${cm(across)} cm`, topMm: clamp(across), baseMm: clamp(across - 10), heightMm: 60 };
    case 'tub':
      return null;
  }
}
