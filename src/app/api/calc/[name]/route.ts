import { NextResponse } from 'next/server';
import { z } from 'zod';
import { aside, tookTooLong } from '../../../../aside/aside';
import { CALCULATORS, isCalculator } from '../../../../core/calculators';
import { readBody, refuse, tooLongSays } from '../../answers';

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

/** Longest that a calculator may take, s. */
const LIMIT_S = 20;

/** Runs a calculator: 200 with its answer, 422 with the fault; 503 when it took too long. */
export async function POST(request: Request, { params }: Context) {
  const { name } = await params;
  if (!isCalculator(name)) return refuse(404, `There are ${Object.keys(CALCULATORS).join(', ')}.`);
  const body = await readBody(request, z.unknown());
  if (!body.ok) return body.answer;
  try {
    const result = await aside().ask('calculated', { name, input: body.value }, LIMIT_S);
    return result.ok ? NextResponse.json(result.value) : NextResponse.json(result.fault, { status: 422 });
  } catch (error) {
    if (tookTooLong(error)) return refuse(503, tooLongSays(error));
    console.error('soft-peak: calculator ended', error);
    return refuse(500, 'That was more than this machine can reckon.');
  }
}
