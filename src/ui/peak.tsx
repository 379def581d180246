import { peakLook, type PeakLook } from '../core/foam/peak';
import { peakShape, type Point } from '../core/foam/peak-shape';

const path = (points: readonly Point[]): string => `M${points.map(([x, y]) => `${(100 * x).toFixed(1)} ${(-100 * y).toFixed(1)}`).join('L')}`;

/** Colour of the foam: cream, the white of whites, the yellow of yolks. */
const TONES = {
  cream: { chroma: 0.03, hue: 92, light: 0.955 },
  white: { chroma: 0.008, hue: 210, light: 0.975 },
  yolk: { chroma: 0.075, hue: 90, light: 0.93 },
} as const;
export type PeakTone = keyof typeof TONES;

/** The peak on an upturned whisk at a fat network x, drawn from the model's state. */
export const Peak = ({ x }: { readonly x: number }) => <PeakOf look={peakLook(x)} />;

/** A foam's peak by its look. */
export function PeakOf({ look, tone = 'cream' }: { readonly look: PeakLook; readonly tone?: PeakTone }) {
  const { chroma, hue, light } = TONES[tone];
  const shape = peakShape(look);
  const wet = Math.max(0, 1 - look.height * 1.6);
  const yellow = look.whey;
  const body = `oklch(${light - 0.03 * look.grain} ${chroma + 0.06 * yellow} ${hue - 4 * yellow})`;
  const wires = [-34, -19, 0, 19, 34];
  return (
    <svg viewBox="-110 -180 220 290" className="block h-full w-full" role="img" aria-label={`The peak: ${look.sign}`}>
      {/* The whisk, upturned: handle below, wires opening to the head. */}
      <g fill="none" stroke="var(--color-ink)" strokeWidth="2.2" strokeLinecap="round">
        {wires.map((w) => (
          <path key={w} d={`M${w * 0.12} 78 C${w * 0.5} 52 ${w * 1.55} 30 ${w * 1.35} 4`} opacity={0.75} />
        ))}
      </g>
      <rect x="-6" y="76" width="12" height="32" rx="3" fill="var(--color-ink)" />
      {/* What clings to the head. */}
      <path
        d={`M-52 2 C-54 ${22 + 10 * wet} -34 ${30 + 18 * wet} 0 ${32 + 20 * wet} C34 ${30 + 18 * wet} 54 ${22 + 10 * wet} 52 2 Z`}
        fill={body}
        stroke="oklch(.72 .06 88)"
        strokeWidth="1.4"
      />
      {wet > 0.02 && (
        <g stroke={body} strokeWidth={5 * wet + 1} strokeLinecap="round" fill="none" opacity={Math.min(1, wet * 1.4)}>
          <path d={`M-24 30 V${40 + 52 * wet}`} />
          <path d={`M10 36 V${46 + 60 * wet}`} />
          <path d={`M30 28 V${36 + 40 * wet}`} />
        </g>
      )}
      <path d={`${path(shape.edge)}Z`} fill={body} stroke="oklch(.72 .06 88)" strokeWidth="1.4" strokeLinejoin="round" />
      {shape.ridges.map((r, i) => (
        <path key={i} d={path(r)} fill="none" stroke="oklch(.78 .06 88)" strokeWidth={0.6 + 1.4 * look.ridges} opacity={look.ridges} />
      ))}
      <path d={path(shape.light)} fill="none" stroke="#fff" strokeWidth={7} strokeLinecap="round" opacity={0.9 * look.sheen * Math.min(1, look.height * 3)} />
      {/* Butter: yellow clumps in thin liquid. */}
      {yellow > 0.01 && (
        <g opacity={Math.min(1, yellow * 1.5)}>
          {[
            [-30, 14, 13],
            [4, 20, 16],
            [30, 10, 11],
            [-8, -18, 12],
            [16, -26, 9],
          ].map(([cx, cy, r]) => (
            <circle key={`${cx}`} cx={cx} cy={cy} r={r! * (0.6 + 0.4 * yellow)} fill="oklch(.87 .12 92)" stroke="oklch(.68 .11 85)" strokeWidth="1.4" />
          ))}
          {[-42, -14, 22, 44].map((cx, i) => (
            <ellipse key={cx} cx={cx} cy={52 + 9 * (i % 2)} rx="3.2" ry={6 * yellow} fill="oklch(.9 .03 215)" stroke="oklch(.7 .06 225)" strokeWidth="1" />
          ))}
        </g>
      )}
    </svg>
  );
}
