import { plainNumber, withUnit, type Figure, type FigureInput } from '../figure';
import { LEARNABLE } from '../learning/correction';
import { TESTS } from './house';
import type { Measured } from './measured';
import type { Tuned } from './tuned';
import type { TestOffered } from './worth';

const input = (symbol: string, name: string, value: number, unit: string, decimals: number): FigureInput => ({
  symbol,
  name,
  value: withUnit(plainNumber(value, decimals), unit),
  from: 'measured',
});

/** A figure that a test came to, exact or with what is left of its spread. */
const figure = (
  more: Pick<Figure, 'key' | 'name' | 'value' | 'unit' | 'decimals' | 'formula' | 'words' | 'inputs' | 'source'> & { readonly spread?: number },
): Figure => ({
  kind: more.spread === undefined ? 'physics' : 'house',
  spread: more.spread ?? null,
  range: null,
  ...more,
});

/** What a test came to, each number with its working. */
export function figuresOf(m: Measured, t: Tuned): readonly Figure[] {
  switch (t.kind) {
    case 'whisk': {
      if (m.kind !== 'whisk') return [];
      const seen = (['softS', 'mediumS', 'firmS'] as const).flatMap((k) => (m[k] === null ? [] : [input('t', k.slice(0, -1), m[k], 's', 0)]));
      return [
        figure({
          key: 'tune:whisk',
          name: 'Time against the formula',
          value: t.ratio,
          unit: '×',
          decimals: 2,
          spread: LEARNABLE['whisk-time'].noise,
          formula: 'r = exp(mean ln(t / t_formula))',
          words: 'Each stage that was timed over the time that the plain formula gives this cream in this mixer; on the mean of their logarithms.',
          inputs: [input('F', 'fat', m.fatPct, '%', 0), input('m', 'cream', m.creamG, 'g', 0), input('T', 'cream', m.creamC, '°C', 0), ...seen],
          source: 'The whisk’s own formula: docs/science. The log takes it as one more batch of this mixer.',
        }),
      ];
    }
    case 'cold': {
      if (m.kind !== 'cold') return [];
      const common = {
        formula: 'T = T_air + (T₀ − T_air)·e^(−kt); h = k·m·c/A',
        words:
          'The curve of a cooling cup that lies nearest to the readings. Water stirs itself, so that one reading is all of it; the cup gives heat off all over.',
        inputs: [
          input('m', 'water', m.waterG, 'g', 0),
          input('d', 'cup across', m.acrossMm, 'mm', 0),
          input('n', 'readings', m.readings.length, '', 0),
          { symbol: 'Δ', name: 'left between', value: withUnit(plainNumber(t.misfitK, 1), 'K'), from: 'the fit' },
        ],
        source: 'Newton’s law of cooling (physics), by least squares.',
      };
      return [
        figure({ key: 'tune:air', name: 'Air of the place', value: t.airC, unit: '°C', decimals: 1, ...common }),
        figure({ key: 'tune:h', name: 'How well it takes heat', value: t.h, unit: 'W/m²K', decimals: 1, spread: TESTS.cold.after!, ...common }),
      ];
    }
    case 'dip':
      return m.kind !== 'dip'
        ? []
        : [
            figure({
              key: 'tune:dip',
              name: 'What it drinks',
              value: t.uptakePct,
              unit: '%',
              decimals: 0,
              spread: TESTS.dip.after!,
              formula: 'u = (wet − dry)/dry; the larder’s three figures × u/u_larder',
              words: 'What the biscuits took up, of their own weight, and how that lies to what the larder says at that time.',
              inputs: [input('dry', 'dry', m.dryG, 'g', 1), input('wet', 'dipped', m.dippedG, 'g', 1), input('t', 'in the soak', m.seconds, 's', 1)],
              source: 'Weighed.',
            }),
          ];
    case 'glass':
      return m.kind !== 'glass'
        ? []
        : [
            figure({
              key: 'tune:glass',
              name: 'It holds',
              value: t.ml,
              unit: 'mL',
              decimals: 0,
              formula: 'V = m/ρ',
              words: 'Water to the brim, by its weight; the glass of the shelf is made wider or narrower all over until it holds that.',
              inputs: [input('m', 'water', m.waterG, 'g', 0), { symbol: 'ρ', name: 'water at 20 °C', value: '0.9982 g/mL', from: 'physics' }],
              source: 'Density of water (CRC Handbook).',
            }),
          ];
    case 'scale':
      return m.kind !== 'scale'
        ? []
        : [
            figure({
              key: 'tune:scale',
              name: 'The scale shows too much by',
              value: t.offPct,
              unit: '%',
              decimals: 1,
              formula: 'shown/true − 1',
              words: 'What it shows of a weight that is known.',
              inputs: [input('true', 'known', m.trueG, 'g', 1), input('shown', 'shown', m.shownG, 'g', 1)],
              source: 'Weighed.',
            }),
          ];
    case 'oven':
      return m.kind !== 'oven'
        ? []
        : [
            figure({
              key: 'tune:oven',
              name: 'Hotter than its dial by',
              value: t.offC,
              unit: 'K',
              decimals: 0,
              formula: 'read − set',
              words: 'What a thermometer in its middle reads, less what the dial says. Pass says the dial to turn to from then on.',
              inputs: [input('set', 'dial', m.setC, '°C', 0), input('read', 'thermometer', m.readC, '°C', 0)],
              source: 'Measured.',
            }),
          ];
    case 'hob':
      return m.kind !== 'hob'
        ? []
        : [
            figure({
              key: 'tune:hob',
              name: 'Heat into the pan',
              value: t.watts,
              unit: 'W',
              decimals: 0,
              formula: 'P = m·c·ΔT/t',
              words:
                'What the water took up on its way to the boil, in that time. Half of what a ring gives reaches a pan (house): the ring is taken for twice as much.',
              inputs: [input('m', 'water', m.waterG, 'g', 0), input('T₀', 'from', m.fromC, '°C', 0), input('t', 'to the boil', m.seconds, 's', 0)],
              source: 'Heat capacity of water (CRC Handbook).',
            }),
          ];
  }
}

/** So many bands stand in the working of what a test is worth. */
const BANDS_SHOWN = 6;

/** What a test is worth: by how much all bands that rest on it become narrower, for each minute of the hands. */
export function worthFigure(t: TestOffered): Figure {
  const widest = t.bands.toSorted((a, b) => b.weight * (b.now - b.then) - a.weight * (a.now - a.then));
  const half = (x: number): string => (t.kind === 'oven' ? withUnit(plainNumber(x, 0), 'K') : withUnit(plainNumber(100 * x, 1), '%'));
  return {
    key: `tune:worth:${t.kind}:${t.thing}`,
    name: 'Narrowing in a minute',
    value: 100 * t.perMinute,
    unit: '%',
    kind: 'house',
    spread: null,
    range: null,
    decimals: 0,
    formula: t.kind === 'oven' ? 'Σ n·(before − after)/160 °C / minutes' : 'Σ n·(before − after) / minutes',
    words:
      'Half of each band before and after the test, added over the sheets that rest on it; a sheet counts once, and once more for each batch of the last three months.',
    inputs: [
      ...widest.slice(0, BANDS_SHOWN).map((b) => ({
        symbol: `n = ${b.weight}`,
        name: `${b.sheet}: ${b.figure}`,
        value: `${half(b.now)} → ${half(b.then)}`,
        from: 'the house figures, and the log',
      })),
      { symbol: '', name: 'minutes of the hands', value: withUnit(plainNumber(t.minutes, 0), 'min'), from: 'house' },
    ],
    source: 'Ours.',
    ...(t.bands.length > BANDS_SHOWN ? { limits: `${t.bands.length - BANDS_SHOWN} more bands are counted.` } : {}),
  };
}
