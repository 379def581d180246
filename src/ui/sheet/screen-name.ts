import { freshUuid } from './fresh-id';

/**
 * Each open page that edits has a name of its own, by which the server tells what it saved itself from what another one saved. The
 * name stays through a reload of its tab. A tab that is copied by the browser takes its store along while the first still has it: it
 * gets another name, or two screens would pass for one and write over each other.
 */
const NAME = 'soft-peak:screen';
/** Stands in the tab's store only between two pages of it: the one that had the name has left. */
const LEFT = 'soft-peak:screen-left';
const COUNT = 'soft-peak:saves';

let mine: string | null = null;

/** This page's name. Where the browser keeps nothing, a name for this page alone. */
export function screenName(): string {
  if (mine !== null) return mine;
  try {
    const known = sessionStorage.getItem(NAME);
    mine = known !== null && sessionStorage.getItem(LEFT) === known ? known : freshUuid();
    if (mine !== known) sessionStorage.removeItem(COUNT);
    sessionStorage.setItem(NAME, mine);
    sessionStorage.removeItem(LEFT);
    const name = mine;
    window.addEventListener('pagehide', () => sessionStorage.setItem(LEFT, name));
    // Back from where the browser had laid it aside, it has its name again.
    window.addEventListener('pageshow', () => sessionStorage.removeItem(LEFT));
  } catch {
    mine ??= freshUuid();
  }
  return mine;
}

let counted = 0;

/** Rises with every save of this screen, also over reloads. */
export function nextCount(): number {
  counted++;
  try {
    counted = Math.max(counted, (Number(sessionStorage.getItem(COUNT)) || 0) + 1);
    sessionStorage.setItem(COUNT, String(counted));
  } catch {
    // Without a store the page counts alone, under a name that is its own.
  }
  return counted;
}
