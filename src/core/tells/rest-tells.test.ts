import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { applyTellEdit } from './apply';
import { heatedCreamOf, restTells } from './rest-tells';
import { tellText } from './tell';

const ganache = (hot: string, rest: string): Sheet =>
  writtenSheet(`Whipped ganache
200 g dark chocolate
500 ml double cream
${hot}, pour over the chocolate and stir until melted. Stir in the rest of the cream. ${rest} Whip to soft peaks and pipe.`);
const tells = (sheet: Sheet) => restTells(analyseSheet(sheet, KITCHEN));

describe('cream that was hot', () => {
  it('asks six hours in the cold before the whisk, and says what is planned', () => {
    const sheet = ganache('Heat half the cream until it steams', 'Chill for 2 hours.');
    const [tell] = tells(sheet);
    expect(tell!.state).toBe('out');
    expect(tellText(tell!).replaceAll('\u00a0', ' ')).toMatch(/6 h at 5 °C or below, 12 h is best; 2 h are planned/);
    expect(tells(ganache('Heat half the cream until it steams', 'Chill for 6 hours.'))[0]!.state).toBe('near');
    expect(tells(ganache('Heat half the cream until it steams', 'Chill for 12 hours.'))[0]!.state).toBe('in');
  });
  it('one touch rests it longer, and then nothing is asked', () => {
    const sheet = ganache('Heat half the cream until it steams', 'Chill for 2 hours.');
    const rested = applyTellEdit(sheet, tells(sheet)[0]!.action!.edit, CONTEXT, () => 'n');
    expect(rested.steps.filter((s) => s.waitH).map((s) => s.waitH)).toEqual([[6, 12]]);
    expect(tells(rested)[0]!.action).toBeNull();
  });
  it('a splash that only melts the gelatin is no matter, nor cream that stays cold', () => {
    const splash = writtenSheet(`Cream
400 ml double cream
2 leaves gelatin
50 g caster sugar
Soak the gelatin. Heat 60 ml of the cream and melt the gelatin in it. Whip the rest of the cream with the sugar to soft peaks and fold in.`);
    expect(tells(splash)).toEqual([]);
    expect(tells(writtenSheet('Cream\n400 ml double cream\n50 g caster sugar\nWhip the cream with the sugar to soft peaks.'))).toEqual([]);
  });
  it('knows the share that was hot', () => {
    const s = analyseSheet(ganache('Heat half the cream until it steams', 'Chill for 2 hours.'), KITCHEN);
    expect(heatedCreamOf(s, s.parts[0]!)!.share).toBeCloseTo(0.5, 6);
  });
});
