/**
 * Recipes of our own with what is right of each, and how much of it the reader gets. A file is the text, a row of four dashes, and one check a row:
 *
 *   portions 6-8 | cups us | vessel springform 229 | mixer hand-mixer | use slice | raw yes | title Plum fool
 *   line REGEX = ingredient-id[|id] GRAMS[-GRAMS]       a line that matches, with its ingredient and grams
 *   part kind[|kind] [stage] : REGEX ; REGEX            a part of that kind that holds these lines
 *   takes REGEX < REGEX                                 the part that holds the first takes from the part that holds the second
 *   uses REGEX @ REGEX                                  the line is used in a step that matches
 *   step REGEX : work[|work] [MIN-MIN min] [C °C]       a step that matches, with its work, time, heat
 *   order REGEX < REGEX                                 the first is over before the second begins
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { calculate } from '../core/calculators';
import type { CalculatorOutput } from '../core/calculators';
import { kitchenNamed } from '../data/named-kitchens';

export type Category = 'amounts and ingredients' | 'line to step' | 'kinds' | 'order' | 'times and temperatures' | 'work' | 'the rest' | 'nothing lost';

export interface CorpusCheck {
  readonly recipe: string;
  readonly category: Category;
  readonly says: string;
  readonly holds: boolean;
}

type Answer = CalculatorOutput<'read-recipe'>;

export interface CorpusRecipe {
  readonly name: string;
  readonly text: string;
  readonly checks: readonly string[];
}

const FOLDER = join(process.cwd(), 'src/core/reading/corpus');

/** Every recipe of the corpus. */
export function readCorpus(): readonly CorpusRecipe[] {
  return readdirSync(FOLDER)
    .filter((f) => f.endsWith('.txt'))
    .sort()
    .map((f) => {
      const [text = '', checks = ''] = readFileSync(join(FOLDER, f), 'utf8').split(/^----$/m);
      return {
        name: f.replace('.txt', ''),
        text: text.trimEnd(),
        checks: checks
          .split('\n')
          .map((c) => c.trim())
          .filter((c) => c !== ''),
      };
    });
}

/** The calculator's answer to a recipe. */
export function answerTo(recipe: Pick<CorpusRecipe, 'text'>): Answer {
  const r = calculate('read-recipe', { text: recipe.text, cups: 'auto', kitchen: 'starting' }, kitchenNamed);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value as Answer;
}

const rx = (source: string): RegExp => new RegExp(source.trim(), 'i');
const span = (said: string): readonly [number, number] => {
  const [a, b] = said.split('-').map(Number);
  return [a!, b ?? a!];
};

/** How each check of a recipe fares. */
export function checkRecipe(recipe: CorpusRecipe, a: Answer = answerTo(recipe)): readonly CorpusCheck[] {
  const out: CorpusCheck[] = [];
  const check = (category: Category, says: string, holds: boolean): void => void out.push({ recipe: recipe.name, category, says, holds });
  const lineOf = (source: string) => a.lines.flatMap((l, i) => (rx(source).test(l.text) ? [i] : []));
  const partOf = (source: string) => [...new Set(lineOf(source).map((i) => a.lines[i]!.part))];
  const takes = (from: string, to: string, seen: readonly string[] = []): boolean =>
    from === to || (!seen.includes(from) && (a.parts.find((p) => p.id === from)?.takes ?? []).some((t) => takes(t.part, to, [...seen, from])));
  const stepsOf = (source: string) => a.steps.flatMap((s, i) => (rx(source).test(s.text) ? [i] : []));
  for (const row of recipe.checks) {
    const [kind, ...words] = row.split(' ');
    const rest = words.join(' ');
    switch (kind) {
      case 'portions':
        check('the rest', row, a.portions !== null && a.portions.low === span(rest)[0] && a.portions.high === span(rest)[1]);
        break;
      case 'cups':
        check('the rest', row, a.cups === rest);
        break;
      case 'mixer':
        check('the rest', row, a.mixer === rest);
        break;
      case 'use':
        check('the rest', row, rest.split('|').includes(a.use ?? 'none'));
        break;
      case 'title':
        check('the rest', row, a.title === rest);
        break;
      case 'raw':
        check('the rest', row, a.label.rawEgg === (rest === 'yes'));
        break;
      case 'vessel': {
        const [shape, size, count] = rest.split(' ');
        const v = a.vessel;
        const mm = v ? (v.acrossMm ?? v.lengthMm ?? v.eachMl ?? 0) : 0;
        check(
          'the rest',
          row,
          v !== null &&
            shape!.split('|').includes(v.shape) &&
            (size === undefined || size === '-' || Math.abs(mm - Number(size)) <= 0.02 * Number(size)) &&
            (count === undefined || v.count === Number(count)),
        );
        break;
      }
      case 'line': {
        const [source, right] = rest.split(' = ');
        const [ids, grams] = right!.trim().split(' ');
        const found = lineOf(source!).filter((i) => ids!.split('|').includes(a.lines[i]!.ingredient ?? 'none'));
        check('amounts and ingredients', `${row}: ingredient`, found.length > 0);
        if (grams) {
          const [low, high] = grams.includes('-') ? span(grams) : [Number(grams) * 0.97, Number(grams) * 1.03];
          const sum = found.reduce((g, i) => g + (a.lines[i]!.grams ?? 0), 0);
          check(
            'amounts and ingredients',
            `${row}: grams`,
            found.some((i) => (a.lines[i]!.grams ?? -1) >= low && (a.lines[i]!.grams ?? -1) <= high) || (sum >= low && sum <= high),
          );
        }
        break;
      }
      case 'part': {
        const [what, holds] = rest.split(' : ');
        const [kinds, stage] = what!.trim().split(' ');
        const sources = holds!.split(' ; ');
        const all = a.parts.filter((p) => sources.every((s) => partOf(s).includes(p.id)));
        check(
          'kinds',
          row,
          all.some((p) => kinds!.split('|').includes(p.kind) && (stage === undefined || p.stage === stage)),
        );
        break;
      }
      case 'takes': {
        const [to, from] = rest.split(' < ');
        check(
          'kinds',
          row,
          partOf(to!).some((t) => partOf(from!).some((f) => t !== f && takes(t, f))) ||
            a.parts.some((p) => partOf(to!).some((t) => takes(p.id, t)) && partOf(from!).some((f) => takes(p.id, f)) && p.kind === 'set-filling'),
        );
        break;
      }
      case 'uses': {
        const [line, step] = rest.split(' @ ');
        check(
          'line to step',
          row,
          lineOf(line!).some((i) => stepsOf(step!).some((s) => a.steps[s]!.lines.includes(i) || a.lines[i]!.step === s)),
        );
        break;
      }
      case 'step': {
        const at = rest.lastIndexOf(' : ');
        const found = stepsOf(rest.slice(0, at)).map((i) => a.steps[i]!);
        const [works, ...figures] = rest
          .slice(at + 3)
          .trim()
          .split(' ');
        check(
          'work',
          row,
          found.some((s) => works!.split('|').includes(s.work)),
        );
        for (let i = 0; i + 1 < figures.length; i += 2) {
          const [low, high] = span(figures[i]!);
          if (figures[i + 1] === 'min')
            check(
              'times and temperatures',
              row,
              found.some((s) => s.minutes !== null && Math.abs(s.minutes[0] - low) <= 0.02 * low + 0.02 && Math.abs(s.minutes[1] - high) <= 0.02 * high + 0.02),
            );
          else
            check(
              'times and temperatures',
              row,
              found.some((s) => s.temperature !== null && s.temperature.c >= low - 1 && s.temperature.c <= high + 1),
            );
        }
        break;
      }
      case 'order': {
        const [first, second] = rest.split(' < ');
        const when = (i: number): readonly [number, number] | null => {
          const t = a.plan.filter((p) => p.step === i);
          return t.length === 0 ? null : [Math.min(...t.map((p) => p.startMin)), Math.max(...t.map((p) => p.endMin))];
        };
        check(
          'order',
          row,
          stepsOf(first!).some((i) => stepsOf(second!).some((k) => i !== k && when(i) !== null && when(k) !== null && when(i)![1] <= when(k)![0] + 0.01)),
        );
        break;
      }
      default:
        throw new Error(`${recipe.name}: what is ‘${row}’?`);
    }
  }
  const kept = [
    ...a.lines.map((l) => l.text),
    ...a.steps.map((s) => s.text),
    a.title,
    ...a.parts.map((p) => p.name),
    ...a.unread,
    a.portions ? `${a.portions.low} ${a.portions.high}` : '',
  ].join('\n');
  const numbers = (recipe.text.match(/\d+(?:[.,/]\d+)?|[½¼¾⅓⅔]/g) ?? []).filter(
    (n) => !kept.includes(n) && !new RegExp(`^\\s*(?:step\\s*)?${n.replace('/', '\\/')}[.):]?(?:\\s|$)`, 'im').test(recipe.text),
  );
  check('nothing lost', `every figure is kept${numbers.length > 0 ? `: ${numbers.join(' ')}` : ''}`, numbers.length === 0);
  return out;
}
