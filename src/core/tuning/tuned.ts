import type { Ingredient } from '../composition/ingredient';
import { secondsToStage, whip } from '../foam/whisk';
import type { Kitchen } from '../kitchen/kitchen';
import { ColdPlaceSchema, type KitchenRules, type Mixer } from '../kitchen/schema';
import { fail, ok, type Result } from '../result';
import { uptakePct } from '../tin/soak';
import { capacityMl, isRound } from '../vessel/profile';
import { BELIEVED, FEWEST_READINGS, H_RANGE, LEAST_FALLEN, MOST_MISFIT_K, WATER_FROM_C, WATER_G_PER_ML, WATER_J_PER_G_K } from './house';
import type { Measured } from './measured';

/** What a test comes to. */
export type Tuned =
  /** Time under the whisk over the formula's. */
  | { readonly kind: 'whisk'; readonly ratio: number; readonly stages: number }
  /** The place's air, °C, and its heat transfer, W/m²K; K left between curve and readings. */
  | { readonly kind: 'cold'; readonly airC: number; readonly h: number; readonly misfitK: number }
  /** Uptake, % of the dry biscuit, and over the larder's at that time. */
  | { readonly kind: 'dip'; readonly uptakePct: number; readonly ratio: number }
  | { readonly kind: 'glass'; readonly ml: number; readonly ratio: number }
  /** What the scale shows too much, %. */
  | { readonly kind: 'scale'; readonly offPct: number }
  /** What the oven is hotter than its dial, K. */
  | { readonly kind: 'oven'; readonly offC: number }
  /** Heat that goes into the pan, W. */
  | { readonly kind: 'hob'; readonly watts: number; readonly boilsC: number | null };

/** A kitchen as far as its tests go. */
export interface TunedThings extends Pick<Kitchen, 'larder' | 'mixers' | 'vessels' | 'places'> {
  readonly rules: Pick<KitchenRules, 'ovens' | 'waterBoilsC'>;
}

const gone = (what: string) => fail('thing', 'gone', `${what} is no longer in the kitchen.`);

/**
 * What a test comes to.
 * @returns a fault on the field that cannot be: a reading that the thing cannot give, or that lies so far off that it was more likely misread.
 */
export function tuned(m: Measured, kitchen: TunedThings): Result<Tuned> {
  switch (m.kind) {
    case 'whisk': {
      const mixer = kitchen.mixers.find((x) => x.id === m.thing);
      return mixer ? whiskedIn(m, mixer) : gone('This mixer');
    }
    case 'cold':
      return kitchen.places.some((p) => p.id === m.thing) ? cooled(m) : gone('This place');
    case 'dip': {
      const biscuit = kitchen.larder.get(m.thing)?.biscuit;
      return biscuit ? dipped(m, biscuit) : gone('This biscuit');
    }
    case 'glass': {
      const shelf = kitchen.vessels.find((v) => v.id === m.thing);
      if (!shelf || !isRound(shelf.vessel)) return gone('This glass');
      const ml = m.waterG / WATER_G_PER_ML;
      const ratio = ml / capacityMl(shelf.vessel);
      if (off(ratio) > BELIEVED.glass)
        return fail('waterG', 'unlikely', `By its sizes it holds ${Math.round(capacityMl(shelf.vessel))}\u00a0mL: weigh it again, or correct its sizes first.`);
      return ok({ kind: 'glass', ml, ratio });
    }
    case 'scale': {
      const offPct = 100 * (m.shownG / m.trueG - 1);
      if (Math.abs(offPct) > BELIEVED.scalePct) return fail('shownG', 'unlikely', 'More than a fifth off: tare it, and weigh again.');
      return ok({ kind: 'scale', offPct });
    }
    case 'oven': {
      if (!kitchen.rules.ovens.some((o) => o.id === m.thing)) return gone('This oven');
      const offC = m.readC - m.setC;
      if (Math.abs(offC) > BELIEVED.ovenK) return fail('readC', 'unlikely', `${Math.round(Math.abs(offC))}\u00a0K off: wait until it is hot, and read again.`);
      return ok({ kind: 'oven', offC });
    }
    case 'hob': {
      const boilsC = m.boilsC ?? kitchen.rules.waterBoilsC;
      if (m.fromC >= boilsC) return fail('fromC', 'boils', 'It boils already.');
      return ok({ kind: 'hob', watts: (m.waterG * WATER_J_PER_G_K * (boilsC - m.fromC)) / m.seconds, boilsC: m.boilsC });
    }
  }
}

/** How many times something lies from where it should, either way. */
const off = (ratio: number): number => Math.max(ratio, 1 / ratio);

/** A plain cream timed in a mixer: how its stages lie to the formula's, on the mean of their logarithms. */
export function whiskedIn(m: Extract<Measured, { kind: 'whisk' }>, mixer: Mixer): Result<Tuned> {
  const w = whip({
    fatPct: m.fatPct,
    sugarPer100: 0,
    sugarAt: 'start',
    creamC: m.creamC,
    softCheeseShare: 0,
    mascarponeShare: 0,
    mixer: mixer.kind,
    bowlMl: mixer.bowlMl,
    speed: m.speed,
    slowFromSoft: false,
    mixMl: m.creamG,
    batches: 1,
    target: 'firm',
  });
  if (!w.ok) return w;
  const seen = [
    ['soft', m.softS],
    ['medium', m.mediumS],
    ['firm', m.firmS],
  ] as const;
  const said = seen.filter(([, s]) => s !== null);
  if (said.length === 0) return fail('softS', 'nothing', 'Time one stage at least: soft, medium or firm.');
  if (said.some(([, s], i) => i > 0 && s! <= said[i - 1]![1]!)) return fail('firmS', 'order', 'Soft comes before medium, and medium before firm.');
  const logs = said.flatMap(([stage, s]) => {
    const formula = secondsToStage(w.value, stage);
    return formula === null || formula <= 0 ? [] : [Math.log(s! / formula)];
  });
  if (logs.length === 0) return fail('creamC', 'no-peak', 'So warm a cream stands nowhere: chill it, and whisk again.');
  const ratio = Math.exp(logs.reduce((a, b) => a + b, 0) / logs.length);
  if (off(ratio) > BELIEVED.whisk)
    return fail('softS', 'unlikely', `${ratio > 1 ? 'So slow' : 'So fast'} no such mixer is: check the fat, how cold it was, and the minutes.`);
  return ok({ kind: 'whisk', ratio, stages: logs.length });
}

function dipped(m: Extract<Measured, { kind: 'dip' }>, biscuit: NonNullable<Ingredient['biscuit']>): Result<Tuned> {
  if (m.dippedG <= m.dryG) return fail('dippedG', 'lighter', 'Dipped they are heavier than dry.');
  const pct = 100 * (m.dippedG / m.dryG - 1);
  const ratio = pct / uptakePct(biscuit, m.seconds);
  if (!Number.isFinite(ratio) || off(ratio) > BELIEVED.dip)
    return fail('dippedG', 'unlikely', `The larder says ${Math.round(uptakePct(biscuit, m.seconds))}\u00a0% at that time: dip and weigh again.`);
  return ok({ kind: 'dip', uptakePct: pct, ratio });
}

interface Curve {
  readonly airC: number;
  readonly sum: number;
}

/** The best air and start for one rate of cooling: straight in e^(−kt), by least squares. */
function curveAt(kPerMin: number, readings: readonly { readonly min: number; readonly c: number }[]): Curve {
  const x = readings.map((r) => Math.exp(-kPerMin * r.min));
  const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / of.length;
  const [mx, mc] = [mean(x), mean(readings.map((r) => r.c))];
  const above = x.reduce((s, v, i) => s + (v - mx) * (readings[i]!.c - mc), 0) / x.reduce((s, v) => s + (v - mx) ** 2, 0);
  const airC = mc - above * mx;
  return { airC, sum: readings.reduce((s, r, i) => s + (airC + above * x[i]! - r.c) ** 2, 0) };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The air of a place and its heat transfer from a cup of water that cools in it (Newton's law: water stirs itself, so that one reading is all
 * of it). The cup is a cylinder that gives heat off all over: h = k·m·c/A.
 */
function cooled({ waterG, acrossMm, readings }: Extract<Measured, { kind: 'cold' }>): Result<Tuned> {
  const used = readings.toSorted((a, b) => a.min - b.min);
  if (used.length < FEWEST_READINGS)
    return fail('readings', 'too-few', `${FEWEST_READINGS} readings at least; there ${used.length === 1 ? 'is one' : `are ${used.length}`}.`);
  if (used.some((r) => r.c < WATER_FROM_C))
    return fail(
      'readings',
      'freezes',
      `Below ${WATER_FROM_C}\u00a0°C water freezes, and stands still: leave those readings out. In a freezer read it every quarter of an hour.`,
    );
  const span = used.at(-1)!.min - used[0]!.min;
  if (span <= 0 || used[0]!.c === used.at(-1)!.c) return fail('readings', 'no-change', 'Nothing has changed between these readings: leave it longer.');
  // Rates from one that has hardly begun to one that is over within the readings, per minute.
  let [a, b] = [Math.log(0.05 / span), Math.log(20 / span)];
  const at = (logK: number): Curve => curveAt(Math.exp(logK), used);
  for (let i = 0; i < 60; i++) {
    const [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
    if (at(c).sum < at(d).sum) b = d;
    else a = c;
  }
  const k = Math.exp((a + b) / 2);
  const { airC, sum } = at(Math.log(k));
  const misfitK = Math.sqrt(sum / used.length);
  if (misfitK > MOST_MISFIT_K)
    return fail('readings', 'scattered', `The readings stray by ${misfitK.toFixed(1)}\u00a0K from any cooling: was it moved, or the door left open?`);
  if (1 - Math.exp(-k * span) < LEAST_FALLEN) return fail('readings', 'too-soon', 'It has hardly begun: read it again in an hour.');
  const { minValue, maxValue } = ColdPlaceSchema.shape.airC;
  if (airC < (minValue ?? -Infinity) || airC > (maxValue ?? Infinity))
    return fail('readings', 'unlikely', `That would be air of ${Math.round(airC)}\u00a0°C: read it again, later ones too.`);
  const radiusM = acrossMm / 2000;
  const highM = waterG / WATER_G_PER_ML / 1e6 / (Math.PI * radiusM ** 2);
  const areaM2 = 2 * Math.PI * radiusM * (radiusM + highM);
  const h = ((k / 60) * waterG * WATER_J_PER_G_K) / areaM2;
  if (h < H_RANGE[0] || h > H_RANGE[1])
    return fail('acrossMm', 'unlikely', `That would be ${h.toPrecision(2)}\u00a0W/m²K, which no such air has: check the water and the cup.`);
  return ok({ kind: 'cold', airC, h, misfitK });
}
