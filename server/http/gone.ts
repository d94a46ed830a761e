import type { Response } from 'express';

/** Aborted when whoever asked is gone before they were answered. */
export function abortedWith(response: Response): AbortSignal {
  const controller = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) controller.abort(new Error('The client is gone.'));
  });
  return controller.signal;
}
