import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Crew } from './pool/worker-pool';
import type { FirmStore } from './db/firm-store';
import { DEMO_FIRM } from './db/seed';
import { ownHostOnly } from './request-body';
import { notFound, problemHandler } from './problem';
import { simulatedLab } from './devices/lab';
import { simulatedInstruments } from './devices/simulated';
import type { MediaStore } from './media/media-store';
import { benchRoutes } from './routes/bench';
import { deviceRoutes } from './routes/devices';
import { firmRoutes } from './routes/firm';
import { jobRoutes } from './routes/jobs';
import { openApi } from './routes/openapi';
import { paperRoutes } from './routes/papers';
import { photoRoutes } from './routes/photos';
import { taskRoutes } from './routes/tasks';
import type { Route } from './routes/route';

export interface AppOptions {
  readonly store: FirmStore;
  readonly crew: Crew;
  readonly media: MediaStore;
  readonly log: Logger;
  readonly clock: () => Date;
  /** The exported web app; none: the API alone. */
  readonly webDir?: string;
  /** Names by which this server is called beside those of this machine itself. */
  readonly hosts?: readonly string[];
  /** Which build of the program this is: what it derives is told anew by the next. */
  readonly build?: string;
  /** How long a day of the simulated lab takes; 86,400 is true time. */
  readonly labDaySeconds?: number;
  /** What the simulated instruments draw their errors from. */
  readonly chance?: () => number;
}

type RouteOptions = Pick<AppOptions, 'store' | 'crew' | 'media' | 'clock' | 'build' | 'labDaySeconds' | 'chance'>;

const DAY_SECONDS = 86_400;

export function apiRoutes(options: RouteOptions): Route[] {
  const { store, crew, media, clock, build = '', labDaySeconds = DAY_SECONDS, chance = Math.random } = options;
  return [
    ...jobRoutes(store, crew, clock, build),
    ...firmRoutes(store, crew, { id: DEMO_FIRM.personId, name: DEMO_FIRM.person }, clock),
    ...photoRoutes(store, media, crew),
    ...paperRoutes(store, crew, clock),
    ...taskRoutes(crew),
    ...benchRoutes(crew),
    ...deviceRoutes(store, simulatedInstruments(chance), simulatedLab(labDaySeconds), clock),
  ];
}

/** Pictures are taken by the phone's own camera; nothing else of it is asked for. */
const PERMISSIONS = 'accelerometer=(), camera=(self), display-capture=(), geolocation=(), gyroscope=(), microphone=(), payment=(), usb=()';

/** Address and answer, nothing of the headers: no cookie, token or name reaches the log. */
const serializers = {
  req: (r: { id: unknown; method: string; url: string }) => ({ id: r.id, method: r.method, url: r.url.split('?')[0] }),
  res: (r: { statusCode: number }) => ({ statusCode: r.statusCode }),
};

export function createApp(options: AppOptions): Express {
  const { log, webDir } = options;
  const app = express();
  // A tag of its own for every answer would mean to digest a whole plan while all others wait; what can be asked for again sets its own.
  app.disable('etag');
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.use(
    pinoHttp({ logger: log, serializers, autoLogging: { ignore: (req) => !req.url?.startsWith('/api/') || req.url === '/api/health' } }),
  );
  // A proxy of this machine says for whom it asks.
  app.set('trust proxy', 'loopback');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // React Native for Web writes its style sheet at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'"],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          // The demo is served over plain http on loopback.
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use((_req, res, next) => {
    res.setHeader('permissions-policy', PERMISSIONS);
    next();
  });
  // After the headers: a refusal carries them too.
  app.use(ownHostOnly(options.hosts ?? []));
  // Records stay in this firm's hands: what may be kept by a browser says so itself.
  app.use('/api', (_req, res, next) => {
    res.setHeader('cache-control', 'no-store');
    next();
  });
  app.use(compression());

  const routes = apiRoutes(options);
  const api = express.Router();
  routes.forEach((r) => r.mount(api));
  const description = openApi(routes);
  api.get('/api/openapi.json', (_req, res) => void res.json(description));
  app.use(api);
  app.use('/api', notFound);

  if (webDir && existsSync(webDir)) serveWeb(app, webDir);
  app.use(notFound);
  app.use(problemHandler);
  return app;
}

function serveWeb(app: Express, webDir: string): void {
  const root = path.resolve(webDir);
  const forever = { immutable: true, maxAge: '1y', fallthrough: false } as const;
  // Names of these files hold a hash of their content.
  app.use('/_expo/static', express.static(path.join(root, '_expo/static'), forever));
  app.use('/assets', express.static(path.join(root, 'assets'), forever));
  app.use(express.static(root, { index: false, setHeaders: (res) => void res.setHeader('cache-control', 'no-cache') }));
  app.get('/{*path}', (req, res, next) => {
    // A missing file stays missing; any other address is a screen of the app.
    if (path.extname(req.path) !== '') return next();
    // Named within its root: a dot in a folder above it is nobody's secret.
    res.setHeader('cache-control', 'no-cache').sendFile('index.html', { root });
  });
}
