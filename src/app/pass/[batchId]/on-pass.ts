import type { KitchenRules } from '../../../core/kitchen/schema';
import { createContext, useContext } from 'react';
import type { BatchPlan } from '../../../core/batch/batch';
import type { BatchClient, ClientState } from '../../../ui/batch/batch-client';
import type { TemperatureLog } from '../../../ui/batch/temperature-log';

/** What may go wrong in a step, by its key: the sign, and the sheet's own figure that makes it likely. */
export type AheadOfStep = Readonly<Record<string, readonly { readonly sign: string; readonly name: string; readonly says: string }[]>>;

/** Judgements to mind before a step, by its key: the figure large and what it is of; the sentence where there is no figure. */
export type JudgedSteps = Readonly<
  Record<
    string,
    readonly { readonly key: string; readonly big: string | null; readonly small: string; readonly of: string; readonly says: string; readonly out: boolean }[]
  >
>;

/** The batch in hand, for every piece of Pass. */
export interface OnPass {
  readonly batchId: string;
  readonly plan: BatchPlan;
  readonly state: ClientState;
  readonly client: BatchClient;
  readonly tablet: string;
  readonly temperatures: TemperatureLog;
  /** Smallest step of the kitchen's scale, g. */
  readonly scaleStepG: number;
  readonly waterBoilsC: number;
  /** The kitchen's own cooling rule; null where it goes by the usual one. */
  readonly cooling: KitchenRules['cooling'];
  readonly fridgeC: number;
  readonly ahead: AheadOfStep;
  readonly judged: JudgedSteps;
  /** How amounts are shown and ticked, on every screen alike. */
  readonly amounts: {
    readonly inGrams: boolean;
    readonly byScale: boolean;
    readonly toggleUnit: () => void;
    readonly toggleScale: () => void;
    /** What lay on the scale when a line of this step was kept by its weight, g: the next line's weight begins there. null where none was, or one by hand. */
    readonly keptG: number | null;
    readonly keep: (grossG: number | null) => void;
  };
}

export const OnPassContext = createContext<OnPass | null>(null);

export function useOnPass(): OnPass {
  const value = useContext(OnPassContext);
  if (!value) throw new Error('used outside of Pass');
  return value;
}
