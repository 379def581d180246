import { readFileSync } from 'node:fs';
import { readRecipe } from './core/reading/read';
import { CONTEXT } from './testing/sample';
const text = readFileSync(process.argv[2]!, 'utf8');
const t0=performance.now(); const r = readRecipe(text, CONTEXT); const t1=performance.now();
if (!r.ok) console.log(r.fault); else { const x = r.value;
 console.log('TITLE', x.title, x.portions, x.cups, 'V', x.vessel, x.mixer, x.use, x.family, (t1-t0).toFixed(1)+'ms');
 for (const p of x.parts) console.log('P', p.id, p.name, p.kind, p.stage, JSON.stringify(p.takes), JSON.stringify(p.ways));
 x.lines.forEach((l,i)=>console.log('L',i, l.draft.written, '|', l.draft.text,'|', l.draft.ingredient?.id, l.draft.grams?.toFixed(1), l.part, 'step', l.step, l.sure?'':'?', l.draft.doubt||l.draft.fault));
 x.steps.forEach((s,i)=>console.log('S',i,s.work,s.machine??'-',s.part??'-',JSON.stringify(s.minutes),s.temperature?JSON.stringify(s.temperature):'',s.stage??'','L'+JSON.stringify(s.lines),'pl'+s.places,'af'+s.after, s.ahead?'AHEAD':'', '|',s.text));
 console.log('U', x.unread); console.log('D', x.doubts.map(d=>d.about+': '+d.says)); }
