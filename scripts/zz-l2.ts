import { CONTEXT } from '../src/testing/sample';
import { linesOfRow } from '../src/core/reading/lines';
const p = { under: null, block: 1, start: 0, end: 1 } as never;
for (const t of ['Sponge base, 20cm, shop bought', 'sponge cake 20 cm', '1 sponge cake 20cm','1 sponge cake, about 24 cm, 400 g','1 sponge cake, about 400 g','2 mangoes, about 400 g','1 cinnamon stick, 5cm','3 cm piece of ginger','butter 20 cm tin', '2 lemons, about 60 ml juice','1 egg, 50 g','2 packets sponge fingers, 200 g']) for (const l of linesOfRow(t, p, CONTEXT, { zest: false, juice: false, yolks: false, whites: false } as never)) console.log(t, '->', l.ingredient?.id, l.role, l.grams, l.doubt, l.fault, '|', l.text, '|', l.written);
