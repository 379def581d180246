import { resolve } from 'node:path';

/** The data file's place: SOFT_PEAK_DATA, or data/soft-peak.db in the project's folder. */
export const dataFilePath = (): string => resolve(/*turbopackIgnore: true*/ process.env.SOFT_PEAK_DATA ?? 'data/soft-peak.db');
