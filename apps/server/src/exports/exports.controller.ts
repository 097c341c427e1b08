import {
  type Evaluation,
  type UnitSystem,
  evaluate,
  partsList,
  unitSystems,
  wireList,
} from '@brookrain/core';
import type { BuildReply } from '@brookrain/contract';
import { Controller, Get, Header, Inject, Param, Query, Res, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { BuildStore } from '../builds/buildStore.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { MayBeMissing, Replies } from '../openapi/replies.ts';
import { asAttachment } from '../asAttachment.ts';
import { csvText } from './csvText.ts';
import { SheetPage } from './sheetPage.ts';
import { writeWorkSheet } from './workSheet.ts';

@ApiTags('exports')
@Controller('api/builds/:id')
export class ExportsController {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  private evaluated(id: string): { build: BuildReply; evaluation: Evaluation } {
    const build = this.store.read(id);
    return { build, evaluation: evaluate(build.document, this.catalogue.all()) };
  }

  @Get('parts.csv')
  @ApiOperation({ summary: 'Parts list of a build as CSV' })
  @ApiProduces('text/csv')
  @Replies(200, 'Text', 'One line per part')
  @MayBeMissing()
  @Header('content-type', 'text/csv; charset=utf-8')
  parts(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, evaluation } = this.evaluated(id);
    asAttachment(response, build.document.name, '-parts.csv');
    return csvText(partsList(build.document, this.catalogue.all(), evaluation));
  }

  @Get('wires.csv')
  @ApiOperation({ summary: 'Wire list of a build as CSV' })
  @ApiProduces('text/csv')
  @Replies(200, 'Text', 'One line per wire')
  @MayBeMissing()
  @Header('content-type', 'text/csv; charset=utf-8')
  wires(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, evaluation } = this.evaluated(id);
    asAttachment(response, build.document.name, '-wires.csv');
    return csvText(wireList(evaluation));
  }

  @Get('work-sheet.pdf')
  @ApiOperation({ summary: 'Work order of a build as PDF' })
  @ApiQuery({
    name: 'units',
    required: false,
    enum: unitSystems,
    description: 'Units of the sheet',
  })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'The document')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  async workSheet(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { build, evaluation } = this.evaluated(id);
    const system: UnitSystem =
      unitSystems.find((s) => s === units) ?? build.document.displayUnits ?? 'metric';
    const sheet = new SheetPage({
      title: `${build.document.name}: fuel and pump circuit`,
      footer: `Brookrain · ${build.document.name} · revision ${build.revision}`,
    });
    writeWorkSheet({
      sheet,
      document: build.document,
      catalogue: this.catalogue.all(),
      revision: build.revision,
      evaluation,
      units: system,
    });
    asAttachment(response, build.document.name, '-work-sheet.pdf');
    return new StreamableFile(await sheet.bytes());
  }
}
