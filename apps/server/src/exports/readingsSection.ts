import {
  type Evaluation,
  type ExpectedReading,
  type FluidResult,
  type Measure,
  type UnitSystem,
  circuitScope,
  expectedReadings,
  formatMeasure,
  fuelFigure,
  resultIndex,
} from '@brookrain/core';
import type { Column, SheetPage } from './sheetPage.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

const columns: readonly Column[] = [
  { title: 'Case', width: 116 },
  { title: 'Battery', width: 42, align: 'right' },
  { title: 'Manifold', width: 56, align: 'right' },
  { title: 'Gauge should read', width: 76, align: 'right' },
  { title: 'Injector Δp', width: 60, align: 'right' },
  { title: 'λ', width: 30, align: 'right' },
  { title: 'Gauge read', width: 75 },
  { title: 'λ read', width: 60 },
];

/** One line for each rail. */
const linesOf = (reading: ExpectedReading, units: UnitSystem): string[][] => {
  const head = (name: string): string[] => [
    name,
    formatMeasure(m(reading.systemVoltage, 'voltage'), units),
    formatMeasure(m(reading.manifoldGauge, 'pressure'), units),
  ];
  const lambda = reading.lambda === undefined ? '' : reading.lambda.toFixed(2);
  if (!reading.rails) return [[...head(reading.label), 'not solved', '', lambda, '', '']];
  const several = reading.rails.length > 1;
  return reading.rails.map((rail) => [
    ...head(several ? `${reading.label}: ${rail.name}` : reading.label),
    formatMeasure(m(rail.gauge, 'pressure'), units),
    formatMeasure(m(rail.difference, 'pressure'), units),
    lambda,
    '',
    '',
  ]);
};

/** Prime, leak and hold, with room for what was seen. */
function firstPressure(
  sheet: SheetPage,
  evaluation: Evaluation,
  index: number,
  units: UnitSystem,
): void {
  const fluid = evaluation.fluids[index]!;
  const { circuit } = fluid.design;
  const results = resultIndex(evaluation.results);
  const figure = (name: 'prime.time' | 'prime.count') =>
    results.find(fuelFigure(name, circuitScope(index, circuit.id)));
  const time = figure('prime.time');
  const count = figure('prime.count');
  const set = expectedReadings(fluid).find((r) => r.name === 'keyOnPrime')?.rails?.[0]?.gauge;
  const pressure = set === undefined ? '' : formatMeasure(m(set, 'pressure'), units);
  sheet.table(
    [
      { title: 'First pressure', width: 80 },
      { title: 'What to do', width: 250 },
      { title: 'Should be', width: 95 },
      { title: 'Read', width: 90 },
    ],
    [
      [
        'Prime',
        `Two or three seconds at a time${count ? `, about ${Math.ceil(count.value)} primes on an empty line` : ''}; walk the whole line and wipe every joint with dry paper in between.`,
        time
          ? `${pressure} within ${formatMeasure(m(time.value, 'duration'), units)}, line full`
          : pressure,
        '',
      ],
      [
        'Leak',
        'Pressure standing, pump off: dry paper round every joint, both ends of every hose, drain and rail seals. Any weep is a stop.',
        'dry everywhere',
        '',
      ],
      [
        'Hold',
        'Note the gauge when the pump stops, and after five minutes. A fall that warms away is none; a steady one is a check valve, an injector or the regulator.',
        'noted, not falling on',
        '',
      ],
    ],
  );
}

/** What a circuit should read in every case, healthy and with something wrong. */
function caseTables(sheet: SheetPage, fluid: FluidResult, units: UnitSystem): void {
  const readings = expectedReadings(fluid);
  const rows = (fault: boolean): string[][] =>
    readings.filter((r) => r.fault === fault).flatMap((r) => linesOf(r, units));
  sheet.text(
    'Healthy. The gauge is open to air. With the manifold reference connected it reads lower at idle and climbs with boost: that is healthy, do not correct it.',
  );
  sheet.table(columns, rows(false));
  const faults = rows(true);
  if (faults.length === 0) return;
  sheet.text('What a fault looks like. Who reads these has to look for it.');
  sheet.table(columns, faults);
}

/** Expected readings of every circuit, with room for what was read. */
export function readingsSection(sheet: SheetPage, evaluation: Evaluation, units: UnitSystem): void {
  evaluation.fluids.forEach((fluid, index) => {
    sheet.heading(
      `At the vehicle: expected readings${evaluation.fluids.length > 1 ? `, ${fluid.design.circuit.name}` : ''}`,
    );
    firstPressure(sheet, evaluation, index, units);
    caseTables(sheet, fluid, units);
  });
}
