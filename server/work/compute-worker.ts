import { computations } from '../compute/computations';
import { innerSums } from '../compute/inner-sums';
import type { Asked } from './asked';
import { told, type Told } from './told-refusal';

/** A thread's whole life: one sum after another. */
export default function compute(asked: Asked): Promise<Told<unknown>> {
  return told(() =>
    'inner' in asked
      ? innerSums[asked.inner](asked.given as never)
      : JSON.stringify(computations[asked.name](asked.body)),
  );
}
