import type { Sheet } from '../document/schema';
import { roughNumber, withUnit } from '../figure';
import { eggHeated, eggOf } from '../analysis/egg';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { plainTell, type Tell } from './tell';

/** The usual cautions, quietly and where they apply. Each defers to the local code. */

/** g of ground nutmeg a portion from which it is more than a spice (poison centres report from about 5 g on; house: a fifth of that). */
const NUTMEG_G = 1;
const FLOUR = /^(?:wheat-flour|cake-flour|rice-flour|pie-crust)$/;
const STONED = /^(?:cherry-sweet|plum|apricot|peach|prune|date|mango)$/;
const WHOLE = /^(?:grape|cherry-(?:sweet|maraschino|candied|in-syrup)|marshmallow|hazelnut-toasted|cashew|pecan|walnut|peanut|blueberry)$/;
const FRESH_CHEESE = /^(?:ricotta|quark|soft-cheese-tub|mascarpone|labneh|cottage-cheese|cream-cheese-(?:block|spread))$/;
const OUT_AGAIN = /\b(?:bay leaf|bay leaves|cinnamon sticks?|star anise|cloves?|vanilla pods?|lemongrass|tea ?bags?)\b/i;
const FLOWERS = /\b(?:flowers?|petals|blossoms?|violets?|lavender|elderflower|essential oil|oil of \w+)\b/i;
const SIPHON = /\b(?:siphon|cream whipper|whipping gun|n2o|nitrous|spray can|aerosol|can of (?:whipped )?cream)\b/i;
/** Whether some of a dessert is foamed by gas: its name, parts, lines, steps or notes say so. */
export const namesSiphon = (sheet: Sheet): boolean =>
  [sheet.name, sheet.notes, ...sheet.parts.flatMap((p) => [p.name, ...p.lines.map((l) => l.text)]), ...sheet.steps.flatMap((x) => [x.title, x.detail])].some(
    (text) => SIPHON.test(text),
  );
const INFUSED_OIL = /\binfused\b[^.;]{0,20}\boil\b|\b(?:garlic|herb|chilli|basil|rosemary) oil\b/i;

interface Caution {
  readonly key: string;
  readonly says: string;
}

/** Whether a part is heated through: cooked, baked, or by the cook's own steps. */
const cooked = (a: PartAnalysis): boolean =>
  a.part.kind === 'custard' || a.ownHeat.baked || (a.ownHeat.tempC ?? 0) >= 71 || (a.part.kind === 'pressed-base' && a.part.ways.base === 'baked');

/** Every caution that applies to a sheet, in the order of its lines. */
export function cautionsOf(s: SheetAnalysis): readonly Caution[] {
  const out: Caution[] = [];
  const say = (key: string, says: string): void => {
    if (!out.some((c) => c.key === key)) out.push({ key, says });
  };
  const nutmegG =
    s.parts.flatMap((a) => a.reading.lines).reduce((g, l) => g + (l.ingredient?.id === 'nutmeg-ground' ? (l.read?.massG ?? 0) : 0), 0) / s.sheet.portions;
  for (const a of s.parts) {
    for (const l of a.reading.lines) {
      const id = l.ingredient?.id ?? '';
      const text = l.line.text;
      if (FLOUR.test(id) && !cooked(a) && !/\b(?:baked|toasted|heat[- ]treated|cooked)\b/i.test(text))
        say('raw-flour', `${l.name} is raw here: bake or toast it through, it is no ready food`);
      if (id === 'honey') say('honey', 'honey is not for children under one year');
      if (id === 'nutmeg-ground' && nutmegG >= NUTMEG_G)
        say('nutmeg', `${withUnit(roughNumber(nutmegG), 'g')} of nutmeg in a portion is more than a spice: a pinch is enough`);
      if (id === 'lavender-oil' || FLOWERS.test(text)) say('flowers', 'flowers and oils only where they are sold as food, by the drop');
      if (INFUSED_OIL.test(text)) say('infused-oil', 'a home-infused oil is kept cold and used within days');
      if (STONED.test(id) && !/\b(?:stoned|pitted|stones? out|pur[ée]e|jam|dried)\b/i.test(text))
        say('stones', `stones out of the ${l.name.toLowerCase()}, and none cracked into it`);
      if (WHOLE.test(id) && !/\b(?:chopped|ground|halved|quartered|sliced|pur[ée]e|crushed|melted)\b/i.test(text))
        say('choking', `whole ${l.name.toLowerCase()} can choke small children: cut for them`);
      if (OUT_AGAIN.test(text)) say('take-out', `take the ${OUT_AGAIN.exec(text)![0].toLowerCase()} out again`);
      if (l.ingredient?.flags.includes('pasteurised') && l.ingredient.category === 'egg')
        say('carton', 'an opened egg carton keeps cold for as long as it says, mostly 2 to 3 days');
    }
    if (a.reading.rawProteaseFruit && a.reading.dairyG > 0 && a.reading.gelatin225G === 0)
      say('protease', 'raw kiwi, pineapple and their like make cream bitter and thin within hours: lay them on at the last, or heat them');
  }
  const fresh = s.parts.some((a) => a.reading.lines.some((l) => FRESH_CHEESE.test(l.ingredient?.id ?? '')));
  const raw = s.parts.some((a) => {
    const egg = eggOf(a);
    return egg !== null && !eggHeated(egg);
  });
  if (raw || fresh)
    say(
      'vulnerable',
      `for those who are pregnant, very young, old or ill: ${[fresh ? 'fresh cheese from pasteurised milk' : '', raw ? 'no raw egg' : ''].filter(Boolean).join(' and ')}`,
    );
  if (namesSiphon(s.sheet)) say('siphon', 'a siphon is filled and charged by its maker’s figures, never opened under pressure');
  return out;
}

/** All cautions in one quiet tell; none where none applies. */
export function cautionTells(s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] {
  const all = cautionsOf(s);
  if (all.length === 0) return [];
  const [first, ...rest] = all.map((c) => c.says);
  const code = kitchen.rules.authority.trim() === '' ? 'Your local food code leads.' : `${kitchen.rules.authority.trim()} leads.`;
  return [plainTell('cautions', 'in', `Mind: ${[first!, ...rest].join('; ')}. ${code}`)];
}
