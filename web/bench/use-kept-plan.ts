import type { PlanRecord } from '../../contract/records';
import { useList } from '../ground/records';

/** What of a plan is moved while one works: where the dials stand, and what is ticked off. */
export type PlanMoves = Pick<PlanRecord, 'settings' | 'ticks'>;

/** The rest of it. When it was last stored is nothing a screen shows. */
export type PlanChoices = Omit<PlanRecord, keyof PlanMoves | 'version' | 'updatedAt'>;

/** A plan with a finish. */
export type TakenPlan = PlanChoices & PlanMoves & { readonly finish: string };

function choicesOf([plan]: PlanRecord[]): PlanChoices | null {
  if (!plan) return null;
  const {
    settings: _settings,
    ticks: _ticks,
    version: _version,
    updatedAt: _at,
    ...choices
  } = plan;
  return choices;
}

const movesOf = ([plan]: PlanRecord[]): PlanMoves | null =>
  plan ? { settings: plan.settings, ticks: plan.ticks } : null;

/**
 * The plan of an edge in two halves, each the same object until something in it changes: turning a
 * dial must not make anew what follows from the choices, nor an answer of the server anything.
 */
export function useKeptPlan(edgeId: string) {
  const choices = useList('plans', { edgeId }, choicesOf);
  const moves = useList('plans', { edgeId }, movesOf);
  return {
    choices: choices.data ?? undefined,
    moves: moves.data ?? undefined,
    error: choices.error,
  };
}
