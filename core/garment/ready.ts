import { foldsAsSewn } from '../finish/as-sewn';
import type { FoldPlan } from '../finish/fold-plan';
import { foldPlanOf } from '../plan/fold-plan';
import { stripAlong, type StripAlong } from '../plan/strip-along';
import { cutStrip } from '../strip/cut';
import { usualJoinSeamMm } from '../strip/needed';
import { Impossible } from '../impossible';
import type { NeedlePoint } from '../kit/needle';
import type { ThreadUse } from '../kit/thread';
import type { GarmentTask } from './garment-task';
import { threadOf, type PlannedEdge } from './of-records';

/** Kinds of things one lays out before the work. */
export const readyKinds = ['machine', 'foot', 'needle', 'thread', 'strip', 'aid'] as const;
export type ReadyKind = (typeof readyKinds)[number];

/** Aids that steps ask for. */
export const aids = ['starch', 'chalk', 'pins', 'iron', 'pressing-cloth'] as const;
export type Aid = (typeof aids)[number];

/** A thing to have ready. */
export interface ReadyThing {
  /** Stable while the work stays the same, to be ticked. */
  readonly id: string;
  readonly kind: ReadyKind;
  readonly name: string;
  /** Names of the edges it is for. */
  readonly edges: readonly string[];
  /** Whether drawer and shelf hold it; null where nobody keeps count of such. */
  readonly there: boolean | null;
  /** How much of a strip is needed, and how wide, mm. */
  readonly lengthMm?: number;
  readonly widthMm?: number;
}

/** What the drawer holds. */
export interface Drawer {
  readonly machines: readonly { readonly id: string; readonly name: string }[];
  readonly feet: readonly { readonly name: string }[];
  readonly needles: readonly { readonly size: number; readonly point: NeedlePoint }[];
  readonly threads: readonly { readonly use: ThreadUse }[];
}

/** Steps that ask for an aid, by caution or by a word in their id or text. */
const aidOf: Readonly<Record<Aid, (task: GarmentTask) => boolean>> = {
  starch: ({ cautions, text }) => cautions.includes('starch') || /\bstarch/i.test(text),
  chalk: ({ text }) => /\b(mark|chalk|draw)\b/i.test(text),
  pins: ({ cautions, text }) => cautions.includes('pins') || /\bpin(s|ned)?\b/i.test(text),
  iron: ({ place }) => place === 'iron',
  'pressing-cloth': ({ cautions }) => cautions.includes('shine'),
};

type Found = Omit<ReadyThing, 'edges'> & { readonly edge: string };

function atMachines(tasks: readonly GarmentTask[], drawer: Drawer): Found[] {
  return tasks.flatMap(({ place, state, edgeName }): Found[] => {
    if (!state || edgeName === null) return [];
    const machine = drawer.machines.find(({ id }) => id === place);
    const { foot, needle } = state;
    const [size, point] = (needle ?? '').split('-');
    const thing = (kind: ReadyKind, name: string, there: boolean | null): Found => ({
      ...{ id: `${kind} ${name}`, kind, name, there, edge: edgeName },
    });
    return [
      thing('machine', machine?.name ?? place.replace(/^missing /, ''), machine !== undefined),
      ...(foot
        ? foot.split(' + ').map((name) =>
            thing(
              'foot',
              name,
              drawer.feet.some((it) => it.name === name),
            ),
          )
        : []),
      ...(needle
        ? [
            thing(
              'needle',
              needle,
              drawer.needles.some((it) => it.size === Number(size) && it.point === point),
            ),
          ]
        : []),
    ];
  });
}

/** Whether what is left of a cloth gives a strip; null where nobody measured what is left. */
function givesStrip(
  { widthMm, lengthLeftMm }: PlannedEdge['cloth'],
  { widthMm: stripMm, cutting }: NonNullable<FoldPlan['strip']>,
  { neededMm, ends }: StripAlong,
): boolean | null {
  if (lengthLeftMm === null) return null;
  // What is sold as a strip is as wide as it is.
  if (cutting === 'none') return lengthLeftMm >= neededMm;
  if (widthMm === null) return null;
  try {
    const way = cutting === 'bias' ? 'bias' : 'across';
    const clothMm = [widthMm, lengthLeftMm] as const;
    return cutStrip({ way, clothMm, stripMm, neededMm, ends, seamMm: usualJoinSeamMm }).enough;
  } catch (error) {
    if (error instanceof Impossible) return false;
    throw error;
  }
}

/** A strip that has to be there, and whether its cloth still gives it. */
function stripOf({ edge, plan, finish, request, cloth, strip }: PlannedEdge): Found[] {
  try {
    const folds = foldPlanOf(finish, foldsAsSewn(request));
    if (!folds.strip) return [];
    const from = strip ?? cloth;
    const along = stripAlong(edge, { ...plan, schools: request.schools });
    return [
      {
        ...{ id: `strip ${edge.id}`, kind: 'strip', name: from.name, edge: edge.name },
        there: givesStrip(from, folds.strip, along),
        ...{ lengthMm: along.neededMm, widthMm: folds.strip.widthMm },
      },
    ];
  } catch (error) {
    if (error instanceof Impossible) return [];
    throw error;
  }
}

/**
 * Everything a garment needs beside its cloth, each thing once, with the edges it is for and
 * whether drawer and shelf hold it.
 */
export function toHaveReady(
  tasks: readonly GarmentTask[],
  edges: readonly PlannedEdge[],
  drawer: Drawer,
): ReadyThing[] {
  const threads = edges.map(({ plan, cloth, edge }): Found => ({
    ...{ kind: 'thread', name: threadOf(plan, cloth), edge: edge.name },
    // Which spool matches which cloth is seen and not counted; a clear one is there or not.
    there: plan.thread === 'clear' ? drawer.threads.some(({ use }) => use === 'see-through') : null,
    id: `thread ${threadOf(plan, cloth)}`,
  }));
  const asked = aids.flatMap((aid) =>
    tasks
      .filter((task) => aidOf[aid](task))
      .map(({ edgeName }): Found => ({
        ...{ id: `aid ${aid}`, kind: 'aid', name: aid, there: null, edge: edgeName ?? '' },
      })),
  );
  const found = [...atMachines(tasks, drawer), ...threads, ...edges.flatMap(stripOf), ...asked];
  const byId = new Map<string, ReadyThing>();
  for (const { edge, ...thing } of found) {
    const known = byId.get(thing.id)?.edges ?? [];
    const more = edge === '' || known.includes(edge) ? known : [...known, edge];
    byId.set(thing.id, { ...thing, edges: more });
  }
  return [...byId.values()].sort((a, b) => readyKinds.indexOf(a.kind) - readyKinds.indexOf(b.kind));
}
