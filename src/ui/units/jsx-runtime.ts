import { Fragment, jsx as plainJsx, jsxs as plainJsxs } from 'react/jsx-runtime';
import { saidHere } from './said';

/* What the compiler makes of every element in this program (`jsxImportSource` in tsconfig.json). */

export type { JSX } from 'react/jsx-runtime';
export { Fragment };
export const jsx: typeof plainJsx = (type, props, key) => plainJsx(type, saidHere(type, props), key);
export const jsxs: typeof plainJsxs = (type, props, key) => plainJsxs(type, saidHere(type, props), key);
