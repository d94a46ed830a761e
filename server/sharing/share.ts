import { readFileSync } from 'node:fs';
import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createPrivate } from 'node:https';
import type { Settings } from '../settings';

/** @throws Error that names the file, where it can't be read */
function readCertificate(file: string, variable: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    const why = (error as NodeJS.ErrnoException).code ?? 'it can’t be read';
    throw new Error(`${variable} is “${file}”: ${why}. Nothing was shared.`, { cause: error });
  }
}

/**
 * A server for one address of the home network, behind the certificate where there is one.
 *
 * @throws Error that says which file of the certificate is of no use
 */
export function networkServer(app: RequestListener, certificate: Settings['certificate']): Server {
  if (!certificate) return createPlain(app);
  const cert = readCertificate(certificate.certFile, 'PIN_MARGIN_CERT');
  const key = readCertificate(certificate.keyFile, 'PIN_MARGIN_KEY');
  try {
    return createPrivate({ cert, key }, app);
  } catch (error) {
    throw new Error(
      'PIN_MARGIN_CERT and PIN_MARGIN_KEY are no certificate and its key. Nothing was shared.',
      { cause: error },
    );
  }
}
