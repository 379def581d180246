'use client';

import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { plainNumber, showGrams, showVolumeMl, withUnit } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { cutLayers } from '../../../../core/tin/cut-layers';
import type { Build, BuiltLayer } from '../../../../core/analysis/build';
import { layerFigure } from '../../../../core/tells/tin-figures';
import { cutWidthMm, halfWidthAt, isPerPortion } from '../../../../core/vessel/profile';
import { CutDrawing, frameOf, Rule, type CutFrame } from '../../../../ui/cut';
import { FigureButton } from '../../../../ui/figure-button';

/** Height of the drawing, px; the rows beside it take their places from it. */
const HEIGHT = 400;
const ROW = 46;
/** A vessel much wider than high is drawn from one wall to a break, this many times as wide as high. */
const WHOLE_TO = 1.35;
const BROKEN_AT = 1.05;

export interface EditorProps {
  readonly analysis: SheetAnalysis;
  readonly build: Build;
  readonly ends: ReadonlyMap<string, readonly (readonly [number, number])[]>;
  readonly chosen: string | null;
  readonly onChoose: (layerId: string) => void;
  /** By keys: at once. */
  readonly onMove: (layerId: string, toMm: number) => void;
  /** By a finger: while it is down, and when it is lifted. */
  readonly onDrag: (layerId: string, toMm: number) => void;
  readonly onDrop: () => void;
}

/** The cut at its largest, its boundaries to be dragged or moved by keys; beside each layer what is in it. */
export function CutEditor({ analysis, build, ends, chosen, onChoose, onMove, onDrag, onDrop }: EditorProps) {
  const { vessel } = build;
  const frame = frameOf(vessel, cutWidthMm(vessel) <= WHOLE_TO * vessel.heightMm ? WHOLE_TO : BROKEN_AT);
  const unit = Math.max(frame.right - frame.left, vessel.heightMm * 1.15) / 100;
  const box = { x: frame.left - 19 * unit, y: -vessel.heightMm - 9 * unit, w: frame.right - frame.left + 26 * unit, h: vessel.heightMm + 14 * unit };
  const pxPerMm = HEIGHT / box.h;
  const text = 13.5 / pxPerMm;
  const layers = cutLayers(analysis, vessel);
  const rows = [...build.layers].reverse();
  const wanted = rows.map((l) => (-(l.fromMm + l.toMm) / 2 - box.y) * pxPerMm);
  const tall = Math.max(HEIGHT, rows.length * ROW);
  const places = spread(wanted, ROW, tall);
  const says = layers.map((l) => `${l.name} ${plainNumber(l.toMm - l.fromMm, 0)} mm`).join(', ');
  return (
    <div className="flex flex-wrap gap-y-3 sm:flex-nowrap">
      <svg
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        style={{ aspectRatio: `${box.w} / ${box.h}`, width: box.w * pxPerMm }}
        className="max-w-full shrink-0 touch-none self-start select-none"
        fontFamily="var(--font-text)"
        role="group"
        aria-label={`${vessel.name}, cut across: ${says}`}
      >
        <CutDrawing vessel={vessel} layers={layers} frame={frame} unit={unit} ends={ends} wallMm={5 / pxPerMm} />
        <Rule x={box.x} heightMm={vessel.heightMm} unit={unit} text={text} />
        {build.layers.map((l) =>
          l.pieces === null ? (
            <Boundary key={l.id} build={build} layer={l} frame={frame} unit={unit} pxPerMm={pxPerMm} onMove={onMove} onDrag={onDrag} onDrop={onDrop} />
          ) : null,
        )}
      </svg>
      <div className="relative min-w-0 flex-1 max-sm:basis-full" style={{ minHeight: tall === HEIGHT ? rows.length * ROW : tall }}>
        <svg aria-hidden="true" className="absolute inset-y-0 left-0 hidden w-7 sm:block" style={{ height: tall }} width={28} height={tall}>
          {rows.map((l, i) => (
            <path key={l.id} d={`M0 ${wanted[i]!.toFixed(1)}L14 ${places[i]!.toFixed(1)}H26`} fill="none" stroke="var(--color-ink-soft)" strokeWidth={1} />
          ))}
        </svg>
        <ol className="sm:pl-8" aria-label="Layers from the top down">
          {rows.map((l, i) => (
            <li key={l.id} className="sm:absolute sm:right-0 sm:left-8" style={{ top: places[i]! - ROW / 2, height: ROW }}>
              <LayerRow analysis={analysis} build={build} layer={l} chosen={l.id === chosen} onChoose={() => onChoose(l.id)} />
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}

/** Places as near to where they are wanted as a gap between them allows, within a height. */
function spread(wanted: readonly number[], gap: number, height: number): readonly number[] {
  const places = [...wanted];
  for (let i = 0; i < places.length; i++) places[i] = Math.max(places[i]!, i === 0 ? gap / 2 : places[i - 1]! + gap);
  for (let i = places.length - 1; i >= 0; i--) places[i] = Math.min(places[i]!, i === places.length - 1 ? height - gap / 2 : places[i + 1]! - gap);
  return places;
}

function LayerRow({
  analysis,
  build,
  layer: l,
  chosen,
  onChoose,
}: {
  readonly analysis: SheetAnalysis;
  readonly build: Build;
  readonly layer: BuiltLayer;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}) {
  const each = isPerPortion(build.vessel) ? 1 : analysis.sheet.portions / Math.max(1, analysis.sheet.tin.count);
  return (
    <div className={`flex h-full items-center gap-x-3 border-b border-steel-light pr-1 ${chosen ? 'bg-yolk-pale' : ''}`} data-layer={l.id}>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className="h-full min-w-0 flex-1 pl-1.5 text-left leading-tight hover:bg-paper"
        title={`${l.layer.part.name}: set what it takes`}
      >
        <span className="block truncate text-[15.5px] font-[650]">{l.layer.part.name}</span>
        <span className="block truncate text-[13.5px] text-ink-soft">
          <span className="fig font-medium">{showGrams(l.massG)}</span>, {showVolumeMl(l.volumeMl)},{' '}
          {l.pieces !== null ? piecesWords(l.pieces) : each > 1 ? `${showGrams(l.massG / each)} a portion` : takes(l)}
        </span>
      </button>
      <FigureButton figure={layerFigure(build, l)} className="text-[18px]" />
    </div>
  );
}

/** A glass takes a piece of a sponge, a tin so many biscuits. */
const piecesWords = (n: number): string =>
  n < 0.95 ? `${withUnit(plainNumber(100 * n, 0), '%')} of one` : `${plainNumber(n, Math.abs(n - Math.round(n)) < 0.05 ? 0 : 1)} pieces`;

const takes = (l: BuiltLayer): string => (l.by === 'share' ? 'equal share' : `${withUnit(l.by === 'mm' ? 'fixed' : 'by', l.by === 'ml' ? 'mL' : l.by)}`);

interface BoundaryProps {
  readonly build: Build;
  readonly layer: BuiltLayer;
  readonly frame: CutFrame;
  readonly unit: number;
  readonly pxPerMm: number;
  readonly onMove: EditorProps['onMove'];
  readonly onDrag: EditorProps['onDrag'];
  readonly onDrop: EditorProps['onDrop'];
}

/** The top of a layer: dragged with a finger, or moved by arrows a millimetre at a time. */
function Boundary({ build, layer: l, frame, unit, pxPerMm, onMove, onDrag, onDrop }: BoundaryProps) {
  const drag = useRef<{ grabMm: number; frame: number; toMm: number } | null>(null);
  useEffect(() => () => cancelAnimationFrame(drag.current?.frame ?? 0), []);
  const mmAt = (e: PointerEvent<SVGGElement>): number => {
    const svg = e.currentTarget.ownerSVGElement!;
    const point = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    return -point.y;
  };
  const keys = (e: KeyboardEvent) => {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[e.key];
    if (step === undefined) return;
    e.preventDefault();
    onMove(l.id, Math.round(l.toMm) + step);
  };
  const drop = () => {
    if (!drag.current) return;
    cancelAnimationFrame(drag.current.frame);
    drag.current = null;
    onDrop();
  };
  const z = l.toMm;
  const right = frame.broken ? frame.right : halfWidthAt(frame.wall, z);
  const left = -halfWidthAt(frame.wall, z);
  const grip = 22 / pxPerMm;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`Top of ${l.layer.part.name}, layer ${build.layers.indexOf(l) + 1}`}
      aria-valuemin={Math.round(l.fromMm)}
      aria-valuemax={Math.round(build.vessel.heightMm)}
      aria-valuenow={Math.round(z)}
      aria-valuetext={`${plainNumber(z, 0)} mm above the floor, ${plainNumber(z - l.fromMm, 0)} mm thick`}
      className="group cursor-ns-resize outline-none"
      onKeyDown={keys}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = { grabMm: mmAt(e) - z, frame: 0, toMm: z };
      }}
      onPointerMove={(e) => {
        const d = drag.current;
        if (!d) return;
        d.toMm = mmAt(e) - d.grabMm;
        // One redraw for each frame, however many moves come in.
        if (d.frame === 0) {
          d.frame = requestAnimationFrame(() => {
            d.frame = 0;
            onDrag(l.id, d.toMm);
          });
        }
      }}
      onPointerUp={drop}
      onPointerCancel={drop}
    >
      <rect x={left} y={-z - grip / 2} width={right - left + 8 * unit} height={grip} fill="transparent" />
      <line
        x1={left}
        x2={right}
        y1={-z}
        y2={-z}
        stroke="var(--color-ink)"
        strokeWidth={0.35 * unit}
        className="opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100"
      />
      <rect
        x={right - 13 * unit}
        y={-z - 1.5 * unit}
        width={7 * unit}
        height={3 * unit}
        rx={1.5 * unit}
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        strokeWidth={0.5 * unit}
        className="group-hover:fill-yolk group-focus-visible:fill-yolk"
      />
    </g>
  );
}
