import { showHours, withUnit } from '../figure';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Step } from '../document/schema';
import { isWhippedKind } from '../document/kinds';
import { FAT_SETS_H, HEATED_SHARE } from '../foam/house';
import { workOfStep } from '../ways/step-work';
import { plainTell, type Tell } from './tell';

/** Cream that was heated, and how long it rests in the cold before the whisk, as its steps say. */
export interface HeatedCream {
  /** Share of the part's cream that goes into the heat, 0–1. */
  readonly share: number;
  readonly restH: number;
  /** The step whose rest could be longer; null where none waits. */
  readonly waitStepId: string | null;
}

/** Cream of a whipped part that its own steps heat before it is whisked (science-2, section 5); null where it stays cold. */
export function heatedCreamOf(s: SheetAnalysis, a: PartAnalysis): HeatedCream | null {
  if (!isWhippedKind(a.part.kind)) return null;
  const steps = s.sheet.steps.filter((x) => x.partId === a.part.id);
  const whisk = steps.findIndex((x) => x.whisks);
  const heat = steps.findIndex((x) => workOfStep(x) === 'heat');
  if (heat < 0 || whisk < heat) return null;
  const cream = a.reading.lines.filter((l) => l.role === 'cream' && l.read);
  const grams = (of: readonly (typeof cream)[number][]): number => of.reduce((sum, l) => sum + l.read!.massG, 0);
  const hot = new Set(
    steps
      .slice(heat, whisk)
      .filter((x) => workOfStep(x) === 'heat')
      .map((x) => x.id),
  );
  const share = grams(cream.filter((l) => l.line.stepId !== null && hot.has(l.line.stepId))) / Math.max(1e-9, grams(cream));
  if (share < HEATED_SHARE) return null;
  const between = steps.slice(heat, whisk);
  const waits = between.filter((x) => x.waitH !== null).sort((x, y) => y.waitH![0] - x.waitH![0]);
  const chills = between.find((x) => workOfStep(x) === 'chill' || workOfStep(x) === 'wait');
  return { share, restH: between.reduce((sum, x) => sum + (x.waitH?.[0] ?? 0), 0), waitStepId: (waits[0] ?? chills)?.id ?? null };
}

/** Melted fat must set again before it holds air. */
export const restTells = (s: SheetAnalysis): readonly Tell[] =>
  s.parts.flatMap((a) => {
    const heated = heatedCreamOf(s, a);
    if (!heated) return [];
    const [least, best] = FAT_SETS_H;
    const asks = `cream that was hot whips only once its fat has set again: ${withUnit(String(least), 'h')} at ${withUnit('5', '°C')} or below, ${withUnit(String(best), 'h')} is best`;
    const planned = heated.restH > 0 ? `${showHours(heated.restH)} are planned` : 'no rest is planned';
    const tell = plainTell(
      `fat-sets:${a.part.id}`,
      heated.restH >= best ? 'in' : heated.restH >= least ? 'near' : 'out',
      `${a.part.name}: ${asks}; ${planned}.`,
    );
    if (heated.restH >= least || heated.waitStepId === null) return [tell];
    const step = s.sheet.steps.find((x): x is Step => x.id === heated.waitStepId)!;
    return [
      {
        ...tell,
        action: {
          label: `Rest it ${least}–${best}\u00a0h`,
          why: `at “${step.title}”; Clock follows`,
          edit: { kind: 'set-wait', stepId: step.id, waitH: [least, best] },
        },
      },
    ];
  });
