import { resolve } from 'node:path';

/** How this run is set up. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  /** The folder that holds the database. */
  readonly dataFolder: string;
  readonly logLevel: string;
}

/**
 * Reads the environment: `PORT` (4870), `HOST` (127.0.0.1), `PIN_MARGIN_DATA` (./data) and
 * `LOG_LEVEL` (info).
 *
 * @throws Error that names the variable and what it may be
 */
export function settingsFrom(environment: NodeJS.ProcessEnv): Settings {
  const port = Number(environment['PORT'] || 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT is “${environment['PORT']}”; it must be a whole number up to 65535.`);
  }
  return {
    host: environment['HOST'] || '127.0.0.1',
    port,
    dataFolder: resolve(environment['PIN_MARGIN_DATA'] || 'data'),
    logLevel: environment['LOG_LEVEL'] || 'info',
  };
}
