import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/* Pages for strangers: each is whole in itself, without a script, and asks for no file of the kitchen. */

/** A text as it stands in a page, whatever it holds. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A font that ships with the program, written into the page. '' where it cannot be read. */
function font(family: string, file: string): string {
  try {
    const bytes = readFileSync(join(/*turbopackIgnore: true*/ process.cwd(), 'node_modules', '@fontsource-variable', file)).toString('base64');
    return `@font-face{font-family:"${family}";font-weight:300 900;src:url(data:font/woff2;base64,${bytes}) format("woff2")}`;
  } catch {
    return '';
  }
}

let style = '';
const styled = (): string =>
  (style ||= `${font('Figtree', 'figtree/files/figtree-latin-wght-normal.woff2')}${font('Bricolage', 'bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2')}
*{box-sizing:border-box}
html{background:oklch(0.975 0.006 210);color:oklch(0.26 0.045 255);font:16px/1.4 Figtree,ui-sans-serif,sans-serif}
body{margin:0}
h1,h2{font-family:Bricolage,ui-sans-serif,sans-serif;font-weight:650;letter-spacing:-.01em;line-height:1.15}`);

/** The mark of the product, in the text's colour. @param px its side. */
export const markOf = (px: number): string =>
  `<svg width="${px}" height="${px}" viewBox="0 0 26 26" aria-hidden="true"><path d="M2.5 23 C6 21 7.5 16 9.5 11 C11 7 13.5 3.5 18 4 C15.6 5.6 16 8.4 17 11.6 C18.4 16 20.5 20.8 23.5 23 Z" fill="none" stroke="currentColor" stroke-width="2" stroke-linejoin="round"/></svg>`;

/**
 * A page of its own.
 * @param title and @param body as they are written: who makes them has escaped what is not theirs. @param more its own style. @param refreshS asked for anew after so long, s.
 */
export const ownPage = ({
  title,
  more,
  body,
  refreshS,
}: {
  readonly title: string;
  readonly more: string;
  readonly body: string;
  readonly refreshS?: number;
}): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="theme-color" content="#f3f7f9"><meta name="robots" content="noindex">${refreshS === undefined ? '' : `<meta http-equiv="refresh" content="${refreshS}">`}<title>${title}</title><style>${styled()}
${more}</style></head>
<body>${body}</body></html>`;

/** What such a page may load: its own style and fonts; a form goes to this kitchen. */
export const OWN_PAGE_HEADERS = {
  'content-type': 'text/html; charset=utf-8',
  'cache-control': 'no-store',
  'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; font-src data:; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  // Without a referrer a browser would not say either that a form is this page's own; to other sites nothing is said.
  'referrer-policy': 'same-origin',
} as const;
