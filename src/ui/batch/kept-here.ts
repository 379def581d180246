/** What a tablet keeps of a batch until the server has it, by the batch's id behind these. */

/** Done here and not yet confirmed. */
export const KEPT_EVENTS = 'soft-peak:events:';
/** Measured here and not yet sent. */
export const KEPT_TEMPERATURES = 'soft-peak:temperatures:';
/** Measured here and taken by the server. */
export const TOLD_TEMPERATURES = 'soft-peak:told-temperatures:';
