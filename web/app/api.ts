import type { ErrorBody } from '../../contract/error';

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

/** The server did not answer at all. */
export class Unreachable extends Error {
  constructor() {
    super('Pin Margin’s server does not answer.');
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
    ...(body === undefined
      ? {}
      : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
  });
}

/** Sends a file as it is. @throws ApiError when refused, Unreachable when nobody answers */
export async function sendFile<T>(path: string, file: Blob): Promise<T> {
  return answered<T>(path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: file,
  });
}

async function answered<T>(path: string, request: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api/${path}`, request);
  } catch {
    throw new Unreachable();
  }
  if (response.status === 204) return undefined as T;
  const json: unknown = await response.json().catch(() => null);
  if (response.ok) return json as T;
  if (!isRefusal(json)) throw new Unreachable();
  const { code, message, issues } = json.error;
  throw new ApiError(response.status, code, message, issues);
}
