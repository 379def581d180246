'use client';

import { useMemo, type ReactNode } from 'react';
import { applyTellEdit } from '../../../../core/tells/apply';
import { sheetTells } from '../../../../core/tells/sheet-tells';
import type { Tell, TellEdit } from '../../../../core/tells/tell';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { QuantityField } from '../../../../ui/quantity-field';
import { TellRow } from '../../../../ui/tell-list';
import { BenchPages } from '../bench-pages';
import { DrinkOut } from './drink-out';
import { FrozenFigures } from './frozen-figures';
import { HeatFields, HeatOfParts } from './heat-of-parts';
import { HoldTable } from './hold-table';
import { PartsTable } from './parts-table';
import { SetterSchools } from './setter-schools';
import { WineForEither } from './wine-for-either';

/** Which tells belong to which section, by how their keys begin. */
const BELONGS: readonly (readonly [section: string, keys: readonly string[]])[] = [
  ['meet', ['fold:', 'mix:', 'ganache:', 'ice-bath:']],
  ['heat', ['egg:', 'raw-egg', 'syrup:', 'reduce:']],
  ['set', ['gelatin', 'temper:', 'setter:', 'set-time']],
  ['frozen', ['knife', 'ice', 'solids']],
  ['drink', ['alcohol', 'caffeine']],
  ['syllabub', ['syllabub']],
  ['hold', ['hold', 'counter']],
  ['air', ['fold-keeps:', 'air']],
];
const sectionOf = (t: Tell): string =>
  BELONGS.find(([, keys]) => keys.some((k) => (k.endsWith(':') ? t.key.startsWith(k) : t.key === k || t.key.startsWith(`${k}:`))))?.[0] ?? 'formula';

/** What it will be like: every judgement of a sheet with what it rests on, and the temperatures and hours that the cook can set. */
export function FiguresDesk() {
  const { id, doc, edit, context, kitchen } = useSheet();
  const analysis = useAnalysis();
  const tells = useMemo(() => sheetTells(analysis, kitchen), [analysis, kitchen]);
  const apply = (change: TellEdit) => edit(`tell:${change.kind}`, (d) => applyTellEdit(d, change, context, freshId));
  const of = (section: string): readonly Tell[] => tells.filter((t) => sectionOf(t) === section);
  const partNames = doc.parts.map((p) => p.name);
  const rows = (section: string) => <Rows tells={of(section)} partNames={partNames} onEdit={apply} />;
  return (
    <SheetFrame station="Bench">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <BenchPages sheetId={id} here="figures" />
      </div>
      {analysis.mixture.massG <= 0 ? (
        <p className="px-4 py-8 text-[17px] md:px-6">There is nothing to judge yet: type the first line on Bench.</p>
      ) : (
        // Sections flow from column to column, so that neither stands half empty.
        <div className="px-4 pb-8 [column-rule:1px_solid_var(--color-steel)] md:px-6 lg:columns-2 lg:gap-x-12">
          <Section name="Part by part">
            <PartsTable analysis={analysis} />
          </Section>
          {of('meet').length > 0 && (
            <Section name="When parts meet">
              <HeatOfParts analysis={analysis} />
              {rows('meet')}
            </Section>
          )}
          {of('heat').length > 0 && (
            <Section name="Eggs, heat and syrup">
              <HeatFields analysis={analysis} />
              {rows('heat')}
            </Section>
          )}
          {doc.family === 'semifreddo' && (
            <Section name="Frozen">
              <FrozenFigures analysis={analysis} />
              {rows('frozen')}
            </Section>
          )}
          {of('syllabub').length > 0 && (
            <Section name="Whole or parted">
              {rows('syllabub')}
              <WineForEither analysis={analysis} />
            </Section>
          )}
          {of('set').length > 0 && (
            <Section name="Setting">
              {rows('set')}
              <SetterSchools analysis={analysis} />
            </Section>
          )}
          {of('air').length > 0 && <Section name="Air and folding">{rows('air')}</Section>}
          <Section name="Hold">
            <div className="max-w-[220px] pb-2">
              <QuantityField
                label="Served so long after it is finished"
                unit="h"
                value={doc.servedAfterH}
                min={0}
                max={2400}
                onChange={(servedAfterH) => edit('served-after', (d) => ({ ...d, servedAfterH }))}
              />
            </div>
            <HoldTable analysis={analysis} />
            {rows('hold')}
          </Section>
          {of('drink').length > 0 && (
            <Section name="Alcohol and caffeine">
              {rows('drink')}
              <DrinkOut analysis={analysis} />
            </Section>
          )}
          <Section name="The rest">{rows('formula')}</Section>
        </div>
      )}
    </SheetFrame>
  );
}

function Section({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <section aria-label={name} className="break-inside-avoid pt-5">
      <h2 className="pb-1.5 text-[17px]">{name}</h2>
      {children}
    </section>
  );
}

function Rows({
  tells,
  partNames,
  onEdit,
}: {
  readonly tells: readonly Tell[];
  readonly partNames: readonly string[];
  readonly onEdit: (edit: TellEdit) => void;
}) {
  return (
    <ul>
      {tells.map((t) => (
        <TellRow key={t.key} tell={t} partNames={partNames} onEdit={onEdit} said />
      ))}
    </ul>
  );
}
