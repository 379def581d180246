/** Writes docs/formats/*.schema.json from the schemas that the program reads its files by. Usage: npm run schemas */
import { mkdirSync, writeFileSync } from 'node:fs';
import { SCHEMA_FILES, schemaText } from '../src/core/files/schemas';

mkdirSync('docs/formats', { recursive: true });
for (const { name } of SCHEMA_FILES) {
  writeFileSync(`docs/formats/${name}`, schemaText(name));
  console.log(`docs/formats/${name}`);
}
