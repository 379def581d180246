import { aside } from '../../aside/aside';
import type { LabelsQuestion } from '../../aside/questions';
import { isLabelGrid } from '../../core/files/label-sizes';
import { fileName } from '../../core/files/written';
import { dataFilePath } from '../../data/data-file-path';
import { refuse } from './answers';

const MOST_SKIPPED = 200;

/** Labels as PDF on the paper that the address asks for: ?grid=a4-21&skip=0. */
export async function labelsAnswer(query: URLSearchParams, of: LabelsQuestion['of']): Promise<Response> {
  const grid = query.get('grid') ?? 'a4-21';
  const skip = Number(query.get('skip') ?? '0');
  if (!isLabelGrid(grid)) return refuse(422, 'There are labels of A4 with 21 or 14, Letter with 10, and on a roll of 62 mm.');
  if (!Number.isInteger(skip) || skip < 0 || skip > MOST_SKIPPED) return refuse(422, 'Places that are used up are a whole number.');
  const pdf = await aside().ask('labels', { path: dataFilePath(), of, grid, skip, now: Date.now() });
  if (!pdf.ok) return refuse(pdf.fault.code === 'gone' ? 404 : 422, pdf.fault.says);
  return new Response(Buffer.from(pdf.value), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${fileName('labels', 'pdf')}"` },
  });
}
