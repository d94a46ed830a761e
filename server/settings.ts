import { resolve } from 'node:path';

/** How this run is set up. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  /** The folder that holds the database. */
  readonly dataFolder: string;
  readonly logLevel: string;
  /** Opens a database that was copied without its log, with what is in it. */
  readonly evenWithoutWal: boolean;
}

const loopback = /^(localhost|127\.\d{1,3}\.\d{1,3}\.\d{1,3}|::1)$/;

/**
 * Reads the environment: `PORT` (4870), `HOST` (127.0.0.1), `PIN_MARGIN_DATA` (./data) and
 * `LOG_LEVEL` (info); `PIN_MARGIN_WITHOUT_WAL=1` opens a file that was copied without its log.
 *
 * @throws Error that names the variable and what it may be
 */
export function settingsFrom(environment: NodeJS.ProcessEnv): Settings {
  const port = Number(environment['PORT'] || 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT is “${environment['PORT']}”; it must be a whole number up to 65535.`);
  }
  const host = environment['HOST'] || '127.0.0.1';
  if (!loopback.test(host)) {
    throw new Error(
      `HOST is “${host}”, which other machines could reach, and anybody there could read and change everything. Sharing with other devices is not there yet; leave HOST out, or set it to 127.0.0.1 or ::1.`,
    );
  }
  return {
    host,
    port,
    dataFolder: resolve(environment['PIN_MARGIN_DATA'] || 'data'),
    logLevel: environment['LOG_LEVEL'] || 'info',
    evenWithoutWal: environment['PIN_MARGIN_WITHOUT_WAL'] === '1',
  };
}
