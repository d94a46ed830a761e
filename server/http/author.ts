import type { Request } from 'express';
import { personHeader, tabHeader } from '../../contract/headers';
import { madeUpName } from '../../contract/person';
import { Refusal } from './refusal';

/** Who makes a change, and in which tab; empty where nothing is said. */
export interface Author {
  readonly person: string;
  readonly tab: string;
}

export const nobody: Author = { person: '', tab: '' };

/** @throws Refusal 400 at a name that is none */
function nameIn(request: Request, header: string): string {
  const given = request.headers[header];
  if (given === undefined) return '';
  const parsed = madeUpName.safeParse(given);
  if (parsed.success) return parsed.data;
  const message = 'A person or a tab is named by up to 64 letters, digits and hyphens.';
  throw new Refusal(400, 'invalid-request', message, [{ path: header, message }]);
}

/** Who asks, as their browser calls itself. @throws Refusal 400 at a name that is none */
export function authorOf(request: Request): Author {
  return { person: nameIn(request, personHeader), tab: nameIn(request, tabHeader) };
}

/** Whose turn a request takes: its tab's, or its connection's where no tab is named. */
export function clientOf(request: Request): string {
  const { person, tab } = authorOf(request);
  return tab || person || `${request.socket.remoteAddress}:${request.socket.remotePort}`;
}
