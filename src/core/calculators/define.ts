import type { z } from 'zod';
import { fail, type Result } from '../result';
import type { Kitchen } from '../kitchen/kitchen';

/** A computation that the command line, the HTTP route and the worker all reach by its name. */
export interface Calculator<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  readonly name: string;
  /** What it answers, in one line. */
  readonly answers: string;
  readonly input: I;
  readonly output: O;
  readonly run: (input: z.infer<I>, kitchens: Kitchens) => Result<z.infer<O>>;
}

/** The kitchens that ship with the program, by name: for calculators that ask for a larder. */
export type Kitchens = (name: string) => Kitchen;

export const define = <I extends z.ZodType, O extends z.ZodType>(c: Calculator<I, O>): Calculator<I, O> => c;

/**
 * Runs a calculator on unchecked input, and checks what comes out: no answer with a number that is none leaves it.
 * @param kitchens the kitchens that ship with the program, by name.
 * @returns its output, or a fault that names the field; on `output` where the input is fine each for itself and gives nothing that can be.
 */
export function runCalculator(calculator: Calculator, input: unknown, kitchens: Kitchens): Result<unknown> {
  const read = calculator.input.safeParse(input);
  if (!read.success) {
    const issue = read.error.issues[0];
    const field = issue?.path.join('.') || 'input';
    return fail(field, 'invalid', `${field}: ${issue?.message ?? 'cannot be read'}.`);
  }
  const answer = calculator.run(read.data, kitchens);
  if (!answer.ok) return answer;
  const odd = calculator.output.safeParse(answer.value).error?.issues[0];
  return odd
    ? fail(
        'output',
        'no-figure',
        `These together give no figure that can be (${odd.path.join('.') || calculator.name}): something in them is too large or too small.`,
      )
    : answer;
}
