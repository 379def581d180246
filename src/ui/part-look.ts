import type { PartKind } from '../core/document/kinds';

/** How a kind of part is drawn: hatch and lightness first, hue second, so that none is told by colour alone. */
export interface PartLook {
  readonly ground: string;
  readonly line: string;
  readonly hatch: 'bubbles' | 'fine-rows' | 'rows' | 'diagonal' | 'counter-diagonal' | 'bars' | 'dots' | 'crumbs' | 'plain' | 'cross';
}

const look = (ground: string, line: string, hatch: PartLook['hatch']): PartLook => ({ ground, line, hatch });

export const PART_LOOKS: Readonly<Record<PartKind, PartLook>> = {
  'whipped-cream': look('oklch(.95 .035 92)', 'oklch(.84 .07 88)', 'bubbles'),
  'cheese-cream': look('oklch(.93 .055 92)', 'oklch(.82 .08 85)', 'bubbles'),
  crown: look('oklch(.965 .025 95)', 'oklch(.85 .05 90)', 'bubbles'),
  'egg-foam': look('oklch(.9 .1 90)', 'oklch(.78 .12 80)', 'bubbles'),
  'set-filling': look('oklch(.93 .055 92)', 'oklch(.8 .08 85)', 'bubbles'),
  buttercream: look('oklch(.95 .05 98)', 'oklch(.8 .09 92)', 'rows'),
  custard: look('oklch(.88 .1 88)', 'oklch(.74 .12 78)', 'fine-rows'),
  'chocolate-base': look('oklch(.42 .05 50)', 'oklch(.3 .04 45)', 'diagonal'),
  'fruit-base': look('oklch(.68 .12 15)', 'oklch(.55 .14 12)', 'dots'),
  soak: look('oklch(.8 .05 65)', 'oklch(.6 .06 60)', 'diagonal'),
  'biscuit-layer': look('oklch(.84 .07 75)', 'oklch(.64 .08 65)', 'bars'),
  'pressed-base': look('oklch(.72 .07 65)', 'oklch(.55 .07 58)', 'crumbs'),
  meringue: look('oklch(.93 .02 75)', 'oklch(.78 .04 70)', 'cross'),
  topping: look('oklch(.5 .05 55)', 'oklch(.38 .05 50)', 'counter-diagonal'),
};

/** A folded filling by what colours it. */
export const TINTED: Readonly<Record<'cocoa' | 'fruit', PartLook>> = {
  cocoa: look('oklch(.62 .06 55)', 'oklch(.48 .06 50)', 'bubbles'),
  fruit: look('oklch(.86 .06 15)', 'oklch(.72 .1 12)', 'bubbles'),
};

/** The hatch as a CSS background, for the rail beside a part. */
export function railHatch(kind: PartKind): string {
  const { ground, line, hatch } = PART_LOOKS[kind];
  const stripes = (deg: number, a: number, b: number): string => `repeating-linear-gradient(${deg}deg, ${line} 0 ${a}px, ${ground} ${a}px ${b}px)`;
  switch (hatch) {
    case 'bubbles':
      return stripes(0, 3, 7);
    case 'fine-rows':
      return stripes(0, 1, 4);
    case 'rows':
      return stripes(0, 2, 6);
    case 'diagonal':
      return stripes(45, 2, 6);
    case 'counter-diagonal':
      return stripes(-45, 3, 6);
    case 'bars':
      return stripes(90, 2, 5);
    case 'dots':
      return stripes(60, 1, 5);
    case 'crumbs':
      return stripes(30, 3, 5);
    case 'cross':
      return stripes(135, 1, 5);
    case 'plain':
      return ground;
  }
}
