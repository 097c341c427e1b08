import {
  type Evaluation,
  type FixingDrawing,
  type HeldComponent,
  type MadeLine,
  type ShoppingList,
  type UnitSystem,
  cautionFacts,
  cautionsAt,
  evaluate,
  drawingSvg,
  fixingDrawing,
  panelDrawing,
  partsList,
  readBuild,
  shoppingList,
  switchingList,
  unitSystems,
  wireList,
} from '@brookrain/core';
import type { BuildReply } from '@brookrain/contract';
import { Controller, Get, Header, Inject, Param, Query, Res, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { BuildStore } from '../builds/buildStore.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { notFound } from '../errors.ts';
import { MayBeMissing, Replies } from '../openapi/replies.ts';
import { asAttachment } from '../asAttachment.ts';
import { buyingRows, writeBuying } from './buyingSheet.ts';
import { writeCards } from './cardSheet.ts';
import { csvText } from './csvText.ts';
import { drawingDxf } from './drawingDxf.ts';
import { writeFixing } from './fixingSheet.ts';
import { writePanel } from './panelSheet.ts';
import { SheetPage } from './sheetPage.ts';
import { writeWorkSheet } from './workSheet.ts';

interface Plate {
  readonly build: BuildReply;
  readonly held: HeldComponent;
  readonly drawing: FixingDrawing;
}

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
    return csvText(partsList(build.document, evaluation));
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

  @Get('switching.csv')
  @ApiOperation({ summary: 'When everything that is switched is on, as CSV' })
  @ApiProduces('text/csv')
  @Replies(200, 'Text', 'One line per relay and output')
  @MayBeMissing()
  @Header('content-type', 'text/csv; charset=utf-8')
  switching(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, evaluation } = this.evaluated(id);
    asAttachment(response, build.document.name, '-switching.csv');
    return csvText(switchingList(evaluation.switching, evaluation.electrics.netlist));
  }

  /** The plate of a part; 404 for one that is not there or has none. */
  private plate(id: string, componentId: string): Plate {
    const { build, evaluation } = this.evaluated(id);
    const held = evaluation.map.held.find(({ component }) => component.id === componentId);
    const drawing = held?.made.ok ? fixingDrawing(held.wanted, held.made.design) : undefined;
    if (!held || !drawing) {
      throw notFound(`there is no plate for "${componentId.slice(0, 60)}"`);
    }
    return { build, held, drawing };
  }

  @Get('fixings/:component.pdf')
  @ApiOperation({ summary: 'Drawing of the plate that holds a part, as PDF' })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'The drawing, to scale')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  async fixingPdf(
    @Param('id') id: string,
    @Param('component') component: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { build, held, drawing } = this.plate(id, component);
    const sheet = new SheetPage({
      title: `${build.document.name}: plate of the ${held.component.name.toLowerCase()}`,
      footer: `Brookrain · ${build.document.name} · revision ${build.revision}`,
    });
    writeFixing({
      sheet,
      buildName: build.document.name,
      held,
      catalogue: this.catalogue.all(),
      drawing,
    });
    asAttachment(response, build.document.name, `-plate-${held.component.id}.pdf`);
    return new StreamableFile(await sheet.bytes());
  }

  @Get('fixings/:component.dxf')
  @ApiOperation({ summary: 'Drawing of the plate that holds a part, as DXF in millimetres' })
  @ApiProduces('image/vnd.dxf')
  @Replies(200, 'Text', 'The drawing, 1:1')
  @MayBeMissing()
  @Header('content-type', 'image/vnd.dxf')
  fixingDxf(
    @Param('id') id: string,
    @Param('component') component: string,
    @Res({ passthrough: true }) response: Response,
  ): string {
    const { build, held, drawing } = this.plate(id, component);
    asAttachment(response, build.document.name, `-plate-${held.component.id}.dxf`);
    return drawingDxf(drawing);
  }

  /** The relay panel of a build with its drawing. */
  private panel(id: string) {
    const { build, evaluation } = this.evaluated(id);
    const { panel } = evaluation;
    if (!panel) throw notFound('this build has no relay panel: no relay and no fuse stands there');
    return { build, panel, drawing: panelDrawing(panel.layout) };
  }

  @Get('panel.pdf')
  @ApiOperation({
    summary: 'Relay panel: what stands on it, wiring list, drilling template 1:1, as PDF',
  })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'The panel, its plate at full size over as many sheets as it takes')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  async panelPdf(
    @Param('id') id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { build, panel, drawing } = this.panel(id);
    const { name } = build.document;
    const sheet = new SheetPage({
      title: `${name}: relay panel`,
      footer: `Brookrain · ${name} · revision ${build.revision}`,
    });
    writePanel({ sheet, buildName: name, panel, drawing });
    asAttachment(response, name, '-panel.pdf');
    return new StreamableFile(await sheet.bytes());
  }

  @Get('panel.dxf')
  @ApiOperation({ summary: 'Plate of the relay panel, as DXF in millimetres' })
  @ApiProduces('image/vnd.dxf')
  @Replies(200, 'Text', 'The plate, 1:1')
  @MayBeMissing()
  @Header('content-type', 'image/vnd.dxf')
  panelDxf(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, drawing } = this.panel(id);
    asAttachment(response, build.document.name, '-panel.dxf');
    return drawingDxf(drawing);
  }

  @Get('panel.svg')
  @ApiOperation({ summary: 'Plate of the relay panel, as SVG in millimetres' })
  @ApiProduces('image/svg+xml')
  @Replies(200, 'Text', 'The plate, 1:1')
  @MayBeMissing()
  @Header('content-type', 'image/svg+xml')
  panelSvg(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, drawing } = this.panel(id);
    asAttachment(response, build.document.name, '-panel.svg');
    return drawingSvg(drawing);
  }

  private unitsOf(asked: string | undefined, build: BuildReply): UnitSystem {
    return unitSystems.find((s) => s === asked) ?? build.document.displayUnits ?? 'metric';
  }

  /** Work cards of some lines of a build, one page each. */
  private async cardsOf(
    id: string,
    wanted: (line: MadeLine) => boolean,
    asked: string | undefined,
    response: Response,
  ): Promise<StreamableFile> {
    const { build, evaluation } = this.evaluated(id);
    const { document } = build;
    const lines = evaluation.made.filter(wanted);
    if (lines.length === 0) throw notFound('there is no such line to make');
    const name = lines.length === 1 ? `-card-${lines[0]?.lineId ?? ''}` : '-cards';
    const sheet = new SheetPage({
      title: `${document.name}: work cards`,
      footer: `Brookrain · ${document.name} · revision ${build.revision}`,
    });
    writeCards({
      sheet,
      buildName: document.name,
      lines,
      catalogue: this.catalogue.all(),
      units: this.unitsOf(asked, build),
      cautions: cautionsAt('lines', cautionFacts(readBuild(document))),
    });
    asAttachment(response, document.name, `${name}.pdf`);
    return new StreamableFile(await sheet.bytes());
  }

  @Get('cards.pdf')
  @ApiOperation({ summary: 'Work cards of all lines of a build, as PDF' })
  @ApiQuery({
    name: 'units',
    required: false,
    enum: unitSystems,
    description: 'Units of the cards',
  })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'One page a line')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  cards(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    return this.cardsOf(id, () => true, units, response);
  }

  @Get('cards/:line.pdf')
  @ApiOperation({ summary: 'Work card of one line, as PDF' })
  @ApiQuery({ name: 'units', required: false, enum: unitSystems, description: 'Units of the card' })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'The card')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  card(
    @Param('id') id: string,
    @Param('line') line: string,
    @Query('units') units: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    return this.cardsOf(id, ({ lineId }) => lineId === line, units, response);
  }

  private shopping(id: string): { build: BuildReply; list: ShoppingList } {
    const { build, evaluation } = this.evaluated(id);
    const { shelf, offcuts } = readBuild(build.document);
    const catalogue = this.catalogue.all();
    return { build, list: shoppingList({ ...evaluation.parts, shelf, offcuts, catalogue }) };
  }

  @Get('buying.csv')
  @ApiOperation({ summary: 'One-trip list of a build as CSV' })
  @ApiProduces('text/csv')
  @Replies(200, 'Text', 'One line per part, the total last')
  @MayBeMissing()
  @Header('content-type', 'text/csv; charset=utf-8')
  buyingCsv(@Param('id') id: string, @Res({ passthrough: true }) response: Response): string {
    const { build, list } = this.shopping(id);
    asAttachment(response, build.document.name, '-buying.csv');
    return csvText(buyingRows(list, build.document.currency));
  }

  @Get('buying.pdf')
  @ApiOperation({ summary: 'One-trip list of a build with its cutting plan, as PDF' })
  @ApiQuery({ name: 'units', required: false, enum: unitSystems, description: 'Units of the list' })
  @ApiProduces('application/pdf')
  @Replies(200, 'Text', 'The list')
  @MayBeMissing()
  @Header('content-type', 'application/pdf')
  async buyingPdf(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { build, list } = this.shopping(id);
    const { name, currency } = build.document;
    const sheet = new SheetPage({
      title: `${name}: one-trip list`,
      footer: `Brookrain · ${name} · revision ${build.revision}`,
    });
    writeBuying({ sheet, buildName: name, list, currency, units: this.unitsOf(units, build) });
    asAttachment(response, name, '-buying.pdf');
    return new StreamableFile(await sheet.bytes());
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
    const system = this.unitsOf(units, build);
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
