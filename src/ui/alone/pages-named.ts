import { z } from 'zod';

/** Pages that a tablet keeps, each with what a cook calls it; as the server names them and as the tablet notes them. */
export const PagesSchema = z.array(z.object({ href: z.string().startsWith('/'), name: z.string() }));
export type NamedPage = z.infer<typeof PagesSchema>[number];
