import { valueUnder } from '../../numerics/index.ts';
import { choice, figure, list, object, yesNo } from '../../model/spec.ts';
import { catalogueKind, column } from './catalogueKind.ts';
import { bodyFields, plugFields, portFields } from './bodyFields.ts';
import { distinct } from './distinct.ts';
import { threadFields } from './ports.ts';
import { terminals } from './sharedFields.ts';

/** A point of a pump curve: flow m³/s, pressure rise Pa, current A. */
export interface PumpCurvePoint {
  readonly flow: number;
  readonly pressure: number;
  readonly current: number;
}
/** Pump curve at one voltage, flow rising. */
export interface PumpCurve {
  readonly voltage: number;
  readonly points: readonly PumpCurvePoint[];
}

const point = object({
  flow: figure('volumeFlow', 'L/h', [0, 0.01], 'Flow'),
  pressure: figure('pressure', 'kPa', [0, 5e6], 'Pressure'),
  current: figure('current', 'A', [0, 200], 'Current'),
});

/** A pump: curves at several voltages and what its inlet needs. */
export const pump = catalogueKind({
  category: 'pump',
  title: 'Pumps',
  fields: {
    mounting: choice(['in-tank', 'external'], { label: 'Mounting' }),
    duty: choice(['main', 'lift'], { label: 'Duty' }),
    checkValve: yesNo({ label: 'Check valve' }),
    positiveDisplacement: yesNo({ label: 'Roller or gerotor' }),
    inletHeadNeeded: figure('pressure', 'kPa', [0, 1e5], 'Needs at the inlet, above vapour'),
    inrushFactor: figure('count', '', [1, 30], 'Inrush over running current'),
    inrushTime: figure('time', 'ms', [1e-4, 5], 'Inrush time constant'),
    pressureRating: figure('pressure', 'kPa', [1e3, 2e7], 'Pressure rating'),
    ...terminals,
    ...bodyFields,
    ...portFields,
    ...threadFields,
    ...plugFields,
    curves: list(
      object({
        voltage: figure('voltage', 'V', [1, 60], 'Voltage'),
        points: list(point, { min: 2, max: 60, rising: 'flow' }),
      }),
      { min: 1, max: 12 },
    ),
  },
  table: {
    key: 'curves',
    fields: ['curves'],
    label: 'Flow and current over pressure, at several voltages',
    columns: [
      column('voltage', 'Voltage', 'voltage', 'V'),
      column('pressure', 'Pressure', 'pressure', 'kPa'),
      column('flow', 'Flow', 'volumeFlow', 'L/h'),
      column('current', 'Current', 'current', 'A'),
    ],
    rowsOf: (item) =>
      item.curves.flatMap((curve) =>
        [...curve.points].reverse().map(({ flow, pressure, current }) => ({
          voltage: curve.voltage,
          pressure,
          flow,
          current,
        })),
      ),
    fieldsOf: (rows) => ({
      curves: distinct(rows.map((r) => valueUnder(r, 'voltage'))).map((voltage) => ({
        voltage,
        points: rows
          .filter((r) => r['voltage'] === voltage)
          .map((r) => ({
            flow: valueUnder(r, 'flow'),
            pressure: valueUnder(r, 'pressure'),
            current: valueUnder(r, 'current'),
          }))
          .sort((a, b) => a.flow - b.flow),
      })),
    }),
  },
});
