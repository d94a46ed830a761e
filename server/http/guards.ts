import type { NextFunction, Request, Response } from 'express';
import { Refusal } from './refusal';
import { deepestNesting, isNestedDeeper, isWrittenDeeper } from './nesting';
import { zeroByteAt, zeroByteMessage } from './zero-bytes';

/** The names a loopback server goes by. */
export const loopbackNames = ['localhost', '127.0.0.1', '[::1]'];

function nameOf(hostHeader: string): string | null {
  // A host and perhaps a port, nothing else that an address may have.
  if (/[^\w.:[\]-]/.test(hostHeader)) return null;
  try {
    return new URL(`http://${hostHeader}`).hostname.toLowerCase();
  } catch {
    return null;
  }
}

/**
 * Refuses requests that were meant for, or come from, another site: a page elsewhere that has
 * its own name point at this machine could otherwise read and change the records.
 *
 * @param names what this server is called, in lower case
 * @param scheme by which it is reached
 */
export function refuseForeign(names: readonly string[], scheme: 'http' | 'https' = 'http') {
  const own = new Set(names);
  // A browser sends the same name each time; it is taken apart once.
  let last: string | undefined;
  return (request: Request, _response: Response, next: NextFunction) => {
    const named = request.headers.host ?? '';
    const asked = named === last ? null : nameOf(named);
    if (named !== last && (asked === null || !own.has(asked))) {
      throw new Refusal(
        403,
        'foreign-host',
        `This server is not called “${String(request.headers.host).slice(0, 80)}”. Open it by the address it printed.`,
      );
    }
    last = named;
    const { origin } = request.headers;
    if (origin !== undefined && origin !== `${scheme}://${request.headers.host}`) {
      throw new Refusal(
        403,
        'foreign-origin',
        `Requests from “${origin.slice(0, 80)}” are not accepted.`,
      );
    }
    next();
  };
}

/**
 * Refuses what another site's page asks for, reading included: an answer it can't see still costs
 * the work. Browsers say where a request comes from; what is no browser says nothing.
 */
export function refuseFromElsewhere(request: Request, _response: Response, next: NextFunction) {
  const site = request.headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') {
    throw new Refusal(403, 'foreign-origin', 'Requests from another site are not accepted.');
  }
  next();
}

/** Refuses bodies that are not JSON before anyone looks for fields in them. */
export function requireJson(request: Request, _response: Response, next: NextFunction) {
  const hasBody = request.headers['content-length'] !== '0' && request.is('*/*') !== null;
  if (hasBody && !request.is('application/json')) {
    throw new Refusal(
      415,
      'not-json',
      'Send JSON, with the header Content-Type: application/json.',
    );
  }
  next();
}

/** What is said of a body that goes deeper than anything here. */
export const nestingMessage = `What was sent is nested more than ${deepestNesting} deep; nothing here is.`;

/** Refuses a body nested deeper than anything here, before anyone goes down into it. */
function refuseDeepNesting(body: unknown): void {
  if (!isNestedDeeper(body, deepestNesting)) return;
  throw new Refusal(400, 'invalid-request', nestingMessage, [
    { path: '', message: nestingMessage },
  ]);
}

/** Refuses a body in JSON that goes deeper than anything here, before it is parsed. */
export function refuseWrittenDeep(_request: unknown, _response: unknown, body: Buffer): void {
  if (!isWrittenDeeper(body, deepestNesting)) return;
  throw new Refusal(400, 'invalid-request', nestingMessage, [
    { path: '', message: nestingMessage },
  ]);
}

/** Refuses zero bytes in the address and in the body before anyone looks for fields in them. */
export function refuseZeroBytes(request: Request, _response: Response, next: NextFunction) {
  refuseDeepNesting(request.body);
  const path = /%00/.test(request.url) ? 'address' : zeroByteAt(request.body);
  if (path !== null) {
    throw new Refusal(400, 'invalid-request', zeroByteMessage, [
      { path, message: zeroByteMessage },
    ]);
  }
  next();
}
