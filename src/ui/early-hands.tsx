'use client';

import { useEffect } from 'react';

/** What was touched or typed before the page was alive. */
interface Early {
  readonly type: string;
  readonly target: EventTarget | null;
  readonly value?: string;
}

declare global {
  interface Window {
    earlyHands?: { readonly seen: Early[]; readonly stop: () => void } | undefined;
  }
}

/**
 * Runs before anything else of a page: keeps clicks, typed words and choices until the page is alive, and holds back forms that would
 * be sent without it. Plain script, as it must not wait for any other.
 */
export const KEEP_EARLY_HANDS = `(function(){var seen=[],types=['click','input','change','submit'];function keep(e){if(e.type==='submit'){e.preventDefault();return}seen.push({type:e.type,target:e.target,value:e.target&&e.target.value})}for(var i=0;i<types.length;i++)document.addEventListener(types[i],keep,true);window.earlyHands={seen:seen,stop:function(){for(var i=0;i<types.length;i++)document.removeEventListener(types[i],keep,true)}}})()`;

/** What the browser does of itself with a click: a link is followed, a summary opens, a label passes it on. */
const ofItself = (el: Element): boolean =>
  el.closest('a[href], summary') !== null || (el.closest('label') !== null && el.closest('button, input, textarea') === null);

/** Puts a value as a hand would, so that whoever listens sees it change: first what stood there, then what was typed. */
function put(el: HTMLInputElement | HTMLTextAreaElement, value: string): void {
  const proto = el instanceof HTMLTextAreaElement ? HTMLTextAreaElement.prototype : HTMLInputElement.prototype;
  el.value = el.defaultValue;
  Object.getOwnPropertyDescriptor(proto, 'value')!.set!.call(el, value);
  el.dispatchEvent(new Event('input', { bubbles: true }));
  el.dispatchEvent(new Event('change', { bubbles: true }));
}

const isToggle = (el: Element): el is HTMLInputElement => el instanceof HTMLInputElement && (el.type === 'checkbox' || el.type === 'radio');
const isField = (el: Element): el is HTMLInputElement | HTMLTextAreaElement =>
  el instanceof HTMLTextAreaElement || (el instanceof HTMLInputElement && !isToggle(el));

/** Does once more, in order, what was done before the page listened; of one field only its last words. */
export async function replay(seen: readonly Early[]): Promise<void> {
  const last = new Map<EventTarget, number>();
  seen.forEach((e, i) => {
    if (e.target && (e.type === 'input' || e.type === 'change')) last.set(e.target, i);
  });
  for (const [i, e] of seen.entries()) {
    const el = e.target;
    if (!(el instanceof Element) || !el.isConnected) continue;
    if (e.type === 'click') {
      if (isField(el) || ofItself(el)) continue;
      // It stands as it was toggled, and nobody heard: back, and toggled again.
      if (isToggle(el)) el.checked = el.type === 'radio' ? false : !el.checked;
      if (el instanceof HTMLElement) el.click();
      else el.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
    } else if (isField(el) && last.get(el) === i) put(el, e.value ?? '');
    // Each answers what the one before has made.
    await new Promise((next) => setTimeout(next));
  }
}

/** Stands behind the page's own content: once it is alive, what was touched too early is done. A first tap is never lost. */
export function EarlyHands() {
  useEffect(() => {
    const early = window.earlyHands;
    if (!early) return;
    window.earlyHands = undefined;
    early.stop();
    void replay(early.seen);
  }, []);
  return null;
}
