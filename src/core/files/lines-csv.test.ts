import { describe, expect, it } from 'vitest';
import { textOfLinesCsv } from './lines-csv';

const text = (table: string): string => {
  const r = textOfLinesCsv(table);
  return r.ok ? r.value : r.fault.code;
};

describe('a table of lines, as a cook would write it down', () => {
  it.each([
    ['line\n600 g cream\n60 g icing sugar', '600 g cream\n60 g icing sugar'],
    ['amount;unit;name\n600;g;cream\n2;tbsp;honey', '600 g cream\n2 tbsp honey'],
    ['amount,name\n600,cream\n2 cups,flour', '600 g cream\n2 cups flour'],
    ['grams,ingredient\n600,cream', '600 g cream'],
    ["line\n'=1/3*750 g sugar", '=1/3*750 g sugar'],
    // A comma that nobody put in quotation marks: the rest of the line is not lost.
    ['line\n600 g cream, cold\n60 g icing sugar', '600 g cream, cold\n60 g icing sugar'],
    ['part,line\nbase,200 g biscuits, crushed, fine', '\nbase:\n200 g biscuits, crushed, fine'],
    ['part,line\ntop,100 g cream\ntop,10 g sugar\nbase,200 g biscuits', '\ntop:\n100 g cream\n10 g sugar\n\nbase:\n200 g biscuits'],
  ])('%j', (table, lines) => expect(text(table)).toBe(`Ingredients\n${lines}`));
  it('is refused in words when there is none', () => {
    expect(text('')).toBe('empty');
    expect(text('what,how\na,b')).toBe('no-column');
    expect(text('line,x\n ,1')).toBe('empty');
  });
});
