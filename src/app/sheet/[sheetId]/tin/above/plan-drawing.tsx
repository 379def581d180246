import { floorHalf, numberPlace } from '../../../../../core/files/template';
import type { Plan } from '../../../../../core/vessel/packing/lay';
import type { Outline } from '../../../../../core/vessel/packing/outline';

const points = (o: Extract<Outline, { kind: 'polygon' }>): string => o.points.map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`).join(' ');

/** A layer of biscuits from above, to scale, each with its number; cut and broken ones hatched, with their size. */
export function PlanDrawing({ plan, below, says }: { readonly plan: Plan; readonly below: Plan | null; readonly says: string }) {
  const [hx, hy] = floorHalf(plan);
  const edge = 4 + hx * 0.03;
  const rule = hx > 90 ? 100 : hx > 40 ? 50 : 20;
  const line = Math.max(hx, hy) / 260;
  const size = Math.max(hx, hy) / 22;
  return (
    <svg
      viewBox={`${-hx - edge} ${-hy - edge} ${2 * (hx + edge)} ${2 * (hy + edge) + size * 2.2}`}
      className="block h-full w-full"
      role="img"
      aria-label={says}
      fontFamily="var(--font-figure)"
    >
      <defs>
        <pattern id="cut-hatch" width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={5} height={5} fill="oklch(.93 .04 80)" />
          <path d="M0 0V5" stroke="oklch(.64 .08 65)" strokeWidth={1} />
        </pattern>
      </defs>
      {plan.floor.kind === 'round' ? (
        <circle r={plan.floor.radiusMm} fill="oklch(.97 .02 92)" stroke="var(--color-ink)" strokeWidth={line * 2.4} />
      ) : (
        <rect
          x={-hx}
          y={-hy}
          width={2 * hx}
          height={2 * hy}
          rx={plan.floor.cornerMm}
          fill="oklch(.97 .02 92)"
          stroke="var(--color-ink)"
          strokeWidth={line * 2.4}
        />
      )}
      {below?.pieces.map((p, i) =>
        p.outline.kind === 'round' ? (
          <circle
            key={i}
            cx={p.outline.x}
            cy={p.outline.y}
            r={p.outline.r}
            fill="none"
            stroke="var(--color-ink-soft)"
            strokeWidth={line}
            strokeDasharray={`${line * 3} ${line * 3}`}
          />
        ) : (
          <polygon
            key={i}
            points={points(p.outline)}
            fill="none"
            stroke="var(--color-ink-soft)"
            strokeWidth={line}
            strokeDasharray={`${line * 3} ${line * 3}`}
          />
        ),
      )}
      {plan.pieces.map((p, i) => {
        const fill = p.cut ? 'url(#cut-hatch)' : 'oklch(.84 .07 75 / .88)';
        const stroke = 'oklch(.5 .07 60)';
        return p.outline.kind === 'round' ? (
          <circle key={i} cx={p.outline.x} cy={p.outline.y} r={p.outline.r} fill={fill} stroke={stroke} strokeWidth={line * 1.2} />
        ) : (
          <polygon key={i} points={points(p.outline)} fill={fill} stroke={stroke} strokeWidth={line * 1.2} />
        );
      })}
      {plan.pieces.map((p, i) => {
        const at = numberPlace(p.outline);
        const text = Math.max(at.sizeMm, size * 0.55);
        const kept = p.cut && 'keptMm' in p.cut ? `${Math.round(p.cut.keptMm)}` : p.cut ? (p.cut.share === 0.5 ? '½' : '¼') : null;
        return (
          <text
            key={i}
            x={at.x}
            y={at.y + text * 0.35}
            fontSize={text}
            textAnchor="middle"
            fill="var(--color-ink)"
            stroke="oklch(.97 .02 92)"
            strokeWidth={kept ? text * 0.22 : 0}
            paintOrder="stroke"
            fontWeight={600}
          >
            {kept ?? i + 1}
          </text>
        );
      })}
      <g transform={`translate(${-rule / 2} ${hy + edge + size * 0.4})`} stroke="var(--color-ink-soft)" strokeWidth={line * 1.4} fill="none">
        <path d={`M0 0H${rule}M0 ${-size * 0.25}V${size * 0.25}M${rule} ${-size * 0.25}V${size * 0.25}`} />
        <text x={rule / 2} y={size * 1.15} fontSize={size} textAnchor="middle" fill="var(--color-ink-soft)" stroke="none">
          {rule} mm
        </text>
      </g>
    </svg>
  );
}
