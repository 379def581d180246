/** The largest zip of a kitchen that is read, bytes. */
export const MOST_BYTES = 500_000_000;
/** In pieces of so many bytes it is sent: well under what one request may bring through the guard. */
export const PIECE_BYTES = 4_000_000;
