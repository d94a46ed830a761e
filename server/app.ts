import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import express, {
  type Express,
  type NextFunction,
  type Request,
  type RequestHandler,
  type Response,
} from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { answerErrors } from './http/errors';
import {
  loopbackNames,
  refuseForeign,
  refuseFromElsewhere,
  refuseWrittenDeep,
  refuseZeroBytes,
  requireJson,
} from './http/guards';
import { notFound } from './http/refusal';
import { archiveRoutes } from './routes/archive';
import { bookRoutes } from './routes/book';
import { computeRoutes } from './routes/compute';
import { Events, eventRoutes } from './routes/events';
import { exchangeRoutes } from './routes/exchange';
import { garmentRoutes } from './routes/garments';
import { historyRoutes } from './routes/history';
import { photoRoutes } from './routes/photos';
import { scrapRoutes } from './routes/scrap';
import { printRoutes } from './routes/print';
import { recordReading, recordRoutes } from './routes/records';
import { removedRoutes } from './routes/removed';
import { sharingRoutes, type Sharing } from './routes/sharing';
import { snapshotRoutes } from './routes/snapshots';
import { tableRoutes } from './routes/table';
import type { Pictures } from './photos/pictures';
import type { Store } from './store/store';
import type { Compute } from './work/compute';
import type { Importer } from './work/importer';

export interface AppParts {
  readonly store: Store;
  readonly log: Logger;
  /** The address listened on. */
  readonly host: string;
  readonly sharing: Sharing;
  /** The built client; null to serve the API alone. */
  readonly clientFolder: string | null;
  readonly compute: Compute;
  readonly pictures: Pictures;
  readonly importer: Importer;
  /** The font that print is set in. */
  readonly fontFile: string;
}

const secretHeaders = [
  'req.headers.cookie',
  'req.headers.authorization',
  'req.headers["proxy-authorization"]',
  'res.headers["set-cookie"]',
];

/** A fresh mark for each answer; the page's own style elements carry it. */
function nonceOf(response: ServerResponse & { locals?: Record<string, unknown> }): string {
  response.locals ??= {};
  response.locals['nonce'] ??= randomBytes(16).toString('base64');
  return String(response.locals['nonce']);
}

/** What an answer of the API says of itself: it is no page, nobody may frame it, and it is of now. */
const headersOfAnswers = new Headers({
  'Cache-Control': 'no-store',
  'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Referrer-Policy': 'no-referrer',
  'X-Content-Type-Options': 'nosniff',
});

function answerHeaders(_request: Request, response: Response, next: NextFunction): void {
  response.setHeaders(headersOfAnswers);
  next();
}

/** Logs what changes something or could; reading is told of only where it fails. */
function logChanges(log: Logger) {
  const logged = pinoHttp({
    logger: log,
    // What lets somebody in belongs to nobody who reads a log.
    redact: { paths: secretHeaders, remove: true },
  });
  return (request: Request, response: Response, next: NextFunction) => {
    if (request.method === 'GET') next();
    else logged(request, response, next);
  };
}

/** Everything is served from here, and nothing is ever fetched from elsewhere. */
const contentSecurityPolicy = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'none'"],
    scriptSrc: ["'self'"],
    workerSrc: ["'self'"],
    // Radix positions its pop-ups by style attributes.
    styleSrc: ["'self'", (_: unknown, response: ServerResponse) => `'nonce-${nonceOf(response)}'`],
    styleSrcAttr: ["'unsafe-inline'"],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    connectSrc: ["'self'"],
    manifestSrc: ["'self'"],
    baseUri: ["'none'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
  },
};

/** What is different for whoever comes by the home network. */
export interface FromNetwork {
  /** What lets paired devices in, and nobody else. */
  readonly gate: RequestHandler;
  /** What the network may call this machine. */
  readonly names: readonly string[];
  readonly scheme: 'http' | 'https';
}

/**
 * The HTTP application: guards, API, and the built client with its own addresses.
 *
 * @param network for the home network; left out, for this machine alone
 */
export function createApp(parts: AppParts, network?: FromNetwork): Express {
  const { store, log, host, clientFolder, fontFile, compute, pictures, importer } = parts;
  const app = express();
  app.disable('x-powered-by');
  // An answer is made from what is stored at that moment; telling it from the one before it costs
  // more than sending it over the loopback address, and so does packing it.
  app.disable('etag');
  app.use(
    network
      ? refuseForeign(network.names, network.scheme)
      : refuseForeign([...loopbackNames, host.toLowerCase()]),
  );
  if (network) app.use(network.gate);

  const api = express.Router();
  api.use(refuseFromElsewhere, answerHeaders, logChanges(log));
  api.get('/health', async (_request, response) => {
    const trouble = await store.health.look();
    if (trouble) throw trouble;
    response.json({ ok: true });
  });
  api.use(refuseZeroBytes);
  // What is read most comes first: an address that names no record goes on.
  api.use(recordReading(store));
  const events = new Events(store);
  api.use(eventRoutes(events));
  api.use(archiveRoutes(store, pictures));
  api.use(snapshotRoutes(store));
  api.use(sharingRoutes(parts.sharing));
  // Files are sent as they are; everything else is JSON.
  api.use(photoRoutes(store, pictures));
  api.use(scrapRoutes(compute, pictures));
  api.use(exchangeRoutes(store, importer));
  api.use(
    requireJson,
    express.json({ limit: '256kb', strict: false, verify: refuseWrittenDeep }),
    refuseZeroBytes,
  );
  api.use('/compute', computeRoutes(compute));
  api.use('/compute', (request) => {
    throw notFound('computation', `${request.method} ${request.path}`);
  });
  api.use(historyRoutes(store));
  api.use(garmentRoutes(store));
  api.use(tableRoutes(store));
  api.use(printRoutes(store, fontFile));
  api.use(removedRoutes(store));
  api.use(bookRoutes(store));
  api.use(recordRoutes(store));
  api.use((request) => {
    throw notFound('address', `${request.method} /api${request.path}`);
  });
  app.use('/api', api);
  app.use('/api', answerErrors(log, store.health));

  app.use(
    helmet({
      contentSecurityPolicy,
      // Plain HTTP on the loopback address: a promise of HTTPS would lock the person out.
      strictTransportSecurity: false,
    }),
  );
  if (clientFolder && existsSync(clientFolder)) {
    app.use(
      '/assets',
      // Packed once when it is built, not at each visit.
      expressStaticGzip(join(clientFolder, 'assets'), {
        enableBrotli: true,
        orderPreference: ['br'],
        serveStatic: { immutable: true, maxAge: '1y' },
      }),
    );
    app.use('/assets', (request) => {
      throw notFound('file', request.path);
    });
    app.use(express.static(clientFolder, { index: false }));
    const page = readFileSync(join(clientFolder, 'index.html'), 'utf8');
    app.get('/{*path}', (_request, response) => {
      response
        .set('Cache-Control', 'no-store')
        .type('html')
        .send(
          page.replace('%STYLE_NONCE%', nonceOf(response)).replace('%CHANGES_UNTIL%', events.last),
        );
    });
  }
  app.use(answerErrors(log, store.health));
  return app;
}
