import type { SheetAnalysis } from '../../../../../core/analysis/analysed';
import { cutLayers } from '../../../../../core/tin/cut-layers';
import type { Build } from '../../../../../core/analysis/build';
import { floorAt, isPerPortion } from '../../../../../core/vessel/profile';
import { Cut } from '../../../../../ui/cut';
import { PART_LOOKS } from '../../../../../ui/part-look';

/** One slice as it stands on the plate, to scale: its face with the layers, its top drawn back. A portion in its own vessel is shown in it. */
export function SliceDrawing({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const { vessel, tin } = analysis.sheet;
  const layers = cutLayers(analysis);
  if (isPerPortion(vessel)) return <Cut vessel={vessel} layers={layers} overflows={build.overMl > 0} />;
  const floor = floorAt(vessel, build.topMm / 2);
  // Seen from the side of the cut: the long face, and the top drawn back at half its depth.
  const [faceMm, depthMm] =
    floor.kind === 'round'
      ? [floor.radiusMm, Math.min(floor.radiusMm * 2, (2 * Math.PI * floor.radiusMm) / tin.cutAlong)]
      : [Math.max(floor.lengthMm / tin.cutAlong, floor.widthMm / tin.cutAcross), Math.min(floor.lengthMm / tin.cutAlong, floor.widthMm / tin.cutAcross)];
  const wedge = floor.kind === 'round';
  const h = build.topMm;
  const [bx, by] = [depthMm * 0.35, depthMm * 0.28];
  const edge = Math.max(faceMm, h) * 0.06;
  const line = Math.max(faceMm, h) / 260;
  const text = Math.max(faceMm, h) / 26;
  const top = layers.at(-1);
  const pts = (list: readonly (readonly [number, number])[]): string => list.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');
  return (
    <svg
      viewBox={`${-edge} ${-h - by - edge} ${faceMm + bx + 2 * edge} ${h + by + 2 * edge + text * 1.6}`}
      className="block h-full w-full"
      role="img"
      aria-label={`${wedge ? 'A wedge' : 'A piece'}, ${Math.round(faceMm)} mm long, ${Math.round(depthMm)} mm wide, ${Math.round(h)} mm high`}
      fontFamily="var(--font-figure)"
    >
      {top && (
        <polygon
          points={
            wedge
              ? pts([
                  [0, -h],
                  [faceMm, -h],
                  [faceMm + bx * 0.4, -h - by],
                ])
              : pts([
                  [0, -h],
                  [faceMm, -h],
                  [faceMm + bx, -h - by],
                  [bx, -h - by],
                ])
          }
          fill={PART_LOOKS[top.kind].ground}
          stroke="var(--color-ink)"
          strokeWidth={line}
          strokeLinejoin="round"
        />
      )}
      {layers.map((l) => (
        <g key={l.id} stroke={PART_LOOKS[l.kind].line} strokeWidth={line * 0.8}>
          <polygon
            points={pts([
              [faceMm, -l.toMm],
              [faceMm + (wedge ? bx * 0.4 : bx), -l.toMm - by],
              [faceMm + (wedge ? bx * 0.4 : bx), -l.fromMm - by],
              [faceMm, -l.fromMm],
            ])}
            fill={PART_LOOKS[l.kind].line}
            fillOpacity={0.55}
          />
          <rect x={0} y={-l.toMm} width={faceMm} height={l.toMm - l.fromMm} fill={PART_LOOKS[l.kind].ground} />
          {l.biscuit &&
            Array.from({ length: Math.ceil(faceMm / l.biscuit.widthMm) }, (_, i) => (
              <rect
                key={i}
                x={i * l.biscuit!.widthMm + 0.4}
                y={-l.toMm + 0.3}
                width={Math.max(0.5, Math.min(l.biscuit!.widthMm, faceMm - i * l.biscuit!.widthMm) - 0.8)}
                height={Math.max(0.5, l.toMm - l.fromMm - 0.6)}
                rx={1.5}
                fill={PART_LOOKS['biscuit-layer'].ground}
              />
            ))}
        </g>
      ))}
      <rect x={0} y={-h} width={faceMm} height={h} fill="none" stroke="var(--color-ink)" strokeWidth={line * 1.6} />
      <text x={faceMm / 2} y={text * 1.3} fontSize={text} textAnchor="middle" fill="var(--color-ink-soft)">
        {Math.round(faceMm)} mm
      </text>
    </svg>
  );
}

/** Where the knife goes, from above and to scale; one slice marked. */
export function CutsFromAbove({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const { tin, vessel } = analysis.sheet;
  const floor = floorAt(vessel, build.topMm);
  const [hx, hy] = floor.kind === 'round' ? [floor.radiusMm, floor.radiusMm] : [floor.lengthMm / 2, floor.widthMm / 2];
  const line = Math.max(hx, hy) / 100;
  const top = `color-mix(in oklch, ${PART_LOOKS[build.layers.at(-1)!.layer.part.kind].ground}, white 55%)`;
  const knife = { stroke: 'var(--color-ink)', strokeWidth: Math.max(line * 0.6, tin.kerfMm) };
  const says = `Cuts from above: ${floor.kind === 'round' ? `${tin.cutAlong} wedges` : `${tin.cutAlong} along and ${tin.cutAcross} across`}`;
  const spoke = (i: number): readonly [number, number] => {
    const a = (2 * Math.PI * i) / tin.cutAlong - Math.PI / 2;
    return [hx * Math.cos(a), hx * Math.sin(a)];
  };
  const [sx, sy] = spoke(1);
  return (
    <svg viewBox={`${-hx * 1.03} ${-hy * 1.03} ${hx * 2.06} ${hy * 2.06}`} className="block h-full w-full" role="img" aria-label={says}>
      {floor.kind === 'round' ? (
        <>
          <circle r={hx} fill={top} stroke="var(--color-ink)" strokeWidth={line} />
          {tin.cutAlong > 2 && <path d={`M0 0L0 ${-hx}A${hx} ${hx} 0 0 1 ${sx} ${sy}Z`} fill="var(--color-yolk)" />}
          {tin.cutAlong > 1 && Array.from({ length: tin.cutAlong }, (_, i) => <line key={i} x1={0} y1={0} x2={spoke(i)[0]} y2={spoke(i)[1]} {...knife} />)}
        </>
      ) : (
        <>
          <rect x={-hx} y={-hy} width={2 * hx} height={2 * hy} rx={floor.cornerMm} fill={top} stroke="var(--color-ink)" strokeWidth={line} />
          <rect x={-hx} y={-hy} width={(2 * hx) / tin.cutAlong} height={(2 * hy) / tin.cutAcross} fill="var(--color-yolk)" />
          {Array.from({ length: tin.cutAlong - 1 }, (_, i) => (
            <line key={`x${i}`} x1={-hx + (2 * hx * (i + 1)) / tin.cutAlong} x2={-hx + (2 * hx * (i + 1)) / tin.cutAlong} y1={-hy} y2={hy} {...knife} />
          ))}
          {Array.from({ length: tin.cutAcross - 1 }, (_, i) => (
            <line key={`y${i}`} y1={-hy + (2 * hy * (i + 1)) / tin.cutAcross} y2={-hy + (2 * hy * (i + 1)) / tin.cutAcross} x1={-hx} x2={hx} {...knife} />
          ))}
        </>
      )}
    </svg>
  );
}
