import { useLayoutEffect, useMemo } from 'react';
import type { AttemptRecord } from '../../contract/records';
import { waysInGarment } from '../../core/garment/in-garment';
import { finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import type { PlanRecords } from '../../core/plan/of-records';
import { useList, useRecord } from '../ground/records';
import type { KeptPart } from './bench';
import { footOn } from './foot-on';
import { propose } from './plan-change';
import { useKeptPlan, type PlanChoices, type PlanMoves } from './use-kept-plan';
import { useProposal } from './use-proposal';
import { useSewingPlan } from './use-sewing-plan';

/** The choices of a plan with a finish, without where its dials stand. */
export type Chosen = PlanChoices & { readonly finish: string };

/** What is kept of an edge, and what is sewn with it. */
export interface Kept extends KeptPart {
  /** The plan without its dials and ticks: the same object while one of them is turned. */
  readonly chosen: Chosen;
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly records: PlanRecords;
  readonly everyAttempt: readonly AttemptRecord[];
  /** This person's ways, where the plan says nothing. */
  readonly ways: Readonly<Record<string, string>>;
  readonly acceptedShare: number;
}

/** What the page shows while there is no bench to show. */
export type KeptState =
  | { readonly state: 'ready'; readonly kept: Kept }
  | { readonly state: 'loading' }
  | { readonly state: 'failed'; readonly error: Error };

/** How the dials of a proposal stand: they are solved, and nothing is ticked. */
const noMoves: PlanMoves = { settings: null, ticks: [] };
const noWays = {};
const noScraps: readonly AttemptRecord[] = [];

/** Loads an edge with everything its plan points at. */
export function useKept(edgeId: string): KeptState {
  const edge = useRecord('edges', edgeId);
  const own = useKeptPlan(edgeId);
  const stored = own.choices;
  const attempts = useList('attempts', stored ? { planId: stored.id } : null);
  const cloths = useList('cloths');
  const machines = useList('machines');
  const feet = useList('feet');
  const preferences = useRecord('preferences', 'mine');
  const project = useRecord('projects', edge.data?.projectId);

  const cloth = cloths.data?.find(({ id }) => id === edge.data?.clothId);
  const proposal = useProposal(stored, edge.data, cloth);
  useLayoutEffect(() => {
    if (stored) propose(stored.id, proposal ?? null);
  }, [stored, proposal]);
  // Where the dials stand is no part of what is chosen: a nudge must not make everything anew.
  const chosen = useMemo((): Chosen | undefined => {
    if (!stored || proposal === undefined) return undefined;
    const { settings: _none, ticks: _ticks, ...taking } = proposal ?? {};
    const whole = { ...stored, ...taking };
    return whole.finish === null ? undefined : { ...whole, finish: whole.finish };
  }, [stored, proposal]);
  const record = useMemo(
    () => chosen && own.moves && { ...chosen, ...(proposal ? noMoves : own.moves) },
    [chosen, own.moves, proposal],
  );
  const machine = machines.data?.find(({ id }) => id === chosen?.machineId);
  const chosenFoot = feet.data?.find(({ id }) => id === chosen?.footId);
  // A machine of loopers keeps its own foot on, whichever was chosen before.
  const foot = useMemo(
    () => chosenFoot && machine && footOn(machine, chosenFoot),
    [chosenFoot, machine],
  );
  const finish = chosen && finishById(chosen.finish);
  const strip = cloths.data?.find(({ id }) => id === chosen?.stripClothId) ?? null;
  const attachment = feet.data?.find(({ id }) => id === chosen?.attachmentId) ?? null;
  const { plan, records } = useSewingPlan({
    edge: edge.data,
    chosen,
    ...{ cloth, strip, machine, foot, attachment, finish },
  });
  // What was learned moves the dials: without the scraps they would be solved, shown, and solved anew.
  const isWaiting = attempts.isPending;
  const led = useMemo(() => foot && plan && { ...foot, specs: plan.foot }, [foot, plan]);
  const kept = useMemo((): Kept | null => {
    const of = edge.data;
    if (!of || !chosen || !record || !cloth || !machine || !led || !finish) return null;
    if (!plan || !records || isWaiting) return null;
    return {
      ...{ edge: of, chosen, record, cloth, machine, foot: led, attachment, strip },
      ...{ finish, plan, records },
      proposed: stored?.finish === null,
      everyAttempt: attempts.data ?? noScraps,
      ways: waysInGarment(
        preferences.data?.schools ?? noWays,
        project.data?.garment?.meets ?? [],
        of.id,
      ),
      acceptedShare: (preferences.data?.acceptedPercent ?? 2) / 100,
    };
  }, [
    edge.data,
    chosen,
    record,
    cloth,
    machine,
    led,
    attachment,
    strip,
    finish,
    plan,
    records,
    stored?.finish,
    isWaiting,
    attempts.data,
    preferences.data,
    project.data?.garment?.meets,
  ]);
  const error =
    edge.error ?? own.error ?? cloths.error ?? machines.error ?? feet.error ?? attempts.error;
  if (kept) return { state: 'ready', kept };
  return error ? { state: 'failed', error } : { state: 'loading' };
}
