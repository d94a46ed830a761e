import { genericCloths } from '../cloth/generic-cloths';
import { uncut } from '../edge/state';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import { newPlan, plainWish } from '../plan/new-plan';
import type { Garment, GarmentKind } from './garment';
import { plainGarment } from './garment';
import { afterCuttingOut, usualGarment } from './kinds';
import type { GarmentPlan, GarmentRecords } from './of-records';

/** A cloth, a kit with one machine of each kind, and a garment of a kind as the app begins it. */
export function garmentOf(
  kind: GarmentKind,
  cloth = 'jersey',
): { readonly records: GarmentRecords; readonly garment: Garment } {
  const usual = usualGarment(kind);
  const found = genericCloths.find(({ id }) => id === cloth);
  if (!found) throw new Error(`There is no cloth “${cloth}”.`);
  const { id, name, fibre, face: _face, nap: _nap, press: _press, ...properties } = found;
  const machines = Object.entries(genericMachines).map(([machine, specs]) => ({
    id: machine,
    name: machine,
    specs,
  }));
  const feet = genericFeet.map((foot) => ({ ...foot, id: foot.id }));
  const plan = (edgeId: string): GarmentPlan => ({
    ...newPlan(properties),
    ...plainWish,
    ...{ edgeId, finish: null, machineId: 'lockstitch', footId: feet[0]!.id },
    ...{ stripClothId: null, attachmentId: null, placing: null, schools: {}, ticks: [] },
  });
  const meets = usual.meets.map(([edgeId, seamId, edge]) => ({ edgeId, seamId, edge }));
  return {
    records: {
      edges: usual.edges.map(({ key, name: edgeName, edge }) => ({
        ...{ ...uncut, ...edge, id: key, name: edgeName, clothId: id, crossings: [] },
      })),
      plans: usual.edges.map(({ key }) => plan(key)),
      cloths: [{ ...{ id, name, fibre, properties }, widthMm: 1500, lengthLeftMm: 3000 }],
      ...{ machines, feet, ways: {}, meets },
    },
    garment: {
      ...plainGarment,
      ...{ kind, pieces: usual.pieces },
      meets,
      before: afterCuttingOut(kind).map((id) => ['own/cut-out', `own/${id}`] as const),
      own: usual.own.map(({ before, after, ...task }) => ({
        ...task,
        beforeEdges: before ?? usual.edges.map(({ key }) => key),
        afterEdges: after ?? [],
      })),
    },
  };
}
