'use client';

import { useEffect, useState } from 'react';
import { analyseSheet } from '../../../../core/analysis/analyse';
import { compareFigures, compareSheets, isSame } from '../../../../core/rewrite/compare';
import type { Sheet } from '../../../../core/document/schema';
import type { VersionEntry } from '../../../../data/sheets';
import { Choice } from '../../../../ui/choice';
import { ClockTime } from '../../../../ui/clock-time';
import { DifferenceList, FigurePairs } from '../../../../ui/difference-list';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { BenchPages } from '../bench-pages';

/** Which state of the sheet: a version's number, or what is in hand now. */
type Which = number | 'now';

/** Every kept state of the sheet; two of them side by side; going back to one keeps the newer. */
export function VersionsDesk({ versions }: { readonly versions: readonly VersionEntry[] }) {
  const { id, doc, saved, kitchen, edit, save } = useSheet();
  const [list, setList] = useState(versions);
  const older = list.find((v) => v.number !== saved.version)?.number ?? saved.version;
  const [left, setLeft] = useState<Which>(older);
  const [right, setRight] = useState<Which>('now');
  const a = useVersion(id, left, doc);
  const b = useVersion(id, right, doc);
  const options = [['now', 'as it stands now'] as const, ...list.map((v) => [String(v.number), versionName(v)] as const)];
  const which = (text: string): Which => (text === 'now' ? 'now' : Number(text));

  useEffect(() => {
    let wanted = true;
    void fetch(`/api/sheets/${id}/versions`)
      .then((r) => (r.ok ? (r.json() as Promise<VersionEntry[]>) : null))
      .then((found) => {
        if (wanted && found) setList(found);
      })
      .catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, [id, saved.revision]);

  const goBack = async (number: number) => {
    const response = await fetch(`/api/sheets/${id}/versions/${number}`);
    if (!response.ok) return;
    const before = (await response.json()) as Sheet;
    edit('version', () => before);
    await save(true);
  };

  return (
    <SheetFrame station="Bench">
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[320px_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
        <div className="px-4 pt-2 md:px-6 lg:col-span-2">
          <BenchPages sheetId={id} here="versions" />
        </div>
        <section aria-label="Versions" className="px-4 pt-3 pb-6 md:px-6 lg:border-r lg:border-steel">
          <ol>
            {list.map((v) => (
              <li key={v.number} className="border-t border-steel py-2.5">
                <div className="flex items-baseline justify-between gap-3">
                  <span className="fig text-[16px]">Version {v.number}</span>
                  <span className="text-[13.5px] text-ink-soft">
                    <ClockTime at={v.savedAt} />
                  </span>
                </div>
                <NameField
                  sheetId={id}
                  version={v}
                  onNamed={(name) => setList((l) => l.map((x) => (x.number === v.number ? { ...x, name: name === '' ? null : name } : x)))}
                />
                <p className="text-[13.5px] text-ink-soft">
                  {v.batches > 0 ? `${v.batches} ${v.batches === 1 ? 'batch' : 'batches'} made from it` : 'no batch made from it'}
                  {v.number === saved.version ? '; the newest' : ''}
                </p>
                {v.number !== saved.version && (
                  <div className="mt-1.5 flex flex-wrap gap-2">
                    <button type="button" className="btn min-h-8 px-2.5 text-[14px]" onClick={() => setLeft(v.number)}>
                      Compare
                    </button>
                    <button type="button" className="btn min-h-8 px-2.5 text-[14px]" onClick={() => void goBack(v.number)}>
                      Go back to it
                    </button>
                  </div>
                )}
              </li>
            ))}
          </ol>
          <p className="border-t border-steel pt-2 text-[13.5px] text-ink-soft">
            A version takes edits for ten minutes, until it is named, or until a batch is made from it. Going back opens a new version; the newer ones stay.
          </p>
        </section>
        <section aria-label="Side by side" className="px-4 pt-3 pb-10 md:px-6">
          <div className="grid gap-4 sm:grid-cols-2">
            <Choice label="Before" value={String(left)} options={options} onChange={(t) => setLeft(which(t))} />
            <Choice label="After" value={String(right)} options={options} onChange={(t) => setRight(which(t))} />
          </div>
          {a && b ? (
            <SideBySide a={a} b={b} analyses={[analyseSheet(a, kitchen), analyseSheet(b, kitchen)]} />
          ) : (
            <p className="py-6 text-ink-soft">Fetching the version…</p>
          )}
        </section>
      </div>
    </SheetFrame>
  );
}

const versionName = (v: VersionEntry): string => `version ${v.number}${v.name ? `, ${v.name}` : ''}`;

/** The document of a version; what is in hand is there at once. */
function useVersion(sheetId: string, which: Which, now: Sheet): Sheet | null {
  const [fetched, setFetched] = useState<{ which: Which; doc: Sheet } | null>(null);
  useEffect(() => {
    if (which === 'now') return;
    let wanted = true;
    void fetch(`/api/sheets/${sheetId}/versions/${which}`)
      .then((r) => (r.ok ? (r.json() as Promise<Sheet>) : null))
      .then((doc) => {
        if (wanted && doc) setFetched({ which, doc });
      })
      .catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, [sheetId, which]);
  if (which === 'now') return now;
  return fetched?.which === which ? fetched.doc : null;
}

function NameField({ sheetId, version, onNamed }: { readonly sheetId: string; readonly version: VersionEntry; readonly onNamed: (name: string) => void }) {
  const [text, setText] = useState(version.name ?? '');
  const [fault, setFault] = useState<string | null>(null);
  const put = async () => {
    if (text.trim() === (version.name ?? '')) return;
    try {
      const response = await fetch(`/api/sheets/${sheetId}/versions/${version.number}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: text.trim(), was: version.name ?? '' }),
      });
      if (response.status === 409) {
        const { name } = (await response.json()) as { name: string };
        onNamed(name);
        setFault(
          name === ''
            ? 'Another screen has taken its name away meanwhile. Leave the field again to name it so.'
            : `Another screen has named it ‘${name}’ meanwhile. Leave the field again to name it as it stands here.`,
        );
        return;
      }
      if (!response.ok) throw new Error();
      setFault(null);
      onNamed(text.trim());
    } catch {
      setFault('The name was not kept: the server does not answer. Leave the field again to try once more.');
    }
  };
  return (
    <>
      <input
        aria-label={`Name of version ${version.number}`}
        value={text}
        maxLength={80}
        placeholder="name it to keep it"
        onChange={(e) => setText(e.target.value)}
        onBlur={() => void put()}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        className="-ml-1.5 min-h-8 w-full rounded-s border border-transparent bg-transparent px-1.5 hover:border-steel focus:border-steel focus:bg-paper"
      />
      {fault && (
        <p role="alert" className="text-[13.5px] text-beet">
          {fault}
        </p>
      )}
    </>
  );
}

function SideBySide({
  a,
  b,
  analyses,
}: {
  readonly a: Sheet;
  readonly b: Sheet;
  readonly analyses: readonly [ReturnType<typeof analyseSheet>, ReturnType<typeof analyseSheet>];
}) {
  const c = compareSheets(a, b);
  const plain = (t: string) => t.replace(/\{(\w+)\}/g, '…');
  return (
    <div className="mt-5 grid gap-x-10 gap-y-6 xl:grid-cols-2">
      <div>
        {isSame(c) && <p className="pb-2 text-[17px]">The two are the same.</p>}
        {c.whole.length > 0 && (
          <>
            <h3 className="text-[16px]">The whole</h3>
            <DifferenceList differences={c.whole} none="" />
          </>
        )}
        {c.parts.map((p) => (
          <div key={p.name} className="mt-2">
            <h3 className="text-[16px]">{p.name}</h3>
            <DifferenceList differences={p.lines} all none="no lines" />
          </div>
        ))}
      </div>
      <div>
        <h3 className="text-[16px]">Figures</h3>
        <FigurePairs pairs={compareFigures(analyses[0], analyses[1])} all />
        <h3 className="mt-5 text-[16px]">Steps</h3>
        <DifferenceList differences={c.steps.map((d) => ({ ...d, before: plain(d.before), after: plain(d.after) }))} none="The method is the same." />
      </div>
    </div>
  );
}
