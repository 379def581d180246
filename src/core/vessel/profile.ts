import { fail, ok, type Result } from '../result';
import type { RectVessel, RoundVessel, Vessel } from './schema';

export const isRound = (v: Vessel): v is RoundVessel => v.kind !== 'tray' && v.kind !== 'terrine';
/** What stands free and is as wide as this is a cake for many, not a nest for one, mm (house). */
const SHARED_FROM_MM = 140;
/** Whether each portion has its own; otherwise one holds everything. */
export const isPerPortion = (v: Vessel): boolean =>
  v.kind === 'glass' || v.kind === 'mould' || (v.kind === 'free' && Math.max(v.baseMm, v.topMm) < SHARED_FROM_MM);
/** How many portions one of them from the shelf is: as many as a tray of moulds has, else one. */
export const cavitiesOf = (v: Vessel): number => (isRound(v) && v.kind === 'mould' ? (v.cavities ?? 1) : 1);
/** Whether it is filled upside down and served standing on its opening. */
export const isTurnedOver = (v: Vessel): boolean => v.kind === 'dome' || v.kind === 'mould';

/** A ring of the inner wall: height above the foot and radius there, mm. */
export interface Ring {
  readonly zMm: number;
  readonly radiusMm: number;
}

const BOWL_RINGS = 24;

/**
 * The inner wall as rings from the foot to the rim, straight between them. A straight vessel has two, a glass of its own profile as many as
 * were measured; the wall of a bowl is a quarter of an ellipse from foot to rim, that of a dome a cap of a sphere, cut into 24 rings (its volume is within 0.2 % of
 * the smooth one).
 */
export function ringsOf(vessel: RoundVessel): readonly Ring[] {
  const known = rings.get(vessel);
  if (known) return known;
  const made = makeRings(vessel);
  rings.set(vessel, made);
  return made;
}

/** A wall is asked for dozens of times at a keystroke; it is worked out once for a vessel. */
const rings = new WeakMap<RoundVessel, readonly Ring[]>();

function makeRings(vessel: RoundVessel): readonly Ring[] {
  const foot = vessel.baseMm / 2;
  const rim = vessel.topMm / 2;
  if (vessel.profile) return vessel.profile.map((m) => ({ zMm: m.zMm, radiusMm: m.acrossMm / 2 }));
  if (vessel.kind !== 'bowl' && vessel.kind !== 'dome') {
    return [
      { zMm: 0, radiusMm: foot },
      { zMm: vessel.heightMm, radiusMm: rim },
    ];
  }
  return Array.from({ length: BOWL_RINGS + 1 }, (_, i) => {
    // Even steps of angle crowd the rings near the foot, where the wall turns.
    const angle = (i / BOWL_RINGS) * (Math.PI / 2);
    const zMm = vessel.heightMm * (1 - Math.cos(angle));
    return { zMm, radiusMm: foot + (rim - foot) * (vessel.kind === 'dome' && vessel.heightMm < rim ? capShare(zMm, vessel.heightMm, rim) : Math.sin(angle)) };
  });
}

/** Radius of a spherical cap at a height above its pole, share of its rim: a dome is one up to a hemisphere, half an ellipsoid above. */
function capShare(zMm: number, heightMm: number, rimMm: number): number {
  const sphere = (rimMm ** 2 + heightMm ** 2) / (2 * heightMm);
  return Math.sqrt(Math.max(0, 2 * sphere * zMm - zMm ** 2)) / rimMm;
}

/** A point of the inner wall as the cut shows it: height and half the width there, mm. */
export interface WallPoint {
  readonly zMm: number;
  readonly halfMm: number;
}

/** The inner wall in the plane of the cut, from the foot to the rim; a tray or terrine is cut across its width. */
export function wallOf(vessel: Vessel): readonly WallPoint[] {
  if (isRound(vessel)) return ringsOf(vessel).map((r) => ({ zMm: r.zMm, halfMm: r.radiusMm }));
  return [
    { zMm: 0, halfMm: vessel.baseWidthMm / 2 },
    { zMm: vessel.heightMm, halfMm: vessel.widthMm / 2 },
  ];
}

/** Half the width of the cut at a height, mm. */
export function halfWidthAt(wall: readonly WallPoint[], zMm: number): number {
  for (let i = 0; i + 1 < wall.length; i++) {
    const a = wall[i]!;
    const b = wall[i + 1]!;
    if (zMm <= b.zMm) return a.halfMm + ((b.halfMm - a.halfMm) * (zMm - a.zMm)) / (b.zMm - a.zMm);
  }
  return wall.at(-1)?.halfMm ?? 0;
}

/** The width of the cut at its widest, mm. */
export const cutWidthMm = (v: Vessel): number => 2 * Math.max(...wallOf(v).map((w) => w.halfMm));

/** What lies inside a vessel at one height, seen from above. */
export type Floor =
  | { readonly kind: 'round'; readonly radiusMm: number }
  | { readonly kind: 'rect'; readonly lengthMm: number; readonly widthMm: number; readonly cornerMm: number };

/** The inside of a vessel at a height, from above (clipped to the vessel). */
export function floorAt(v: Vessel, zMm: number): Floor {
  const z = Math.max(0, Math.min(v.heightMm, zMm));
  if (isRound(v)) return { kind: 'round', radiusMm: halfWidthAt(wallOf(v), z) };
  const t = z / v.heightMm;
  const lengthMm = v.baseLengthMm + (v.lengthMm - v.baseLengthMm) * t;
  const widthMm = v.baseWidthMm + (v.widthMm - v.baseWidthMm) * t;
  return { kind: 'rect', lengthMm, widthMm, cornerMm: cornerOf(v) };
}

/** The narrowest inside between two heights: what a stiff piece of that thickness must fit into. */
export function narrowestFloor(v: Vessel, fromMm: number, toMm: number): Floor {
  const between = wallOf(v)
    .map((w) => w.zMm)
    .filter((z) => z > fromMm && z < toMm);
  return [fromMm, toMm, ...between].map((z) => floorAt(v, z)).reduce((a, b) => (floorAreaMm2(b) < floorAreaMm2(a) ? b : a));
}

/** Area of a floor, mm². */
export const floorAreaMm2 = (f: Floor): number => (f.kind === 'round' ? Math.PI * f.radiusMm ** 2 : f.lengthMm * f.widthMm - (4 - Math.PI) * f.cornerMm ** 2);

/** Once round the inside of a vessel at a height, mm. */
export function wallLengthMm(v: Vessel, zMm: number): number {
  const f = floorAt(v, zMm);
  return f.kind === 'round' ? 2 * Math.PI * f.radiusMm : 2 * (f.lengthMm + f.widthMm) - (8 - 2 * Math.PI) * f.cornerMm;
}

/** A corner can be no rounder than half the narrower side. */
const cornerOf = (v: RectVessel): number => Math.min(v.cornerMm ?? 0, Math.min(v.widthMm, v.baseWidthMm, v.lengthMm, v.baseLengthMm) / 2);

/** A vessel's size in words: '325 × 265 mm, 65 mm high'. */
export const vesselSize = (v: Vessel): string =>
  isRound(v)
    ? `${v.kind === 'mould' && cavitiesOf(v) > 1 ? `${cavitiesOf(v)} of ` : ''}${v.topMm}\u00a0mm across, ${v.heightMm}\u00a0mm high`
    : `${v.lengthMm}\u00a0×\u00a0${v.widthMm}\u00a0mm, ${v.heightMm}\u00a0mm high`;

/** Volume of a frustum between two rings, mL: π·h/3·(r₁² + r₁·r₂ + r₂²). */
const frustumMl = (a: Ring, b: Ring): number => (Math.PI * (b.zMm - a.zMm) * (a.radiusMm ** 2 + a.radiusMm * b.radiusMm + b.radiusMm ** 2)) / 3000;

const ringAt = (a: Ring, b: Ring, zMm: number): Ring => ({ zMm, radiusMm: a.radiusMm + ((b.radiusMm - a.radiusMm) * (zMm - a.zMm)) / (b.zMm - a.zMm) });

/** Volume of a trapezoid vessel up to z, mL: the integral of its length times its width, both straight in z, less what its round corners take. */
function prismoidMl(v: RectVessel, zMm: number): number {
  const dl = (v.lengthMm - v.baseLengthMm) / v.heightMm;
  const dw = (v.widthMm - v.baseWidthMm) / v.heightMm;
  const corners = (4 - Math.PI) * cornerOf(v) ** 2;
  return ((v.baseLengthMm * v.baseWidthMm - corners) * zMm + ((v.baseLengthMm * dw + v.baseWidthMm * dl) * zMm ** 2) / 2 + (dl * dw * zMm ** 3) / 3) / 1000;
}

/** What a vessel holds brimful, mL (physics). */
export const capacityMl = (vessel: Vessel): number => volumeBelowMl(vessel, vessel.heightMm);

/** What a vessel holds up to a height, mL (physics). `zMm` is clipped to the vessel. */
export function volumeBelowMl(vessel: Vessel, zMm: number): number {
  const z = Math.max(0, Math.min(vessel.heightMm, zMm));
  if (!isRound(vessel)) return prismoidMl(vessel, z);
  const wall = ringsOf(vessel);
  let ml = 0;
  for (let i = 0; i + 1 < wall.length; i++) {
    const a = wall[i]!;
    const b = wall[i + 1]!;
    if (z <= a.zMm) break;
    ml += frustumMl(a, z >= b.zMm ? b : ringAt(a, b, z));
  }
  return ml;
}

/**
 * The height that a volume fills a vessel to, mm (physics; a round one in closed form band by band, polished to the last digit, a straight-
 * sided one by halving to 1e-12 of the height).
 * @returns a fault on `volumeMl` when it is more than the vessel holds; the sentence names the surplus.
 */
export function fillHeightMm(vessel: Vessel, volumeMl: number): Result<number> {
  const holds = capacityMl(vessel);
  if (!(volumeMl >= 0)) return fail('volumeMl', 'negative', 'A volume cannot be below 0\u00a0mL.');
  if (volumeMl > holds * (1 + 1e-12)) {
    return fail('volumeMl', 'overflows', `${vessel.name} holds ${Math.round(holds)}\u00a0mL: ${Math.round(volumeMl - holds)}\u00a0mL too much.`);
  }
  return ok(isRound(vessel) ? heightInRings(ringsOf(vessel), volumeMl) : heightInPrismoid(vessel, volumeMl));
}

function heightInRings(wall: readonly Ring[], volumeMl: number): number {
  let below = 0;
  for (let i = 0; i + 1 < wall.length; i++) {
    const a = wall[i]!;
    const b = wall[i + 1]!;
    const band = frustumMl(a, b);
    if (below + band < volumeMl && i + 2 < wall.length) {
      below += band;
      continue;
    }
    const rest = Math.min(band, volumeMl - below);
    // Newton's steps from a straight guess between the band's ends by volume; the area is the slope.
    let z = a.zMm + ((b.zMm - a.zMm) * rest) / band;
    for (let step = 0; step < 6; step++) {
      const at = ringAt(a, b, z);
      z = Math.max(a.zMm, Math.min(b.zMm, z - (1000 * (frustumMl(a, at) - rest)) / (Math.PI * at.radiusMm ** 2)));
    }
    return z;
  }
  return wall.at(-1)!.zMm;
}

function heightInPrismoid(v: RectVessel, volumeMl: number): number {
  let low = 0;
  let high = v.heightMm;
  for (let i = 0; i < 60 && high - low > 1e-12 * v.heightMm; i++) {
    const mid = (low + high) / 2;
    if (prismoidMl(v, mid) < volumeMl) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Vessels to start from. */
export const STARTING_VESSELS: readonly Vessel[] = [
  { kind: 'bowl', name: 'Serving bowl', topMm: 190, baseMm: 80, heightMm: 90 },
  { kind: 'bowl', name: 'Small bowl', topMm: 150, baseMm: 70, heightMm: 70 },
  { kind: 'tub', name: 'Tub', topMm: 150, baseMm: 135, heightMm: 120 },
  { kind: 'glass', name: 'Footed glass', topMm: 74, baseMm: 46, heightMm: 95 },
  { kind: 'glass', name: 'Small glass', topMm: 62, baseMm: 48, heightMm: 70 },
  { kind: 'springform', name: 'Springform 20 cm', topMm: 200, baseMm: 200, heightMm: 70 },
  { kind: 'springform', name: 'Springform 24 cm', topMm: 240, baseMm: 240, heightMm: 70 },
  { kind: 'tray', name: 'Steel tray', lengthMm: 325, widthMm: 265, baseLengthMm: 315, baseWidthMm: 255, heightMm: 65 },
  { kind: 'tray', name: 'Small tray', lengthMm: 240, widthMm: 160, baseLengthMm: 232, baseWidthMm: 152, heightMm: 60 },
  { kind: 'tray', name: 'Baking tray', lengthMm: 400, widthMm: 300, baseLengthMm: 390, baseWidthMm: 290, heightMm: 40, cornerMm: 25 },
  { kind: 'dome', name: 'Dome mould', topMm: 180, baseMm: 5, heightMm: 90 },
  { kind: 'mould', name: 'Tray of 6 moulds', topMm: 70, baseMm: 60, heightMm: 40, cavities: 6 },
  { kind: 'terrine', name: 'Terrine 1.2 L', lengthMm: 260, widthMm: 82, baseLengthMm: 246, baseWidthMm: 68, heightMm: 65 },
  { kind: 'free', name: 'Nest on a plate', topMm: 100, baseMm: 90, heightMm: 60 },
];
