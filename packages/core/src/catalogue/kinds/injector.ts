import { entryAt, valueUnder } from '../../numerics/index.ts';
import { choice, figure, figures, grid } from '../../model/spec.ts';
import { catalogueKind, column } from './catalogueKind.ts';
import { distinct } from './distinct.ts';
import { seatFields } from './seatFields.ts';
import { injectorDrivers } from './sharedFields.ts';

/**
 * An injector: rated flow m³/s with its test fluid and pressure, coil, and dead time s with a row
 * for each voltage and a column for each pressure.
 */
export const injector = catalogueKind({
  category: 'injector',
  title: 'Injectors',
  fields: {
    ratedFlow: figure('volumeFlow', 'cc/min', [1e-8, 1e-3], 'Rated flow'),
    ratedPressure: figure('pressure', 'kPa', [1e4, 5e6], 'Rated at'),
    ratedDensity: figure('density', 'kg/m³', [500, 1200], 'Density of the test fluid'),
    resistance: figure('resistance', 'Ω', [0.1, 100], 'Coil resistance'),
    driver: choice(injectorDrivers, { label: 'Driver' }),
    smallestPulse: figure('time', 'ms', [0, 0.05], 'Smallest pulse'),
    smallestEffectivePulse: figure('time', 'ms', [0, 0.05], 'Smallest effective pulse'),
    pressureRating: figure('pressure', 'kPa', [1e3, 2e7], 'Pressure rating'),
    ...seatFields,
    deadTimeVoltages: figures([1, 60]),
    deadTimePressures: figures([0, 5e6]),
    deadTimes: grid('deadTimeVoltages', 'deadTimePressures', 0.05),
  },
  table: {
    key: 'deadTimes',
    fields: ['deadTimeVoltages', 'deadTimePressures', 'deadTimes'],
    label: 'Dead time over voltage and pressure',
    columns: [
      column('voltage', 'Voltage', 'voltage', 'V'),
      column('pressure', 'Pressure', 'pressure', 'kPa'),
      column('deadTime', 'Dead time', 'time', 'ms'),
    ],
    rowsOf: (item) =>
      item.deadTimeVoltages.flatMap((voltage, v) =>
        item.deadTimePressures.map((pressure, p) => ({
          voltage,
          pressure,
          deadTime: entryAt(entryAt(item.deadTimes, v), p),
        })),
      ),
    fieldsOf(rows) {
      const deadTimeVoltages = distinct(rows.map((r) => valueUnder(r, 'voltage')));
      const deadTimePressures = distinct(rows.map((r) => valueUnder(r, 'pressure')));
      const at = new Map(
        rows.map((r) => [`${r['voltage']}/${r['pressure']}`, valueUnder(r, 'deadTime')]),
      );
      const deadTimes = deadTimeVoltages.map((v) =>
        deadTimePressures.map((p) => at.get(`${v}/${p}`)),
      );
      if (deadTimes.some((row) => row.includes(undefined))) return undefined;
      return { deadTimeVoltages, deadTimePressures, deadTimes };
    },
  },
});
