import { valueUnder } from '../../numerics/index.ts';
import { type Fields, figure, list, object } from '../../model/spec.ts';
import { type ItemTable, column } from './catalogueKind.ts';

/** Highest pressure that a part stands. */
export const pressureRating = figure('pressure', 'kPa', [1e3, 1e8], 'Pressure rating');
/** Highest share of alcohol that a part stands. */
export const ethanolLimit = figure('ratio', '%', [0, 1], 'Rated for alcohol up to');

/** Terminals that take wires of some sizes. */
export const terminals = {
  wireAreaMin: figure('area', 'mm²', [0, 1e-3], 'Smallest wire'),
  wireAreaMax: figure('area', 'mm²', [0, 1e-3], 'Largest wire'),
} satisfies Fields;

const holderLength = (label: string, whenEmpty: number) => ({
  ...figure('length', 'mm', [0, 1], label),
  whenEmpty,
});

/** The holder in which a relay or a fuse stands on a panel: its outline, and what fastens it. */
export const holder = (width: number, height: number, hole: number, spacing: number) => ({
  holderWidth: holderLength('Holder, across', width),
  holderHeight: holderLength('Holder, up', height),
  holderHole: holderLength('Holes of its holder', hole),
  /** two holes above each other; 0: one in the middle */
  holderSpacing: holderLength('Holes apart (0: one)', spacing),
});

/** What filters measure, alone or in one body with a regulator. Drops over flow, test fluid. */
export const filtering = {
  fineness: figure('length', 'µm', [1e-7, 5e-3], 'Fineness'),
  testDensity: figure('density', 'kg/m³', [500, 1200], 'Density of the test fluid'),
  testViscosity: figure('viscosity', 'mPa·s', [1e-5, 0.1], 'Viscosity of the test fluid'),
  loadedFactor: figure('count', '', [1, 20], 'Loss loaded over clean'),
  ethanolLimit,
  points: list(
    object({
      flow: figure('volumeFlow', 'L/h', [1e-8, 0.01], 'Flow'),
      pressureDrop: figure('pressure', 'kPa', [1, 1e6], 'Drop'),
    }),
    { min: 1, max: 2, rising: 'flow' },
  ),
} satisfies Fields;

/** Pressure drop Pa at flow m³/s with the test fluid. */
export interface FilterPoint {
  readonly flow: number;
  readonly pressureDrop: number;
}
/** The drops of a filter as rows. */
export const dropTable: ItemTable<{ readonly points: readonly FilterPoint[] }> = {
  key: 'points',
  fields: ['points'],
  label: 'Pressure drop over flow',
  columns: [
    column('flow', 'Flow', 'volumeFlow', 'L/h'),
    column('pressureDrop', 'Drop', 'pressure', 'kPa'),
  ],
  rowsOf: (item) => item.points.map(({ flow, pressureDrop }) => ({ flow, pressureDrop })),
  fieldsOf: (rows) => ({
    points: rows
      .map((r) => ({ flow: valueUnder(r, 'flow'), pressureDrop: valueUnder(r, 'pressureDrop') }))
      .sort((a, b) => a.flow - b.flow),
  }),
};

/** Range in which a regulator can be set. */
export const settable = {
  setMin: figure('pressure', 'kPa', [1e3, 5e6], 'Lowest set pressure'),
  setMax: figure('pressure', 'kPa', [1e3, 5e6], 'Highest set pressure'),
} satisfies Fields;
/** Law of a regulator: Pa per m³/s of bypass, and discharge coefficient × area wide open, m². */
export const regulating = {
  slope: figure('flowSlope', 'kPa per 100 L/h', [0, 1e11], 'Rise of pressure over flow'),
  openArea: figure('hydraulicArea', 'mm²', [1e-8, 1e-2], 'Opening, effective'),
} satisfies Fields;
export const bypass = {
  bypassMin: figure('volumeFlow', 'L/h', [0, 0.01], 'Least bypass'),
  bypassMax: figure('volumeFlow', 'L/h', [0, 0.01], 'Greatest bypass'),
} satisfies Fields;
export const injectorDrivers = ['saturated', 'peak-hold'] as const;

/** In which lengths it is sold; 0 where nothing is said. */
export const soldIn = {
  soldStep: { ...figure('length', 'm', [0, 100], 'Sold in steps of'), whenEmpty: 0 },
  soldUpTo: { ...figure('length', 'm', [0, 1000], 'Longest piece sold'), whenEmpty: 0 },
};
