/** Runs once, before the server answers anything. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ aside }, { countCopiesBy }] = await Promise.all([import('./aside/aside'), import('./data/copies')]);
  countCopiesBy((path) => aside().ask('holdings', { path }));
}
