import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { MikroORM } from '@mikro-orm/core';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import { Logger, PinoLogger } from 'nestjs-pino';
import { AppModule } from './app.module';
import { StartError, type Config } from './config';
import { openDatabase } from './database/database';
import { FaultFilter } from './security/faults';
import { headers, ownHostOnly } from './security/guard';

/** A plan is a few kilobytes; a whole kitchen's worth of text in one request is not meant. */
const LARGEST_REQUEST = 256_000;

/** A server that listens, and how to stop it. */
export interface Running {
  readonly address: string;
  close(): Promise<void>;
}

/** The OpenAPI document, from the routes that are there and the schemas that check them. */
export function openApi(app: NestExpressApplication): Record<string, unknown> {
  const config = new DocumentBuilder().setTitle('Hervir').setVersion('1').setOpenAPIVersion('3.1.0').build();
  return SwaggerModule.createDocument(app, config) as unknown as Record<string, unknown>;
}

/** The built web: files as they are, and every other page address answered with the one page. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  // Names of built files carry a hash of what is in them: they never change under their name.
  app.useStaticAssets(join(folder, 'assets'), { prefix: '/assets', immutable: true, maxAge: '1y', fallthrough: false });
  app.useStaticAssets(folder, { index: false });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const page = request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts('html') !== false;
    if (page)
      response.sendFile(
        join(folder, 'index.html'),
        { headers: { 'cache-control': 'no-cache' } },
        (error) => error && next(),
      );
    else next();
  });
}

async function create(config: Config, orm: MikroORM): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.with({
      config,
      orm,
      logLevel: process.env['HERVIR_LOG'] ?? 'warn',
    }),
    { bufferLogs: true, abortOnError: false, bodyParser: false },
  );
  app.useLogger(app.get(Logger));
  app.disable('x-powered-by');
  app.use(ownHostOnly(config), headers(), compression({ level: 9 }));
  app.useBodyParser('json', { limit: LARGEST_REQUEST });
  app.useGlobalFilters(new FaultFilter(await app.resolve(PinoLogger)));
  const document = openApi(app);
  serveWeb(app, process.env['HERVIR_WEB'] ?? join(__dirname, '../../web/dist'));
  app.use('/api/openapi.json', (_request: Request, response: Response) => response.json(document));
  return app;
}

/**
 * Opens the database, builds the application and listens.
 *
 * @throws StartError with one clear line when the port is taken or the data folder cannot be used
 */
export async function start(config: Config): Promise<Running> {
  const orm = await openDatabase(config.dataFolder);
  let app: NestExpressApplication | undefined;
  try {
    app = await create(config, orm);
    await app.listen(config.port, config.host);
  } catch (error) {
    await app?.close();
    await orm.close(true);
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
    async close() {
      await listening.close();
      await orm.close(true);
    },
  };
}
