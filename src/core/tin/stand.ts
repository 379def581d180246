import { plainNumber, showHours, withUnit } from '../figure';
import { DOSE_BANDS, SET_NEEDS } from '../setting/house';
import { hoursToSet } from '../setting/set';
import type { SheetAnalysis } from '../analysis/analysed';
import { isTurnedOver } from '../vessel/profile';
import type { Build } from '../analysis/build';
import { MOST_HEIGHT_FACTOR, STANDS_MM } from './house';

/** One answer to 'will it turn out and stand', in words. */
export interface StandLine {
  readonly key: 'dose' | 'top' | 'lining' | 'release' | 'over' | 'side';
  readonly state: 'in' | 'near' | 'out';
  readonly says: string;
}

/** The dose that a height wants, g gelatin (225 bloom) per kg, as a factor on the middle of its band: 1 up to the height that the middle holds, then in proportion (ours, ±25 %). */
export const heightFactor = (use: 'slice' | 'turn-out', heightMm: number): number => Math.min(MOST_HEIGHT_FACTOR, Math.max(1, heightMm / STANDS_MM[use]));

/** Whether it will turn out and stand: dose against height, what closes it, lining, when to release. */
export function standLines(s: SheetAnalysis, build: Build): readonly StandLine[] {
  const { use, family, vessel } = s.sheet;
  const lines: StandLine[] = [];
  if (build.overMl > 0)
    lines.push({
      key: 'over',
      state: 'out',
      says: `${withUnit(plainNumber(build.overMl, 0), 'mL')} stands over the rim: lay one repeat fewer, or take a deeper vessel.`,
    });
  lines.push(...doseLine(s, build));
  const top = build.layers.at(-1);
  const closed = build.layers.findLast((l) => l.layer.part.kind !== 'topping' && l.layer.part.kind !== 'crown');
  if (closed?.pieces != null && (family === 'icebox' || family === 'tiramisu' || family === 'pudding')) {
    lines.push({ key: 'top', state: 'near', says: 'Biscuits lie on top: what has no cream above it stays hard and shows. Close it with cream.' });
  }
  if (vessel.kind === 'springform')
    lines.push({
      key: 'lining',
      state: 'in',
      says: 'Line the side with a strip of acetate or paper to 10\u00a0mm above the top, the floor with a round of paper; chilled, it comes off clean.',
    });
  else if (vessel.kind === 'terrine')
    lines.push({
      key: 'lining',
      state: 'in',
      says: 'Line with two crossed sheets of film with long ends; smooth the corners with the back of a spoon. The ends fold over the top.',
    });
  else if (isTurnedOver(vessel))
    lines.push({
      key: 'lining',
      state: 'in',
      says: 'Rigid moulds: dip to the rim in warm water for 5\u00a0s, a knife round the edge. Soft moulds: freeze firm, then peel off.',
    });
  else if (vessel.kind === 'tray' && use === 'slice')
    lines.push({ key: 'lining', state: 'in', says: 'Paper on the floor with ends over two sides, so that it lifts out whole.' });
  const hasGelatin = s.parts.some((a) => a.reading.gelatin225G > 0);
  if ((use === 'slice' || use === 'turn-out') && family !== 'semifreddo' && hasGelatin) {
    const hours = hoursToSet(use);
    const early = s.sheet.servedAfterH < hours;
    lines.push({
      key: 'release',
      state: early ? 'near' : 'in',
      says: `Release it ${showHours(hours)} after its core is under 15\u00a0°C (${SET_NEEDS[use].name})${early ? `; it is served after ${showHours(s.sheet.servedAfterH)}` : ''}.${vessel.kind === 'springform' ? ' A warm cloth round the ring for half a minute first.' : ''}`,
    });
  } else if (family === 'semifreddo')
    lines.push({ key: 'release', state: 'in', says: 'Release it frozen through: film ends up, a warm cloth for half a minute where it sticks.' });
  if (top && build.layers.length > 1 && isTurnedOver(vessel))
    lines.push({
      key: 'side',
      state: 'in',
      says: `It is served upside down: ${build.layers[0]!.layer.part.name.toLowerCase()} comes on top, ${top.layer.part.name.toLowerCase()} below.`,
    });
  return lines;
}

function doseLine(s: SheetAnalysis, build: Build): readonly StandLine[] {
  const { use, family } = s.sheet;
  if (use !== 'slice' && use !== 'turn-out') return [];
  if (family === 'semifreddo') return [{ key: 'dose', state: 'in', says: 'Ice holds it: it stands for as long as it is cold enough to slice.' }];
  const main = build.uses
    .filter((u) => u.layer.part.kind !== 'biscuit-layer' && u.layer.part.kind !== 'pressed-base')
    .toSorted((a, b) => b.takenMl - a.takenMl)[0];
  const a = main && s.parts.find((p) => p.part.id === main.layer.part.id);
  if (!a?.gelatin.ok) return [];
  const { doseGPerKg, setsGPerKg, supports, band } = a.gelatin.value;
  const factor = heightFactor(use, build.topMm);
  const [low, high] = [band.low * factor, band.high * factor];
  const wants = `${plainNumber(low, 0)}\u2060–\u2060${plainNumber(high, 0)}\u00a0g/kg`;
  const height = withUnit(plainNumber(build.topMm, 0), 'mm');
  if (doseGPerKg <= 0 && setsGPerKg < low) {
    const biscuits = build.layers.some((l) => l.pieces !== null);
    return [
      {
        key: 'dose',
        state: biscuits && build.topMm <= STANDS_MM.slice ? 'in' : 'near',
        says: biscuits
          ? `No gelatin: the softened biscuits carry it to about ${STANDS_MM.slice}\u00a0mm; it is ${height} high.`
          : `No gelatin in ${a.part.name.toLowerCase()}: ${height} high and ${DOSE_BANDS[use].name} wants ${wants}.`,
      },
    ];
  }
  const state = setsGPerKg < low * 0.9 ? 'out' : setsGPerKg < low ? 'near' : doseGPerKg > high * 1.2 ? 'near' : 'in';
  const tall = factor > 1 ? `, a little more than usual because it is ${height} high` : `, at ${height}`;
  const helped = supports.length > 0 ? `, and ${supports.map((x) => `${x.name} worth ${plainNumber(x.gPerKg, 1)}`).join(' and ')}` : '';
  const says = `${a.part.name} has ${plainNumber(doseGPerKg, 1)}\u00a0g gelatin a kg${helped}; ${DOSE_BANDS[use].name} it wants ${wants}${tall}`;
  return [
    { key: 'dose', state, says: `${says}: ${setsGPerKg < low ? 'it may lean or slump' : doseGPerKg > high * 1.2 ? 'firmer than it need be' : 'it stands'}.` },
  ];
}
