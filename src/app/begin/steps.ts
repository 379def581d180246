/** What a new kitchen is asked, in its order: the word in the address, the name, the question and why it is asked. */
export const STEPS = [
  {
    id: 'measures',
    name: 'Measures',
    asks: 'Where do you measure?',
    why: 'A cup is 237, 250 or 284 mL and an egg 38 to 63 g: a recipe read with the wrong one is off by a fifth.',
  },
  {
    id: 'cold',
    name: 'Cold',
    asks: 'What keeps things cold?',
    why: 'How soon a tray is cold hangs on its air, and whether a fan moves it. The door of a fridge lies; a glass of water that stood in it overnight does not.',
  },
  { id: 'mixers', name: 'Mixers', asks: 'What do you whip in?', why: 'How long to the peak, and how many bowlfuls a batch is.' },
  {
    id: 'vessels',
    name: 'Tins and glasses',
    asks: 'What do you fill?',
    why: 'Portions, layers and cutting are worked out in the vessel that is really there.',
  },
  {
    id: 'rules',
    name: 'Food rules',
    asks: 'Whose food rules do you follow?',
    why: 'They say when egg counts as heated, how fast a custard must cool, how warm a fridge may be. Your local code and whoever inspects you come first.',
  },
  {
    id: 'sheet',
    name: 'First sheet',
    asks: 'What will you make first?',
    why: 'A sheet is one dessert: its parts, amounts and steps. Everything else follows from it.',
  },
] as const;

export type StepId = (typeof STEPS)[number]['id'];

/** Which step an address asks for; the first for anything else. */
export const stepNamed = (id: string): number =>
  Math.max(
    0,
    STEPS.findIndex((s) => s.id === id),
  );

export const stepHref = (at: number): string => `/begin?step=${STEPS[Math.max(0, Math.min(STEPS.length - 1, at))]!.id}`;
