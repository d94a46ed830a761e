import * as z from 'zod';

/** A name that a browser or a tab made up for itself. */
export const madeUpName = z.string().regex(/^[A-Za-z0-9-]{1,64}$/);
