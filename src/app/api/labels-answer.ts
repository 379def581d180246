import { isLabelGrid } from '../../core/files/label-sizes';
import type { TubLabel } from '../../core/files/tub-label';
import { tubLabelPdf } from '../../core/files/tub-label-pdf';
import { fileName } from '../../core/files/written';
import type { Result } from '../../core/result';
import { refuse } from './answers';

const MOST_SKIPPED = 200;

/** Labels as PDF on the paper that the address asks for: ?grid=a4-21&skip=0. */
export async function labelsAnswer(query: URLSearchParams, read: () => Result<readonly TubLabel[]>): Promise<Response> {
  const grid = query.get('grid') ?? 'a4-21';
  const skip = Number(query.get('skip') ?? '0');
  if (!isLabelGrid(grid)) return refuse(422, 'There are labels of A4 with 21 or 14, Letter with 10, and on a roll of 62 mm.');
  if (!Number.isInteger(skip) || skip < 0 || skip > MOST_SKIPPED) return refuse(422, 'Places that are used up are a whole number.');
  const labels = read();
  if (!labels.ok) return refuse(labels.fault.code === 'gone' ? 404 : 422, labels.fault.says);
  const pdf = await tubLabelPdf(labels.value, grid, skip);
  return new Response(Buffer.from(pdf), { headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${fileName('labels', 'pdf')}"` } });
}
