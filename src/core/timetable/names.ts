import type { Sheet } from '../document/schema';
import type { Service, Serving } from './service-schema';

/** What stands for a serving among its tasks. */
export const SERVED = 'served';

export const servedTask = (servingId: string): string => `${servingId}/${SERVED}`;
export const taskId = (servingId: string, key: string): string => `${servingId}/${key}`;
export const gapKey = (from: string, to: string): string => `${from}>${to}`;

/** What a serving is called where several are of one sheet. */
export function dishName(service: Service, sheets: ReadonlyMap<string, Sheet>, serving: Serving): string {
  const name = sheets.get(serving.sheetId)?.name ?? 'A sheet that is gone';
  const same = service.servings.filter((s) => s.sheetId === serving.sheetId);
  if (same.length === 1) return name;
  const days = new Set(same.map((s) => s.at.slice(0, 10)));
  return `${name}, ${days.size > 1 ? `${serving.at.slice(8, 10)}.${serving.at.slice(5, 7)}. ` : ''}${serving.at.slice(11)}`;
}
