/**
 * Runs any calculator without the interface.
 *   npm run --silent calc -- NAME < in.json > out.json
 *   npm run --silent calc -- --list | --schema NAME
 * Exit status: 0 an answer, 1 a fault (its sentence on standard error), 2 wrong use.
 */
import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { kitchenNamed } from '../src/data/named-kitchens';
import { CALCULATORS, calculate, isCalculator } from '../src/core/calculators';

const [first, second] = process.argv.slice(2);

function stop(status: number, says: string): never {
  console.error(says);
  process.exit(status);
}

function readInput(): unknown {
  const text = readFileSync(0, 'utf8');
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return stop(2, `The input is not JSON: it starts with ‘${text.slice(0, 40).trim()}’.`);
  }
}

if (first === '--list') {
  for (const c of Object.values(CALCULATORS)) console.log(`${c.name}\t${c.answers}`);
} else if (first === '--schema') {
  if (!second || !isCalculator(second)) stop(2, `Which calculator? There are ${Object.keys(CALCULATORS).join(', ')}.`);
  const { input, output } = CALCULATORS[second];
  console.log(JSON.stringify({ input: z.toJSONSchema(input, { io: 'input' }), output: z.toJSONSchema(output) }, null, 2));
} else if (!first || !isCalculator(first)) {
  stop(2, `Usage: npm run --silent calc -- NAME < in.json, or --list, or --schema NAME. There are ${Object.keys(CALCULATORS).join(', ')}.`);
} else {
  const result = calculate(first, readInput(), kitchenNamed);
  if (!result.ok) stop(1, `${result.fault.field}: ${result.fault.says}`);
  console.log(JSON.stringify(result.value, null, 2));
}
