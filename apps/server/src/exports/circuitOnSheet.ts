import {
  type CircuitElement,
  type CircuitLayout,
  type FuelCircuit,
  circuitSheet,
  layOutCircuit,
  waysThrough,
} from '@brookrain/core';
import { type Pen, type SheetPage, sheetColours } from './sheetPage.ts';

/** Every element that fuel passes, along the run and beside it, once, in the order of its numbers. */
export const numberedElements = (circuit: FuelCircuit): CircuitElement[] => [
  ...new Set(waysThrough(circuit).map((step) => step.element)),
];

const marks: Partial<Record<CircuitElement['kind'], string>> = {
  pump: 'pump',
  filter: 'filter',
  regulator: 'reg.',
  'dead-head-regulator': 'reg.',
  'filter-regulator': 'filter + reg.',
  'surge-tank': 'surge tank',
};

function drawTank(pen: Pen, layout: CircuitLayout): void {
  const { tankX, tankWidth, feedY } = circuitSheet;
  pen
    .rect(tankX, feedY - 30, tankWidth, layout.returnY - feedY + 60)
    .lineWidth(1.5)
    .stroke();
  pen.fontSize(11).text('Tank', tankX, feedY + 20, { width: tankWidth, align: 'center' });
}

function drawEngine(pen: Pen, layout: CircuitLayout): void {
  const x = circuitSheet.railX + 20;
  const { feedY } = circuitSheet;
  pen
    .rect(x, feedY - 14, circuitSheet.width - x, layout.returnY - feedY + 10)
    .lineWidth(1.5)
    .stroke();
  pen.fontSize(11).text('Engine', x, layout.returnY - 30, {
    width: circuitSheet.width - x,
    align: 'center',
  });
  for (const rail of layout.rails) {
    pen.moveTo(rail.x, rail.y0).lineTo(rail.x, rail.y1).lineWidth(5).stroke();
    if (rail.leavesTo !== undefined) {
      pen.moveTo(rail.x, rail.y1).lineTo(rail.x, rail.leavesTo).lineWidth(1).stroke();
    }
  }
}

/** A numbered mark on its piece of the run. */
function drawStep(
  pen: Pen,
  { x0, x1, y }: { x0: number; x1: number; y: number },
  element: CircuitElement,
  number: number,
): void {
  const middle = (x0 + x1) / 2;
  const dashed = element.kind === 'line' && element.role === 'return';
  pen
    .moveTo(x0, y)
    .lineTo(x1, y)
    .lineWidth(element.kind === 'line' ? 2 : 1);
  if (dashed) pen.dash(4, { space: 3 }).stroke().undash();
  else pen.stroke();
  const size = element.kind === 'line' || element.kind === 'fitting' ? 17 : 24;
  pen
    .rect(middle - size / 2, y - size / 2, size, size)
    .lineWidth(1)
    .fillAndStroke('#FFFFFF', sheetColours.ink);
  pen
    .fillColor(sheetColours.ink)
    .fontSize(10)
    .text(String(number), middle - 20, y - 6, { width: 40, align: 'center', lineBreak: false });
  const mark = marks[element.kind];
  if (mark) {
    pen
      .fillColor(sheetColours.second)
      .fontSize(9)
      .text(mark, middle - 40, y + size / 2 + 2, { width: 80, align: 'center', lineBreak: false });
  }
  pen.fillColor(sheetColours.ink);
}

/** The circuit as it runs, its elements by their numbers. */
export function drawCircuit(sheet: SheetPage, circuit: FuelCircuit): void {
  const layout = layOutCircuit(circuit);
  const numbers = new Map(numberedElements(circuit).map((e, i) => [e.id, i + 1]));
  const top = circuitSheet.feedY - 40;
  sheet.drawing(circuitSheet.width, layout.returnY + 40 - top, (pen) => {
    pen.translate(0, -top).strokeColor(sheetColours.ink).fillColor(sheetColours.ink);
    drawTank(pen, layout);
    drawEngine(pen, layout);
    for (const drop of layout.drops) {
      pen.moveTo(drop.x, drop.y0).lineTo(drop.x, drop.y1).lineWidth(1).stroke();
    }
    for (const { step, x0, x1, y } of layout.steps) {
      drawStep(pen, { x0, x1, y }, step.element, numbers.get(step.id) ?? 0);
    }
  });
}
