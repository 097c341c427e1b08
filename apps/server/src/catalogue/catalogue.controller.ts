import type { CatalogueReply } from '@brookrain/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { CatalogueStore } from './catalogueStore.ts';

@Controller('api/catalogue')
export class CatalogueController {
  constructor(@Inject(CatalogueStore) private readonly store: CatalogueStore) {}

  @Get()
  all(): CatalogueReply {
    return this.store.all();
  }
}
