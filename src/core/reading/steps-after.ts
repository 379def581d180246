import type { StepWork } from '../document/kinds';
import type { Flow } from './worktop';

/** What hands do to a dessert that is built: it waits for that, as if something were laid on it. */
const HANDLES = new Set('roll cover wrap cut slice tap bang peel trim mark lift run unwrap tilt invert flatten shape seal'.split(' '));

/** The steps that each step waits for: the one before it in its bowl, those that made what it takes, and what was built before. */
export function stepsAfter(flow: Flow): readonly (readonly number[])[] {
  const lastOf = new Map<number, number>();
  let lastBuilt: number | null = null;
  let lastAny: number | null = null;
  // What was only softened or soaked is one with what it went into; a foam or a custard has a line of its own until it is folded.
  const taken = new Set(flow.bowls.flatMap((b) => [...b.takes.keys()]));
  const root = (id: number): number => (flow.bowls[id]!.into === null || taken.has(id) ? id : root(flow.bowls[id]!.into!));
  let loose: { step: number; until: StepWork | null }[] = [];
  const placed = new Set<number>();
  return flow.steps.map((s, i) => {
    const after = new Set<number>();
    const bowls = new Set<number>([
      ...(s.bowl === null ? [] : [s.bowl]),
      ...s.places,
      ...[...s.lines].flatMap((l) => flow.bowls.filter((b) => b.lines.has(l)).map((b) => b.id)),
    ]);
    for (const b of bowls) {
      if (lastOf.has(root(b))) after.add(lastOf.get(root(b))!);
      for (const t of flow.bowls[root(b)]!.takes.keys())
        if (lastOf.has(root(t)) && (flow.bowls[root(b)]!.takenAt.get(t) ?? 0) <= i && s.bowl !== null && root(s.bowl) === root(b))
          after.add(lastOf.get(root(t))!);
    }
    // 'When quite cold, whip …': when what was just done is.
    if (
      lastAny !== null &&
      /^(?:when|once|as soon as) (?:quite |completely |totally |fully |it(?:'s| is) |they(?:'re| are) )*(?:cold|cool|cooled|set|firm|frozen|baked|done|ready)\b/i.test(
        s.text,
      )
    )
      after.add(lastAny);
    const tool = bowls.size === 0 && /\b(?:bowl|whisk|beaters|plate|tin|glasses)\b/i.test(s.text) && placed.size === 0;
    const builds =
      !tool &&
      (s.places.size > 0 ||
        (s.bowl !== null && placed.has(root(s.bowl))) ||
        (s.work === 'fill' && s.bowl === null) ||
        s.work === 'finish' ||
        s.work === 'serve' ||
        (s.bowl === null && (s.work === 'chill' || s.work === 'freeze' || s.work === 'bake' || s.work === 'wait')) ||
        (s.bowl === null && s.lines.size === 0 && lastBuilt !== null && HANDLES.has(s.verb)));
    if (builds && lastBuilt !== null) after.add(lastBuilt);
    if (after.size === 0 && s.bowl === null && lastAny !== null && builds) after.add(lastAny);
    for (const b of bowls) if (s.bowl === null || root(b) === root(s.bowl) || s.places.has(b) || !lastOf.has(root(b))) lastOf.set(root(b), i);
    // What belongs to no bowl (a bowl in the freezer, an oven that heats) is for the next thing that is made.
    // 'Turn the oven off' goes on with what is in it.
    const oven = s.machine === 'oven' && s.work === 'hands' && /\b(?:off|down|reduce|lower)\b/i.test(s.text) && lastAny !== null;
    if (oven) {
      for (const [bowl, last] of lastOf) if (last === lastAny) lastOf.set(bowl, i);
      after.add(lastAny!);
      lastBuilt = i;
    } else if (bowls.size === 0 && !builds)
      loose.push({
        step: i,
        until: (s.work === 'chill' || s.work === 'freeze') && /\bbowl|\bwhisk|\bbeaters/i.test(s.text) ? 'whisk' : s.machine === 'oven' ? 'bake' : null,
      });
    else {
      const wanted = (l: (typeof loose)[number]): boolean => l.until === null || l.until === s.work || !flow.steps.slice(i).some((x) => x.work === l.until);
      for (const l of loose.filter(wanted)) after.add(l.step);
      loose = loose.filter((l) => !wanted(l));
    }
    for (const b of s.places) placed.add(root(b));
    if (builds) lastBuilt = i;
    lastAny = i;
    return [...after].filter((x) => x < i).sort((a, b) => a - b);
  });
}
