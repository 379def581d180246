import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { analyseSheet } from '../analysis/analyse';
import { glanceOf, leadOf, splitFigure, tellName } from './glance';
import { GLANCE_WORDS } from './glance-words';
import { sheetTells } from './sheet-tells';
import { plainTell, tellText } from './tell';

const NB = '\u00a0';
const TO = '\u2060–\u2060';

describe('a figure as it is seen from two metres', () => {
  it.each([
    [`36${NB}%`, '36', '%'],
    [`66${TO}77${NB}%`, '66', `–\u206077${NB}%`],
    [`1:10${TO}2:00${NB}min`, '1:10', `–\u20602:00${NB}min`],
    [`−20 to −9${NB}°C`, '−20', `to −9${NB}°C`],
    [`≈${NB}3${NB}tbsp`, `≈${NB}3`, 'tbsp'],
    [`1\u202f200${NB}g`, '1\u202f200', 'g'],
    ['0.12 drinks', '0.12', 'drinks'],
    ['medium', 'medium', ''],
  ])('%s', (shown, big, small) => expect(splitFigure(shown)).toEqual({ big, small }));
});

describe('every tell at a glance', () => {
  const all = [...SHEETS.values()].flatMap((sheet) => sheetTells(analyseSheet(sheet, GANNET_QUAY), GANNET_QUAY).map((tell) => ({ sheet, tell })));
  it('has few words and, where it has a figure, that figure first', () => {
    expect(all.length).toBeGreaterThan(100);
    for (const { sheet, tell } of all) {
      const g = glanceOf(
        tell,
        sheet.parts.map((p) => p.name),
      );
      expect(g.of, tell.key).toBeTruthy();
      expect(g.of.length, tell.key).toBeLessThanOrEqual(26);
      const lead = leadOf(tell);
      expect(g.big === null, tell.key).toBe(lead === null);
      // Nothing of the figure is lost on the way.
      if (lead && g.big !== null) expect(`${g.big}${g.small}`.replace(/[\s\u00a0\u2060]/g, ''), tell.key).toBe(lead.shown.replace(/[\s\u00a0\u2060]/g, ''));
    }
  });
  it('names the part that it speaks of, and no other', () => {
    const trifle = [...SHEETS.values()].find((s) => s.parts.length > 2)!;
    const names = trifle.parts.map((p) => p.name);
    for (const tell of sheetTells(analyseSheet(trifle, GANNET_QUAY), GANNET_QUAY)) {
      const { part } = glanceOf(tell, names);
      if (part !== '') expect(tellText(tell).startsWith(`${part}: `)).toBe(true);
    }
    expect(glanceOf(plainTell('cautions', 'in', 'Mind: honey.'), ['Cream']).part).toBe('');
    expect(glanceOf(plainTell('air', 'in', 'Cream: air.'), ['Cream', '']).part).toBe('Cream');
  });
  it('of one part is of its kind', () => {
    expect(tellName('air:p1')).toBe('air');
    expect(tellName('setter:starch:p1')).toBe('setter');
    expect(new Set(Object.values(GLANCE_WORDS)).size).toBe(Object.keys(GLANCE_WORDS).length);
  });
});
