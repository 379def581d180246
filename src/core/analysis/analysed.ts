/** What an analysis holds: its shape alone, so that every file of the room can stand on it. */
import type { Mixture } from '../composition/mixture';
import { isWhippedKind } from '../document/kinds';
import type { Part, Sheet } from '../document/schema';
import type { EggWhip } from '../foam/egg-whisk';
import type { FoldStep } from '../foam/fold';
import type { Hold } from '../foam/hold';
import type { WhiskInput } from '../foam/inputs';
import type { StopWindow, Whip } from '../foam/whisk';
import type { EggRule } from '../heat/lethality';
import type { Mixer } from '../kitchen/schema';
import type { PartReading } from '../lines/read-part';
import type { Result } from '../result';
import type { GelatinDose } from '../setting/gelatin';
import type { EggFoamForecast } from './egg-foam';
import type { PartLearnt } from './learnt';

/** Which rule says by when it is eaten. */
export type KeepingRule = 'raw-egg' | 'kitchen' | 'dairy' | 'frozen';

/** The three moments of a finished dessert, h from when it goes into the cold. */
export interface Keeping {
  readonly rawEgg: boolean;
  /** Until the first drop of whey or a soft edge; null where its shape has no figure, or is meant to change (a parted syllabub). */
  readonly cleanH: number | null;
  /** Until it is no longer good to fill, to whip again or to eat at its best; never past `eatByH`. */
  readonly goodH: number;
  readonly eatByH: number;
  readonly rule: KeepingRule;
}

/** What the cook's own steps do to a part by heat. */
export interface OwnHeat {
  /** The highest temperature that they take the mix to, °C; null where none warms it. */
  readonly tempC: number | null;
  readonly baked: boolean;
}

/** Every figure of a part, each with a value or the reason why there is none. */
export interface PartAnalysis {
  readonly part: Part;
  readonly reading: PartReading;
  readonly mixer: Mixer | null;
  /** Fat % of all in the bowl, the added sugar left out; null for an empty bowl. */
  readonly fatPct: number | null;
  /** g of sucrose equivalent per 100 g. */
  readonly sweetness: number;
  /** Unaerated, at the cream's temperature, mL. */
  readonly mixMl: number;
  readonly whiskInput: Result<WhiskInput>;
  readonly whip: Result<Whip>;
  readonly window: Result<StopWindow>;
  /** At the wished stage, or of the egg foam at its right stage, %; a folded part's is what its folds keep. */
  readonly overrunPct: Result<number>;
  readonly foamMl: Result<number>;
  /** What its folds brought and kept, in their order; empty where nothing with air is folded in. */
  readonly folds: readonly NamedFold[];
  /** What they are folded into, without air, mL, and whether that counts as stiff; 0 and false without folds. */
  readonly foldBaseMl: number;
  readonly foldedStiff: boolean;
  /** Which egg foam it is; null for anything else. */
  readonly eggFoam: EggFoamForecast | null;
  /** Its stages on the clock; null for anything that is no egg foam. */
  readonly eggWhip: Result<EggWhip> | null;
  /** What the kitchen's log has corrected. */
  readonly learnt: PartLearnt;
  /** What the cook's own steps heat it to. */
  readonly ownHeat: OwnHeat;
  /** What the kitchen's authority takes as enough heat for egg. */
  readonly eggRule: EggRule;
  /** Whether it holds egg that counts as raw, its own or taken from another part. */
  readonly rawEgg: boolean;
  readonly holdFridge: Result<Hold>;
  readonly holdCounter: Result<Hold>;
  readonly gelatin: Result<GelatinDose>;
  readonly abvPct: number;
  /** What is left of it for the vessel after other parts have taken theirs. */
  readonly leftG: number;
  /** Share (0–1) of it that is left. */
  readonly leftShare: number;
}

/** One fold, with the foam that it brought. */
export interface NamedFold extends FoldStep {
  readonly name: string;
  /** The line that brings it, and the part that it takes from. */
  readonly lineId: string;
  readonly fromPartId: string;
  readonly firstShare: number;
  /** Whites that meet fat here. */
  readonly fragile: boolean;
}

/** A part as it lies in the vessel. */
export interface Layer {
  readonly part: Part;
  readonly massG: number;
  readonly volumeMl: number;
  readonly overrunPct: number;
}

export interface SheetAnalysis {
  readonly sheet: Sheet;
  readonly parts: readonly PartAnalysis[];
  /** Everything that is served: each part once, less what is lost. */
  readonly mixture: Mixture;
  readonly sweetness: number;
  readonly abvPct: number;
  /** From the foot up; empty where a volume is not known. */
  readonly layers: readonly Layer[];
  /** All layers together, mL. */
  readonly volumeMl: Result<number>;
  /** In one vessel as it is laid: a portion in each glass, everything in a bowl; mL. */
  readonly perVesselMl: Result<number>;
  readonly vesselHoldsMl: number;
  /** How high one vessel is filled, mm. */
  readonly fillMm: Result<number>;
  /** How long the finished dessert is clean, good, and may be kept. */
  readonly keeping: Keeping;
}

/** The foam that is served, whose hold is asked: whipped or folded, most of it not taken up elsewhere; nothing that is frozen. */
export function servedFoam(s: Pick<SheetAnalysis, 'sheet' | 'parts'>): readonly PartAnalysis[] {
  if (s.parts.length === 1) return isWhippedKind(s.parts[0]!.part.kind) ? s.parts : [];
  if (s.sheet.family === 'semifreddo') return [];
  const foams = s.parts.filter((a) => (isWhippedKind(a.part.kind) || a.part.kind === 'set-filling') && a.leftShare > 0.4 && a.holdFridge.ok);
  return foams.sort((a, b) => b.leftG - a.leftG).slice(0, 1);
}
