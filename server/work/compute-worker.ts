import { computations, type Computation } from '../compute/computations';
import { innerSums, type InnerSum } from '../compute/inner-sums';
import { told, type Told } from './told-refusal';

/** What a thread is asked for: an answer to be sent, as JSON, or a sum of the server's own. */
export type Asked =
  | { readonly name: Computation; readonly body: unknown }
  | { readonly inner: InnerSum; readonly given: unknown };

/** A thread's whole life: one sum after another. */
export default function compute(asked: Asked): Promise<Told<unknown>> {
  return told(() =>
    'inner' in asked
      ? innerSums[asked.inner](asked.given as never)
      : JSON.stringify(computations[asked.name](asked.body)),
  );
}
