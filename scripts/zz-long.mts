
import { readFileSync } from 'node:fs';
import { readRecipe } from '../src/core/reading/read';
import { CONTEXT } from '../src/testing/sample';
const text = readFileSync('src/testing/long-recipe.txt', 'utf8');
const r = readRecipe(text, CONTEXT); if (!r.ok) throw 1;
for (const p of r.value.parts) console.log(p.id, p.kind, '|', r.value.lines.filter((l) => l.part === p.id).map((l) => `${l.draft.text} = ${l.draft.ingredient?.id} @${l.step}`).join('; '), '<-', p.takes.map((t) => t.part).join(','));
r.value.steps.forEach((s, i) => console.log(i, s.work, s.part, s.text.slice(0, 60), s.minutes, s.places.join(), s.after.join()));
