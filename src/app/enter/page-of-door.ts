import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What the page at the door shows. */
export interface Door {
  readonly to: string;
  readonly name: string;
  readonly given: string;
  /** A refusal in words; '' for none. */
  readonly says: string;
}

/** Where someone who came in goes on: a path of this kitchen, whatever the address says. */
export const wayOn = (to: string): string => (/^\/(?![/\\])[\x21-\x7e]{0,1000}$/.test(to) && !to.startsWith('/enter') ? to : '/');

const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A font that ships with the program, written into the page: a stranger is given no other file. '' where it cannot be read. */
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
body{margin:0;min-height:100dvh;display:grid;grid-template-columns:minmax(0,1fr) minmax(0,420px) minmax(0,1fr);align-content:center;padding:24px}
main{grid-column:2}
h1{margin:0 0 22px;font:650 30px/1.15 Bricolage,ui-sans-serif,sans-serif;letter-spacing:-.01em;display:flex;align-items:center;gap:12px}
label{display:block;margin-top:16px;font-size:14px;color:oklch(0.44 0.03 250)}
input{display:block;width:100%;min-height:52px;margin-top:4px;padding:0 12px;border:1px solid oklch(0.7 0.02 230);border-radius:4px;background:#fff;color:inherit;font:inherit;font-size:19px}
button{width:100%;min-height:56px;margin-top:24px;border:0;border-radius:4px;background:oklch(0.8 0.155 82);color:inherit;font:600 18px Figtree,ui-sans-serif,sans-serif;cursor:pointer}
:focus-visible{outline:2px solid oklch(0.26 0.045 255);outline-offset:2px}
[role=alert]{margin:14px 0 0;color:oklch(0.52 0.19 12)}
[role=alert]:empty{display:none}
p{margin:18px 0 0;font-size:14px;color:oklch(0.44 0.03 250)}`);

/** The page at the door: whole in itself, without a script, and nothing of the kitchen on it. */
export const doorPage = ({ to, name, given, says }: Door): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="theme-color" content="#f3f7f9"><title>Soft Peak</title><style>${styled()}</style></head>
<body><main>
<h1><svg width="34" height="34" viewBox="0 0 26 26" aria-hidden="true"><path d="M2.5 23 C6 21 7.5 16 9.5 11 C11 7 13.5 3.5 18 4 C15.6 5.6 16 8.4 17 11.6 C18.4 16 20.5 20.8 23.5 23 Z" fill="none" stroke="currentColor" stroke-width="2" stroke-linejoin="round"/></svg>Come into the kitchen</h1>
<form method="post" action="/enter">
<input type="hidden" name="to" value="${escaped(to)}">
<label>The kitchen’s passphrase, or a code from a screen that is in
<input name="given" type="password" autocomplete="current-password" maxlength="200" required autofocus value="${escaped(given)}"${says ? ' aria-invalid="true" aria-describedby="says"' : ''}></label>
<label>What this screen is called
<input name="name" type="text" autocomplete="off" maxlength="60" placeholder="bench tablet" value="${escaped(name)}"></label>
<div id="says" role="alert">${escaped(says)}</div>
<button>Come in</button>
</form>
<p>This screen then stays in until it is put out on Larder, or is not used for 90 days.</p>
</main></body></html>`;
