/** Names that the pages and the worker which keeps them for a tablet share. */

/** What the caches of pages begin with. */
export const PAGES = 'soft-peak-pages-';
/** @param build the name of a build: pages of one do not run with the files of another. */
export const pagesOf = (build: string): string => `${PAGES}${build}`;

/** The kind of message that asks to keep pages. */
export const KEEP_PAGES = 'keep-pages';

/** Shown where a page was never kept. */
export const NOT_KEPT = '/alone';

/** Where a tablet notes which pages it keeps and what they are called. */
export const KEPT_NAMES = 'soft-peak:kept-pages';

/** Whether an address is a page to be kept: no data, no door, no file. */
export const isPage = (pathname: string): boolean => !/^\/(?:api|enter|_next)(?:\/|$)/.test(pathname) && !/\.[a-z0-9]{2,12}$/i.test(pathname);
