import type { ErrorBody } from '../../contract/error';
import { mostListed } from '../../contract/headers';
import { whoHeaders } from './who';

const asJson = { 'Content-Type': 'application/json' };

/** The server's refusal of a request, with its words and fields. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly issues: ErrorBody['error']['issues'],
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

/** The server did not answer at all, or says that it can't just now. */
export class Unreachable extends Error {
  /** @param said why, in the server's own words, when it answered */
  constructor(readonly said: string | null = null) {
    super(said ?? 'Pin Margin’s server does not answer.');
    this.name = 'Unreachable';
  }
}

/** Whether an answer is one of our server's refusals, and not something standing in its place. */
function isRefusal(json: unknown): json is ErrorBody {
  const error = (json as Partial<ErrorBody> | null)?.error;
  return typeof error?.message === 'string' && Array.isArray(error.issues);
}

/**
 * Sends a request to the API.
 *
 * @returns the answer's JSON, undefined for an empty one
 * @throws ApiError when refused, Unreachable when nobody answers
 */
export async function send<T>(method: string, path: string, body?: unknown): Promise<T> {
  return answered<T>(path, {
    method,
    // A change that is on its way outlives the page that made it.
    keepalive: method !== 'GET',
    ...(body === undefined ? {} : { headers: asJson, body: JSON.stringify(body) }),
  });
}

/**
 * Sends a file as it is.
 *
 * @param signal gives it up
 * @throws ApiError when refused, Unreachable when nobody answers
 */
export async function sendFile<T>(path: string, file: Blob, signal?: AbortSignal): Promise<T> {
  return answered<T>(path, {
    method: 'POST',
    signal: signal ?? null,
    headers: { 'Content-Type': 'application/octet-stream' },
    body: file,
  });
}

/** So many records come at once; the server says how many there are. */
export async function sendList<T>(path: string): Promise<T[]> {
  const all: T[] = [];
  for (;;) {
    const part = await send<T[]>(
      'GET',
      `${path}${path.includes('?') ? '&' : '?'}limit=${mostListed}&offset=${all.length}`,
    );
    all.push(...part);
    if (part.length < mostListed) return all;
  }
}

async function answered<T>(path: string, request: RequestInit): Promise<T> {
  let response: Response;
  try {
    const headers = { ...whoHeaders, ...request.headers };
    response = await fetch(`/api/${path}`, { ...request, headers });
  } catch (error) {
    if (request.signal?.aborted) throw error;
    throw new Unreachable();
  }
  if (response.status === 204) return undefined as T;
  const json: unknown = await response.json().catch(() => null);
  if (response.ok) return json as T;
  if (!isRefusal(json)) throw new Unreachable();
  const { code, message, issues } = json.error;
  // It is there, and can't now, or lets this device in no more: asked again until it does, as one that
  // does not answer, and nothing is lost meanwhile.
  if (response.status === 503 || code === 'not-paired') throw new Unreachable(message);
  throw new ApiError(response.status, code, message, issues);
}
