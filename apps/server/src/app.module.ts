import { type DynamicModule, Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import { BuildEditor } from './builds/buildEditor.ts';
import { BuildHistory } from './builds/buildHistory.ts';
import { BuildStates } from './builds/buildStates.ts';
import { BuildStore } from './builds/buildStore.ts';
import { BuildsController } from './builds/builds.controller.ts';
import { CatalogueController } from './catalogue/catalogue.controller.ts';
import { CatalogueStore } from './catalogue/catalogueStore.ts';
import { WRITE_WINDOW, WriteLimit } from './doors/writeLimit.ts';
import { ExportsController } from './exports/exports.controller.ts';
import { HealthController } from './health/health.controller.ts';
import { BuildStarter } from './builds/buildStarter.ts';
import { DemoController } from './builds/demo.controller.ts';
import { CatalogueKeeper } from './catalogue/catalogueKeeper.ts';
import { LiveController } from './live/live.controller.ts';
import { LiveEvents } from './live/liveEvents.ts';
import { SnapshotsController } from './storage/snapshots.controller.ts';
import { Snapshots } from './storage/snapshots.ts';
import type { OpenDatabase } from './storage/database.ts';
import { LastWritten } from './storage/lastWritten.ts';
import { RecordController } from './record/record.controller.ts';
import { RecordStore } from './record/recordStore.ts';
import { PairedDevices } from './workshop/pairedDevices.ts';
import { ThisDeviceController } from './workshop/thisDevice.controller.ts';
import { Workshop } from './workshop/workshop.ts';
import { WorkshopController } from './workshop/workshop.controller.ts';
import { OpenAnswers } from './workshop/workshopDoor.ts';
import { WorkQueue } from './work/workQueue.ts';
import { DocumentWork } from './work/documentWork.ts';
import { DATABASE, GENERATION } from './storage/token.ts';

/** The server's parts on one open database. */
@Module({})
export class AppModule {
  static on(open: OpenDatabase, dataFolder: string, writes: number): DynamicModule {
    return {
      module: AppModule,
      imports: [ThrottlerModule.forRoot([{ ttl: WRITE_WINDOW, limit: writes }])],
      controllers: [
        BuildsController,
        DemoController,
        ExportsController,
        CatalogueController,
        SnapshotsController,
        LiveController,
        HealthController,
        WorkshopController,
        ThisDeviceController,
        RecordController,
      ],
      providers: [
        { provide: DATABASE, useValue: open.database },
        { provide: GENERATION, useValue: open.generation },
        { provide: LastWritten, useValue: open.last },
        { provide: Snapshots, useValue: new Snapshots(open.sqlite, dataFolder) },
        LiveEvents,
        Workshop,
        PairedDevices,
        OpenAnswers,
        RecordStore,
        CatalogueStore,
        BuildHistory,
        BuildStore,
        BuildEditor,
        BuildStates,
        BuildStarter,
        CatalogueKeeper,
        WorkQueue,
        DocumentWork,
        { provide: APP_GUARD, useClass: WriteLimit },
      ],
    };
  }
}
