import 'server-only';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { tookTooLong, type TookTooLong } from '../../aside/aside';
import { kitchen } from '../../data/kitchen';
import type { KitchenDb } from '../../data/kitchen-file';

/** A refusal in words that can be shown as they are. */
export const refuse = (status: number, says: string): NextResponse => NextResponse.json({ kind: 'refused', says }, { status });

/** Why a question that was stopped has no answer. */
export const tooLongSays = (e: TookTooLong): string =>
  `There was no answer within ${e.seconds} s: it was stopped, and nothing was changed. Ask again when less is going on.`;

/** The id that a screen gives to what it makes: sent again, because the answer was lost, it is the same thing. */
export const MadeIdSchema = z.string().regex(/^[\w-]{8,60}$/);

const MOST_BYTES = 1_000_000;

/** The body of a request as long as it has no more than so many bytes; null where it has: then it is not read to its end, for reading holds everybody up. */
export async function bodyUpTo(request: Request, mostBytes: number): Promise<Uint8Array<ArrayBuffer> | null> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return null;
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  const reader = request.body?.getReader();
  for (let read = await reader?.read(); read && !read.done; read = await reader!.read()) {
    bytes += read.value.length;
    if (bytes > mostBytes) {
      await reader!.cancel();
      return null;
    }
    pieces.push(read.value);
  }
  return Buffer.concat(pieces);
}

/** The same as text. */
export async function textUpTo(request: Request, mostBytes: number): Promise<string | null> {
  const bytes = await bodyUpTo(request, mostBytes);
  return bytes && new TextDecoder().decode(bytes);
}

/** The request's JSON as a schema reads it, or the refusal to send back. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
): Promise<{ ok: true; value: z.infer<S> } | { ok: false; answer: NextResponse }> {
  const text = await textUpTo(request, MOST_BYTES);
  if (text === null) return { ok: false, answer: refuse(413, 'That is more than 1 MB: too large to be read here.') };
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { ok: false, answer: refuse(400, 'That is not JSON.') };
  }
  const read = schema.safeParse(raw);
  if (read.success) return { ok: true, value: read.data };
  const issue = read.error.issues[0];
  return { ok: false, answer: refuse(422, `${issue?.path.join('.') || 'The input'}: ${issue?.message ?? 'cannot be read'}.`) };
}

/** Runs with the kitchen's data file, or answers that it cannot be used. */
export async function withKitchen(run: (db: KitchenDb) => Promise<Response> | Response): Promise<Response> {
  const access = kitchen();
  if (!access.ok) return refuse(503, `The kitchen’s data file cannot be used (${access.error.code}): ${access.error.path}.`);
  try {
    return await run(access.db);
  } catch (error) {
    if (tookTooLong(error)) return refuse(503, tooLongSays(error));
    console.error('soft-peak: request failed', error);
    return refuse(500, 'The kitchen’s data file could not be written just now. What you typed is kept in this browser.');
  }
}
