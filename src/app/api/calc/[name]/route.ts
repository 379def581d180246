import { NextResponse } from 'next/server';
import { z } from 'zod';
import { CALCULATORS, calculate, isCalculator } from '../../../../core/calculators';
import { kitchenNamed } from '../../../../data/named-kitchens';
import { readBody, refuse } from '../../answers';

interface Context {
  readonly params: Promise<{ name: string }>;
}

/** Input and output schema of a calculator. */
export async function GET(_request: Request, { params }: Context) {
  const { name } = await params;
  if (!isCalculator(name)) return refuse(404, `There are ${Object.keys(CALCULATORS).join(', ')}.`);
  const { input, output, answers } = CALCULATORS[name];
  return NextResponse.json({ name, answers, input: z.toJSONSchema(input, { io: 'input' }), output: z.toJSONSchema(output) });
}

/** Runs a calculator: 200 with its answer, 422 with the fault. */
export async function POST(request: Request, { params }: Context) {
  const { name } = await params;
  if (!isCalculator(name)) return refuse(404, `There are ${Object.keys(CALCULATORS).join(', ')}.`);
  const body = await readBody(request, z.unknown());
  if (!body.ok) return body.answer;
  const result = calculate(name, body.value, kitchenNamed);
  return result.ok ? NextResponse.json(result.value) : NextResponse.json(result.fault, { status: 422 });
}
