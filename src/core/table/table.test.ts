import fc from 'fast-check';
import Papa from 'papaparse';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MOST_CHARACTERS, readTable, type ReadTable } from './table';

const read = (text: string, needs: readonly string[] = []): ReadTable => {
  const r = readTable(text, needs);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const code = (text: string, needs: readonly string[] = []): string | null => {
  const r = readTable(text, needs);
  return r.ok ? null : r.fault.code;
};

// Columns of one name are numbered, and the table reader says so.
beforeEach(() => void vi.spyOn(console, 'warn').mockImplementation(() => undefined));

describe('a table in text', () => {
  it.each([
    ['id,name\na,b', ','],
    ['id;name\na;b', ';'],
    ['id\tname\na\tb', '\t'],
    ['id|name\na|b', '|'],
    ['\uFEFF Id ; NAME \r\na;b\r\n', ';'],
  ] as const)('%j is parted by %j', (text, separator) => expect(read(text)).toMatchObject({ separator, rows: [{ id: 'a', name: 'b' }] }));
  it('has its columns by name, in whatever order and beside others; empty rows are none', () =>
    expect(read('x,name,id\n\n1,b,a\n , ,\n', ['id', 'name']).rows).toEqual([{ x: '1', name: 'b', id: 'a' }]));
  it('cells hold separators, quotation marks and line ends where they are quoted', () =>
    expect(read('id,words\na,"cream, cold"\nb,"a ""soft"" peak"\nc,"two\nlines"').rows.map((r) => r.words)).toEqual([
      'cream, cold',
      'a "soft" peak',
      'two\nlines',
    ]));
  it('rows with more cells than columns are marked and keep what stands under a column; shorter ones lack the rest', () => {
    const { rows, slipped } = read('id,name\na,cream, cold\nb,c\nd');
    expect([...slipped]).toEqual([[0, [' cold']]]);
    expect(rows).toEqual([{ id: 'a', name: 'cream' }, { id: 'b', name: 'c' }, { id: 'd' }]);
  });
  it('is refused in words when it is none', () => {
    expect(code('')).toBe('empty');
    expect(code(' \n\t\n')).toBe('empty');
    expect(code('\uFEFF')).toBe('empty');
    expect(code('id,na\u0000me\n')).toBe('no-text');
    expect(code('x'.repeat(MOST_CHARACTERS + 1))).toBe('too-large');
    expect(code(`id\n${'x'.repeat(MOST_CHARACTERS - 3)}`)).toBeNull();
    expect(readTable('a,b\n1,2', ['id'])).toMatchObject({ ok: false, fault: { code: 'no-column', says: expect.stringContaining('(it has a, b)') } });
  });
});

describe('numbers of a table', () => {
  it.each([
    ['id,x\na,1.5', '1.5', 1.5],
    ['id;x\na;1,5', '1,5', 1.5],
    ['id;x\na;1.234,5', '1.234,5', 1234.5],
    ['id\tx\na\t-0,25\n', '-0,25', -0.25],
    ['id;x\na;1.5', '1.5', 1.5],
    ['id;x\na;12', ' 12\u00a0000 ', 12_000],
    ['id,x\na,"1,5"', '1,5', NaN],
    ['id,x\na,b', 'b', NaN],
  ])('%j: %j is %d', (text, cell, value) => expect(read(text).number(cell)).toBe(value));
  it('a thousand with its points is one only where decimals have commas', () => {
    expect(read('id;x\na;1.234').decimalComma).toBe(false);
    expect(read('id;x\na;1.234,50').decimalComma).toBe(true);
    expect(read('id;x\na;"0,5"').decimalComma).toBe(true);
  });
});

describe('whatever comes', () => {
  const cell = fc
    .oneof(fc.string({ maxLength: 12 }), fc.constantFrom('a,b', 'a;b', '"', 'x\ny', '1,5', "'=1+1", '__proto__', 'constructor', ''))
    .filter((c) => !c.includes('\u0000'));
  it('what was written comes back, cell for cell', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 12 }), (rows) => {
        // A row of nothing but spaces is none.
        const kept = rows.filter((r) => r.some((c) => c.trim() !== ''));
        const back = read(`\uFEFF${Papa.unparse({ fields: ['id', 'name', 'x'], data: rows }, { newline: '\n' })}`, ['id']);
        expect(back.rows.map((r) => [r.id, r.name, r.x])).toEqual(kept.map((r) => r.map((c) => c)));
        expect(back.slipped.size).toBe(0);
      }),
    ));
  it('every cell of every row is text, and nothing throws', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(',', ';', '\t', '|', '"', '\n', '\r\n', ' ', 'id', 'name', '1', ',,', '__parsed_extra', '__proto__'), { maxLength: 40 }),
        (pieces) => {
          const r = readTable(pieces.join(''), []);
          if (!r.ok) return;
          for (const row of r.value.rows) for (const text of Object.values(row)) expect(typeof text).toBe('string');
        },
      ),
    ));
});
