'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { z } from 'zod';
import { analyseSheet } from '../../../core/analysis/analyse';
import type { Sheet } from '../../../core/document/schema';
import { kitchenOf, type KitchenFacts } from '../../../core/kitchen/kitchen';
import { eyeQuestion } from '../../../core/mend/train';
import { SIGN_IDS, SIGN_WORDS, type SignId } from '../../../core/mend/words';
import { Frame } from '../../../ui/frame';
import { SignDrawing } from '../../../ui/mend/sign-drawing';
import { useKept } from '../../../ui/use-kept';

const MissedSchema = z.record(z.string(), z.tuple([z.number().int().min(0), z.number().int().min(0)]));

const readMissed = (text: string | null): Readonly<Record<string, readonly [right: number, asked: number]>> => {
  try {
    const read = MissedSchema.safeParse(JSON.parse(text ?? '{}'));
    return read.success ? read.data : {};
  } catch {
    return {};
  }
};

const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;

/** Train the eye: a made-up batch with something wrong. What is it, and what is done first? */
export function EyeDesk({ sheets, kitchen: facts }: { readonly sheets: readonly Sheet[]; readonly kitchen: KitchenFacts }) {
  const kitchen = useMemo(() => kitchenOf(facts), [facts]);
  const desserts = useMemo(() => sheets.map((s) => analyseSheet(s, kitchen)), [sheets, kitchen]);
  const [seed, setSeed] = useState<number | null>(null);
  const [kept, keep] = useKept('local', 'soft-peak:eye');
  const scores = readMissed(kept);
  const question = useMemo(() => (seed === null ? null : eyeQuestion(seed, desserts, kitchen)), [seed, desserts, kitchen]);
  const score = (sign: SignId, right: boolean) => {
    const [r, n] = scores[sign] ?? [0, 0];
    keep(JSON.stringify({ ...scores, [sign]: [r + (right ? 1 : 0), n + 1] }));
  };
  const missed = SIGN_IDS.filter((id) => scores[id] && scores[id][0] < scores[id][1]).sort(
    (a, b) => scores[b]![1] - scores[b]![0] - (scores[a]![1] - scores[a]![0]),
  );
  return (
    <Frame
      station="Mend"
      sheetId={null}
      heading={<h1 className="text-[20px]">Train the eye</h1>}
      right={
        <Link href="/mend" className="btn">
          Mend
        </Link>
      }
    >
      <div className="grid min-h-[calc(100dvh-90px)] grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_340px]">
        {question === null ? (
          <section className="px-4 py-6 md:px-8" aria-label="Start">
            <p className="max-w-[54ch] text-[18px] leading-snug">
              {seed !== null
                ? 'No sheet of this kitchen can show enough signs: write one on Bench first.'
                : 'A batch that nobody made, with something wrong. Say what it is, then what you would do first.'}
            </p>
            <button type="button" className="btn btn-act mt-4 min-h-12 px-5 text-[17px]" onClick={() => setSeed(freshSeed())}>
              Show me one
            </button>
          </section>
        ) : (
          <Round key={question.seed} question={question} onSeen={score} onNext={() => setSeed(freshSeed())} />
        )}
        <aside aria-label="What is missed" className="border-steel bg-paper px-4 pt-5 pb-8 max-lg:border-t md:px-6 lg:border-l">
          <h2 className="pb-1 text-[17px]">What is missed</h2>
          {missed.length === 0 ? (
            <p className="text-[14.5px] text-ink-soft">{Object.keys(scores).length === 0 ? 'Nothing yet.' : 'Nothing so far: all of them were right.'}</p>
          ) : (
            <ul>
              {missed.map((id) => (
                <li key={id} className="flex items-center gap-3 border-t border-steel-light py-2 text-[15px]">
                  <SignDrawing sign={id} className="h-8 w-11 shrink-0" />
                  <span className="min-w-0 flex-1">{SIGN_WORDS[id].name}</span>
                  <span className="fig text-ink-soft">
                    {scores[id]![0]} of {scores[id]![1]}
                  </span>
                </li>
              ))}
            </ul>
          )}
          <p className="border-t border-steel-light pt-2 text-[13px] text-ink-soft">Kept on this tablet.</p>
        </aside>
      </div>
    </Frame>
  );
}

function Round({
  question: q,
  onSeen,
  onNext,
}: {
  readonly question: NonNullable<ReturnType<typeof eyeQuestion>>;
  readonly onSeen: (sign: SignId, right: boolean) => void;
  readonly onNext: () => void;
}) {
  const [said, setSaid] = useState<SignId | null>(null);
  const [first, setFirst] = useState<string | null>(null);
  const button = 'flex min-h-12 w-full items-center border-t border-steel px-3 py-2 text-left text-[16.5px] enabled:hover:bg-yolk-pale';
  const mark = (is: boolean, chosen: boolean, open: boolean): string =>
    open ? '' : is ? 'font-[650] text-fern-ink' : chosen ? 'text-beet line-through' : 'text-ink-soft';
  return (
    <section className="px-4 py-6 md:px-8" aria-label="The batch">
      <p className="text-[15px] text-ink-soft">{q.sheetName}</p>
      <div className="mt-1 flex flex-wrap items-center gap-6">
        <SignDrawing sign={q.sign} className="h-28 w-40 shrink-0" />
        <div className="max-w-[46ch]">
          <p className="text-[21px] leading-snug">{q.look}</p>
          {q.known.map((k) => (
            <p key={k} className="mt-1 text-[15px] text-ink-soft">
              {k}
            </p>
          ))}
        </div>
      </div>
      <h2 className="mt-6 pb-1 text-[17px]">What is it?</h2>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {q.signs.map((id) => (
          <li key={id}>
            <button
              type="button"
              disabled={said !== null}
              className={`${button} ${mark(id === q.sign, id === said, said === null)}`}
              onClick={() => {
                setSaid(id);
                onSeen(q.sign, id === q.sign);
              }}
            >
              {SIGN_WORDS[id].name}
            </button>
          </li>
        ))}
      </ul>
      {said !== null && (
        <>
          <h2 className="mt-6 pb-1 text-[17px]">What do you do first?</h2>
          <ul>
            {q.firsts.map((title) => (
              <li key={title}>
                <button
                  type="button"
                  disabled={first !== null}
                  className={`${button} ${mark(title === q.first, title === first, first === null)}`}
                  onClick={() => setFirst(title)}
                >
                  {title}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {first !== null && (
        <div role="status" className="mt-5">
          <p className="max-w-[56ch] text-[17px]">{q.answer.rescue.says}</p>
          <button type="button" className="btn btn-act mt-3 min-h-12 px-5" onClick={onNext}>
            Another
          </button>
        </div>
      )}
    </section>
  );
}
