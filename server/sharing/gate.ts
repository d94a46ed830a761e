import { randomBytes } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { parseCookie, stringifySetCookie } from 'cookie';
import express, { Router, type NextFunction, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Refusal } from '../http/refusal';
import { isHomeAddress } from './addresses';
import type { Devices } from './devices';
import { pairPage } from './pair-page';
import type { PairingCode } from './pairing-code';

export const deviceCookie = 'pin-margin-device';
const yearSeconds = 365 * 24 * 3600;
/** Wrong tries of one address in ten minutes. */
const mostTries = 20;

export interface GateParts {
  readonly devices: Devices;
  readonly code: PairingCode;
  /** Whether it is behind a certificate. */
  readonly isPrivate: boolean;
  /** How a wrong code is made to wait. */
  readonly pause?: (ms: number) => Promise<unknown>;
}

const troubles = {
  wrong: 'These are not the digits that the computer shows.',
  none: 'There is no such code any more. Ask for new digits on the computer.',
} as const;

/** Only what is on the home network itself: a router that lets the world in is not meant. */
function refuseAway(request: Request, _response: Response, next: NextFunction): void {
  const address = request.socket.remoteAddress ?? '';
  if (!isHomeAddress(address) && !/^(::1|(::ffff:)?127\.)/.test(address)) {
    throw new Refusal(403, 'not-home', 'Only devices of the home network may come in.');
  }
  next();
}

function tokenOf(request: Request): string | undefined {
  return parseCookie(request.headers.cookie ?? '')[deviceCookie];
}

/**
 * What stands before everything a device of the network asks for: without pairing nothing but the
 * pairing page answers. A device that is taken away loses what it has open at once.
 */
export function deviceGate({ devices, code, isPrivate, pause = wait }: GateParts): Router {
  const router = Router();
  const open = new Map<string, Set<Response>>();
  devices.onGone((id) => {
    for (const response of open.get(id) ?? []) response.destroy();
    open.delete(id);
  });
  router.use(refuseAway);

  const show = (response: Response, status: number, trouble: string | null, typed = '') => {
    const nonce = randomBytes(16).toString('base64');
    response
      .status(status)
      .set({
        'Cache-Control': 'no-store',
        'Content-Security-Policy': `default-src 'none'; style-src 'nonce-${nonce}'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'`,
        'Referrer-Policy': 'no-referrer',
        'X-Content-Type-Options': 'nosniff',
      })
      .type('html')
      .send(pairPage({ nonce, trouble, code: typed, isPrivate }));
  };
  router.get('/pair', (request, response) => {
    const given = request.query['code'];
    const isCode = typeof given === 'string' && /^\d{6}$/.test(given);
    show(response, 200, null, isCode ? given : '');
  });
  router.post(
    '/pair',
    rateLimit({
      windowMs: 600_000,
      limit: mostTries,
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: (_request, response) =>
        show(response, 429, 'Too many wrong digits from here. Wait ten minutes.'),
    }),
    express.urlencoded({ limit: '2kb', extended: false }),
    async (request, response) => {
      const { code: typed = '', name = '' } = (request.body ?? {}) as Record<string, unknown>;
      const tried = code.try(String(typed));
      if (!tried.ok) {
        await pause(tried.waitMs);
        show(response, 403, troubles[tried.why]);
        return;
      }
      const called = String(name).replace(/\p{C}/gu, '').trim().slice(0, 60);
      const { token } = devices.pair(called || 'A device');
      response.set({
        'Set-Cookie': stringifySetCookie({
          ...{ name: deviceCookie, value: token, path: '/', maxAge: yearSeconds },
          ...{ httpOnly: true, sameSite: 'strict', secure: isPrivate },
        }),
        'Cache-Control': 'no-store',
      });
      response.redirect(303, '/');
    },
  );
  router.use((request, response, next) => {
    const device = devices.known(tokenOf(request));
    if (device) {
      response.locals['device'] = device.id;
      const own = open.get(device.id) ?? new Set();
      open.set(device.id, own.add(response));
      response.on('close', () => own.delete(response));
      next();
      return;
    }
    if (request.method === 'GET' && request.accepts(['json', 'html']) === 'html') {
      response.set('Cache-Control', 'no-store').redirect(303, '/pair');
      return;
    }
    throw new Refusal(
      401,
      'not-paired',
      'This device is not on the list, or was taken off it. Pair it again at /pair; what it has not sent is kept.',
    );
  });
  return router;
}
