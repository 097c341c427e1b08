import {
  type Catalogue,
  type CircuitElement,
  type Evaluation,
  type FluidResult,
  type LineElement,
  type Measure,
  type PressureKeeper,
  type UnitSystem,
  formatMeasure,
  isThrough,
  lossesOn,
  lookUp,
  pressureKeeperOf,
} from '@brookrain/core';
import { drawCircuit, numberedElements } from './circuitOnSheet.ts';
import type { SheetPage } from './sheetPage.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

/** How the pressure of a circuit is set, in steps of the hand. */
function howToSet(keeper: PressureKeeper, element: CircuitElement, set: string): string {
  if (element.kind === 'filter-regulator') {
    return `It is fixed: nothing to turn. Pump running, the gauge on the rail reads about ${set}, line losses apart; if it does not, change the unit.`;
  }
  switch (keeper.kind) {
    case 'return':
      return keeper.manifoldRatio > 0
        ? `Engine standing, reference hose off, pump running: turn the regulator's screw until the gauge on the rail reads ${set}; lock the nut and read again. Then put the hose on: from now on the gauge follows the manifold.`
        : `Pump running: turn the regulator's screw until the gauge on the rail reads ${set}; lock the nut and read again. It has no reference: the pressure stays.`;
    case 'forward':
      return `Pump running: turn the regulator's screw until the gauge behind it reads ${set}; lock the nut and read again with an injector open. It has no reference: the pressure stays.`;
    case 'speed':
      return `The controller holds it: enter ${set} as its target, then read the gauge on the rail at idle.`;
  }
}

function setPressure(
  sheet: SheetPage,
  fluid: FluidResult,
  catalogue: Catalogue,
  units: UnitSystem,
): void {
  const keeper = pressureKeeperOf(fluid.design.circuit, catalogue);
  const element = fluid.design.circuit.elements.find((e) => e.id === keeper?.elementId);
  if (!keeper || !element) {
    sheet.text('Nothing keeps the pressure in this circuit.');
    return;
  }
  const set = formatMeasure(m(keeper.setPressure, 'pressure'), units);
  sheet.table(
    [
      { title: 'Set pressure', width: 90 },
      { title: 'Kept by', width: 90 },
      { title: 'How to set it', width: 265 },
      { title: 'As set', width: 70 },
    ],
    [[set, element.name, howToSet(keeper, element, set), '']],
  );
}

const known = {
  measured: 'measured',
  typed: 'typed',
  route: 'on the map',
  map: 'estimate',
} as const;

/** What is screwed to a hose, ends with their angles. */
const endsOf = (line: LineElement, catalogue: Catalogue): string =>
  lossesOn(line)
    .map(({ item, count }) => {
      const { designation } = lookUp(catalogue, 'fitting', item, line.id);
      return count > 1 ? `${count} × ${designation}` : designation;
    })
    .join('; ');

/** Every element of the run: part, hose with length and how that is known, bore, ends. */
function elements(
  sheet: SheetPage,
  fluid: FluidResult,
  evaluation: Evaluation,
  catalogue: Catalogue,
  units: UnitSystem,
): void {
  const { circuit, lengths } = fluid.design;
  const peak = fluid.cases.peakPower.solution;
  const lossOf = (element: CircuitElement): string => {
    if (peak.state !== 'converged' || !isThrough(element)) return '';
    if (element.kind === 'pump' || element.kind === 'regulator') return '';
    const state = peak.elements[element.id];
    return state ? formatMeasure(m(state.pressureDrop, 'pressure'), units) : '';
  };
  const lengthOf = (element: CircuitElement): string => {
    const length = lengths[element.id];
    const source = evaluation.lengthSources[element.id];
    if (length === undefined || source === undefined) return '';
    return `${formatMeasure(m(length, 'length'), units)}, ${known[source]}`;
  };
  sheet.table(
    [
      { title: 'No.', width: 24, align: 'right' },
      { title: 'Element', width: 88 },
      { title: 'Part', width: 106 },
      { title: 'Length', width: 76, align: 'right' },
      { title: 'Bore', width: 42, align: 'right' },
      { title: 'Ends', width: 92 },
      { title: 'Loss at peak', width: 47, align: 'right' },
      { title: 'As built', width: 40 },
    ],
    numberedElements(circuit).map((element, i) => {
      const hose =
        element.kind === 'line' ? lookUp(catalogue, 'hose', element.item, element.id) : undefined;
      const item =
        'item' in element
          ? catalogue.items.find(
              (c) => c.id === element.item.id && c.revision === element.item.revision,
            )
          : undefined;
      return [
        String(i + 1),
        element.name,
        item?.designation ?? '',
        lengthOf(element),
        hose ? formatMeasure(m(hose.bore, 'length'), units) : '',
        element.kind === 'line' ? endsOf(element, catalogue) : '',
        lossOf(element),
        '',
      ];
    }),
  );
}

/** A circuit as it is built: what sets its pressure, its drawing, its elements. */
export function circuitSection(
  sheet: SheetPage,
  fluid: FluidResult,
  evaluation: Evaluation,
  catalogue: Catalogue,
  units: UnitSystem,
): void {
  sheet.heading(`${fluid.design.circuit.name}: ${fluid.design.fuel.fuel.name}`);
  setPressure(sheet, fluid, catalogue, units);
  drawCircuit(sheet, fluid.design.circuit);
  elements(sheet, fluid, evaluation, catalogue, units);
}
