/** A file that was written, and what its format has no place for. */
export interface WrittenFile {
  readonly name: string;
  readonly mime: string;
  readonly text: string;
  /** In words, for the cook; empty where nothing is lost. */
  readonly cannot: readonly string[];
}

/** A name that every machine takes. */
export const fileName = (sheetName: string, ending: string): string =>
  `${
    sheetName
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'sheet'
  }.${ending}`;
