import {
  type BuildDocument,
  type CircuitElement,
  type Evaluation,
  type FuelCircuit,
  type Measure,
  type UnitSystem,
  cautionFacts,
  cautionsAt,
  formatMeasure,
  generalNotice,
  isThrough,
  readBuild,
  readsAs,
  stateOf,
  waysThrough,
  wireList,
} from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

/** What the pen writes on: blank boxes for what is measured at the vehicle. */
const BLANK = '';

function circuitTable(sheet: SheetPage, evaluation: Evaluation, units: UnitSystem): void {
  for (const fluid of evaluation.fluids) {
    const peak = fluid.cases.peakPower.solution;
    sheet.heading(fluid.design.circuit.name);
    sheet.table(
      [
        { title: 'Element', width: 120 },
        { title: 'Part', width: 120 },
        { title: 'Length', width: 55, align: 'right' },
        { title: 'Flow at peak', width: 70, align: 'right' },
        { title: 'Loss at peak', width: 70, align: 'right' },
        { title: 'As built', width: 80 },
      ],
      everyElement(fluid.design.circuit).map((element) => {
        const state = peak.state === 'converged' ? peak.elements[element.id] : undefined;
        const length = fluid.design.lengths[element.id];
        return [
          element.name,
          'item' in element ? element.item.id : '',
          length === undefined ? '' : formatMeasure(m(length, 'length'), units),
          state
            ? formatMeasure(m(state.massFlow / fluid.design.fuel.hot.density, 'volumeFlow'), units)
            : '–',
          state && isThrough(element) && element.kind !== 'pump' && element.kind !== 'regulator'
            ? formatMeasure(m(state.pressureDrop, 'pressure'), units)
            : '',
          BLANK,
        ];
      }),
    );
  }
}

/** Every element that fuel passes, along the run and beside it, once. */
const everyElement = (circuit: FuelCircuit): CircuitElement[] => [
  ...new Set(waysThrough(circuit).map((step) => step.element)),
];

function gaugeTable(sheet: SheetPage, evaluation: Evaluation, units: UnitSystem): void {
  sheet.heading('Expected gauge readings at the rail');
  sheet.text(
    'The gauge is open to air. With the manifold reference connected it reads lower at idle and climbs with boost: that is healthy, do not correct it.',
  );
  for (const fluid of evaluation.fluids) {
    const rail = fluid.design.circuit.elements.find((e) => e.kind === 'injectors');
    sheet.table(
      [
        { title: 'Case', width: 150 },
        { title: 'Supply', width: 60, align: 'right' },
        { title: 'Manifold', width: 80, align: 'right' },
        { title: 'Gauge should read', width: 110, align: 'right' },
        { title: 'Measured', width: 115 },
      ],
      Object.values(fluid.cases).map(({ point, solution }) => [
        point.label,
        formatMeasure(m(point.systemVoltage, 'voltage'), units),
        formatMeasure(m(point.manifoldGauge, 'pressure'), units),
        solution.state === 'converged' && rail
          ? formatMeasure(m(stateOf(solution, rail.id).inletPressure, 'pressure'), units)
          : 'not solved',
        BLANK,
      ]),
    );
  }
}

function wiringTable(sheet: SheetPage, evaluation: Evaluation, units: UnitSystem): void {
  sheet.heading('Pump wiring');
  for (const feed of evaluation.feeds) {
    const drop = feed.pumpGroup.drop;
    sheet.text(
      `Main fuse ${feed.mainFuse.designation}; pump fuse ${feed.fuse.fuse.designation}; coil switched ${feed.feed.trigger} by the ECU; inertia switch ${feed.feed.inertiaSwitch ? 'in the coil feed' : 'none'}. Drop in the pump feed ${formatMeasure(m(drop, 'voltage'), units)} of at most ${formatMeasure(m(feed.pumpGroup.dropLimit, 'voltage'), units)}.`,
    );
  }
  sheet.table(
    [
      { title: 'Wire', width: 130 },
      { title: 'From', width: 95 },
      { title: 'To', width: 95 },
      { title: 'Size', width: 60, align: 'right' },
      { title: 'Length', width: 60, align: 'right' },
      { title: 'Checked', width: 75 },
    ],
    wireList(evaluation).map((line) => [
      line.name,
      line.from,
      line.to,
      line.size,
      formatMeasure(m(line.length, 'length'), units),
      BLANK,
    ]),
  );
}

/** Writes the work sheet of fuel and pump circuit. */
export function writeWorkSheet(input: {
  sheet: SheetPage;
  document: BuildDocument;
  revision: number;
  evaluation: Evaluation;
  units: UnitSystem;
}): void {
  const { sheet, document, evaluation, units } = input;
  const brief = document.brief;
  sheet.title(
    `${document.name}: fuel and pump circuit`,
    `${brief.vehicle}. ${brief.engine}. ${formatMeasure(m(brief.power.value, 'power'), units)} at ${formatMeasure(m(brief.powerSpeed.value, 'rotation'), units, 4)}. Revision ${input.revision}.`,
  );
  sheet.heading('Cautions');
  sheet.text(generalNotice);
  for (const caution of cautionsAt('take-away', cautionFacts(readBuild(document)))) {
    sheet.caution(caution.when, caution.text);
  }
  circuitTable(sheet, evaluation, units);
  gaugeTable(sheet, evaluation, units);
  wiringTable(sheet, evaluation, units);
  sheet.heading('Findings');
  if (evaluation.findings.length === 0) sheet.text('None.');
  for (const finding of evaluation.findings) {
    sheet.text(`${finding.severity.toUpperCase()}  ${readsAs(finding, units)}.`);
  }
  sheet.finish();
}
