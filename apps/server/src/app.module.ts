import { type DynamicModule, Module } from '@nestjs/common';
import { BuildEditor } from './builds/buildEditor.ts';
import { BuildStore } from './builds/buildStore.ts';
import { BuildsController } from './builds/builds.controller.ts';
import { CatalogueController } from './catalogue/catalogue.controller.ts';
import { CatalogueStore } from './catalogue/catalogueStore.ts';
import { ExportsController } from './exports/exports.controller.ts';
import { HealthController } from './health/health.controller.ts';
import type { Database } from './storage/database.ts';
import { DATABASE } from './storage/token.ts';

/** The server's parts on one open database. */
@Module({})
export class AppModule {
  static on(database: Database): DynamicModule {
    return {
      module: AppModule,
      controllers: [BuildsController, ExportsController, CatalogueController, HealthController],
      providers: [
        { provide: DATABASE, useValue: database },
        CatalogueStore,
        BuildStore,
        BuildEditor,
      ],
    };
  }
}
