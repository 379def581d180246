import type { SheetAnalysis } from '../../core/analysis/analysed';
import { cutLayers } from '../../core/tin/cut-layers';
import { Cut } from '../cut';

/** The cut of a sheet as it stands. */
export function SheetCut({ analysis, small = false }: { readonly analysis: SheetAnalysis; readonly small?: boolean }) {
  const { sheet, fillMm } = analysis;
  return <Cut vessel={sheet.vessel} layers={cutLayers(analysis)} overflows={!fillMm.ok && fillMm.fault.code === 'overflows'} small={small} />;
}
