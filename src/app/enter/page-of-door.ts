import { escaped, markOf, ownPage } from '../own-page';

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

const STYLE = `body{min-height:100dvh;display:grid;grid-template-columns:minmax(0,1fr) minmax(0,420px) minmax(0,1fr);align-content:center;padding:24px}
main{grid-column:2}
h1{margin:0 0 22px;font-size:30px;display:flex;align-items:center;gap:12px}
label{display:block;margin-top:16px;font-size:14px;color:oklch(0.44 0.03 250)}
input{display:block;width:100%;min-height:52px;margin-top:4px;padding:0 12px;border:1px solid oklch(0.7 0.02 230);border-radius:4px;background:#fff;color:inherit;font:inherit;font-size:19px}
button{width:100%;min-height:56px;margin-top:24px;border:0;border-radius:4px;background:oklch(0.8 0.155 82);color:inherit;font:600 18px Figtree,ui-sans-serif,sans-serif;cursor:pointer}
:focus-visible{outline:2px solid oklch(0.26 0.045 255);outline-offset:2px}
[role=alert]{margin:14px 0 0;color:oklch(0.52 0.19 12)}
[role=alert]:empty{display:none}
p{margin:18px 0 0;font-size:14px;color:oklch(0.44 0.03 250)}`;

/** The page at the door: whole in itself, without a script, and nothing of the kitchen on it. */
export const doorPage = ({ to, name, given, says }: Door): string =>
  ownPage({
    title: 'Soft Peak',
    more: STYLE,
    body: `<main>
<h1>${markOf(34)}Come into the kitchen</h1>
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
</main>`,
  });
