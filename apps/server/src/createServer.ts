import { existsSync } from 'node:fs';
import type { Server as HttpServer, RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { fileTypes } from '@brookrain/core';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.ts';
import { MOST_SENT } from './bodyLimits.ts';
import { boundedJson } from './boundedJson.ts';
import { BuildStore } from './builds/buildStore.ts';
import { CatalogueStore } from './catalogue/catalogueStore.ts';
import { LOOPBACK, type ServerConfig, USUAL_WRITES } from './config.ts';
import { requestDoor } from './doors/requestDoor.ts';
import { ErrorFilter } from './errorFilter.ts';
import { serveOpenApi } from './openapi/serveOpenApi.ts';
import { seedDemo } from './seed/seedDemo.ts';
import { type OpenDatabase, openDatabase } from './storage/database.ts';
import { lostInWords } from './storage/lastWritten.ts';
import { lockFolder } from './storage/folderLock.ts';
import { Snapshots } from './storage/snapshots.ts';
import { PairedDevices } from './workshop/pairedDevices.ts';
import { DocumentWork } from './work/documentWork.ts';
import { Workshop } from './workshop/workshop.ts';
import { OpenAnswers, workshopDoor } from './workshop/workshopDoor.ts';
import { ServerLog } from './serverLog.ts';

export interface Server {
  readonly app: NestExpressApplication;
  /** the open data file */
  readonly sqlite: OpenDatabase['sqlite'];
  /** what is missing from the data, in words; undefined: nothing */
  readonly lost: string | undefined;
  /** Serves on an address, and to the workshop where it was opened to it; the port it got. */
  readonly listen: (port: number, host: string) => Promise<number>;
  readonly close: () => Promise<void>;
}

/** Serves the built web app: assets are 404 when missing, other paths get the page. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  if (!existsSync(folder)) return;
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  const files = express.static(folder, { index: false });
  // The disk is not asked for what the API answers.
  app.use((request: Request, response: Response, next: NextFunction) =>
    request.path.startsWith('/api/') ? next() : files(request, response, next),
  );
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api/')) return next();
    response.setHeader('cache-control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
}

/** Builds the server on a data folder; it does not listen yet. */
export async function createServer(
  config: Pick<ServerConfig, 'dataFolder' | 'webFolder'> &
    Partial<Pick<ServerConfig, 'host' | 'writes' | 'workshop'>>,
): Promise<Server> {
  const lock = lockFolder(config.dataFolder);
  let open: OpenDatabase;
  try {
    open = openDatabase(config.dataFolder);
  } catch (error) {
    lock.release();
    throw error;
  }
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.on(open, config.dataFolder, config.writes ?? USUAL_WRITES),
    {
      bodyParser: false,
      logger: new ServerLog(),
    },
  );
  const workshop = app.get(Workshop);
  workshop.watch(app.getHttpServer() as HttpServer);
  app.use(requestDoor(config.host ?? LOOPBACK, (request) => workshop.addressOf(request)));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // Integer programs are solved by WebAssembly; no text is run as a program.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          workerSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(workshopDoor(workshop, app.get(PairedDevices), app.get(OpenAnswers)));
  app.use(boundedJson());
  app.use(express.raw({ type: Object.values(fileTypes), limit: MOST_SENT }));
  app.useGlobalFilters(new ErrorFilter());
  serveOpenApi(app);
  serveWeb(app, config.webFolder);
  await app.init();
  app.get(BuildStore).bringUpToDate();
  seedDemo(app.get(BuildStore), app.get(CatalogueStore));
  // Read and migrated before anybody waits for it.
  app.get(CatalogueStore).all();
  app.get(DocumentWork).warmUp();
  app.get(Snapshots).start();
  const lost = open.last.lost();
  return {
    app,
    sqlite: open.sqlite,
    lost: lost ? lostInWords(lost) : undefined,
    listen: async (port, host) => {
      const listening = (await app.listen(port, host)) as { address(): AddressInfo };
      const { port: taken } = listening.address();
      const express = app.getHttpAdapter().getInstance() as RequestListener;
      await workshop.serve(express, { host, port: taken, only: config.workshop });
      return taken;
    },
    close: async () => {
      await app.get(Snapshots).stop();
      await app.close();
      open.close();
      lock.release();
    },
  };
}
