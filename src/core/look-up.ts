/**
 * What a table has under a word that somebody wrote; undefined where it has nothing. A table in the plain form also answers to words that
 * every object knows ('constructor', '__proto__'): a recipe that holds one must read like any other.
 */
export const lookUp = <T>(table: Readonly<Record<string, T>>, word: string): T | undefined => (Object.hasOwn(table, word) ? table[word] : undefined);
