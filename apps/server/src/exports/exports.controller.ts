import {
  type BoardPaper,
  type HarnessListKind,
  boardPaperKinds,
  harnessListKinds,
  unitSystems,
} from '@brookrain/core';
import { Controller, Get, Inject, Param, Query, Res } from '@nestjs/common';
import { ApiParam, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { asAttachment } from '../asAttachment.ts';
import { BuildStore } from '../builds/buildStore.ts';
import { notFound } from '../errors.ts';
import { WorkQueue } from '../work/workQueue.ts';
import { Workshop } from '../workshop/workshop.ts';
import { InUnits, PaperRoute } from './paperRoute.ts';
import type { PaperKind } from './papers.ts';

const CSV = 'text/csv';
const PDF = 'application/pdf';
const DXF = 'image/vnd.dxf';
const SVG = 'image/svg+xml';

/** A list by its name; 404 for none. */
function knownList(asked: string): HarnessListKind {
  const kind = harnessListKinds.find((each) => each === asked);
  if (!kind) throw notFound(`there is no list "${asked.slice(0, 20)}"`);
  return kind;
}

/** Papers of a build: each is written in the thread of long work. */
@ApiTags('exports')
@Controller('api/builds/:id')
export class ExportsController {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(WorkQueue) private readonly work: WorkQueue,
    @Inject(Workshop) private readonly workshop: Workshop,
  ) {}

  private async send(
    response: Response,
    id: string,
    type: string,
    asked: { readonly kind: PaperKind; readonly of?: string; readonly units?: string | undefined },
  ): Promise<void> {
    const build = this.store.read(id);
    // Who closes the connection does not want the paper any more.
    const wanted = new AbortController();
    response.once('close', () => wanted.abort());
    const { body, rest } = await this.work.paper(
      build,
      {
        kind: asked.kind,
        of: asked.of ?? '',
        units: unitSystems.find((system) => system === asked.units),
        base: this.workshop.urls()[0] ?? `http://${response.req.headers.host ?? ''}`,
      },
      wanted.signal,
    );
    if (response.destroyed) return;
    asAttachment(response, build.name, rest);
    const isText = type === CSV || type === SVG;
    response.setHeader('content-type', isText ? `${type}; charset=utf-8` : type);
    response.send(Buffer.from(body));
  }

  @Get('parts.csv')
  @PaperRoute('Parts list of a build as CSV', CSV, 'One line per part')
  parts(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'parts' });
  }

  @Get('wires.csv')
  @PaperRoute('Wire list of a build as CSV', CSV, 'One line per wire')
  wires(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'wires' });
  }

  @Get('cut-list.csv')
  @PaperRoute('Wires as they are cut, as CSV', CSV, 'One line per wire, by size and colour')
  cutListCsv(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'cutListCsv' });
  }

  @Get('cut-list.pdf')
  @PaperRoute('Wires as they are cut, as PDF', PDF, 'By size and colour, with the reels')
  @InUnits()
  cutListPdf(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'cutListPdf', units });
  }

  @Get('reels.csv')
  @PaperRoute('Lengths of wire that are bought, as CSV', CSV, 'One line per length, with its wires')
  reels(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'reels' });
  }

  @Get(['kept-connectors.csv', 'kept-plugs.csv'])
  @PaperRoute('Kept connectors, cavity by cavity, as CSV', CSV, 'One line per cavity')
  keptPlugsCsv(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'keptPlugsCsv' });
  }

  @Get(['kept-connectors.pdf', 'kept-plugs.pdf'])
  @PaperRoute(
    'Kept connectors, cavity by cavity, as PDF',
    PDF,
    'Before and after, with room to tick',
  )
  keptPlugsPdf(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, PDF, { kind: 'keptPlugsPdf' });
  }

  @Get('lists/:list.csv')
  @PaperRoute('A list of the harness, as CSV', CSV, 'Pins, from-to, bundles, joints or labels')
  @ApiParam({ name: 'list', enum: harnessListKinds })
  listCsv(
    @Param('id') id: string,
    @Param('list') asked: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, CSV, { kind: 'listCsv', of: knownList(asked) });
  }

  @Get('lists/:list.pdf')
  @PaperRoute('A list of the harness, as PDF', PDF, 'Pins, from-to, bundles, joints or labels')
  @ApiParam({ name: 'list', enum: harnessListKinds })
  @InUnits()
  listPdf(
    @Param('id') id: string,
    @Param('list') asked: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'listPdf', of: knownList(asked), units });
  }

  @Get('boards/:board.dxf')
  @PaperRoute('Board of a loom, as DXF in millimetres', DXF, 'At 1:1')
  boardDxf(
    @Param('id') id: string,
    @Param('board') of: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, DXF, { kind: 'boardDxf', of });
  }

  @Get('boards/:board.svg')
  @PaperRoute('Board of a loom, as SVG in millimetres', SVG, 'At 1:1')
  boardSvg(
    @Param('id') id: string,
    @Param('board') of: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, SVG, { kind: 'boardSvg', of });
  }

  @Get('boards/:board/:paper.pdf')
  @PaperRoute('Board of a loom at full size on sheets of a paper, as PDF', PDF, 'At 1:1')
  @ApiParam({ name: 'paper', enum: boardPaperKinds })
  boardPdf(
    @Param('id') id: string,
    @Param('board') of: string,
    @Param('paper') asked: string,
    @Res() response: Response,
  ): Promise<void> {
    const paper = boardPaperKinds.find((kind) => kind === asked);
    if (!paper) throw notFound(`there is no paper "${asked.slice(0, 20)}"`);
    const kinds = {
      a4: 'boardA4',
      a3: 'boardA3',
      letter: 'boardLetter',
      roll: 'boardRoll',
    } as const satisfies Readonly<Record<BoardPaper, PaperKind>>;
    return this.send(response, id, PDF, { kind: kinds[paper], of });
  }

  @Get('switching.csv')
  @PaperRoute('When everything that is switched is on, as CSV', CSV, 'One line per relay, output')
  switching(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'switching' });
  }

  @Get('fixings/:component.pdf')
  @PaperRoute('Drawing of the plate that holds a part, as PDF', PDF, 'The drawing, to scale')
  fixingPdf(
    @Param('id') id: string,
    @Param('component') of: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'fixingPdf', of });
  }

  @Get('fixings/:component.dxf')
  @PaperRoute('Drawing of the plate that holds a part, as DXF in millimetres', DXF, 'At 1:1')
  fixingDxf(
    @Param('id') id: string,
    @Param('component') of: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, DXF, { kind: 'fixingDxf', of });
  }

  @Get('panel.pdf')
  @PaperRoute(
    'Relay panel: its parts, wiring list, drilling template 1:1, as PDF',
    PDF,
    'The panel, its plate at full size over as many sheets as needed',
  )
  panelPdf(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, PDF, { kind: 'panelPdf' });
  }

  @Get('panel.dxf')
  @PaperRoute('Plate of the relay panel, as DXF in millimetres', DXF, 'The plate, 1:1')
  panelDxf(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, DXF, { kind: 'panelDxf' });
  }

  @Get('panel.svg')
  @PaperRoute('Plate of the relay panel, as SVG in millimetres', SVG, 'The plate, 1:1')
  panelSvg(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, SVG, { kind: 'panelSvg' });
  }

  @Get('cards.pdf')
  @InUnits()
  @PaperRoute('Work cards of all lines of a build, as PDF', PDF, 'One page a line')
  cards(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'cards', units });
  }

  @Get('cards/:line.pdf')
  @InUnits()
  @PaperRoute('Work card of one line, as PDF', PDF, 'The card')
  card(
    @Param('id') id: string,
    @Param('line') of: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'card', of, units });
  }

  @Get('buying.csv')
  @PaperRoute('One-trip list of a build as CSV', CSV, 'One line per part, the total last')
  buyingCsv(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, CSV, { kind: 'buyingCsv' });
  }

  @Get('buying.pdf')
  @InUnits()
  @PaperRoute('One-trip list of a build with its cutting plan, as PDF', PDF, 'The list')
  buyingPdf(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'buyingPdf', units });
  }

  @Get('work-sheet.pdf')
  @InUnits()
  @PaperRoute('Work order of a build as PDF', PDF, 'The document')
  workSheet(
    @Param('id') id: string,
    @Query('units') units: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, PDF, { kind: 'workSheet', units });
  }

  @Get('schematic.pdf')
  @PaperRoute(
    'Schematic of a build, a system on each page of A4, as PDF',
    PDF,
    'Every wire on exactly one sheet',
  )
  schematicPdf(@Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.send(response, id, PDF, { kind: 'schematicPdf' });
  }

  @Get('schematic/:sheet.svg')
  @PaperRoute('One sheet of the schematic, as SVG', SVG, 'The sheet, black on white')
  schematicSvg(
    @Param('id') id: string,
    @Param('sheet') of: string,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, id, SVG, { kind: 'schematicSvg', of });
  }
}
