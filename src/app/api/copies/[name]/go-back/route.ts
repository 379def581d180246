import { NextResponse } from 'next/server';
import { forgetPlans } from '../../../../../aside/plans';
import { goBackWhileOpen } from '../../../../../data/kitchen';
import { refuse } from '../../../answers';

export const dynamic = 'force-dynamic';

/** Goes back to a copy; answers with the copy of what stood there until now. */
export async function POST(_request: Request, { params }: { readonly params: Promise<{ name: string }> }): Promise<Response> {
  try {
    const present = await goBackWhileOpen((await params).name, Date.now(), forgetPlans);
    return present ? NextResponse.json(present) : refuse(404, 'There is no such copy any more.');
  } catch (error) {
    console.error('soft-peak: did not go back', error);
    return refuse(500, `It did not go back: ${error instanceof Error ? error.message : 'the file cannot be written'}.`);
  }
}
