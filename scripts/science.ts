/** Writes docs/science from the code: a page and a curve for every house model, and the table of checks. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { checksPage } from '../src/science/checks';
import { scienceFiles } from '../src/science/models';

mkdirSync('docs/science', { recursive: true });
const files = scienceFiles(checksPage());
for (const [name, text] of files) writeFileSync(`docs/science/${name}`, text);
console.log(`${files.size} files in docs/science`);
