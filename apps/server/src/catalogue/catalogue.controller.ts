import { type CatalogueCategory, categoryNames, fileTypes } from '@brookrain/core';
import {
  type CatalogueReply,
  type ImportItemsReply,
  KeepItemMessage,
  type KeptItemReply,
  type WhereUsedReply,
  writeItemsSheet,
} from '@brookrain/contract';
import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
} from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiProduces, ApiQuery, ApiTags } from '@nestjs/swagger';
import { badInput } from '../errors.ts';
import { ModelPipe } from '../modelPipe.ts';
import { MayBeMissing, Replies, Takes, TakesText } from '../openapi/replies.ts';
import { fileBody } from '../requests.ts';
import { CatalogueKeeper } from './catalogueKeeper.ts';
import { CatalogueStore } from './catalogueStore.ts';

function categoryOf(text: string | undefined): CatalogueCategory {
  if (text !== undefined && Object.hasOwn(categoryNames, text)) return text as CatalogueCategory;
  const known = Object.keys(categoryNames).join(', ');
  throw badInput([{ path: 'category', message: `must be one of ${known}` }]);
}

@ApiTags('catalogue')
@Controller('api/catalogue')
export class CatalogueController {
  constructor(
    @Inject(CatalogueStore) private readonly store: CatalogueStore,
    @Inject(CatalogueKeeper) private readonly keeper: CatalogueKeeper,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Every revision of every item; also the export as JSON' })
  @Replies(200, 'CatalogueReply', 'The catalogue')
  all(): CatalogueReply {
    return this.store.all();
  }

  @Get('items.csv')
  @Header('content-type', 'text/csv; charset=utf-8')
  @ApiOperation({ summary: 'Newest revision of each item of a category as CSV' })
  @ApiQuery({ name: 'category', description: 'The category', type: String })
  @ApiProduces('text/csv')
  @Replies(200, 'Text', 'The table, units in the header')
  csv(@Query('category') category: string | undefined): string {
    const known = categoryOf(category);
    return writeItemsSheet(known, this.keeper.newest(known));
  }

  @Post('items')
  @ApiOperation({ summary: 'Keep an item: a new one, or the next revision of one' })
  @Takes('KeepItemMessage', 'The item in SI')
  @Replies(201, 'KeptItemReply', 'The item with its revision')
  keep(@Body(new ModelPipe(KeepItemMessage)) message: KeepItemMessage): KeptItemReply {
    return this.keeper.keep(message.item);
  }

  @Post('import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Import items: CSV of one category, or a JSON list of any' })
  @ApiConsumes(fileTypes.csv, fileTypes.json)
  @ApiQuery({ name: 'format', description: 'csv or json', enum: ['csv', 'json'] })
  @ApiQuery({ name: 'category', description: 'Of a CSV', required: false, type: String })
  @TakesText('The table or list')
  @Replies(200, 'ImportItemsReply', 'The items stored; none when anything is wrong')
  import(
    @Query('format') format: string | undefined,
    @Query('category') category: string | undefined,
    @Body() text: unknown,
  ): Promise<ImportItemsReply> {
    if (format === 'csv') return this.keeper.importSheet(categoryOf(category), fileBody(text));
    if (format === 'json') return this.keeper.importJson(fileBody(text));
    throw badInput([{ path: 'format', message: 'must be csv or json' }]);
  }

  @Get('items/:id/where-used')
  @ApiOperation({ summary: 'Builds that use an item' })
  @Replies(200, 'WhereUsedReply', 'The builds, each with the revision it uses')
  @MayBeMissing()
  whereUsed(@Param('id') id: string): Promise<WhereUsedReply> {
    return this.keeper.whereUsed(id);
  }
}
