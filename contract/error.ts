import * as z from 'zod';
import { rangeFact } from './number';

/** Every refusal the server sends. */
export const errorBody = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    issues: z.array(
      z.object({
        path: z.string(),
        message: z.string(),
        /** What kind of trouble, its sentence with names in braces, and its numbers. */
        code: z.string().optional(),
        text: z.string().optional(),
        values: z.record(z.string(), z.union([z.number(), z.string()])).optional(),
      }),
    ),
  }),
});
export type ErrorBody = z.infer<typeof errorBody>;

/** What the kinds of JSON are called. */
const kinds: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list of as many numbers as it takes',
  object: 'an object',
  record: 'an object',
};

/** Zod's own words for a wrong kind, in ours; words of the schema's own stay. */
function kindInWords(message: string): string {
  const [, expected, received] =
    /^Invalid input: expected (\w+), received (\w+)$/.exec(message) ?? [];
  if (expected === undefined) return message;
  const wanted = kinds[expected] ?? expected;
  return received === 'undefined' ? `It is missing; it is ${wanted}.` : `It should be ${wanted}.`;
}

/** Turns Zod's findings into the form of {@link ErrorBody}: unknown fields are named in the path. */
export function issuesOf(error: z.ZodError): ErrorBody['error']['issues'] {
  return error.issues.flatMap((issue) => {
    const path = issue.path.map(String).join('.');
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({
        path: path ? `${path}.${key}` : key,
        message: `There is no field called “${key}” here.`,
      }));
    }
    if (issue.code === 'invalid_union') {
      return [
        {
          path,
          message:
            issue.message === 'Invalid input' ? 'None of the forms this may take.' : issue.message,
        },
      ];
    }
    return [{ path, message: kindInWords(issue.message), ...rangeFact(issue.message) }];
  });
}
