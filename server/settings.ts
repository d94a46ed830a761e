import { resolve } from 'node:path';
import { isHomeAddress } from './sharing/addresses';

/** How this run is set up. */
export interface Settings {
  /** The loopback address that this machine itself uses. */
  readonly host: string;
  readonly port: number;
  /** Which addresses of the home network are opened: all (`0.0.0.0`, `::`), one, or none. */
  readonly shareOn: string | null;
  /** A certificate of one's own for the network, and its key. */
  readonly certificate: { readonly certFile: string; readonly keyFile: string } | null;
  /** The folder that holds the database. */
  readonly dataFolder: string;
  readonly logLevel: string;
  /** Opens a database that was copied without its log, with what is in it. */
  readonly evenWithoutWal: boolean;
  /** Begins without the demo, where there is nothing yet. */
  readonly empty: boolean;
}

const loopback = /^(localhost|127\.\d{1,3}\.\d{1,3}\.\d{1,3}|::1)$/;
const everywhere = ['0.0.0.0', '::'];

/**
 * Reads the environment: `PORT` (4870), `HOST` (127.0.0.1; an address of the home network, or
 * 0.0.0.0, shares), `PIN_MARGIN_DATA` (./data), `PIN_MARGIN_CERT` and `PIN_MARGIN_KEY` (none) and
 * `LOG_LEVEL` (info); `PIN_MARGIN_WITHOUT_WAL=1` opens a file that was copied without its log.
 *
 * @param options `--share` opens the app to the home network, `--empty` begins without the demo
 * @throws Error that names the variable or the option, and what it may be
 */
export function settingsFrom(
  environment: NodeJS.ProcessEnv,
  options: readonly string[] = [],
): Settings {
  const odd = options.find((option) => option !== '--share' && option !== '--empty');
  if (odd !== undefined) {
    throw new Error(`“${odd}” is no option; there are --share and --empty.`);
  }
  const port = Number(environment['PORT'] || 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT is “${environment['PORT']}”; it must be a whole number up to 65535.`);
  }
  const host = environment['HOST'] || '127.0.0.1';
  const isLoopback = loopback.test(host);
  if (!isLoopback && !everywhere.includes(host) && !isHomeAddress(host)) {
    throw new Error(
      `HOST is “${host}”, which is no address of a home network: anybody out there could try to come in. Leave HOST out, or set it to 0.0.0.0 or to this machine’s address at home, as 192.168.1.20.`,
    );
  }
  const [certFile, keyFile] = [environment['PIN_MARGIN_CERT'], environment['PIN_MARGIN_KEY']];
  if (Boolean(certFile) !== Boolean(keyFile)) {
    throw new Error('A certificate needs both: set PIN_MARGIN_CERT and PIN_MARGIN_KEY.');
  }
  return {
    host: isLoopback ? host : '127.0.0.1',
    port,
    shareOn: isLoopback ? (options.includes('--share') ? '0.0.0.0' : null) : host,
    certificate: certFile && keyFile ? { certFile, keyFile } : null,
    dataFolder: resolve(environment['PIN_MARGIN_DATA'] || 'data'),
    logLevel: environment['LOG_LEVEL'] || 'info',
    evenWithoutWal: environment['PIN_MARGIN_WITHOUT_WAL'] === '1',
    empty: options.includes('--empty'),
  };
}
