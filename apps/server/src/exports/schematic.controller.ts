import { evaluate, schematicSvg } from '@brookrain/core';
import { Controller, Get, Header, Inject, Param, Res, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { asAttachment } from '../asAttachment.ts';
import { BuildStore } from '../builds/buildStore.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { notFound } from '../errors.ts';
import { MayBeMissing, Replies } from '../openapi/replies.ts';
import { schematicPdf } from './schematicPdf.ts';
import { placedSheet, sheetsOf } from './schematicSheets.ts';

@ApiTags('exports')
@Controller('api/builds/:id')
export class SchematicController {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  private sheets(id: string) {
    const build = this.store.read(id);
    return { build, sheets: sheetsOf(evaluate(build.document, this.catalogue.all())) };
  }

  @Get('schematic.pdf')
  @ApiOperation({ summary: 'Schematic of a build, a system on each page of A4, as PDF' })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'Every wire on exactly one sheet')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  async pdf(
    @Param('id') id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { build, sheets } = this.sheets(id);
    const { name } = build.document;
    const placed = [];
    // One after the other: between two of them others are answered.
    for (const sheet of sheets) placed.push(await placedSheet(sheet));
    const footer = `Brookrain · ${name} · revision ${String(build.revision)}`;
    asAttachment(response, name, '-schematic.pdf');
    return new StreamableFile(await schematicPdf({ sheets: placed, buildName: name, footer }));
  }

  @Get('schematic/:sheet.svg')
  @ApiOperation({ summary: 'One sheet of the schematic, as SVG' })
  @ApiProduces('image/svg+xml')
  @Replies(200, 'Text', 'The sheet, black on white')
  @MayBeMissing()
  @Header('content-type', 'image/svg+xml')
  async svg(
    @Param('id') id: string,
    @Param('sheet') wanted: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<string> {
    const { build, sheets } = this.sheets(id);
    const sheet = sheets.find((each) => each.id === wanted);
    if (!sheet) throw notFound(`the schematic has no sheet "${wanted.slice(0, 60)}"`);
    const { name } = build.document;
    asAttachment(response, name, `-schematic-${sheet.id}.svg`);
    return schematicSvg(await placedSheet(sheet), `${name}: ${sheet.title}`);
  }
}
