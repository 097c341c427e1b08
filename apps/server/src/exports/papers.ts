import {
  type BoardPaper,
  type CutLine,
  type HarnessListKind,
  HarnessLists,
  type MadeLine,
  cautionFacts,
  cautionsAt,
  cutList,
  drawingSvg,
  fixingDrawing,
  formboards,
  harnessList,
  panelDrawing,
  partsList,
  readBuild,
  reelCuts,
  reelList,
  repinningList,
  schematicSvg,
  shoppingList,
  switchingList,
  wireList,
} from '@brookrain/core';
import { notFound } from '../errors.ts';
import { buyingRows, writeBuying } from './buyingSheet.ts';
import { writeCards } from './cardSheet.ts';
import { csvText } from './csvText.ts';
import { writeKeptPlugs } from './keptPlugsSheet.ts';
import { writeCutList } from './cutListSheet.ts';
import { isTableList, writeHarnessList } from './harnessListSheet.ts';
import { labelAddress, labelSheet } from './labelSheet.ts';
import { drawingDxf } from './drawingDxf.ts';
import { writeFixing } from './fixingSheet.ts';
import { formboardPdf } from './formboardPdf.ts';
import { type Paper, type PaperSource, footOf } from './paper.ts';
import { writePanel } from './panelSheet.ts';
import { schematicPdf } from './schematicPdf.ts';
import { placedSheet, sheetsOf } from './schematicSheets.ts';
import { SheetPage } from './sheetPage.ts';
import { writeWorkSheet } from './workSheet.ts';

/** A PDF of A4 pages, filled by what writes it. */
async function pages(
  { build }: PaperSource,
  title: string,
  rest: string,
  write: (sheet: SheetPage) => void,
): Promise<Paper> {
  const sheet = new SheetPage({
    title: `${build.document.name}: ${title}`,
    footer: footOf(build),
  });
  write(sheet);
  return { body: await sheet.bytes(), rest };
}

/** The plate of a part; 404 for one that is not there or has none. */
function plate({ evaluation, of }: PaperSource) {
  const held = evaluation.map.held.find(({ component }) => component.id === of);
  const drawing = held?.made.ok ? fixingDrawing(held.wanted, held.made.design) : undefined;
  if (!held || !drawing) throw notFound(`there is no plate for "${of.slice(0, 60)}"`);
  return { held, drawing };
}

/** The relay panel of a build with its drawing. */
function panelOf({ evaluation: { panel } }: PaperSource) {
  if (!panel) throw notFound('this build has no relay panel: no relay or fuse is placed there');
  return { panel, drawing: panelDrawing(panel.layout) };
}

/** Work cards of some lines of a build, one page each. */
function cards(source: PaperSource, wanted: (line: MadeLine) => boolean): Promise<Paper> {
  const { build, evaluation, catalogue, units } = source;
  const lines = evaluation.made.filter(wanted);
  if (lines.length === 0) throw notFound('there is no such line to make');
  const name = lines.length === 1 ? `-card-${lines[0]?.lineId ?? ''}` : '-cards';
  return pages(source, 'work cards', `${name}.pdf`, (sheet) =>
    writeCards({
      sheet,
      buildName: build.document.name,
      lines,
      catalogue,
      units,
      cautions: cautionsAt('lines', cautionFacts(readBuild(build.document))),
    }),
  );
}

const listsInput = ({ build, evaluation, catalogue }: PaperSource) => ({
  evaluation,
  build: readBuild(build.document),
  catalogue,
});

/** A board of the harness, by its number. */
function board({ build, evaluation, of }: PaperSource) {
  const { harness: decided, placements } = readBuild(build.document);
  const found = formboards({
    buildName: build.document.name,
    led: evaluation.led,
    harness: evaluation.harness,
    electrics: evaluation.electrics,
    decided,
    placements,
  }).find(({ piece }) => piece.id === of);
  if (!found) throw notFound(`the harness has no board "${of.slice(0, 60)}"`);
  return found;
}

/** A board at full size on sheets of a paper. */
async function boardPdf(source: PaperSource, paper: BoardPaper): Promise<Paper> {
  const { piece, drawing } = board(source);
  const body = await formboardPdf({
    title: `${source.build.document.name}: ${piece.name}`,
    footer: footOf(source.build),
    drawing,
    paper,
  });
  return { body, rest: `-board-${piece.id}-${paper}.pdf` };
}

function shopping({ build, evaluation, catalogue }: PaperSource) {
  const { shelf, offcuts } = readBuild(build.document);
  return shoppingList({ ...evaluation.parts, shelf, offcuts, catalogue });
}

/** Wires as they are cut, with the names of the segments that they run through. */
const cutLines = ({ build, evaluation }: PaperSource): CutLine[] =>
  cutList(
    evaluation,
    Object.fromEntries(
      Object.entries(build.document.harness.segments).map(([id, { name }]) => [id, name]),
    ),
  );

/** Every paper of a build. What is not there is refused. */
export const papers = {
  parts: ({ build, evaluation }) => ({
    body: csvText(partsList(build.document, evaluation)),
    rest: '-parts.csv',
  }),
  wires: ({ evaluation }) => ({ body: csvText(wireList(evaluation)), rest: '-wires.csv' }),
  cutListCsv: (source) => ({ body: csvText(cutLines(source)), rest: '-cut-list.csv' }),
  reels: ({ evaluation }) => ({
    body: csvText(reelCuts(reelList(evaluation))),
    rest: '-reels.csv',
  }),
  cutListPdf: (source) =>
    pages(source, 'cut list', '-cut-list.pdf', (sheet) =>
      writeCutList({
        sheet,
        buildName: source.build.document.name,
        lines: cutLines(source),
        reels: reelList(source.evaluation),
        units: source.units,
      }),
    ),
  listCsv: (source) => ({
    body: csvText(harnessList(source.of as HarnessListKind, listsInput(source))),
    rest: `-${source.of}.csv`,
  }),
  listPdf: async (source) => {
    const { build, of, base, units } = source;
    const lists = new HarnessLists(listsInput(source));
    const { id, document } = build;
    if (isTableList(of)) {
      const buildName = document.name;
      return pages(source, of, `-${of}.pdf`, (sheet) =>
        writeHarnessList({ sheet, buildName, lists, kind: of, units }),
      );
    }
    const body = await labelSheet({
      title: `${document.name}: labels`,
      labels: lists.labels(),
      addressOf: (partId) => labelAddress(`${base}/builds/${id}`, document.devices, partId),
    });
    return { body, rest: '-labels.pdf' };
  },
  keptPlugsCsv: ({ build }) => ({
    body: csvText(repinningList(readBuild(build.document))),
    rest: '-kept-connectors.csv',
  }),
  keptPlugsPdf: (source) =>
    pages(source, 'kept plugs', '-kept-connectors.pdf', (sheet) =>
      writeKeptPlugs({
        sheet,
        buildName: source.build.document.name,
        lines: repinningList(readBuild(source.build.document)),
      }),
    ),
  boardDxf: (source) => {
    const { piece, drawing } = board(source);
    return { body: drawingDxf(drawing), rest: `-board-${piece.id}.dxf` };
  },
  boardSvg: (source) => {
    const { piece, drawing } = board(source);
    return { body: drawingSvg(drawing), rest: `-board-${piece.id}.svg` };
  },
  boardA4: (source) => boardPdf(source, 'a4'),
  boardA3: (source) => boardPdf(source, 'a3'),
  boardLetter: (source) => boardPdf(source, 'letter'),
  boardRoll: (source) => boardPdf(source, 'roll'),
  switching: ({ evaluation }) => ({
    body: csvText(switchingList(evaluation.switching, evaluation.electrics.netlist)),
    rest: '-switching.csv',
  }),
  fixingPdf: (source) => {
    const { held, drawing } = plate(source);
    const { build, catalogue } = source;
    return pages(
      source,
      `plate of the ${held.component.name.toLowerCase()}`,
      `-plate-${held.component.id}.pdf`,
      (sheet) => writeFixing({ sheet, buildName: build.document.name, held, catalogue, drawing }),
    );
  },
  fixingDxf: (source) => {
    const { held, drawing } = plate(source);
    return { body: drawingDxf(drawing), rest: `-plate-${held.component.id}.dxf` };
  },
  panelPdf: (source) => {
    const { panel, drawing } = panelOf(source);
    const buildName = source.build.document.name;
    return pages(source, 'relay panel', '-panel.pdf', (sheet) =>
      writePanel({ sheet, buildName, panel, drawing }),
    );
  },
  panelDxf: (source) => ({ body: drawingDxf(panelOf(source).drawing), rest: '-panel.dxf' }),
  panelSvg: (source) => ({ body: drawingSvg(panelOf(source).drawing), rest: '-panel.svg' }),
  cards: (source) => cards(source, () => true),
  card: (source) => cards(source, ({ lineId }) => lineId === source.of),
  buyingCsv: (source) => ({
    body: csvText(buyingRows(shopping(source), source.build.document.currency)),
    rest: '-buying.csv',
  }),
  buyingPdf: (source) => {
    const { name, currency } = source.build.document;
    const list = shopping(source);
    return pages(source, 'one-trip list', '-buying.pdf', (sheet) =>
      writeBuying({ sheet, buildName: name, list, currency, units: source.units }),
    );
  },
  workSheet: (source) => {
    const { build, catalogue, evaluation, units } = source;
    const { document, revision } = build;
    return pages(source, 'fuel and pump circuit', '-work-sheet.pdf', (sheet) =>
      writeWorkSheet({ sheet, document, catalogue, revision, evaluation, units }),
    );
  },
  schematicPdf: async ({ build, evaluation }) => {
    const placed = [];
    for (const sheet of sheetsOf(evaluation)) placed.push(await placedSheet(sheet));
    const body = await schematicPdf({
      sheets: placed,
      buildName: build.document.name,
      footer: footOf(build),
    });
    return { body, rest: '-schematic.pdf' };
  },
  schematicSvg: async ({ build, evaluation, of }) => {
    const sheet = sheetsOf(evaluation).find((each) => each.id === of);
    if (!sheet) throw notFound(`the schematic has no sheet "${of.slice(0, 60)}"`);
    const placed = await placedSheet(sheet);
    return {
      body: schematicSvg(placed, `${build.document.name}: ${sheet.title}`),
      rest: `-schematic-${sheet.id}.svg`,
    };
  },
} satisfies Readonly<Record<string, (source: PaperSource) => Paper | Promise<Paper>>>;

export type PaperKind = keyof typeof papers;
