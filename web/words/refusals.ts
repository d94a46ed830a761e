import type { Issue } from '../../core/impossible';
import { Impossible } from '../../core/impossible';
import { unitOnce } from '../../core/plain-fill';
import { ApiError } from '../ground/api';
import type { Lengths } from '../../core/measure/lengths';
import { capital } from './number';
import { fill } from '../../core/measure/fill';

/** An issue in the person's own unit, where it came as a fact; else as it was written. */
export function issueInWords({ text, values, message }: Issue, lengths: Lengths): string {
  return text === undefined ? message : capital(unitOnce(fill(text, values ?? {}, lengths)));
}

/** Why something was refused, whoever refused it, in the person's own unit. */
export function refusalInWords(error: unknown, lengths: Lengths): string {
  const [issue] = error instanceof ApiError || error instanceof Impossible ? error.issues : [];
  if (issue?.text !== undefined) return issueInWords(issue, lengths);
  return error instanceof Error ? error.message : String(error);
}

/** The first of some issues; a plain no where there is none to word. */
export const firstIssueInWords = (issues: readonly Issue[], lengths: Lengths): string =>
  issues[0] ? issueInWords(issues[0], lengths) : 'This can’t be.';
