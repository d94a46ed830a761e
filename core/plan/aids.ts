import type { WorkAids } from '../finish/sewing-plan';
import type { FootKind } from '../kit/foot-kind';

const binders: readonly FootKind[] = ['binder', 'binder-attachment'];

/** What steadies the work, by the foot that is on and the ways that were chosen. */
export function workAids(foot: FootKind, schools: Readonly<Record<string, string>>): WorkAids {
  return {
    press: schools['crease'] === 'template' ? 'template' : 'crease',
    wrap: binders.includes(foot) ? 'binder' : 'hand',
  };
}
