import { inShownUnits, isMetric, ShownUnitsSchema, type ShownUnits } from '../../core/measures/shown';
import { showHereIn, unitsHere } from '../../core/measures/shown-here';

/* Every text that becomes part of a page passes here once, on the server and in the browser: what the core says in °C and grams is shown in the kitchen's units. */

/** Where the page says in which units it was drawn. */
export const UNITS_ATTRIBUTE = 'data-units';

if (typeof document !== 'undefined') {
  try {
    showHereIn(ShownUnitsSchema.parse(JSON.parse(document.documentElement.getAttribute(UNITS_ATTRIBUTE) ?? '{}')));
  } catch {
    // A page that was kept before it said so is metric.
  }
}

type Props = Record<string, unknown>;

/** What is read out or shown of an element beside its children. */
const SPOKEN = ['aria-label', 'aria-valuetext', 'aria-description', 'aria-roledescription', 'title', 'placeholder', 'alt'] as const;
/** What stands in these is no sentence. */
const LEFT_ALONE = new Set<unknown>(['script', 'style', 'code', 'pre', 'textarea']);

const isText = (child: unknown): child is string | number => typeof child === 'string' || typeof child === 'number';

/** Children with their texts said anew. Neighbours are read as one ('71' and '°C'), and every child keeps its place. */
function childrenIn(children: unknown, units: ShownUnits): unknown {
  if (typeof children === 'string') return inShownUnits(children, units);
  if (!Array.isArray(children)) return children;
  const said: unknown[] = [...(children as unknown[])];
  for (let i = 0; i < said.length; i++) {
    if (Array.isArray(said[i])) said[i] = childrenIn(said[i], units);
    if (!isText(said[i])) continue;
    let end = i + 1;
    while (end < said.length && isText(said[end])) end++;
    const whole = said.slice(i, end).join('');
    const anew = inShownUnits(whole, units);
    // What says the same stays as it was written: the page then is the same as in a metric kitchen.
    if (anew !== whole) said.fill('', i, end).splice(i, 1, anew);
    i = end;
  }
  return said;
}

/** The properties of an element with its texts in the kitchen's units; the very same ones in a metric kitchen. */
export function saidHere<P>(type: unknown, props: P): P {
  const units = unitsHere();
  if (isMetric(units) || LEFT_ALONE.has(type)) return props;
  const given = props as Props;
  const next: Props = { ...given, ...('children' in given ? { children: childrenIn(given.children, units) } : {}) };
  if (typeof type === 'string')
    for (const name of SPOKEN) {
      const text = given[name];
      if (typeof text === 'string') next[name] = inShownUnits(text, units);
    }
  return next as P;
}
