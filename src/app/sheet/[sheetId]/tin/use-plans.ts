'use client';

import { useMemo } from 'react';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { biscuitLayers, layAsk, type BiscuitLayer } from '../../../../core/tin/biscuits';
import type { Plan } from '../../../../core/vessel/packing/lay';
import type { Result } from '../../../../core/result';
import { useCalculator } from '../../../../workers/use-calculator';

export interface LaidPlan {
  readonly layer: BiscuitLayer;
  readonly plan: Result<Plan> | null;
}

/** The plan of every layer of biscuits, laid off the main thread; the last plans stay while newer ones are on their way. */
export function usePlans(analysis: SheetAnalysis): readonly LaidPlan[] {
  const layers = useMemo(() => biscuitLayers(analysis), [analysis]);
  const asks = useMemo(() => layers.map((l) => layAsk(analysis, l)), [layers, analysis]);
  const plans = useCalculator('biscuits', asks);
  return layers.map((layer, i) => ({ layer, plan: plans?.[i] ?? null }));
}
