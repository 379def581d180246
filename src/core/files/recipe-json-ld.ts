import { nutritionOf } from '../larder/nutrition';
import type { Composition } from '../composition/components';
import type { SheetAnalysis } from '../analysis/analysed';
import { shownSteps } from '../batch/method';
import { fileName, type WrittenFile } from './written';

const minutes = (min: number): string => `PT${Math.max(1, Math.round(min))}M`;

/** A sheet as a schema.org Recipe, so that any program that knows recipes can read it. */
export function writeRecipeJsonLd(s: SheetAnalysis): WrittenFile {
  const { sheet } = s;
  const many = sheet.parts.length > 1;
  const steps = shownSteps(s);
  const sections = [...new Set(sheet.steps.map((x) => x.partId))];
  const handsMin = sheet.steps.reduce((sum, x) => sum + (x.handsMin ?? 0), 0);
  const waitH = sheet.steps.reduce((sum, x) => sum + (x.waitH?.[0] ?? 0), 0);
  const { massG, grams } = s.mixture;
  const portion = massG > 0 ? nutritionOf(Object.fromEntries(Object.entries(grams).map(([c, g]) => [c, g / sheet.portions])) as unknown as Composition) : null;
  const step = (i: number) => ({
    '@type': 'HowToStep',
    name: steps[i]!.title,
    text: [steps[i]!.title, steps[i]!.detail].filter(Boolean).join('. ').replace(/\.\./g, '.'),
  });
  const recipe = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: sheet.name,
    recipeYield: `${sheet.portions} portions`,
    ...(sheet.notes ? { description: sheet.notes } : {}),
    ...(handsMin > 0 ? { prepTime: minutes(handsMin), totalTime: minutes(handsMin + 60 * waitH) } : {}),
    recipeIngredient: sheet.parts.flatMap((p) => [...(many ? [`${p.name}:`] : []), ...p.lines.map((l) => l.text)]),
    recipeInstructions: many
      ? sections.map((partId) => ({
          '@type': 'HowToSection',
          name: sheet.parts.find((p) => p.id === partId)?.name ?? 'Putting it together',
          itemListElement: sheet.steps.flatMap((x, i) => (x.partId === partId ? [step(i)] : [])),
        }))
      : sheet.steps.map((_, i) => step(i)),
    ...(portion
      ? {
          nutrition: {
            '@type': 'NutritionInformation',
            servingSize: `${Math.round(massG / sheet.portions)} g`,
            calories: `${Math.round(portion.kcal)} kcal`,
            fatContent: `${portion.fatG.toFixed(1)} g`,
            carbohydrateContent: `${portion.carbohydrateG.toFixed(1)} g`,
            sugarContent: `${portion.sugarsG.toFixed(1)} g`,
            proteinContent: `${portion.proteinG.toFixed(1)} g`,
          },
        }
      : {}),
  };
  return {
    name: fileName(sheet.name, 'recipe.json'),
    mime: 'application/ld+json',
    text: `${JSON.stringify(recipe, null, 2)}\n`,
    cannot: [
      'which step uses a line',
      'ways and whisk settings',
      'the vessel',
      'versions',
      ...(many ? ['the order of steps across parts: they stand by part'] : []),
    ],
  };
}
