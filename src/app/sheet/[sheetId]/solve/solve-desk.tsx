'use client';

import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { BenchPages } from '../bench-pages';
import { BlendSources } from './blend-sources';
import { SolveFor } from './solve-for';
import { WhatIf } from './what-if';

/** Solve for what is wished, watch what moves, blend what is on hand. */
export function SolveDesk() {
  const { id } = useSheet();
  const analysis = useAnalysis();
  const empty = analysis.mixture.massG <= 0;
  return (
    <SheetFrame station="Bench">
      <div className="px-4 pt-2 pb-10 md:px-6">
        <BenchPages sheetId={id} here="solve" />
        {empty ? (
          <p className="py-8 text-[17px]">There is nothing to solve yet: type the first line on Bench.</p>
        ) : (
          <>
            <SolveFor analysis={analysis} />
            <WhatIf analysis={analysis} />
            <BlendSources analysis={analysis} />
          </>
        )}
      </div>
    </SheetFrame>
  );
}
