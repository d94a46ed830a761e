import type * as z from 'zod';
import type { garmentRequest } from '../../contract/garment';
import { edgeRing } from '../../core/garment/edge-ring';
import { plainGarment } from '../../core/garment/garment';
import { ownTaskId } from '../../core/garment/garment-task';
import { afterCuttingOut, usualGarment } from '../../core/garment/kinds';
import { Impossible, refusal, type Issue } from '../../core/impossible';
import type { ProjectDraft } from '../../contract/records';
import { createEdge } from './edges';
import { pointedAt } from './sewing-plan';
import type { Change, Created } from './change';

/**
 * Makes a project of a known kind, with its edges and seams as they usually are; one change.
 *
 * @throws Refusal 409 when the drawer holds no machine or no foot, 400 without the cloth
 */
export async function createGarment(
  change: Change,
  { kind, name, note, clothId }: z.infer<typeof garmentRequest>,
): Promise<Created<'projects'>> {
  await pointedAt(change, 'cloths', clothId, 'clothId');
  const usual = usualGarment(kind);
  const bare: ProjectDraft = { name, note, garment: null };
  const project = await change.create('projects', bare);
  const ids = new Map<string, string>();
  for (const { key, name: edgeName, on, edge } of usual.edges) {
    const { row } = await createEdge(change, {
      ...edge,
      ...{ projectId: project.id, name: edgeName, on, clothId },
      ...{ crossings: [], forChild: false, spareMm: null },
    });
    ids.set(key, row.id);
  }
  const idsOf = (keys: readonly string[]) => keys.flatMap((key) => ids.get(key) ?? []);
  const garment: ProjectDraft['garment'] = {
    ...{ kind, pieces: usual.pieces.map((piece) => ({ ...piece })) },
    meets: usual.meets.map(([edge, seam, when]) => ({
      ...{ edgeId: ids.get(edge) ?? '', seamId: ids.get(seam) ?? '', edge: when },
    })),
    own: usual.own.map(({ before, after, ...task }) => ({
      ...task,
      beforeEdges: before ? idsOf(before) : [...ids.values()],
      afterEdges: after ? idsOf(after) : [],
    })),
    before: afterCuttingOut(kind).map((id): [string, string] => [
      ...([ownTaskId('cut-out'), ownTaskId(id)] as const),
    ]),
    ...{ sequence: null, done: [], ready: [], evenings: null },
  };
  const row = await change.update('projects', project.id, project.version, { garment });
  return { row, existed: false };
}

/** A wish, or a tick, for a step of an edge that is gone is no fault; an edge of elsewhere is. */
export async function checkGarment(
  change: Change,
  { id, garment }: ProjectDraft & { readonly id?: string },
): Promise<void> {
  if (!garment) return;
  const before = (id && (await change.find('projects', id))?.garment) || plainGarment;
  // What was kept for an edge that has gone since may stay; undo may bring it back.
  const known = new Set(before.meets.flatMap(({ edgeId, seamId }) => [edgeId, seamId]));
  const edges = id ? await change.list('edges', { projectId: id }) : [];
  const issues: Issue[] = [];
  const mustBeHere = (edgeId: string, path: string) => {
    if (edges.some((edge) => edge.id === edgeId) || known.has(edgeId)) return;
    issues.push(
      refusal(path, 'no-such-edge', 'This project has no edge with the id “{id}”.', { id: edgeId }),
    );
  };
  garment.meets.forEach(({ edgeId, seamId }, i) => {
    mustBeHere(edgeId, `garment.meets.${i}.edgeId`);
    mustBeHere(seamId, `garment.meets.${i}.seamId`);
    const seam = edges.find((edge) => edge.id === seamId);
    if (seam && seam.purpose !== 'seam') {
      issues.push(
        refusal(`garment.meets.${i}.seamId`, 'no-seam', '“{name}” is no seam.', {
          name: seam.name,
        }),
      );
    }
  });
  const ring = issues.length === 0 ? edgeRing(garment) : null;
  if (ring) {
    const names = new Map([
      ...edges.map((edge) => [edge.id, edge.name] as const),
      ...garment.own.map((own) => [ownTaskId(own.id), own.text] as const),
    ]);
    const said = ring.map((one) => names.get(one) ?? one).join(' before ');
    issues.push(
      refusal('garment', 'ring', 'This order goes round in a ring: {ring}.', { ring: said }),
    );
  }
  if (issues.length > 0) throw new Impossible(issues);
}
