import 'server-only';
import { connection } from 'next/server';

/** The wall clock when this request is answered, milliseconds since 1970. */
export async function requestTime(): Promise<number> {
  await connection();
  return Date.now();
}
