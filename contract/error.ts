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
    return [{ path, message: issue.message, ...rangeFact(issue.message) }];
  });
}
