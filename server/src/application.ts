import type { RequestListener } from 'node:http';
import { createServer, type Server } from 'node:https';
import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { OperationObject } from '@nestjs/swagger/dist/interfaces/open-api-spec.interface';
import compression from 'compression';
import squeezed from 'express-static-gzip';
import { json, type NextFunction, type Request, type Response } from 'express';
import { Logger, PinoLogger } from 'nestjs-pino';
import { AppModule } from './app.module';
import { StartError, type Config } from './config';
import { closeDatabase, openDatabase, prepareFolder, type OpenDatabase } from './database/database';
import { takeFolder } from './database/folder-lock';
import { authorityOf, ownCertificate } from './lan/certificate';
import { door } from './lan/door';
import { speak } from './language/speech';
import { LAN_ADDRESSES } from './lan/lan-addresses';
import { Pairing } from './lan/pairing';
import { apiComponents, isPage, operationOf } from '@hervir/contract';
import { VERSION } from './version';
import { FaultFilter } from './security/faults';
import { headers, ownHostOnly } from './security/guard';

/** A plan is a few kilobytes; a whole kitchen's worth of text in one request is not meant. */
const LARGEST_REQUEST = 256_000;
/** Whole files may be larger, bytes. */
const LARGEST_FILES: readonly (readonly [RegExp, number])[] = [
  [/^\/api\/log\/[^/]+\/photo$/, 9_000_000],
  [/^\/api\/recipes/, 12_000_000],
];
/** Files of any size: whoever takes them in reads them as they come. */
const STREAMED = /^\/api\/(backup\/(preview|restore)|log\/(file[.]csv|imports))\/?$/;

/** A server that listens, and how to stop it. */
export interface Running {
  readonly address: string;
  /** Where the house may come in, and the code it has to give; empty without --lan. */
  readonly house: { readonly addresses: readonly string[]; readonly code: string };
  close(): Promise<void>;
}

/**
 * The OpenAPI document: the routes that are there, each with the schemas that check what it takes and describe what it gives.
 *
 * @throws Error for a route that the contract does not know
 */
export function openApi(app: NestExpressApplication): Record<string, unknown> {
  const config = new DocumentBuilder()
    .setTitle('Hervir')
    .setDescription('Braising tough cuts under pressure: plans, cooks, the log and what it teaches.')
    .setVersion(VERSION)
    .setOpenAPIVersion('3.1.0')
    .addServer('/')
    .build();
  const document = SwaggerModule.createDocument(app, config);
  for (const [path, methods] of Object.entries(document.paths)) {
    for (const [method, operation] of Object.entries(methods as Record<string, OperationObject>)) {
      const known = operationOf(`${method.toUpperCase()} ${path}`);
      if (known === undefined) throw new Error(`the contract does not know ${method.toUpperCase()} ${path}`);
      Object.assign(operation, known, {
        parameters: [
          ...(operation.parameters ?? []).filter((one) => !('in' in one && one.in === 'query')),
          ...(known.parameters ?? []),
        ],
      });
    }
  }
  const named = [
    ...new Set(
      Object.values(document.paths).flatMap((methods) =>
        Object.values(methods as Record<string, OperationObject>).flatMap(({ tags = [] }) => tags),
      ),
    ),
  ];
  return {
    ...document,
    tags: named.map((name) => ({ name })),
    components: { schemas: apiComponents() },
  };
}

/** The built web: files as they are, and every other page address answered with the one page. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  // Names of built files carry a hash of what is in them: they never change under their name.
  app.use(
    '/assets',
    squeezed(join(folder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  );
  app.useStaticAssets(folder, { index: false });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const reads = request.method === 'GET' || request.method === 'HEAD';
    const page = reads && !request.path.startsWith('/api/') && request.accepts('html') !== false;
    if (page)
      // Of an address that leads nowhere the page says so in words, and this in its status.
      response
        .status(isPage(request.path) ? 200 : 404)
        .sendFile(join(folder, 'index.html'), { headers: { 'cache-control': 'no-cache' } }, (error) => error && next());
    else next();
  });
}

/** A stream is sent as it comes; compressed, it would wait for more. */
function notStreamed(request: Request, response: Response): boolean {
  return String(response.getHeader('content-type')).startsWith('text/event-stream')
    ? false
    : compression.filter(request, response);
}

async function create(config: Config, database: OpenDatabase): Promise<NestExpressApplication> {
  const parsers = [...LARGEST_FILES, [/^/, LARGEST_REQUEST] as const].map(
    ([path, limit]) => [path, json({ limit })] as const,
  );
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.with({
      config,
      database,
      logLevel: process.env['HERVIR_LOG'] ?? 'warn',
    }),
    // Streams stay open as long as a page does: a server that stops does not wait for them.
    { bufferLogs: true, abortOnError: false, bodyParser: false, forceCloseConnections: true },
  );
  app.useLogger(app.get(Logger));
  app.disable('x-powered-by');
  // Before anything that may refuse: a refusal is in words too.
  app.use(speak);
  app.use(ownHostOnly({ ...config, extraHosts: [...config.extraHosts, ...(config.lan?.hosts ?? [])] }), headers());
  app.use(...door(app.get(Pairing), () => authorityOf(config.dataFolder)));
  // Files were squeezed when they were built; answers are squeezed quickly.
  app.use(compression({ level: 1, filter: notStreamed }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (STREAMED.test(request.path)) next();
    else parsers.find(([path]) => path.test(request.path))?.[1](request, response, next);
  });
  app.useGlobalFilters(new FaultFilter(await app.resolve(PinoLogger)));
  serveWeb(app, process.env['HERVIR_WEB'] ?? join(__dirname, '../../web/dist'));
  // Drawn up when it is first asked for: a kitchen that is back after a power cut is wanted for dinner, not for this.
  let document: Record<string, unknown> | undefined;
  app.use('/api/openapi.json', (_request: Request, response: Response) => response.json((document ??= openApi(app))));
  return app;
}

/** Listens to the house's network, over TLS with this kitchen's own certificate: one listener an address. */
async function openDoor(app: NestExpressApplication, { lan, dataFolder }: Config): Promise<Server[]> {
  if (lan === null) return [];
  const { key, cert } = await ownCertificate(dataFolder, lan.hosts, Date.now(), (words) =>
    process.stderr.write(`${words}\n`),
  );
  const handler = app.getHttpAdapter().getInstance() as RequestListener;
  const addresses = app.get<string[]>(LAN_ADDRESSES);
  return Promise.all(
    lan.hosts.map(
      (host) =>
        new Promise<Server>((resolve, reject) => {
          const server = createServer({ key, cert }, handler);
          server.once('error', reject);
          server.listen(lan.port, host, () => {
            addresses.push(`https://${host}:${(server.address() as { port: number }).port}`);
            resolve(server);
          });
        }),
    ),
  );
}

/**
 * Opens the database, builds the application and listens.
 *
 * @throws StartError with one clear line when the port is taken or the data folder cannot be used
 */
export async function start(config: Config): Promise<Running> {
  // Files of a kitchen are its owner's alone.
  process.umask(0o077);
  const freeFolder = takeFolder(prepareFolder(config.dataFolder));
  let database: OpenDatabase;
  try {
    database = await openDatabase(config.dataFolder);
  } catch (error) {
    freeFolder();
    throw error;
  }
  let app: NestExpressApplication | undefined;
  let doors: Server[] = [];
  try {
    app = await create(config, database);
    await app.listen(config.port, config.host);
    doors = await openDoor(app, config);
  } catch (error) {
    await app?.close();
    await closeDatabase(database);
    freeFolder();
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'EADDRINUSE') throw new StartError(`Port ${config.port} is taken: choose another with --port.`);
    if (code === 'EACCES' || code === 'EADDRNOTAVAIL') {
      throw new StartError(
        `Cannot listen on ${config.host}:${config.port} (${code}): choose another with --host and --port.`,
      );
    }
    throw error;
  }
  const listening = app;
  const bound = listening.getHttpServer().address() as { port: number };
  const shown = config.host === '0.0.0.0' || config.host === '::' ? 'localhost' : config.host;
  return {
    address: `http://${shown.includes(':') ? `[${shown}]` : shown}:${bound.port}`,
    house: { addresses: listening.get<string[]>(LAN_ADDRESSES), code: listening.get(Pairing).code },
    async close() {
      for (const one of doors) {
        one.closeAllConnections();
        one.close();
      }
      await listening.close();
      await closeDatabase(database);
      freeFolder();
    },
  };
}
