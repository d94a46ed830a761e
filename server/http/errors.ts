import type { NextFunction, Request, Response } from 'express';
import type { Logger } from 'pino';
import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { ZodError } from 'zod';
import { issuesOf, type ErrorBody } from '../../contract/error';
import type { Health } from '../database/health';
import { Impossible } from '../../core/impossible';
import { Refusal } from './refusal';

/** What the body parser says of bodies it gives up on, by its own error types. */
const bodyTroubles: Readonly<Record<string, [status: number, code: string, message: string]>> = {
  'entity.parse.failed': [400, 'not-json', 'The body is not valid JSON.'],
  'encoding.unsupported': [415, 'not-json', 'Send the body uncompressed, in UTF-8.'],
  'charset.unsupported': [415, 'not-json', 'Send the body in UTF-8.'],
  'request.size.invalid': [400, 'not-json', 'The body is shorter or longer than announced.'],
  'request.aborted': [400, 'not-json', 'The body ended early.'],
};

interface TooLarge {
  readonly type: 'entity.too.large';
  /** As announced, bytes; not there when nobody announced it. */
  readonly length?: number;
  readonly limit: number;
}

function isTooLarge(error: unknown): error is TooLarge {
  return (error as { type?: unknown } | null)?.type === 'entity.too.large';
}

/** A size in the unit one would say it in. */
function inBytes(bytes: number | undefined): string {
  if (bytes === undefined) return 'too large';
  return bytes < 1024 * 1024
    ? `${Math.round(bytes / 1024)} kB`
    : `${Math.round(bytes / 1024 / 1024)} MB`;
}

function refusalFor(error: unknown, health: Health): Refusal | null {
  if (error instanceof Refusal) return error;
  if (error instanceof Impossible) {
    return new Refusal(400, 'impossible', error.message, [...error.issues]);
  }
  if (error instanceof ZodError) {
    // A body is refused where it is read; this is a record of another time that no longer fits.
    const issues = issuesOf(error);
    const message = `What is stored is not as it should be. ${issues[0]?.path}: ${issues[0]?.message}`;
    return new Refusal(409, 'unsound-record', message, issues);
  }
  const trouble = health.failed(error);
  if (trouble) return new Refusal(503, trouble.kind, trouble.message);
  if (error instanceof URIError) {
    return new Refusal(400, 'invalid-request', 'The address holds a broken % code.');
  }
  if (error instanceof UniqueConstraintError) {
    return new Refusal(409, 'id-taken', 'Another record has this id already.');
  }
  if (error instanceof ForeignKeyConstraintError) {
    return new Refusal(409, 'in-use', 'Something else still points at this record.');
  }
  if (isTooLarge(error)) {
    const message = `What was sent is ${inBytes(error.length)}; at most ${inBytes(error.limit)} are taken here.`;
    return new Refusal(413, 'too-large', message, [{ path: '', message }]);
  }
  const type = (error as { type?: unknown } | null)?.type;
  const ofBody = typeof type === 'string' ? bodyTroubles[type] : undefined;
  if (ofBody) return new Refusal(...ofBody);
  // A body that says it is compressed and is not: the parser blames the sender, and so do we.
  const status = (error as { status?: unknown } | null)?.status;
  const blamed = typeof status === 'number' && status >= 400 && status < 500;
  return blamed ? new Refusal(status, 'not-read', 'What was sent could not be read.') : null;
}

/** When one may ask again after a refusal for the moment. */
const retryAfterSeconds = 2;

/** Answers every error in one form, and never shows a stack. */
export function answerErrors(log: Logger, health: Health) {
  return (error: unknown, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    const refusal = refusalFor(error, health);
    if (refusal?.status === 503) response.set('Retry-After', String(retryAfterSeconds));
    if (!refusal) log.error({ err: error }, 'unexpected');
    const body: ErrorBody = {
      error: {
        code: refusal?.code ?? 'unexpected',
        message: refusal?.message ?? 'Something went wrong here; nothing was changed.',
        issues: refusal?.issues ?? [],
      },
    };
    response.status(refusal?.status ?? 500).json(body);
  };
}
