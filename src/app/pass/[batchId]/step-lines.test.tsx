// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { OnPassContext, type OnPass } from './on-pass';
import { StepLines } from './step-lines';

/* The scale and its clock, as the page hears them. */
const heard = vi.hoisted(() => ({ grossG: 0, now: 1_000_000 }));
vi.mock('../../../ui/instruments/use-instruments', () => ({
  SILENT_MS: 3000,
  useInstruments: () => ({ open: true }),
  devicesOf: () => [{ line: { stable: true, unit: 'g' }, heardAt: heard.now }],
}));
vi.mock('../../../instruments/wire', () => ({ gramsOf: () => heard.grossG }));
vi.mock('../../../ui/use-now', () => ({ useNow: () => heard.now }));

const LINES = [
  { lineId: 'cream', name: 'cream', massG: 300 },
  { lineId: 'sugar', name: 'icing sugar', massG: 30 },
  { lineId: 'vanilla', name: 'vanilla paste', massG: 5 },
] as unknown as Parameters<typeof StepLines>[0]['lines'];

/** Draws the page again. */
const page = { draw: (): void => undefined };
/** What the cook does while a line ticks itself. */
let meanwhile: () => void;

function Weighing() {
  const [ticks, setTicks] = useState<readonly string[]>([]);
  const [weighed, setWeighed] = useState<Readonly<Record<string, number>>>({});
  const [keptG, keep] = useState<number | null>(null);
  const [, again] = useState(0);
  useEffect(() => {
    page.draw = () => again((n) => n + 1);
  }, []);
  const done = (event: { readonly kind: string; readonly line?: string; readonly tick?: string; readonly grams?: number }): Promise<void> => {
    if (event.line === undefined) return Promise.resolve();
    setTicks([...ticks, event.tick ?? event.line]);
    if (event.grams !== undefined) setWeighed({ ...weighed, [event.line]: event.grams });
    meanwhile();
    return Promise.resolve();
  };
  const onPass = {
    plan: { mise: [], steps: [] },
    state: { progress: { ticks, weighed, scale: 1 } },
    client: { act: done },
    scaleStepG: 1,
    amounts: { inGrams: true, byScale: true, toggleUnit: () => undefined, toggleScale: () => undefined, keptG, keep },
  } as unknown as OnPass;
  return (
    <OnPassContext value={onPass}>
      <StepLines lines={LINES} />
    </OnPassContext>
  );
}

/** The page is drawn again, so many ms later. */
const later = (ms: number, grossG = heard.grossG): void => {
  heard.now += ms;
  heard.grossG = grossG;
  act(() => page.draw());
};
const net = (): string => screen.getByLabelText('On the scale, net').textContent.replace(/[\u00a0\u202f]/g, ' ');

beforeEach(() => {
  heard.grossG = 500;
  heard.now = 1_000_000;
  meanwhile = () => undefined;
});
afterEach(cleanup);

describe('amounts by the scale', () => {
  it('begin with the bowl that stands there, and tick themselves when the weight is there and still', () => {
    render(<Weighing />);
    expect(net()).toBe('0 g');
    later(100, 800);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /cream/ }).checked).toBe(false);
    later(1300);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /cream/ }).checked).toBe(true);
    expect(net()).toBe('0 g');
  });
  it('what is poured while a line ticks itself is the next one’s, however late its row is drawn', () => {
    render(<Weighing />);
    later(100, 800);
    meanwhile = () => (heard.grossG = 830);
    later(1300);
    expect(net()).toBe('30 g');
    meanwhile = () => undefined;
    later(1300);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /icing sugar/ }).checked).toBe(true);
  });
  it('a line that is ticked by hand says nothing of the scale: the next begins with what lies there', () => {
    render(<Weighing />);
    meanwhile = () => (heard.grossG = 700);
    fireEvent.click(screen.getByRole('checkbox', { name: /cream/ }));
    expect(net()).toBe('0 g');
  });
  it('an amount that is typed says nothing of the scale either', () => {
    render(<Weighing />);
    later(100, 800);
    later(1300);
    meanwhile = () => (heard.grossG = 640);
    fireEvent.click(screen.getByRole('button', { name: 'Another amount of icing sugar' }));
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '40' } });
    fireEvent.click(screen.getByRole('button', { name: 'Only write it down' }));
    expect(net()).toBe('0 g');
  });
});
