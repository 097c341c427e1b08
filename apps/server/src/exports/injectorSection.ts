import {
  type Evaluation,
  type Measure,
  type UnitSystem,
  deadTime,
  formatMeasure,
  fromSI,
} from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

/** Injectors with the data that the ECU is given. */
export function injectorSection(
  sheet: SheetPage,
  evaluation: Evaluation,
  voltage: number,
  units: UnitSystem,
): void {
  const rows = evaluation.fluids.flatMap((fluid) =>
    fluid.design.rows.map((design) => ({ design, fluid })),
  );
  sheet.heading('Injectors');
  sheet.table(
    [
      { title: 'Row', width: 76 },
      { title: 'Injector', width: 100 },
      { title: 'Count', width: 36, align: 'right' },
      { title: 'Flow as rated', width: 116 },
      { title: 'Coil', width: 84 },
      {
        title: `Dead time at ${formatMeasure(m(voltage, 'voltage'), units)}`,
        width: 63,
        align: 'right',
      },
      { title: 'Fitted', width: 40 },
    ],
    rows.map(({ design }) => {
      const { injector, row } = design;
      const rated = `${Math.round(fromSI(injector.ratedFlow, 'volumeFlow', 'cc/min'))} cc/min`;
      const at = formatMeasure(m(injector.ratedPressure, 'pressure'), units);
      const dead = deadTime(injector, voltage, injector.ratedPressure).value;
      return [
        row.name,
        injector.designation,
        String(row.count),
        `${rated} at ${at}, test fluid ${formatMeasure(m(injector.ratedDensity, 'density'), units)}`,
        `${formatMeasure(m(injector.resistance, 'resistance'), units)}, ${injector.driver === 'saturated' ? 'saturated switch' : 'peak and hold'}`,
        formatMeasure(m(dead, 'time'), units),
        '',
      ];
    }),
  );
}
