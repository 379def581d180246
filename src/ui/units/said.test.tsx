import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, describe, expect, it } from 'vitest';
import { METRIC, type ShownUnits } from '../../core/measures/shown';
import { showHereIn } from '../../core/measures/shown-here';
import { axisIn } from './axis';

const US: ShownUnits = { temperature: '°F', mass: 'oz', volume: 'fl oz', length: 'in', clock: '12 h', currency: '' };
afterEach(() => showHereIn(METRIC));

/** What a page shows, drawn in one kind of units; drawn within, as texts are said when elements are made. */
const drawn = (units: ShownUnits, page: () => ReactNode): string => {
  showHereIn(units);
  return renderToStaticMarkup(page());
};
const Says = ({ says, children }: { readonly says: string; readonly children?: ReactNode }) => (
  <p>
    {says}
    {children}
  </p>
);

describe('what is drawn', () => {
  it('is in the kitchen’s units, wherever a text comes from', () => {
    const n = 71;
    const page = () => (
      <main aria-label="At 5 °C">
        <h1>Heat to {n}&nbsp;°C</h1>
        <Says says={`${n} °C`}>, 250 g</Says>
        {[1, 2].map((i) => (
          <b key={i}>{i * 100}&nbsp;g</b>
        ))}
        <input placeholder="like 60 °C" defaultValue="71 °C" />
        <code>71 °C</code>
      </main>
    );
    expect(drawn(US, page)).toBe(
      '<main aria-label="At 41 °F"><h1>Heat to 160\u00a0°F</h1><p>160 °F, 8.8 oz</p><b>3.5\u00a0oz</b><b>7.1\u00a0oz</b><input placeholder="like 140 °F" value="71 °C"/><code>71 °C</code></main>',
    );
    expect(drawn(METRIC, page)).toContain('<h1>Heat to 71\u00a0°C</h1><p>71 °C, 250 g</p>');
  });

  it('is the same in a metric kitchen as if nobody had looked at it', () => {
    const page = () => (
      <p title="5 °C">
        {1}
        {' and '}
        {null}
        {false}2
      </p>
    );
    expect(drawn(METRIC, page)).toBe('<p title="5 °C">1 and 2</p>');
    expect(drawn(US, page)).toBe('<p title="41 °F">1 and 2</p>');
  });

  it('keeps each child in its place', () => {
    const page = () => (
      <p>
        {60} to {5}&nbsp;°C<i>then</i>
        {100}&nbsp;g
      </p>
    );
    expect(drawn(US, page)).toBe('<p>140 to 41\u00a0°F<i>then</i>3.5\u00a0oz</p>');
  });
});

describe('an axis', () => {
  it('has the unit that its name ends with', () => {
    showHereIn(US);
    const axis = axisIn('temperature, °C');
    expect(axis.name).toBe('temperature, °F');
    expect([axis.out(100), axis.in(212)]).toEqual([212, 100]);
    expect(axisIn('°C').name).toBe('°F');
    expect(axisIn('depth, mm').out(25.4)).toBeCloseTo(1, 9);
    for (const plain of ['min', 'hours', 'sugar, %', 'g per kg', 'beiging']) {
      expect(axisIn(plain).name).toBe(plain);
      expect([axisIn(plain).out(3), axisIn(plain).in(3)]).toEqual([3, 3]);
    }
    showHereIn(METRIC);
    expect(axisIn('temperature, °C').name).toBe('temperature, °C');
  });
});
