import { Router, type Response } from 'express';
import { Refusal, notFound } from '../http/refusal';
import type { Devices } from '../sharing/devices';
import type { PairingCode } from '../sharing/pairing-code';

/** What this run shares with the home network. */
export interface Sharing {
  readonly devices: Devices;
  readonly code: PairingCode;
  /** Where devices find it, best first; empty while it is not shared. */
  readonly addresses: readonly string[];
  readonly isPrivate: boolean;
}

/** @throws Refusal 403 for a device: who comes in is decided at the computer itself */
function refuseDevice(response: Response): void {
  if (response.locals['device'] === undefined) return;
  throw new Refusal(
    403,
    'at-the-computer',
    'Devices are let in and taken away at the computer itself.',
  );
}

/** Which devices may come in; asked and changed at the computer itself. */
export function sharingRoutes({ devices, code, addresses, isPrivate }: Sharing): Router {
  const router = Router();
  router.get('/sharing', (_request, response) => {
    const own: unknown = response.locals['device'] ?? null;
    response.json({
      ...{ addresses, isPrivate, ownDevice: own },
      devices: devices
        .list()
        .filter(({ id }) => own === null || id === own)
        .map(({ id, name, pairedAt, seenAt }) => ({ id, name, pairedAt, seenAt })),
    });
  });
  router.post('/sharing/code', (_request, response) => {
    refuseDevice(response);
    if (addresses.length === 0) {
      throw new Refusal(
        409,
        'not-shared',
        'Nothing is shared. Start the app with “npm start -- --share”.',
      );
    }
    response.status(201).json(code.make());
  });
  router.delete('/sharing/devices/:id', (request, response) => {
    refuseDevice(response);
    if (!devices.remove(request.params.id)) throw notFound('device', request.params.id);
    response.status(204).end();
  });
  return router;
}
