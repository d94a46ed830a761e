import type { GarmentRecords } from '../../core/garment/of-records';
import { clothFromDescription } from '../../core/cloth/describe';
import type { RecordTable } from '../database/models';
import type { RowOf } from '../database/rows';

/** Whatever reads records: the store, or a change under way. */
interface Reads {
  list<T extends RecordTable>(table: T, where?: object): Promise<RowOf<T>[]>;
}

/** The records of some edges, as the sums over a garment take them. */
type Found = Omit<GarmentRecords, 'edges' | 'plans'> & {
  readonly edges: readonly RowOf<'edges'>[];
  readonly plans: readonly RowOf<'plans'>[];
};

/** Everything that the order of a project's work is worked out from. @param projectId null for all */
export async function garmentRecords(store: Reads, projectId: string | null): Promise<Found> {
  const [edges, cloths, machines, feet, preferences, plans, projects] = await Promise.all([
    store.list('edges', projectId === null ? {} : { projectId }),
    store.list('cloths'),
    store.list('machines'),
    store.list('feet'),
    store.list('preferences'),
    store.list('plans'),
    store.list('projects'),
  ]);
  const ids = new Set(edges.map(({ id }) => id));
  return {
    ...{ edges, machines, feet },
    plans: plans.filter(({ edgeId }) => ids.has(edgeId)),
    cloths: cloths.map((cloth) => ({
      ...cloth,
      properties: { construction: cloth.tests.construction, ...clothFromDescription(cloth) },
    })),
    ways: preferences[0]?.schools ?? {},
    meets: projects.flatMap(({ garment }) => garment?.meets ?? []),
  };
}
