import type { Computation } from '../compute/computations';
import type { InnerSum } from '../compute/inner-sums';

/** What a thread is asked for: an answer to be sent, as JSON, or a sum of the server's own. */
export type Asked =
  | { readonly name: Computation; readonly body: unknown }
  | { readonly inner: InnerSum; readonly given: unknown };
