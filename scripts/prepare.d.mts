/** What TypeScript asks of prepare.mjs: only what tests use. */
export declare function buildAside(outfile?: string): Promise<void>;
