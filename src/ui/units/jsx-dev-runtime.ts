import { Fragment, jsxDEV as plainJsxDev } from 'react/jsx-dev-runtime';
import { saidHere } from './said';

/* The same while the program is being developed. */

export type { JSX } from 'react/jsx-dev-runtime';
export { Fragment };
export const jsxDEV: typeof plainJsxDev = (type, props, key, isStatic, source, self) => plainJsxDev(type, saidHere(type, props), key, isStatic, source, self);
