// @vitest-environment jsdom
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { EarlyHands, KEEP_EARLY_HANDS } from './early-hands';

function Page() {
  const [mixer, setMixer] = useState('planetary');
  const [words, setWords] = useState('200 g cream');
  const [on, setOn] = useState(false);
  const [taps, setTaps] = useState(0);
  const [sent, setSent] = useState(0);
  return (
    <>
      <textarea value={mixer} onChange={(e) => setMixer(e.target.value)} />
      <input name="line" value={words} onChange={(e) => setWords(e.target.value)} />
      <input type="checkbox" checked={on} onChange={(e) => setOn(e.target.checked)} />
      <button type="button" onClick={() => setTaps(taps + 1)}>
        tap
      </button>
      <form onSubmit={(e) => (e.preventDefault(), setSent(sent + 1))}>
        <button type="submit">send</button>
      </form>
      <a href="#elsewhere">go</a>
      <output>{[mixer, words, on, taps, sent].join(' | ')}</output>
      <EarlyHands />
    </>
  );
}

/** The page as it comes from the server, touched by `hands`, then alive: it comes to know `known`, and nothing more. */
async function touched(hands: (root: HTMLElement) => void, known: string): Promise<void> {
  const root = document.createElement('div');
  root.innerHTML = renderToString(<Page />);
  document.body.append(root);
  new Function(KEEP_EARLY_HANDS)();
  hands(root);
  const alive = hydrateRoot(root, <Page />);
  await expect.poll(() => window.earlyHands).toBeUndefined();
  const says = (): string => root.querySelector('output')!.textContent;
  await expect.poll(says).toBe(known);
  // Every early event takes a turn of the clock; a few more show that nothing is done twice.
  for (let turn = 0; turn < 12; turn++) await new Promise((next) => setTimeout(next));
  expect(says()).toBe(known);
  alive.unmount();
}
const type = (el: HTMLInputElement, value: string): void => {
  el.value = value;
  el.dispatchEvent(new Event('input', { bubbles: true }));
};

describe('hands that are quicker than the page', () => {
  afterEach(() => void (document.body.innerHTML = ''));
  it('nothing touched, nothing done', () => touched(() => undefined, 'planetary | 200 g cream | false | 0 | 0'));
  it('a tap is done once', () => touched((r) => r.querySelector('button')!.click(), 'planetary | 200 g cream | false | 1 | 0'));
  it('three taps are three', () => touched((r) => [1, 2, 3].forEach(() => r.querySelector('button')!.click()), 'planetary | 200 g cream | false | 3 | 0'));
  it('a text of many lines stays', () =>
    touched((r) => {
      const el = r.querySelector('textarea')!;
      el.value = 'hand';
      el.dispatchEvent(new Event('input', { bubbles: true }));
    }, 'hand | 200 g cream | false | 0 | 0'));
  it('typed words stay, the last of them', () =>
    touched((r) => {
      const el = r.querySelector<HTMLInputElement>('input[name=line]')!;
      for (const w of ['2', '25', '250 g cream']) type(el, w);
    }, 'planetary | 250 g cream | false | 0 | 0'));
  it('a ticked box stays ticked', () =>
    touched((r) => r.querySelector<HTMLInputElement>('input[type=checkbox]')!.click(), 'planetary | 200 g cream | true | 0 | 0'));
  it('a form is sent once, by the page', () =>
    touched((r) => r.querySelector<HTMLButtonElement>('form button')!.click(), 'planetary | 200 g cream | false | 0 | 1'));
  it('a link is the browser’s', async () => {
    let followed = 0;
    await touched((r) => {
      r.querySelector('a')!.addEventListener('click', () => followed++);
      r.querySelector('a')!.click();
    }, 'planetary | 200 g cream | false | 0 | 0');
    expect(followed).toBe(1);
  });
});
