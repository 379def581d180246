import { readFileSync } from 'node:fs';
import { CONTEXT } from '../src/testing/sample';
import { readRecipe } from '../src/core/reading/read';
for (const f of process.argv.slice(2)) {
  const r = readRecipe(readFileSync(f, 'utf8'), CONTEXT);
  console.log('=====', f);
  if (!r.ok) { console.log('FAULT', r.fault.says); continue; }
  const v = r.value;
  console.log('title:', v.title, '| portions', JSON.stringify(v.portions), '| vessel', JSON.stringify(v.vessel));
  for (const p of v.parts) {
    console.log(`${p.id} ${p.kind} "${p.name}" <- ${p.takes.map((t) => (v.parts.find((q) => q.id === t.part)?.name ?? '?')).join(', ')}`);
    for (const l of v.lines.filter((l) => l.part === p.id)) console.log(`    ${l.draft.ingredient?.id ?? '?'} ${l.draft.grams === null ? '-' : Math.round(l.draft.grams * 10) / 10} g  step ${l.step === null ? '-' : l.step + 1}   [${l.draft.written ?? ''}]`);
  }
  for (const l of v.lines.filter((l) => !v.parts.some((p) => p.id === l.part))) console.log('  no part', l.draft.ingredient?.id, l.draft.grams);
  v.steps.forEach((s, i) => console.log(` ${i + 1}. [${s.part}] ${s.work} ${s.minutes?.join('–') ?? ''} ${s.temperature ? Math.round(s.temperature.c) + ' ' + s.temperature.of : ''} | ${s.text}`));
  console.log(' unread:', v.unread);
  console.log(' doubts:', v.doubts);
}
