/** What the server says with the answer that every page asks for: in which units the kitchen is shown. */
export const UNITS_HEADER = 'x-kitchen-units';
