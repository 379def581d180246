'use client';

import { useEffect, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Pin } from 'lucide-react';
import { showSpan } from '../../../core/timetable/says';
import { clockOf, dayClock, dayDate } from '../../../core/timetable/clock-words';
import type { PlannedServing, PlannedTask, ServicePlan } from '../../../core/timetable/service-plan';
import { localTime, minuteOf } from '../../../core/timetable/zone';
import { rowsByDish, rowsByMachine, type Row } from '../ribbon-rows';
import { daysOf, fitting, snapped, ticksOf, ZOOMS, type Zoom } from '../ribbon-scale';
import { useService } from '../service-provider';

const LINE_PX = 25;
const ROW_PAD_PX = 5;
const AXIS_PX = 40;
const SERVED_LINE_PX = 22;
/** Room that a serving's label takes. */
const SERVED_LABEL_PX = 186;
const MARGIN_MIN = 45;

const rowPx = (r: Row): number => r.lines * LINE_PX + 2 * ROW_PAD_PX;

/** On which line each serving's label stands, so that none lies on another. Towards the end labels stand to the left of their moment. */
function linesOf(servings: readonly { readonly id: string; readonly left: number }[], total: number): ReadonlyMap<string, number> {
  const spans: { line: number; from: number; to: number }[] = [];
  const lines = new Map<string, number>();
  for (const s of servings.toSorted((a, b) => a.left - b.left)) {
    const from = s.left > total - SERVED_LABEL_PX ? s.left - SERVED_LABEL_PX : s.left;
    let line = 0;
    while (spans.some((x) => x.line === line && x.from < from + SERVED_LABEL_PX && x.to > from)) line++;
    spans.push({ line, from, to: from + SERVED_LABEL_PX });
    lines.set(s.id, line);
  }
  return lines;
}

/** The width of an element, followed. */
function useWidth() {
  const ref = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  useLayoutEffect(() => {
    const el = ref.current;
    if (!el) return;
    const watch = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width));
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  return { ref, width };
}

/** What is dragged, as it stands under the finger. */
interface Drag {
  readonly id: string;
  readonly minute: number;
}

/** The plan as a ribbon of time: lanes of hands and machines, or of desserts. */
export function Ribbon({ plan, stale }: { readonly plan: ServicePlan; readonly stale: boolean }) {
  const { doc, change, settle, selected, select, now } = useService();
  const { zone } = doc;
  const [zoom, setZoom] = useState<Zoom>('whole');
  const [by, setBy] = useState<'machine' | 'dish'>('machine');
  const [windows, setWindows] = useState(false);
  const [drag, setDrag] = useState<Drag | null>(null);
  const { ref, width } = useWidth();
  const from = Math.min(plan.from, ...plan.servings.map((s) => s.at)) - MARGIN_MIN;
  const to = plan.to + MARGIN_MIN;
  const px = zoom === 'whole' ? fitting(from, to, width - 2) : ZOOMS.find(([key]) => key === zoom)![2];
  const rows = useMemo(() => (by === 'machine' ? rowsByMachine(plan) : rowsByDish(plan)), [plan, by]);
  const ticks = useMemo(() => ticksOf(from, to, px, zone), [from, to, px, zone]);
  const days = useMemo(() => daysOf(from, to, zone), [from, to, zone]);
  const x = (minute: number): number => (minute - from) * px;
  const total = Math.max(width - 2, (to - from) * px);
  const servedLines = linesOf(
    plan.servings.map((s) => ({ id: s.id, left: x(s.at) })),
    total,
  );
  const servedPx = 4 + SERVED_LINE_PX * (1 + Math.max(0, ...servedLines.values()));

  // Another zoom keeps in sight what is in hand: the task that is chosen, else the beginning.
  const chosen = plan.tasks.find((t) => t.id === selected);
  const chosenStart = chosen?.start ?? null;
  const scrolledFor = useRef('');
  useEffect(() => {
    // Only another zoom or other lanes move it: a plan that changes under the hand does not.
    const look = `${zoom} ${by}`;
    const el = ref.current;
    if (!el || scrolledFor.current === look) return;
    scrolledFor.current = look;
    el.scrollLeft = Math.max(0, ((chosenStart ?? from + MARGIN_MIN) - from) * px - el.clientWidth / 3);
  }, [zoom, by, chosenStart, from, px, ref]);

  const serveAt = (servingId: string, minute: number, live: boolean) =>
    change((d) => ({ ...d, servings: d.servings.map((s) => (s.id === servingId ? { ...s, at: localTime(minute, zone) } : s)) }), live);
  const pinAt = (taskId: string, minute: number | null, live: boolean) =>
    change((d) => {
      const pins = { ...d.pins };
      if (minute === null) delete pins[taskId];
      else pins[taskId] = localTime(minute, zone);
      return { ...d, pins };
    }, live);

  const dragging = (id: string, start: number, move: (minute: number, live: boolean) => void, tap: () => void) => ({
    onPointerDown: (e: PointerEvent<HTMLElement>) => {
      if (e.button !== 0) return;
      const el = e.currentTarget;
      const x0 = e.clientX;
      let moved = false;
      el.setPointerCapture(e.pointerId);
      const onMove = (m: globalThis.PointerEvent) => {
        if (!moved && Math.abs(m.clientX - x0) < 4) return;
        moved = true;
        const minute = snapped(start + (m.clientX - x0) / px);
        setDrag({ id, minute });
        move(minute, true);
      };
      const end = () => {
        el.removeEventListener('pointermove', onMove);
        el.removeEventListener('pointerup', end);
        el.removeEventListener('pointercancel', end);
        setDrag(null);
        if (moved) settle();
        else tap();
      };
      el.addEventListener('pointermove', onMove);
      el.addEventListener('pointerup', end);
      el.addEventListener('pointercancel', end);
    },
  });
  const byKeys = (start: number, move: (minute: number) => void, drop: (() => void) | null) => (e: KeyboardEvent) => {
    const step = e.shiftKey ? 30 : 5;
    if (e.key === 'ArrowLeft' || e.key === 'ArrowRight') {
      e.preventDefault();
      move(snapped(start) + (e.key === 'ArrowLeft' ? -step : step));
    } else if ((e.key === 'Delete' || e.key === 'Backspace') && drop) {
      e.preventDefault();
      drop();
    }
  };

  return (
    <section aria-label="Ribbon" className={stale ? 'opacity-60' : ''}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pb-2 text-[14px]">
        <Switch
          label="Lanes"
          value={by}
          options={[
            ['machine', 'hands and machines'],
            ['dish', 'desserts'],
          ]}
          onChange={setBy}
        />
        <Switch label="Look at" value={zoom} options={[['whole', 'all'], ...ZOOMS.map(([key, name]) => [key, name] as const)]} onChange={setZoom} />
        <label className="flex min-h-9 items-center gap-1.5 pointer-coarse:min-h-11">
          <input type="checkbox" checked={windows} onChange={(e) => setWindows(e.target.checked)} className="size-4 accent-ink" /> how far each could slide
        </label>
      </div>
      <div className="grid grid-cols-[88px_minmax(0,1fr)] border-t border-steel sm:grid-cols-[132px_minmax(0,1fr)]">
        <div aria-hidden="true" className="border-r border-steel text-[13.5px]">
          <div style={{ height: AXIS_PX }} />
          <div style={{ height: servedPx }} className="border-t border-steel-light pt-1.5 pr-2 font-[600]">
            Served
          </div>
          {rows.map((r) => (
            <div
              key={r.id}
              style={{ height: rowPx(r) }}
              className="flex flex-col justify-center overflow-hidden border-t border-steel-light pr-2 leading-[1.15]"
            >
              <span className="line-clamp-2 font-[600]">{r.name}</span>
              {r.note !== '' && rowPx(r) > 58 && <span className="block truncate text-[12.5px] text-ink-soft">{r.note}</span>}
            </div>
          ))}
        </div>
        <div ref={ref} className="overflow-x-auto" tabIndex={0} role="group" aria-label="Time, from left to right">
          <div className="relative" style={{ width: total }}>
            <Axis ticks={ticks} days={days} from={from} to={to} px={px} zone={zone} />
            <div className="relative border-t border-steel-light" style={{ height: servedPx }}>
              {plan.servings.map((s) => {
                // Where the cook has put it, whatever the plan can make of it.
                const asked = minuteOf(doc.servings.find((d) => d.id === s.id)?.at ?? '', zone);
                const here = drag?.id === s.id ? drag.minute : s.lateMin > 0 || Number.isNaN(asked) ? s.at : asked;
                return (
                  <Serving
                    key={s.id}
                    serving={s}
                    at={here}
                    left={x(here)}
                    line={servedLines.get(s.id) ?? 0}
                    flip={x(here) > total - SERVED_LABEL_PX}
                    zone={zone}
                    {...dragging(
                      s.id,
                      here,
                      (m, live) => serveAt(s.id, m, live),
                      () => select(`${s.id}/served`),
                    )}
                    onKeyDown={byKeys(here, (m) => serveAt(s.id, m, false), null)}
                    onSelect={() => select(`${s.id}/served`)}
                  />
                );
              })}
            </div>
            {rows.map((r) => (
              <div key={r.id} role="group" aria-label={r.name} className="relative border-t border-steel-light" style={{ height: rowPx(r) }}>
                {r.open && <Closed open={r.open} from={from} to={to} px={px} />}
                {r.bars.map((b) =>
                  b.kind === 'stay' ? (
                    <div
                      key={`${b.stay.name}${b.stay.from}`}
                      title={`${b.stay.name}: ${dayClock(b.stay.from, zone)} to ${dayClock(b.stay.to, zone)}, ${Math.round(b.stay.amount * 10) / 10} L`}
                      className="absolute overflow-hidden rounded-[3px] border border-frost/70 bg-frost/20 px-1.5 text-[12.5px] leading-[19px] whitespace-nowrap"
                      style={{
                        left: x(b.stay.from),
                        width: Math.max(3, (b.stay.to - b.stay.from) * px),
                        top: ROW_PAD_PX + b.line * LINE_PX,
                        height: LINE_PX - 4,
                      }}
                    >
                      <span className="sticky left-1">{b.stay.name}</span>
                    </div>
                  ) : (
                    <TaskBar
                      key={`${r.id}${b.task.id}`}
                      task={b.task}
                      start={drag?.id === b.task.id ? drag.minute : b.task.start}
                      left={x(drag?.id === b.task.id ? drag.minute : b.task.start)}
                      px={px}
                      top={ROW_PAD_PX + b.line * LINE_PX}
                      chosen={selected === b.task.id}
                      zone={zone}
                      showDish={by === 'machine'}
                      {...(b.task.done || b.task.running
                        ? { onClick: () => select(b.task.id) }
                        : dragging(
                            b.task.id,
                            b.task.start,
                            (m, live) => pinAt(b.task.id, m, live),
                            () => select(b.task.id),
                          ))}
                      onKeyDown={byKeys(b.task.start, (m) => pinAt(b.task.id, m, false), b.task.pinned ? () => pinAt(b.task.id, null, false) : null)}
                      onSelect={() => select(b.task.id)}
                    />
                  ),
                )}
                {r.bars.map((b) =>
                  b.kind === 'task' && (windows || b.task.id === selected) && b.task.latest - b.task.soonest > 0 && !b.task.done ? (
                    <Bracket
                      key={`w${b.task.id}`}
                      left={x(Math.max(from, b.task.soonest))}
                      width={(Math.min(to, b.task.latest + b.task.end - b.task.start) - Math.max(from, b.task.soonest)) * px}
                      top={ROW_PAD_PX + b.line * LINE_PX}
                      strong={b.task.id === selected}
                    />
                  ) : null,
                )}
              </div>
            ))}
            {days.slice(1).map((d) => (
              <div
                key={`night${d}`}
                aria-hidden="true"
                className="pointer-events-none absolute bottom-0 border-l-2 border-dotted border-ink-soft"
                style={{ left: x(d), top: 0 }}
              />
            ))}
            {now > from && now < to && (
              <div
                aria-hidden="true"
                className="pointer-events-none absolute inset-y-0 w-[2px] bg-beet"
                style={{ left: x(now), top: AXIS_PX - 6 }}
                title="now"
              />
            )}
          </div>
        </div>
      </div>
      <p className="flex flex-wrap gap-x-5 gap-y-1 border-t border-steel pt-2 text-[13.5px] text-ink-soft" aria-hidden="true">
        <Key className="bg-ink">hands on</Key>
        <Key className="border border-frost/70 bg-frost/25">by itself</Key>
        <Key className="border-b-[4px] border-yolk bg-ink">on the chain that sets the start</Key>
        <Key className="hours-off">nobody there</Key>
        <span>Drag a serving, or a task to pin it; arrow keys move by 5&nbsp;min.</span>
      </p>
    </section>
  );
}

const Key = ({ className, children }: { readonly className: string; readonly children: string }) => (
  <span className="flex items-center gap-1.5">
    <span className={`inline-block h-[13px] w-6 rounded-[2px] ${className}`} />
    {children}
  </span>
);

function Switch<V extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: V;
  readonly options: readonly (readonly [V, string])[];
  readonly onChange: (v: V) => void;
}) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-0.5">
      <legend className="float-left mr-1.5 text-ink-soft">{label}</legend>
      {options.map(([v, name]) => (
        <label
          key={v}
          className={`flex min-h-9 cursor-pointer items-center border-b-2 px-1.5 has-focus-visible:outline-2 has-focus-visible:outline-ink pointer-coarse:min-h-11 ${v === value ? 'border-yolk font-[650]' : 'border-transparent text-ink-soft hover:text-ink'}`}
        >
          <input type="radio" name={label} className="sr-only" checked={v === value} onChange={() => onChange(v)} />
          {name}
        </label>
      ))}
    </fieldset>
  );
}

function Axis({
  ticks,
  days,
  from,
  to,
  px,
  zone,
}: {
  readonly ticks: ReturnType<typeof ticksOf>;
  readonly days: readonly number[];
  readonly from: number;
  readonly to: number;
  readonly px: number;
  readonly zone: string;
}) {
  return (
    <div className="relative" style={{ height: AXIS_PX }} aria-hidden="true">
      {days.map((d, i) => (
        <div
          key={d}
          className="absolute top-0 overflow-hidden text-[13.5px] font-[600] whitespace-nowrap"
          style={{ left: (d - from) * px, width: ((days[i + 1] ?? to) - d) * px }}
        >
          <span className="sticky left-0 pr-3 pl-1.5">{dayDate(d, zone)}</span>
        </div>
      ))}
      {ticks
        .filter((t) => (t.at - from) * px > 18 && (to - t.at) * px > 18)
        .map((t) => (
          <div key={t.at} className="absolute bottom-0" style={{ left: (t.at - from) * px }}>
            <span className="fig absolute bottom-1 -translate-x-1/2 text-[12.5px] font-medium text-ink-soft">{t.label}</span>
            <span className={`absolute bottom-0 w-px bg-steel ${t.day ? 'h-3' : 'h-1.5'}`} />
          </div>
        ))}
    </div>
  );
}

/** Hours in which a cook is not there. */
function Closed({
  open,
  from,
  to,
  px,
}: {
  readonly open: readonly (readonly [number, number])[];
  readonly from: number;
  readonly to: number;
  readonly px: number;
}) {
  const closed: [number, number][] = [];
  let at = from;
  for (const [a, b] of open) {
    if (b <= from || a >= to) continue;
    if (a > at) closed.push([at, a]);
    at = Math.max(at, b);
  }
  if (at < to) closed.push([at, to]);
  return closed.map(([a, b]) => (
    <div key={a} aria-hidden="true" className="hours-off absolute inset-y-0" style={{ left: (a - from) * px, width: (b - a) * px }} />
  ));
}

interface ServingProps {
  readonly serving: PlannedServing;
  readonly at: number;
  readonly left: number;
  readonly line: number;
  readonly flip: boolean;
  readonly zone: string;
  readonly onPointerDown: (e: PointerEvent<HTMLElement>) => void;
  readonly onKeyDown: (e: KeyboardEvent) => void;
  readonly onSelect: () => void;
}

function Serving({ serving, at, left, line, flip, zone, onPointerDown, onKeyDown, onSelect }: ServingProps) {
  return (
    <button
      type="button"
      data-serving={serving.id}
      aria-label={`${serving.name} is served ${dayClock(at, zone)}, ${serving.portions} portions. Arrow keys move it by 5 minutes.`}
      onPointerDown={onPointerDown}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ' ? (e.preventDefault(), onSelect()) : onKeyDown(e))}
      className={`absolute flex h-[21px] cursor-ew-resize touch-none items-center gap-1 text-[13px] whitespace-nowrap hover:z-10 ${flip ? '-translate-x-full flex-row-reverse border-r-[3px] pr-1 pl-0.5' : 'border-l-[3px] pr-0.5 pl-1'} border-beet bg-paper/85`}
      style={{ left, top: 2 + line * SERVED_LINE_PX }}
    >
      <span className="fig font-[650]">{clockOf(at, zone)}</span>
      <span className="max-w-[120px] truncate">{serving.name}</span>
      {serving.lateMin > 0 && <span className="text-beet">{showSpan(serving.lateMin)} late</span>}
    </button>
  );
}

interface TaskBarProps {
  readonly task: PlannedTask;
  readonly start: number;
  readonly left: number;
  readonly px: number;
  readonly top: number;
  readonly chosen: boolean;
  readonly zone: string;
  readonly showDish: boolean;
  readonly onPointerDown?: (e: PointerEvent<HTMLElement>) => void;
  readonly onClick?: () => void;
  readonly onKeyDown: (e: KeyboardEvent) => void;
  readonly onSelect: () => void;
}

function TaskBar({ task: t, start, left, px, top, chosen, zone, showDish, onPointerDown, onClick, onKeyDown, onSelect }: TaskBarProps) {
  const width = Math.max(4, (t.end - t.start) * px - (px > 0.4 ? 1 : 0));
  const hands = t.kind === 'hands';
  const words = width > 34;
  return (
    <button
      type="button"
      data-task={t.id}
      aria-pressed={chosen}
      aria-label={`${dayClock(start, zone)} to ${clockOf(start + t.end - t.start, zone)}: ${t.name}, ${t.dish}${t.cook ? `, ${t.cook}` : ''}${t.critical ? ', on the chain' : ''}${t.pinned ? ', pinned' : ''}${t.done ? ', behind' : t.running ? ', in hand' : ''}`}
      title={`${clockOf(start, zone)} ${t.name} · ${t.dish} · ${showSpan(t.end - t.start)}`}
      onPointerDown={onPointerDown}
      onClick={onClick}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ' ? (e.preventDefault(), onSelect()) : onKeyDown(e))}
      className={`absolute touch-none overflow-hidden rounded-[3px] text-left text-[12.5px] leading-[18px] whitespace-nowrap focus-visible:z-20 ${hands ? (t.done ? 'bg-ink-soft text-paper' : 'bg-ink text-paper') : 'border border-frost/70 bg-frost/25 text-ink'} ${t.critical ? 'border-b-[4px]! border-yolk!' : ''} ${chosen ? 'z-10 outline-2 outline-offset-1 outline-yolk-ink' : ''} ${onPointerDown ? 'cursor-grab' : ''}`}
      style={{ left, width, top, height: LINE_PX - 4 }}
    >
      {words && (
        <span className="sticky left-1 inline-flex items-center gap-1 px-1">
          {t.pinned && <Pin size={12} aria-hidden="true" />}
          {t.name}
          {showDish && width > 190 && <span className="opacity-80">{t.dish}</span>}
        </span>
      )}
    </button>
  );
}

/** How far a task could slide while all others stay: a bracket open to the middle. */
const Bracket = ({ left, width, top, strong }: { readonly left: number; readonly width: number; readonly top: number; readonly strong: boolean }) => (
  <div
    aria-hidden="true"
    className={`pointer-events-none absolute flex justify-between ${strong ? 'text-yolk-ink' : 'text-ink-soft'}`}
    style={{ left: left - 2, width: Math.max(6, width + 4), top: top - 2, height: LINE_PX }}
  >
    <span className="h-full w-[5px] border-y-2 border-l-2 border-current" />
    <span className="h-full w-[5px] border-y-2 border-r-2 border-current" />
  </div>
);
