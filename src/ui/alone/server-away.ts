/** Told to the window when something could not be sent: whoever watches over the server asks at once. */
export const SERVER_AWAY = 'soft-peak:server-away';

/** Says that the server did not answer. Does nothing where there is no window. */
export const sayServerAway = (): void => {
  if (typeof window !== 'undefined') window.dispatchEvent(new Event(SERVER_AWAY));
};
