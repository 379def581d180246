'use client';

import { useEffect, useRef, useState } from 'react';
import type { CalculatorInput, CalculatorOutput } from '../core/calculators';
import type { Result } from '../core/result';
import { coreService } from './core-service';
import type { AskedCalculator } from './core.worker';

/**
 * Answers of a calculator for a list of inputs, worked out off the main thread.
 * The last answers stay while newer ones are on their way; an answer to an older question never replaces a newer one.
 * @returns null until the first answers are there.
 */
export function useCalculator<N extends AskedCalculator>(name: N, inputs: readonly CalculatorInput<N>[]): readonly Result<CalculatorOutput<N>>[] | null {
  const [answers, setAnswers] = useState<readonly Result<CalculatorOutput<N>>[] | null>(null);
  const asked = useRef(0);
  const question = JSON.stringify(inputs);
  useEffect(() => {
    const mine = ++asked.current;
    void coreService()
      .calculateAll(name, JSON.parse(question) as unknown[])
      .then((found) => {
        // The registry has checked each output against the schema that the type comes from.
        if (mine === asked.current) setAnswers(found as Result<CalculatorOutput<N>>[]);
      });
  }, [name, question]);
  return answers;
}
