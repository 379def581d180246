import { readSetter, readShareSetter, type SetterReading } from '../setting/others';
import type { OtherSetter, ShareSetter } from '../setting/house';
import type { PartAnalysis } from './analysed';
import { isWhippedKind } from '../document/kinds';

/** Which setter an ingredient of the larder is; cooked starch only where it is cooked. */
const SETTER_OF: Readonly<Record<string, OtherSetter>> = {
  'corn-starch': 'corn-starch',
  'custard-powder': 'corn-starch',
  'instant-pudding-powder': 'instant-starch',
  agar: 'agar',
  xanthan: 'xanthan',
  'carrageenan-iota': 'carrageenan',
  'skimmed-milk-powder': 'milk-powder',
};

export interface SheetSetter extends SetterReading {
  readonly setter: OtherSetter | ShareSetter;
  /** Whether the band is for this use: a custard is thickened far beyond what a cream is stabilised with. */
  readonly judged: boolean;
}

/** Every setter of a part but gelatin, with its dose, its band and its rule (house ±20 %). */
export function settersOf(a: PartAnalysis): readonly SheetSetter[] {
  const { mixture, roleG, dairyG, lines } = a.reading;
  const totalG = mixture.massG;
  if (totalG <= 0) return [];
  const found: SheetSetter[] = [];
  const grams = new Map<OtherSetter, number>();
  for (const l of lines) {
    const setter = SETTER_OF[l.ingredient?.id ?? ''];
    if (!setter || !l.read || (setter === 'corn-starch' && a.part.kind !== 'custard')) continue;
    grams.set(setter, (grams.get(setter) ?? 0) + l.read.massG);
  }
  for (const [setter, massG] of grams) {
    const read = readSetter(setter, massG, totalG);
    if (read.ok) found.push({ ...read.value, setter, judged: a.part.kind !== 'custard' });
  }
  if (!isWhippedKind(a.part.kind)) return found;
  const share = (setter: ShareSetter, massG: number, ofG: number): void => {
    if (massG <= 0) return;
    const read = readShareSetter(setter, massG, ofG);
    if (read.ok) found.push({ ...read.value, setter, judged: true });
  };
  const massOf = (test: (id: string) => boolean): number =>
    lines.reduce((sum, l) => sum + (l.read && l.ingredient && test(l.ingredient.id) ? l.read.massG : 0), 0);
  share('mascarpone', roleG.mascarpone, dairyG);
  share('cream-cheese', roleG['soft-cheese'], dairyG);
  share('strained-yoghurt', roleG['strained-yoghurt'], dairyG);
  share(
    'white-chocolate',
    massOf((id) => id.startsWith('chocolate-white')),
    totalG,
  );
  share(
    'marshmallow',
    massOf((id) => id === 'marshmallow'),
    totalG,
  );
  return found;
}
