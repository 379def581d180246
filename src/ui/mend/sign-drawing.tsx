import type { SignId } from '../../core/mend/words';

/** A stroke of a drawing: a line, something filled in its own colour, or a dashed line of what should have been. */
type Mark = readonly ['line' | 'thin' | 'was' | 'cream' | 'yolk' | 'wet' | 'dark' | 'fruit' | 'crumb', d: string];

const ring = (x: number, y: number, r: number): string => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
const rings = (r: number, ...at: (readonly [number, number])[]): string => at.map(([x, y]) => ring(x, y, r)).join('');

const BOWL = 'M8 14C9 30 18 40 32 40S55 30 56 14';
const inBowl = (y: number): string => `M${(8 + (y - 14) * 0.22).toFixed(1)} ${y}C12 34 20 40 32 40S52 34 ${(56 - (y - 14) * 0.22).toFixed(1)} ${y}Z`;
const MOUND = 'M6 38C10 26 18 18 26 20C29 12 37 10 40 18C50 18 56 28 58 38Z';
const GLASS = (x: number): string => `M${x} 10L${x + 2} 38H${x + 12}L${x + 14} 10`;
const fill = (x: number, y: number): string => `M${x + ((y - 10) * 2) / 28} ${y}L${x + 2} 38H${x + 12}L${x + 14 - ((y - 10) * 2) / 28} ${y}Z`;
const SLICE = 'M10 38V16L54 12V38Z';

/** Small drawings of what is seen, in the manner of the cut: cream is cream-white, yolk yellow, liquid pale blue. */
const DRAWINGS: Readonly<Record<SignId, readonly Mark[]>> = {
  runs: [
    ['cream', inBowl(26)],
    ['line', BOWL],
    ['thin', 'M14 26Q20 24 26 26T38 26T50 26'],
    ['line', 'M32 4V22'],
    ['cream', 'M30 8Q32 20 32 22Q34 16 34 8Z'],
  ],
  grains: [
    ['cream', MOUND],
    ['line', 'M6 38C10 26 18 18 26 20C29 12 37 10 40 18C50 18 56 28 58 38'],
    ['thin', 'M16 30l4 -3M24 26l3 3M33 22l4 2M42 27l-3 4M48 33l4 -2M22 34l4 1M34 33l4 -2M29 30l2 2'],
  ],
  butter: [
    ['wet', inBowl(26)],
    ['yolk', rings(5, [24, 26], [34, 22], [42, 28], [30, 32])],
    ['line', BOWL],
    ['thin', 'M4 10l4 4M60 10l-4 4'],
  ],
  sandy: [
    ['cream', MOUND],
    ['line', 'M6 38C10 26 18 18 26 20C29 12 37 10 40 18C50 18 56 28 58 38'],
    ['crumb', rings(1.1, [18, 30], [24, 26], [30, 31], [35, 24], [41, 29], [47, 33], [27, 35], [38, 35])],
  ],
  weeps: [
    ['cream', 'M12 32C14 22 22 14 32 14S50 22 52 32Z'],
    ['wet', 'M4 34C8 30 56 30 60 34C60 39 4 39 4 34Z'],
    ['line', 'M12 32C14 22 22 14 32 14S50 22 52 32'],
  ],
  softens: [
    ['was', 'M12 36C16 14 26 6 32 6S48 14 52 36'],
    ['cream', 'M6 38C8 28 20 26 32 26S56 28 58 38Z'],
    ['line', 'M6 38C8 28 20 26 32 26S56 28 58 38Z'],
  ],
  fizzles: [
    ['cream', 'M20 40V30H40V40Z'],
    ['line', 'M20 40V20Q20 14 26 12V8H34V12Q40 14 40 20V40Z'],
    ['line', 'M34 9H46V14'],
    ['wet', 'M44 16H48L49 26H43Z'],
    ['thin', 'M50 10l5 -3M51 13h6M50 16l5 3'],
  ],
  'whites-flat': [
    ['cream', inBowl(30)],
    ['line', BOWL],
    ['thin', rings(3.4, [22, 28], [34, 27], [44, 29]) + rings(2, [28, 31], [39, 32])],
  ],
  'whites-dry': [
    ['wet', inBowl(33)],
    ['cream', 'M14 26l6 -8l6 4l5 -9l8 6l6 -4l5 9l-3 6l-10 2l-12 1l-9 -2Z'],
    ['line', 'M14 26l6 -8l6 4l5 -9l8 6l6 -4l5 9'],
    ['line', BOWL],
  ],
  'yolks-thin': [
    ['yolk', inBowl(30)],
    ['line', BOWL],
    ['line', 'M32 2V10M27 10C25 16 29 20 32 20S39 16 37 10Z'],
    ['yolk', 'M31 20H33L33 30H31Z'],
  ],
  strings: [
    ['cream', inBowl(24)],
    ['line', BOWL],
    ['line', 'M16 28Q20 24 24 28T32 28M28 34Q33 30 38 34T47 32M34 24Q38 20 42 24'],
    ['thin', rings(1.6, [22, 33], [46, 27])],
  ],
  unset: [
    ['line', 'M10 10L16 36H48L54 10'],
    ['cream', 'M11.5 17L16 36H48L51.5 27Z'],
    ['line', 'M11.5 17L51.5 27'],
    ['thin', 'M56 14q4 2 4 6'],
  ],
  rubbery: [
    ['cream', 'M18 16H46V32H18Z'],
    ['line', 'M18 16H46V32H18Z'],
    ['thin', 'M14 38Q20 34 26 38M38 38Q44 34 50 38M12 14q-4 10 0 18M52 14q4 10 0 18'],
  ],
  seized: [
    ['dark', 'M10 38L14 26L22 28L26 18L36 22L42 16L48 28L54 38Z'],
    ['line', 'M34 22L40 4'],
    ['line', 'M38 2l5 2'],
    ['line', 'M10 38L14 26L22 28L26 18L36 22L42 16L48 28L54 38Z'],
  ],
  'ganache-split': [
    ['dark', 'M8 36C12 24 20 20 32 20S52 24 56 36Z'],
    ['yolk', rings(3, [12, 34], [52, 34], [44, 26]) + rings(2, [20, 27], [30, 23])],
    ['line', 'M8 36C12 24 20 20 32 20S52 24 56 36Z'],
    ['thin', 'M22 32q4 -4 8 0t8 0'],
  ],
  specks: [
    ['cream', MOUND],
    ['line', 'M6 38C10 26 18 18 26 20C29 12 37 10 40 18C50 18 56 28 58 38'],
    ['dark', 'M17 30h3v3h-3ZM25 25h2v3h-2ZM34 20h3v2h-3ZM31 31h3v3h-3ZM41 27h3v3h-3ZM48 32h3v2h-3ZM22 34h2v2h-2Z'],
  ],
  'bc-curdled': [
    ['wet', inBowl(30)],
    ['yolk', rings(3.6, [20, 26], [28, 22], [36, 27], [44, 23], [30, 32], [40, 33])],
    ['line', BOWL],
  ],
  'bc-soup': [
    ['yolk', inBowl(24)],
    ['line', BOWL],
    ['line', 'M11 24Q16 20 21 24T32 24T43 24T53 24'],
    ['thin', 'M24 30q4 -3 8 0t8 0'],
  ],
  'cheese-curdled': [
    ['wet', inBowl(24)],
    ['cream', rings(2, [18, 26], [23, 31], [28, 26], [33, 32], [38, 27], [43, 31], [47, 26], [28, 36], [37, 37])],
    ['line', BOWL],
    ['thin', 'M11 24H53'],
  ],
  'cheese-lumps': [
    ['cream', inBowl(22)],
    ['line', BOWL],
    ['line', ring(22, 24, 4.5) + ring(36, 30, 5.5) + ring(45, 22, 3.6)],
  ],
  scrambled: [
    ['yolk', 'M16 22l5 -4l5 3l-2 5l-6 1ZM32 16l6 -2l3 5l-5 3ZM40 26l6 -1l1 5l-6 2ZM24 31l5 -3l4 4l-5 3ZM47 17l4 1l-1 4l-4 0Z'],
    ['line', 'M6 12L10 38H54L58 12'],
    ['thin', 'M12 22q5 -4 10 0'],
  ],
  'custard-thin': [
    ['line', 'M10 8H30M30 4C40 4 44 8 44 12S38 18 30 12Z'],
    ['yolk', 'M32 16H40L38 34H34Z'],
    ['thin', 'M28 40H46'],
  ],
  lumpy: [
    ['yolk', inBowl(20)],
    ['cream', rings(4, [22, 25], [34, 28], [44, 24]) + rings(2.6, [28, 34], [40, 34])],
    ['line', BOWL],
    ['thin', rings(4, [22, 25], [34, 28], [44, 24])],
  ],
  'egg-cold': [
    ['line', 'M30 6a3 3 0 0 1 6 0V28a6 6 0 1 1 -6 0Z'],
    ['yolk', 'M31.6 24H34.4V30H31.6Z' + ring(33, 33, 4)],
    ['thin', 'M40 10h5M40 16h8M40 22h5'],
    ['was', 'M24 11H29'],
  ],
  'syrup-grainy': [
    ['line', 'M10 10V34Q10 38 14 38H44Q48 38 48 34V10M48 16H60'],
    ['wet', 'M11 26H47V34Q47 37 44 37H14Q11 37 11 34Z'],
    ['crumb', 'M11 14h3v3h-3ZM11 20h3v3h-3ZM44 18h3v3h-3ZM18 30h3v3h-3ZM26 28h3v3h-3ZM34 31h3v3h-3ZM40 27h3v3h-3Z'],
  ],
  'custard-warm': [
    ['yolk', 'M11 22H47V34Q47 37 44 37H14Q11 37 11 34Z'],
    ['line', 'M10 14V34Q10 38 14 38H44Q48 38 48 34V14M48 20H60'],
    ['thin', 'M20 12q-3 -3 0 -6M29 12q-3 -3 0 -6M38 12q-3 -3 0 -6'],
  ],
  'juice-runs': [
    ['cream', 'M6 38V20H58V38Z'],
    ['fruit', ring(22, 16, 6) + ring(40, 16, 6) + 'M21 20C18 30 19 34 22 36C25 33 25 28 24 20ZM39 20C38 27 38 30 41 32C44 30 43 26 42 20Z'],
    ['line', 'M6 38V20H58V38Z'],
  ],
  browned: [
    ['cream', 'M12 30A20 20 0 0 1 52 30Z'],
    ['crumb', 'M12 30H52V34Q32 39 12 34Z'],
    ['line', 'M12 30A20 20 0 0 1 52 30V34Q32 39 12 34Z'],
    ['thin', 'M18 32l4 3M28 32l4 4M38 32l3 3'],
  ],
  flat: [
    ['was', 'M10 18Q32 6 54 18'],
    ['cream', inBowl(32)],
    ['line', BOWL],
    ['thin', 'M32 12V26M28 22l4 5l4 -5'],
  ],
  'base-hot': [
    ['fruit', inBowl(26)],
    ['cream', 'M22 26C24 18 40 18 42 26Z'],
    ['line', BOWL],
    ['thin', 'M20 12q-3 -3 0 -6M32 12q-3 -3 0 -6M44 12q-3 -3 0 -6'],
    ['cream', 'M30 27h4v6q-2 3 -4 0Z'],
  ],
  'base-set': [
    ['fruit', 'M20 20H44V38H20Z'],
    ['line', 'M20 20H44V38H20Z'],
    ['cream', 'M22 18C24 8 40 8 42 18Z'],
    ['line', BOWL],
  ],
  soggy: [
    ['wet', 'M6 36q26 5 52 0v3H6Z'],
    ['crumb', 'M8 22Q32 36 56 22V29Q32 43 8 29Z'],
    ['line', 'M8 22Q32 36 56 22V29Q32 43 8 29Z'],
    ['wet', 'M20 12q-3 5 0 6q3 -1 0 -6ZM42 10q-3 5 0 6q3 -1 0 -6Z'],
  ],
  hard: [
    ['crumb', 'M8 24H56V34H8Z'],
    ['line', 'M8 24H56V34H8Z'],
    ['line', 'M30 24l3 4l-3 3l3 3'],
    ['line', 'M24 4L34 22'],
  ],
  'few-biscuits': [
    ['cream', 'M8 12H56V38H8Z'],
    ['crumb', 'M8 30H20V34H8ZM22 30H34V34H22ZM36 30H48V34H36ZM8 20H20V24H8ZM22 20H34V24H22Z'],
    ['line', 'M8 12V38H56V12'],
    ['was', 'M36 20H56V24H36Z'],
  ],
  stuck: [
    ['cream', 'M16 16L12 34H52L48 16Z'],
    ['line', 'M18 8H46L54 36H10Z'],
    ['thin', 'M32 38V44M28 40l4 4l4 -4'],
    ['thin', 'M16 20l-3 2M14 27l-3 2M48 20l3 2M50 27l3 2'],
  ],
  leans: [
    ['was', 'M16 8H48V38H16Z'],
    ['cream', 'M10 38L22 10L52 16L58 38Z'],
    ['line', 'M10 38L22 10L52 16L58 38Z'],
    ['thin', 'M16 26L55 27'],
  ],
  'crust-crumbles': [
    ['cream', 'M12 10H52V28H12Z'],
    ['line', 'M12 10H52V28H12Z'],
    ['crumb', 'M12 30h6v4h-6ZM22 31h5v4h-5ZM31 30h4v3h-4ZM39 32h5v4h-5ZM48 30h4v4h-4ZM16 37h3v2h-3ZM28 38h3v2h-3ZM44 38h3v2h-3Z'],
  ],
  cracked: [
    ['cream', 'M8 36C8 20 18 12 32 12S56 20 56 36Z'],
    ['line', 'M8 36C8 20 18 12 32 12S56 20 56 36Z'],
    ['line', 'M30 12l4 7l-5 5l5 6l-3 6M34 19l8 3'],
  ],
  'shell-wet': [
    ['cream', 'M8 36C8 20 18 12 32 12S56 20 56 36Z'],
    ['line', 'M8 36C8 20 18 12 32 12S56 20 56 36Z'],
    ['wet', rings(2, [16, 28], [24, 20], [34, 17], [43, 22], [50, 30], [32, 27])],
    ['thin', rings(2, [16, 28], [24, 20], [34, 17], [43, 22], [50, 30], [32, 27])],
  ],
  'too-hard': [
    ['wet', SLICE],
    ['line', SLICE],
    ['line', 'M34 0V12'],
    ['thin', 'M26 10l-4 -4M42 8l4 -4'],
    ['thin', 'M18 26l4 4M22 26l-4 4M40 24l4 4M44 24l-4 4'],
  ],
  'never-froze': [
    ['cream', 'M8 38C10 26 14 20 24 18S50 22 56 38Z'],
    ['line', 'M8 38C10 26 14 20 24 18S50 22 56 38Z'],
    ['was', 'M10 38V14H54V38'],
    ['thin', 'M32 4v8M28 6l8 4M36 6l-8 4'],
  ],
  icy: [
    ['wet', SLICE],
    ['line', SLICE],
    ['thin', 'M20 20v8M17 22l6 4M23 22l-6 4M32 28v8M29 30l6 4M35 30l-6 4M44 20v8M41 22l6 4M47 22l-6 4'],
  ],
  thawed: [
    ['cream', 'M14 34L18 14H46L50 34Z'],
    ['line', 'M14 34L18 14H46L50 34'],
    ['wet', 'M4 36Q32 30 60 36Q32 43 4 36Z'],
    ['wet', 'M16 22q-3 5 0 6q3 -1 0 -6ZM48 20q-3 5 0 6q3 -1 0 -6Z'],
  ],
  'too-sweet': [
    ['cream', 'M12 26H26V38H12ZM30 26H44V38H30ZM21 12H35V24H21Z'],
    ['line', 'M12 26H26V38H12ZM30 26H44V38H30ZM21 12H35V24H21Z'],
    ['thin', 'M50 12v8M46 16h8'],
  ],
  'too-sour': [
    ['yolk', ring(32, 24, 15)],
    ['line', ring(32, 24, 15)],
    ['thin', 'M32 9V39M19 16L45 32M45 16L19 32'],
  ],
  'too-strong': [
    ['line', 'M18 8H46L36 24V36M28 36H44M36 24L32 24L18 8'],
    ['yolk', 'M22 13H42L36 22H30Z'],
    ['thin', 'M52 10q4 4 0 8M56 6q7 8 0 16'],
  ],
  bland: [
    ['line', 'M8 34L34 16'],
    ['line', 'M34 16C36 8 48 4 54 10S48 24 38 22Z'],
    ['was', 'M40 12q6 -4 10 0'],
  ],
  short: [
    ['cream', fill(4, 14) + fill(24, 14) + fill(44, 30)],
    ['line', GLASS(4) + GLASS(24) + GLASS(44)],
  ],
  left: [
    ['cream', fill(6, 14) + 'M30 28C30 36 36 38 44 38S58 36 58 28Z'],
    ['line', GLASS(6) + 'M28 22C29 34 36 38 44 38S59 34 60 22'],
  ],
  glasses: [
    ['cream', fill(4, 16) + fill(24, 16)],
    ['line', GLASS(4) + GLASS(24)],
    ['was', GLASS(44)],
  ],
  forgot: [
    ['cream', 'M26 26C26 36 32 38 40 38S54 36 54 26Z'],
    ['line', 'M24 20C25 34 32 38 40 38S55 34 56 20'],
    ['line', 'M6 24H18V38H6ZM8 20H16V24H8Z'],
    ['thin', 'M20 18q4 -6 10 -4M27 11l4 3l-4 3'],
  ],
  twice: [
    ['cream', 'M6 18H26V38H6ZM34 18H54V38H34Z'],
    ['line', 'M6 18H26V38H6ZM9 13H23V18H9ZM34 18H54V38H34ZM37 13H51V18H37Z'],
    ['thin', 'M28 28h4M30 26v4'],
  ],
  'all-in': [
    ['cream', inBowl(18)],
    ['line', BOWL],
    ['thin', 'M22 2V12M18 8l4 5l4 -5M42 2V12M38 8l4 5l4 -5'],
  ],
  'left-out': [
    ['cream', 'M6 28C6 36 12 38 20 38S34 36 34 28Z'],
    ['line', 'M4 22C5 34 12 38 20 38S35 34 36 22'],
    ['line', ring(48, 20, 11)],
    ['line', 'M48 13V20L53 24'],
  ],
  burnt: [
    ['dark', 'M11 30H47V34Q47 37 44 37H14Q11 37 11 34Z'],
    ['line', 'M10 12V34Q10 38 14 38H44Q48 38 48 34V12M48 18H60'],
    ['dark', rings(1.4, [18, 24], [27, 26], [35, 22], [42, 26])],
    ['thin', 'M22 8q-3 -3 0 -6M34 8q-3 -3 0 -6'],
  ],
  foreign: [
    ['cream', inBowl(22)],
    ['line', BOWL],
    ['wet', 'M26 8L40 4L34 24Z'],
    ['line', 'M26 8L40 4L34 24Z'],
    ['thin', 'M46 10l4 -4M18 10l-4 -4'],
  ],
};

const FILLS: Readonly<Record<Exclude<Mark[0], 'line' | 'thin' | 'was'>, string>> = {
  cream: 'oklch(.955 .03 92)',
  yolk: 'oklch(.87 .12 92)',
  wet: 'oklch(.88 .045 220)',
  dark: 'oklch(.42 .05 50)',
  fruit: 'oklch(.62 .15 12)',
  crumb: 'oklch(.76 .08 75)',
};

/** A sign as it is seen; decorative, its name stands beside it. */
export function SignDrawing({ sign, className = '' }: { readonly sign: SignId; readonly className?: string }) {
  return (
    <svg viewBox="0 0 64 46" aria-hidden="true" className={`block ${className}`} fill="none" strokeLinecap="round" strokeLinejoin="round">
      {DRAWINGS[sign].map(([kind, d], i) =>
        kind === 'line' ? (
          <path key={i} d={d} stroke="var(--color-ink)" strokeWidth="1.8" />
        ) : kind === 'thin' ? (
          <path key={i} d={d} stroke="var(--color-ink)" strokeWidth="1.1" />
        ) : kind === 'was' ? (
          <path key={i} d={d} stroke="var(--color-ink-soft)" strokeWidth="1.1" strokeDasharray="2.5 3" />
        ) : (
          <path key={i} d={d} fill={FILLS[kind]} stroke="none" />
        ),
      )}
    </svg>
  );
}
