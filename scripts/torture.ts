/**
 * What a kitchen's memory must stand, done to the real server on a sample kitchen of its own: killed while tablets write, odd input on
 * every route, files in trouble, and many screens for a long time. Ends with 1 when anything acknowledged was lost or doubled, anything
 * was answered with a fault of the server's own, or a page is broken afterwards. Times are reported, never judged.
 * Usage: npm run torture [-- --kills 500 --inputs 50000 --rounds 36 --minutes 10 --seed 7], or --short as `npm test` has it.
 */
import { parseArgs } from 'node:util';
import { filesInTrouble } from './torture/files';
import { oddInputs } from './torture/inputs';
import { killsWhileWriting } from './torture/kills';
import { streamsAndWriters } from './torture/streams';

const { values } = parseArgs({
  options: {
    short: { type: 'boolean', default: false },
    kills: { type: 'string' },
    inputs: { type: 'string' },
    rounds: { type: 'string' },
    minutes: { type: 'string' },
    seed: { type: 'string', default: '7' },
  },
});
const amount = (given: string | undefined, long: number, short: number): number => Number(given ?? (values.short ? short : long));
const seed = Number(values.seed);
const STREAMS = 50;

const say = (words: string): void => console.log(`  ${words}`);
let bad = 0;
/** Does one part unless none of it is wanted; says what it found. */
async function part<R extends { readonly faults: readonly string[] }>(name: string, wanted: number, run: () => Promise<R>): Promise<void> {
  if (!(wanted > 0)) return;
  console.log(name);
  const from = Date.now();
  const { faults, ...found } = await run();
  bad += faults.length;
  say(JSON.stringify(found));
  for (const f of faults.slice(0, 40)) console.error(`  ${f}`);
  console.log(`  ${faults.length === 0 ? 'holds' : `${faults.length} faults`} (${Math.round((Date.now() - from) / 1000)} s)`);
}

const kills = amount(values.kills, 500, 6);
const inputs = amount(values.inputs, 50_000, 400);
const rounds = amount(values.rounds, 36, 2);
const minutes = amount(values.minutes, 10, 0);
await part(`Killed ${kills} times while six tablets write`, kills, () => killsWhileWriting(kills, seed, say));
await part('Files in trouble', rounds, () => filesInTrouble(rounds, seed, say));
await part(`${inputs} odd inputs`, inputs, () => oddInputs(inputs, seed, say));
await part(`${STREAMS} screens for ${minutes} minutes`, minutes, () => streamsAndWriters(STREAMS, minutes, say));
console.log(bad === 0 ? 'Nothing was lost, nothing doubled, nothing broken.' : `${bad} faults.`);
process.exit(bad === 0 ? 0 : 1);
