import type { Role } from '../larder/role';
import type { DraftLine } from './lines';

/** A bowl (pan, mould, layer) of the work: what is in it, and what has been done to it. */
export interface Bowl {
  readonly id: number;
  /** Heading of the list or of the method that most of it stands under. */
  heading: string | null;
  /** Its own lines. */
  readonly lines: Set<number>;
  /** Other bowls that were given to it, with their share. */
  readonly takes: Map<number, number>;
  /** The step at which each was given. */
  readonly takenAt: Map<number, number>;
  /** What it is in the dessert, where that is decided by how it gets there. */
  place: 'mix' | 'layer' | 'soak' | 'topping' | 'kept';
  air: boolean;
  stage: 'soft' | 'medium' | 'firm' | null;
  heated: boolean;
  /** Whisked over steam. */
  steam: boolean;
  /** Whisked over heat until it is a foam. */
  risen: boolean;
  /** A boiled syrup went in. */
  syrup: boolean;
  /** Highest said temperature of the mix, °C. */
  hotC: number | null;
  baked: boolean;
  bakedC: number | null;
  pressed: boolean;
  sieved: boolean;
  dipped: boolean;
  brushed: boolean;
  /** Sugar came in when it had air. */
  sugarLate: boolean;
  /** It has been put into the dessert, and how late; or it is served beside it. */
  placed: 'no' | 'built' | 'late' | 'beside';
  /** The bowl that took all of it. */
  into: number | null;
  /** The step that last worked on it. */
  lastStep: number;
  firstStep: number;
  /** Said to be kept from another one: '1 cup', 'a quarter'. */
  keptSays: string;
}

export const newBowl = (id: number, heading: string | null, step: number): Bowl => ({
  id,
  heading,
  lines: new Set(),
  takes: new Map(),
  takenAt: new Map(),
  place: 'mix',
  air: false,
  stage: null,
  heated: false,
  steam: false,
  risen: false,
  syrup: false,
  hotC: null,
  baked: false,
  bakedC: null,
  pressed: false,
  sieved: false,
  dipped: false,
  brushed: false,
  sugarLate: false,
  placed: 'no',
  into: null,
  lastStep: step,
  firstStep: step,
  keptSays: '',
});

/** Grams of a bowl by role, of its own lines. */
export function rolesIn(bowl: Bowl, lines: readonly DraftLine[]): ReadonlyMap<Role, number> {
  const g = new Map<Role, number>();
  for (const i of bowl.lines) {
    const l = lines[i]!;
    if (l.role) g.set(l.role, (g.get(l.role) ?? 0) + (l.grams ?? 1));
  }
  return g;
}

export const gramsIn = (bowl: Bowl, lines: readonly DraftLine[]): number => [...bowl.lines].reduce((sum, i) => sum + (lines[i]!.grams ?? 0), 0);
