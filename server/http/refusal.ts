import type * as z from 'zod';
import { issuesOf, type ErrorBody } from '../../contract/error';

/** A request that is turned down, with the status and the words it is turned down with. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly issues: ErrorBody['error']['issues'] = [],
  ) {
    super(message);
    this.name = 'Refusal';
  }
}

export const notFound = (what: string, id: string) =>
  new Refusal(404, 'not-found', `There is no ${what} with the id “${id.slice(0, 80)}”.`);

/**
 * Reads a body by its schema.
 *
 * @throws Refusal 400 that names each wrong field
 */
export function parseBody<T extends z.ZodType>(schema: T, body: unknown): z.output<T> {
  if (body === undefined) {
    throw new Refusal(
      400,
      'no-body',
      'Send a JSON body, with the header Content-Type: application/json.',
    );
  }
  const result = schema.safeParse(body);
  if (result.success) return result.data;
  const issues = issuesOf(result.error);
  const [first] = issues;
  const message = first?.path
    ? `${first.path}: ${first.message}`
    : (first?.message ?? 'Not understood.');
  throw new Refusal(400, 'invalid-request', message, issues);
}
