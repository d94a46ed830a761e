import { computations, type Computation } from '../compute/computations';
import { told, type Told } from './told-refusal';

/** A thread's whole life: a body in, its answer out as the JSON that will be sent. */
export default function compute({
  name,
  body,
}: {
  readonly name: Computation;
  readonly body: unknown;
}): Promise<Told<string>> {
  return told(() => JSON.stringify(computations[name](body)));
}
