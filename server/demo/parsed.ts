import type * as z from 'zod';

/** Demo records read through their schema, so that what they leave out starts as it would for a person. */
export function parsed<T extends z.ZodType>(
  schema: T,
  records: Readonly<Record<string, z.input<T>>>,
): Record<string, z.output<T>> {
  return Object.fromEntries(
    Object.entries(records).map(([id, record]) => [id, schema.parse(record)]),
  );
}
