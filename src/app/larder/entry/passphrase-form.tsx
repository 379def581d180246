'use client';

import { useState, type FormEvent } from 'react';

/** Sets the passphrase, or changes the one that is set; what is typed stays in sight of nobody. */
export function PassphraseForm({ change, onSet }: { readonly change: boolean; readonly onSet: () => void }) {
  const [before, setBefore] = useState('');
  const [next, setNext] = useState('');
  const [says, setSays] = useState<{ readonly text: string; readonly wrong: boolean }>({ text: '', wrong: false });
  const [sending, setSending] = useState(false);
  const send = async (e: FormEvent) => {
    e.preventDefault();
    setSending(true);
    const answer = await fetch('/api/entry/passphrase', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ before, passphrase: next }),
    }).catch(() => null);
    setSending(false);
    if (!answer) return setSays({ text: 'The server does not answer: the passphrase is as it was.', wrong: true });
    if (!answer.ok) return setSays({ text: ((await answer.json()) as { says?: string }).says ?? 'That was refused.', wrong: true });
    setBefore('');
    setNext('');
    setSays({ text: change ? 'It is changed; every other screen gives it anew.' : 'It is set; this screen is in.', wrong: false });
    onSet();
  };
  return (
    <form aria-label={change ? 'Change the passphrase' : 'Set a passphrase'} className="mt-8 border-t border-steel pt-4" onSubmit={(e) => void send(e)}>
      <h2 className="text-[17px]">{change ? 'Change the passphrase' : 'Set a passphrase'}</h2>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-3">
        {change && (
          <label className="text-[13.5px] text-ink-soft">
            Until now
            <input
              type="password"
              autoComplete="current-password"
              value={before}
              maxLength={200}
              onChange={(e) => setBefore(e.target.value)}
              className="field mt-0.5 block w-60"
            />
          </label>
        )}
        <label className="text-[13.5px] text-ink-soft">
          {change ? 'From now on' : 'Passphrase, at least 8 letters'}
          <input
            type="password"
            autoComplete="new-password"
            value={next}
            maxLength={200}
            aria-invalid={says.wrong || undefined}
            aria-describedby="passphrase-says"
            onChange={(e) => setNext(e.target.value)}
            className="field mt-0.5 block w-60"
          />
        </label>
        <button type="submit" className={change ? 'btn' : 'btn btn-act'} disabled={sending || next === ''}>
          {change ? 'Change it' : 'Set it'}
        </button>
      </div>
      <p id="passphrase-says" role="status" className={`mt-2 text-[14.5px] empty:hidden ${says.wrong ? 'text-beet' : ''}`}>
        {says.text}
      </p>
    </form>
  );
}
