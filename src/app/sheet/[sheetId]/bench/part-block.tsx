'use client';

import { lazy, useState } from 'react';
import Link from 'next/link';
import { ChevronDown, ChevronUp, X } from 'lucide-react';
import { inSentence, plainNumber, withUnit } from '../../../../core/figure';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { addLine, moveLine, movePart, newLine, removeLine, removePart, setPart, setPartKind } from '../../../../core/editing/edits';
import { isWhippedKind, MAY_STAND_BESIDE, PART_KIND_NAMES, PART_KINDS, STANDS, STANDS_NAMES } from '../../../../core/document/kinds';
import { waysOfPart } from '../../../../core/ways/switch';
import { OpensPanel } from '../../../../ui/opens-panel';
import { railHatch } from '../../../../ui/part-look';
import { QuietChoice } from '../../../../ui/quiet-choice';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { AddLine } from './add-line';
import { focusLineOfPart } from './focus';
import { LineRow } from './line-row';
import { useSortableRows, type Drag } from '../../../../ui/kit/use-sortable-rows';

const WaysPanel = lazy(() => import('./ways-panel').then((m) => ({ default: m.WaysPanel })));

/** What the shares of the lines are counted in. */
export type ShareOf = 'part' | 'cream';

/** One part: its hatch, its name and ways, its lines and the next one. */
export function PartBlock({ analysis, at, shareOf }: { readonly analysis: PartAnalysis; readonly at: number; readonly shareOf: ShareOf }) {
  const { doc, edit, context } = useSheet();
  const { part, reading } = analysis;
  const stepOf = (stepId: string | null): string => {
    const n = doc.steps.findIndex((s) => s.id === stepId);
    return n < 0 ? '' : `${n + 1} ${doc.steps[n]!.short}`;
  };
  const { list, Sortable, wake } = useSortableRows();
  const ids = part.lines.map((l) => l.id);
  const wholeG = shareOf === 'part' ? reading.mixture.massG : reading.roleG.cream;
  const before = doc.parts.slice(0, at).reduce((sum, p) => sum + p.lines.length, 0);

  const move = (lineId: string, to: number) => {
    if (to < 0 || to >= ids.length) return;
    edit('move', (d) => moveLine(d, part.id, lineId, to));
    focusLineOfPart(list.current, to);
  };
  const insertAfter = (n: number) => {
    if (n < ids.length - 1) edit('add', (d) => addLine(d, part.id, newLine(freshId(), '', context), context, n + 1));
    focusLineOfPart(list.current, n + 1);
  };
  const remove = (lineId: string, n: number) => {
    edit('remove', (d) => removeLine(d, part.id, lineId, context));
    focusLineOfPart(list.current, n);
  };
  const row = (n: number, drag: Drag | null) => {
    const line = reading.lines[n];
    if (!line) return null;
    return (
      <LineRow
        key={line.line.id}
        drag={drag}
        reading={line}
        partId={part.id}
        at={before + n}
        sharePct={line.read && wholeG > 0 ? (100 * line.read.massG) / wholeG : null}
        step={stepOf(line.line.stepId)}
        onMove={(by) => move(line.line.id, n + by)}
        onNext={() => insertAfter(n)}
        onRemove={() => remove(line.line.id, n)}
        onAbandon={() => edit('add', (d) => removeLine(d, part.id, line.line.id, context))}
      />
    );
  };

  return (
    <section className="group/part grid grid-cols-[10px_minmax(0,1fr)] gap-x-3.5" aria-label={part.name} data-part={part.kind}>
      <div className="rounded-[2px]" style={{ background: railHatch(part.kind) }} aria-hidden="true" />
      <div className="min-w-0">
        <PartHead analysis={analysis} at={at} />
        <ol ref={list} aria-label={`Lines of ${part.name}`} onPointerOver={wake}>
          {Sortable ? (
            <Sortable id={`lines-${part.id}`} ids={ids} onMove={(lineId, to) => edit('move', (d) => moveLine(d, part.id, lineId, to))} row={row} />
          ) : (
            ids.map((_, n) => row(n, null))
          )}
        </ol>
        <AddLine
          partId={part.id}
          partName={part.name}
          empty={ids.length === 0}
          hint={isWhippedKind(part.kind) ? 'Start with the cream: 600 g cream 36 %' : 'Start with an amount and a name'}
          last={at === doc.parts.length - 1}
        />
      </div>
    </section>
  );
}

/** Ways whose name alone would say too little. */
const WAY_WORDS: Readonly<Record<string, (name: string) => string>> = {
  'first-portion': (name) => `${name} folded in first`,
  'custard-cooling': (name) => `cooled ${name}`,
  cooling: (name) => `cooled, ${name}`,
  'fruit-cooked': (name) => `fruit ${name}`,
  ganache: (name) => `melted ${name}`,
  stabilise: (name) => `stabilised with ${name}`,
};

function PartHead({ analysis, at }: { readonly analysis: PartAnalysis; readonly at: number }) {
  const { id, doc, edit, context } = useSheet();
  const { part, reading, mixer } = analysis;
  const ways = waysOfPart(part, context.larder);
  const said = ways
    .filter((w) => w.option.id !== 'as-written' && !['peak', 'sugar-moment', 'sugar-kind', 'bowl', 'gelatin-melt'].includes(w.question.key))
    .map((w) => WAY_WORDS[w.question.key]?.(w.option.name) ?? w.option.name);
  const left = analysis.leftShare < 0.995 && analysis.leftShare > 0.005 ? `, ${withUnit(plainNumber(analysis.leftG, 0), 'g')} left` : '';
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-0.5 pb-1">
      <NameField name={part.name} onName={(name) => edit(`part-name:${part.id}`, (d) => setPart(d, part.id, { name }, context))} />
      {isWhippedKind(part.kind) && (
        <Link
          href={`/sheet/${id}/whisk${at > 0 ? `?part=${part.id}` : ''}`}
          className="text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
        >
          whisked to {part.whisk.stage}, {mixer ? inSentence(mixer.name) : 'no mixer'}
        </Link>
      )}
      {ways.length > 0 && (
        <OpensPanel
          wide
          className="min-h-7 text-left text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
          label={`Ways of ${part.name}`}
          panelLabel={`Ways of ${part.name}`}
          face={said.length > 0 && !isWhippedKind(part.kind) ? said.slice(0, 2).join(', ') : 'ways'}
          panel={(close) => <WaysPanel partId={part.id} onDone={close} />}
        />
      )}
      <QuietChoice
        label={`Kind of ${part.name}`}
        value={part.kind}
        options={PART_KINDS.map((k) => [k, PART_KIND_NAMES[k]] as const)}
        onChange={(kind) => edit('part-kind', (d) => setPartKind(d, part.id, kind, context))}
        className="text-[14px] text-ink-soft"
      />
      {doc.parts.length > 1 && (part.stands === 'beside' || MAY_STAND_BESIDE.has(part.kind)) && (
        <QuietChoice
          label={`Where ${part.name} stands`}
          value={part.stands}
          options={STANDS.map((w) => [w, STANDS_NAMES[w]] as const)}
          onChange={(stands) => edit('part-stands', (d) => setPart(d, part.id, { stands }, context))}
          className={`text-[14px] text-ink-soft ${part.stands === 'in' ? 'sm:pointer-fine:hidden sm:pointer-fine:group-focus-within/part:inline' : ''}`}
        />
      )}
      <span className="ml-auto flex items-baseline gap-2">
        {doc.parts.length > 1 && (
          <span className="flex self-center sm:opacity-0 sm:group-focus-within/part:opacity-100 sm:group-hover/part:opacity-100 pointer-coarse:opacity-100">
            <IconButton label={`Move ${part.name} up`} disabled={at === 0} onClick={() => edit('move-part', (d) => movePart(d, part.id, at - 1, context))}>
              <ChevronUp size={16} />
            </IconButton>
            <IconButton
              label={`Move ${part.name} down`}
              disabled={at === doc.parts.length - 1}
              onClick={() => edit('move-part', (d) => movePart(d, part.id, at + 1, context))}
            >
              <ChevronDown size={16} />
            </IconButton>
            <IconButton label={`Take out ${part.name}`} onClick={() => edit('remove-part', (d) => removePart(d, part.id, context))}>
              <X size={16} />
            </IconButton>
          </span>
        )}
        <span className="fig text-[16px]">
          {plainNumber(reading.mixture.massG, 0)}&nbsp;g<span className="text-[13.5px] font-medium text-ink-soft">{left}</span>
        </span>
      </span>
    </div>
  );
}

function NameField({ name, onName }: { readonly name: string; readonly onName: (name: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <h2 className="text-[17px]">
      <input
        aria-label={`Name of the part ${name}`}
        value={draft ?? name}
        maxLength={120}
        onChange={(e) => {
          setDraft(e.target.value);
          if (e.target.value.trim()) onName(e.target.value.trim());
        }}
        onBlur={() => setDraft(null)}
        className="field-sizing-content -ml-1 max-w-[260px] min-w-16 truncate rounded-s border border-transparent bg-transparent px-1 hover:border-steel focus:border-steel focus:bg-paper"
      />
    </h2>
  );
}

function IconButton({
  label,
  disabled = false,
  onClick,
  children,
}: {
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      className="flex h-7 w-7 items-center justify-center text-ink-soft hover:text-ink disabled:opacity-35 pointer-coarse:h-11 pointer-coarse:w-9"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
