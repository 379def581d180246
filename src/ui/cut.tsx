'use client';

import { memo, useId } from 'react';
import { plainNumber, showVolumeMl, withUnit } from '../core/figure';
import type { CutLayer } from '../core/tin/cut-layers';
import { unitsHere } from '../core/measures/shown-here';
import { INCH_MM } from '../core/measures/units';
import { MOST_BUBBLES } from '../core/vessel/bubbles';
import { cutWidthMm, halfWidthAt, wallOf, type WallPoint } from '../core/vessel/profile';
import type { Vessel } from '../core/vessel/schema';
import { bubblesPath } from './bubbles-path';
import { PART_LOOKS, TINTED, type PartLook } from './part-look';

interface CutProps {
  readonly vessel: Vessel;
  /** From the foot up; none where there is nothing to show. */
  readonly layers: readonly CutLayer[];
  /** Overfull: drawn brimful. */
  readonly overflows: boolean;
  /** Without rule and words, for a thumbnail. */
  readonly small?: boolean;
}

const WALL = 2.4;
/** Room for the words beside the drawing, hundredths of its width. */
const LABELS = 62;
/** A vessel wider than this many times its height is drawn from one wall to a break line, so that the layers stay large. */
const WIDEST = 1.5;

/** How a vessel is drawn. */
export interface CutFrame {
  readonly wall: readonly WallPoint[];
  /** Left and right end of what is drawn, mm from the middle. */
  readonly left: number;
  readonly right: number;
  readonly broken: boolean;
}

export function frameOf(vessel: Vessel, widest = WIDEST): CutFrame {
  const wall = wallOf(vessel);
  const half = cutWidthMm(vessel) / 2;
  // A bowl or a glass is known by its whole outline; a flat tin is not.
  const flat = vessel.kind === 'tray' || vessel.kind === 'terrine' || vessel.kind === 'springform';
  const broken = flat && 2 * half > widest * vessel.heightMm;
  return { wall, left: -half, right: broken ? -half + widest * vessel.heightMm : half, broken };
}

const at = (x: number, y: number): string => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** The outline of a layer between two heights. */
function layerPath({ wall, right, broken }: CutFrame, fromMm: number, toMm: number): string {
  const steps = [fromMm, ...wall.map((w) => w.zMm).filter((z) => z > fromMm && z < toMm), toMm];
  const leftSide = steps.map((z) => at(-halfWidthAt(wall, z), -z));
  const rightSide = broken ? [at(right, -toMm), at(right, -fromMm)] : steps.toReversed().map((z) => at(halfWidthAt(wall, z), -z));
  return `M${[...leftSide, ...rightSide].join('L')}Z`;
}

function wallPath({ wall, right, broken }: CutFrame, wallMm: number): string {
  const off = wallMm / 2;
  const left = wall.toReversed().map((w) => at(-w.halfMm - off, off - w.zMm));
  const rightSide = broken ? [at(right, off)] : wall.map((w) => at(w.halfMm + off, off - w.zMm));
  return `M${left.join('L')}L${rightSide.join('L')}`;
}

/** A zigzag where the drawing breaks off. */
function breakPath(right: number, heightMm: number, unit: number): string {
  const n = 6;
  const points = Array.from({ length: n + 1 }, (_, i) => at(right + (i % 2 ? 1.6 : -1.6) * unit, (-heightMm * i) / n));
  return `M${points.join('L')}`;
}

/** The dessert sliced open, to scale in millimetres. Bubbles cover the air's true share of the area. */
export function Cut({ vessel, layers, overflows, small = false }: CutProps) {
  const frame = frameOf(vessel);
  const drawnWidth = frame.right - frame.left;
  const unit = Math.max(drawnWidth, vessel.heightMm * 1.15) / 100;
  const text = 5.3 * unit;
  const labels = small ? [] : labelPlaces(layers, text, vessel.heightMm);
  const left = small ? frame.left - 4 * unit : frame.left - 17 * unit;
  const width = small ? drawnWidth + 8 * unit : drawnWidth + 17 * unit + LABELS * unit;
  const lowest = Math.max(4 * unit, (labels.at(-1)?.y ?? 0) + 2 * text);
  const highest = Math.min(-vessel.heightMm - 7 * unit, (labels[0]?.y ?? 0) - 1.4 * text);
  const says =
    layers.length === 0
      ? `${vessel.name}, cut across, empty`
      : `${vessel.name}, cut across: ${layers.map((l) => `${l.name} ${Math.round(l.toMm - l.fromMm)} mm`).join(', ')}`;
  return (
    <svg viewBox={`${left} ${highest} ${width} ${lowest - highest}`} className="block h-full w-full" role="img" aria-label={says} fontFamily="var(--font-text)">
      <CutDrawing vessel={vessel} layers={layers} frame={frame} unit={unit} />
      {!small && <Rule x={left} heightMm={vessel.heightMm} unit={unit} text={text} />}
      {labels.map(({ layer, y }) => (
        <Label
          key={layer.id}
          layer={layer}
          y={y}
          x={frame.right + 10 * unit}
          from={frame.broken ? frame.right : halfWidthAt(frame.wall, middle(layer))}
          text={text}
          unit={unit}
          brim={overflows && layer === layers.at(-1)}
        />
      ))}
    </svg>
  );
}

interface DrawingProps {
  readonly vessel: Vessel;
  readonly layers: readonly CutLayer[];
  readonly frame: CutFrame;
  /** A hundredth of the drawing's width, mm. */
  readonly unit: number;
  /** Where biscuits are cut through, mm from the middle, by layer; drawn side by side where it is not known. */
  readonly ends?: ReadonlyMap<string, readonly (readonly [number, number])[]>;
  /** How thick the wall is drawn, mm. */
  readonly wallMm?: number;
}

/** Layers and wall in millimetres: x from the middle, y upwards below 0. */
export function CutDrawing({ vessel, layers, frame, unit, ends, wallMm = WALL * Math.min(1, 0.35 + unit / 2) }: DrawingProps) {
  const id = useId();
  // A cream that lies in several layers is drawn once.
  const patternOf = layers.map((l) => layers.findIndex((m) => m === l || isSameToSee(m, l)));
  return (
    <>
      <defs>
        {layers.map(
          (l, i) =>
            patternOf[i] === i && <LayerPattern key={l.id} id={`${id}-${i}`} layer={l} unit={unit} left={frame.left} sliced={ends?.has(l.id) ?? false} />,
        )}
        <clipPath id={`${id}-inside`}>
          <path d={layerPath(frame, 0, vessel.heightMm)} />
        </clipPath>
      </defs>
      {layers.map((l, i) => (
        <path
          key={l.id}
          d={layerPath(frame, l.fromMm, l.toMm)}
          fill={`url(#${id}-${patternOf[i]})`}
          stroke={PART_LOOKS[l.kind].line}
          strokeWidth={0.3 * unit}
        />
      ))}
      <g clipPath={`url(#${id}-inside)`}>
        {layers.map((l) => ends?.get(l.id)?.map(([from, to]) => <BiscuitEnd key={`${l.id} ${from}`} layer={l} from={from} to={to} />))}
      </g>
      {vessel.kind === 'free' ? (
        <path
          d={`M${at(frame.left - 8 * unit, WALL / 2)}L${at(frame.right + 8 * unit, WALL / 2)}`}
          stroke="var(--color-ink)"
          strokeWidth={WALL * 0.8}
          strokeLinecap="round"
        />
      ) : (
        <path d={wallPath(frame, wallMm)} fill="none" stroke="var(--color-ink)" strokeWidth={wallMm} strokeLinejoin="round" strokeLinecap="round" />
      )}
      {frame.broken && <path d={breakPath(frame.right, vessel.heightMm, unit)} fill="none" stroke="var(--color-ink-soft)" strokeWidth={0.5 * unit} />}
    </>
  );
}

/** Whether two layers are filled alike: of one kind and colour, with as much air. Biscuits stand where their own layer begins. */
const isSameToSee = (a: CutLayer, b: CutLayer): boolean =>
  !a.biscuit && !b.biscuit && a.kind === b.kind && a.tint === b.tint && Math.abs(a.airShare - b.airShare) < 0.0005;

/** A biscuit as the knife leaves it: its own height, tinted by what it has drunk. */
function BiscuitEnd({ layer, from, to }: { readonly layer: CutLayer; readonly from: number; readonly to: number }) {
  const look = biscuitLook(layer);
  const height = Math.min(layer.biscuit?.heightMm ?? 0, layer.toMm - layer.fromMm);
  const width = Math.max(0.4, to - from - 0.4);
  return (
    <rect
      x={from + 0.2}
      y={-layer.fromMm - height + 0.2}
      width={width}
      height={Math.max(0.4, height - 0.4)}
      rx={Math.min(2.5, height / 2.4, width / 3)}
      fill={look.ground}
      stroke={look.line}
      strokeWidth={0.4}
    />
  );
}

/** The dry biscuit's colour, darker the fuller it is. */
function biscuitLook(layer: CutLayer): PartLook {
  const look = PART_LOOKS['biscuit-layer'];
  const soaked = Math.min(1, layer.soaked ?? 0);
  if (soaked <= 0) return look;
  return { ...look, ground: `color-mix(in oklch, ${look.ground}, oklch(.58 .075 55) ${Math.round(85 * soaked)}%)` };
}

const middle = (l: CutLayer): number => (l.fromMm + l.toMm) / 2;

/** Where the words of each layer stand: beside it, moved apart where layers are thin. From the top down. */
function labelPlaces(layers: readonly CutLayer[], text: number, heightMm: number): readonly { layer: CutLayer; y: number }[] {
  const gap = text * (layers.length > 1 ? 2.75 : 3.8);
  const places = layers.toReversed().map((layer) => ({ layer, y: -middle(layer) }));
  for (let i = 1; i < places.length; i++) places[i]!.y = Math.max(places[i]!.y, places[i - 1]!.y + gap);
  const sunk = (places.at(-1)?.y ?? 0) - text * 0.2;
  if (sunk > 0) for (const p of places) p.y -= Math.min(sunk, (sunk * (p.y + heightMm + sunk)) / (heightMm + sunk));
  for (let i = places.length - 2; i >= 0; i--) places[i]!.y = Math.min(places[i]!.y, places[i + 1]!.y - gap);
  return places;
}

function Label({
  layer,
  x,
  y,
  from,
  text,
  unit,
  brim,
}: {
  readonly layer: CutLayer;
  readonly x: number;
  readonly y: number;
  readonly from: number;
  readonly text: number;
  readonly unit: number;
  readonly brim: boolean;
}) {
  const air = layer.airShare > 0.005 ? `, ${Math.round(100 * layer.airShare)}\u00a0% air${layer.airShare > MOST_BUBBLES ? ' (fewer drawn)' : ''}` : '';
  const name = layer.name.length > 18 ? `${layer.name.slice(0, 17)}…` : layer.name;
  const mass = layer.massG >= 1000 ? withUnit(plainNumber(layer.massG / 1000, 2), 'kg') : withUnit(plainNumber(layer.massG, 0), 'g');
  return (
    <g fill="var(--color-ink-soft)" fontSize={text}>
      <path
        d={`M${at(from - 1.5 * unit, -middle(layer))}L${at(x - 4 * unit, y)}L${at(x - 1.5 * unit, y)}`}
        fill="none"
        stroke="var(--color-ink-soft)"
        strokeWidth={0.35 * unit}
      />
      <text x={x} y={y + text * 0.1} fontSize={text * 1.08} fontWeight={650} fill="var(--color-ink)">
        {name}
      </text>
      <text x={x} y={y + text * 1.25}>
        {brim ? 'brimful' : withUnit(plainNumber(layer.toMm - layer.fromMm, layer.toMm - layer.fromMm < 10 ? 1 : 0), 'mm')}, {mass}
      </text>
      {layer.only && (
        <text x={x} y={y + text * 2.4}>
          {showVolumeMl(layer.volumeMl)}
          {air}
        </text>
      )}
    </g>
  );
}

/** A rule's marks over a height: how far up, and what is written there. Millimetres by tens, inches by quarters. @param inInches as this kitchen reads lengths. */
function ruleMarks(heightMm: number, inInches: boolean): readonly { readonly mm: number; readonly says: string | null }[] {
  const step = inInches ? INCH_MM / 4 : 10;
  const written = inInches ? (heightMm > 100 ? 8 : 4) : heightMm > 150 ? 5 : heightMm > 60 ? 2 : 1;
  return Array.from({ length: Math.floor(heightMm / step + 1e-9) + 1 }, (_, i) => ({
    mm: i * step,
    says: i % written === 0 ? String(inInches ? i / 4 : 10 * i) : null,
  }));
}

export function Rule({ x, heightMm, unit, text }: { readonly x: number; readonly heightMm: number; readonly unit: number; readonly text: number }) {
  const inInches = unitsHere().length === 'in';
  return (
    <g fill="var(--color-ink-soft)" fontSize={text}>
      {ruleMarks(heightMm, inInches).map(({ mm, says }) => (
        <g key={mm}>
          <line x1={x + (says === null ? 11.5 : 9) * unit} x2={x + 13 * unit} y1={-mm} y2={-mm} stroke="var(--color-ink-soft)" strokeWidth={0.35 * unit} />
          {says !== null && (
            <text x={x + 7.6 * unit} y={-mm + text * 0.35} textAnchor="end" fontFamily="var(--font-figure)">
              {says}
            </text>
          )}
        </g>
      ))}
      <text x={x + 0.4 * unit} y={-heightMm - text * 0.5}>
        {inInches ? 'in' : 'mm'}
      </text>
    </g>
  );
}

function LayerPattern({
  id,
  layer,
  unit,
  left,
  sliced,
}: {
  readonly id: string;
  readonly layer: CutLayer;
  readonly unit: number;
  readonly left: number;
  readonly sliced: boolean;
}) {
  const look = layer.tint ? TINTED[layer.tint] : layer.biscuit ? biscuitLook(layer) : PART_LOOKS[layer.kind];
  // Between biscuits that are drawn one by one lies the cream that ran into the gaps.
  if (layer.biscuit && sliced) return <HatchPattern id={id} look={{ ...PART_LOOKS['set-filling'], hatch: 'plain' }} unit={unit} />;
  if (layer.biscuit) return <BiscuitPattern id={id} layer={layer} look={look} left={left} />;
  if (layer.airShare > 0.005) return <BubblePattern id={id} share={layer.airShare} look={look} unit={unit} />;
  return <HatchPattern id={id} look={look} unit={unit} />;
}

/** Hundreds of bubbles: drawn anew only when the air changes, not while a boundary is dragged. */
const BubblePattern = memo(function BubblePattern({
  id,
  share,
  look,
  unit,
}: {
  readonly id: string;
  readonly share: number;
  readonly look: PartLook;
  readonly unit: number;
}) {
  const tile = bubblesPath(share);
  return (
    <pattern id={id} width={tile.sizeMm} height={tile.sizeMm} patternUnits="userSpaceOnUse" patternTransform={`scale(${(0.95 * unit).toFixed(3)})`}>
      <rect width={tile.sizeMm} height={tile.sizeMm} fill={look.ground} />
      <path d={tile.path} fill="#fff" stroke={look.line} strokeWidth={0.16} />
    </pattern>
  );
});

/** Biscuits as they are sliced: their own width and height, side by side from the wall. */
function BiscuitPattern({ id, layer, look, left }: { readonly id: string; readonly layer: CutLayer; readonly look: PartLook; readonly left: number }) {
  const { widthMm, heightMm } = layer.biscuit!;
  const height = Math.min(heightMm, layer.toMm - layer.fromMm);
  const r = Math.min(4, height / 2.4, widthMm / 4);
  return (
    <pattern id={id} width={widthMm} height={height} x={left} y={-layer.fromMm} patternUnits="userSpaceOnUse">
      <rect width={widthMm} height={height} fill={PART_LOOKS['set-filling'].ground} />
      <rect
        x={0.4}
        y={0.4}
        width={Math.max(1, widthMm - 0.8)}
        height={Math.max(1, height - 0.8)}
        rx={r}
        fill={look.ground}
        stroke={look.line}
        strokeWidth={0.6}
      />
      {[1 / 4, 1 / 2, 3 / 4].map((s) => (
        <line key={s} x1={widthMm * s} x2={widthMm * s} y1={height * 0.22} y2={height * 0.78} stroke={look.line} strokeWidth={0.5} />
      ))}
    </pattern>
  );
}

function HatchPattern({ id, look, unit }: { readonly id: string; readonly look: PartLook; readonly unit: number }) {
  const s = 4 * unit;
  const line = { stroke: look.line, strokeWidth: 0.7 * unit };
  return (
    <pattern id={id} width={s} height={s} patternUnits="userSpaceOnUse">
      <rect width={s} height={s} fill={look.ground} />
      {(look.hatch === 'diagonal' || look.hatch === 'cross') && <path d={`M0 ${s}L${s} 0`} {...line} />}
      {(look.hatch === 'counter-diagonal' || look.hatch === 'cross') && <path d={`M0 0L${s} ${s}`} {...line} />}
      {(look.hatch === 'fine-rows' || look.hatch === 'rows') && <path d={`M0 ${s / 2}H${s}`} {...line} strokeWidth={0.4 * unit} />}
      {look.hatch === 'bars' && <path d={`M${s / 2} 0V${s}`} {...line} />}
      {(look.hatch === 'dots' || look.hatch === 'crumbs') && (
        <>
          <circle cx={s * 0.3} cy={s * 0.3} r={s * (look.hatch === 'crumbs' ? 0.2 : 0.12)} fill={look.line} />
          <circle cx={s * 0.78} cy={s * 0.72} r={s * (look.hatch === 'crumbs' ? 0.14 : 0.12)} fill={look.line} />
        </>
      )}
    </pattern>
  );
}
