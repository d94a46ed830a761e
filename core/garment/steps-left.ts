import { edgeTasks } from './edge-tasks';
import { plannedEdges, type GarmentRecords } from './of-records';

/** How far the work on an edge has come. */
export interface StepsLeft {
  readonly edgeId: string;
  readonly steps: number;
  readonly left: number;
  /** Of the steps that are left, at the usual pace and without what is changed between them. */
  readonly minutes: number;
}

/** How far the work on each edge has come; an edge without a finish, or one that can't be worked so, has none. */
export function stepsLeft(records: GarmentRecords): StepsLeft[] {
  const taken = records.plans.filter(({ finish }) => finish !== null);
  const edges = records.edges.filter(({ id }) => taken.some(({ edgeId }) => edgeId === id));
  return plannedEdges({ ...records, edges }).planned.map(({ edge, work }) => {
    const { tasks } = edgeTasks(work);
    const left = tasks.filter(({ done }) => !done);
    return {
      edgeId: edge.id,
      steps: tasks.length,
      left: left.length,
      minutes: left.reduce((sum, { minutes }) => sum + minutes, 0),
    };
  });
}
