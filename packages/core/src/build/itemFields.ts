import type { UnitKind } from '../quantities/index.ts';
import { type CatalogueCategory, hoseServices } from './catalogueItem.ts';

/** One field of a catalogue item: how it is named, measured and entered. */
export type ItemField = { readonly key: string; readonly label: string } & (
  | { readonly type: 'quantity'; readonly kind: UnitKind; readonly unit: string }
  | { readonly type: 'text' }
  | { readonly type: 'whole' }
  | { readonly type: 'yes-no' }
  | { readonly type: 'choice'; readonly choices: readonly string[]; readonly optional?: boolean }
);

/** A column of a data-sheet table; `kind` and `unit` as it is usually printed. */
export interface TableColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: UnitKind;
  readonly unit: string;
}

/** A data-sheet table of a category, as a list of rows whatever shape the item keeps it in. */
export interface ItemTable {
  readonly key: 'curves' | 'deadTimes' | 'points' | 'band';
  readonly label: string;
  readonly columns: readonly TableColumn[];
}

const quantity = (key: string, label: string, kind: UnitKind, unit: string): ItemField => ({
  key,
  label,
  type: 'quantity',
  kind,
  unit,
});
const choice = (key: string, label: string, choices: readonly string[]): ItemField => ({
  key,
  label,
  type: 'choice',
  choices,
});
const yesNo = (key: string, label: string): ItemField => ({ key, label, type: 'yes-no' });
const whole = (key: string, label: string): ItemField => ({ key, label, type: 'whole' });
const text = (key: string, label: string): ItemField => ({ key, label, type: 'text' });
const column = (key: string, label: string, kind: UnitKind, unit: string): TableColumn => ({
  key,
  label,
  kind,
  unit,
});

/** What every item carries, before the fields of its category. */
export const commonFields: readonly ItemField[] = [
  text('designation', 'Designation'),
  text('family', 'Family'),
  quantity('mass', 'Mass', 'mass', 'kg'),
  quantity('price', 'Price', 'count', ''),
  text('interchange', 'Interchange group'),
];

const rating = quantity('pressureRating', 'Pressure rating', 'pressure', 'kPa');
const alcohol = quantity('ethanolLimit', 'Rated for alcohol up to', 'ratio', '%');
const bore = quantity('bore', 'Bore', 'length', 'mm');
const terminals: readonly ItemField[] = [
  quantity('wireAreaMin', 'Smallest wire', 'area', 'mm²'),
  quantity('wireAreaMax', 'Largest wire', 'area', 'mm²'),
];
const filtering: readonly ItemField[] = [
  quantity('fineness', 'Fineness', 'length', 'µm'),
  quantity('testDensity', 'Density of the test fluid', 'density', 'kg/m³'),
  quantity('testViscosity', 'Viscosity of the test fluid', 'viscosity', 'mPa·s'),
  quantity('loadedFactor', 'Loss loaded over clean', 'count', ''),
  alcohol,
  rating,
];
const settable: readonly ItemField[] = [
  quantity('setMin', 'Lowest set pressure', 'pressure', 'kPa'),
  quantity('setMax', 'Highest set pressure', 'pressure', 'kPa'),
];
const law: readonly ItemField[] = [
  quantity('slope', 'Rise of pressure over flow', 'flowSlope', 'kPa per 100 L/h'),
  quantity('openArea', 'Opening, effective', 'hydraulicArea', 'mm²'),
];
const bypass: readonly ItemField[] = [
  quantity('bypassMin', 'Least bypass', 'volumeFlow', 'L/h'),
  quantity('bypassMax', 'Greatest bypass', 'volumeFlow', 'L/h'),
];
const drivers = ['saturated', 'peak-hold'];

/** Fields of each category after the common ones. */
export const itemFields: Record<CatalogueCategory, readonly ItemField[]> = {
  pump: [
    choice('mounting', 'Mounting', ['in-tank', 'external']),
    choice('duty', 'Duty', ['main', 'lift']),
    yesNo('checkValve', 'Check valve'),
    yesNo('positiveDisplacement', 'Roller or gerotor'),
    quantity('inletHeadNeeded', 'Needs at the inlet, above vapour', 'pressure', 'kPa'),
    quantity('inrushFactor', 'Inrush over running current', 'count', ''),
    quantity('inrushTime', 'Inrush time constant', 'time', 'ms'),
    rating,
    ...terminals,
  ],
  injector: [
    quantity('ratedFlow', 'Rated flow', 'volumeFlow', 'cc/min'),
    quantity('ratedPressure', 'Rated at', 'pressure', 'kPa'),
    quantity('ratedDensity', 'Density of the test fluid', 'density', 'kg/m³'),
    quantity('resistance', 'Coil resistance', 'resistance', 'Ω'),
    choice('driver', 'Driver', drivers),
    quantity('smallestPulse', 'Smallest pulse', 'time', 'ms'),
    quantity('smallestEffectivePulse', 'Smallest effective pulse', 'time', 'ms'),
    rating,
  ],
  hose: [
    bore,
    quantity('outsideDiameter', 'Outside diameter', 'length', 'mm'),
    quantity('roughness', 'Roughness', 'length', 'µm'),
    rating,
    alcohol,
    whole('dash', 'Dash size'),
    { key: 'service', label: 'Made for', type: 'choice', choices: hoseServices, optional: true },
  ],
  fitting: [bore, quantity('lossCoefficient', 'Loss coefficient', 'count', ''), rating],
  filter: filtering,
  regulator: [...settable, ...law, ...bypass, rating],
  'filter-regulator': [
    quantity('setPressure', 'Holds', 'pressure', 'kPa'),
    ...filtering,
    ...law,
    ...bypass,
  ],
  'dead-head-regulator': [...settable, ...law, rating],
  tank: [
    quantity('volume', 'Usable volume', 'volume', 'L'),
    choice('material', 'Material', ['steel', 'stainless', 'aluminium', 'plastic']),
    alcohol,
  ],
  'small-part': [
    quantity('diameterMin', 'Smallest diameter', 'length', 'mm'),
    quantity('diameterMax', 'Largest diameter', 'length', 'mm'),
  ],
  battery: [
    quantity('openCircuitVoltage', 'Open-circuit voltage', 'voltage', 'V'),
    quantity('internalResistance', 'Internal resistance', 'resistance', 'mΩ'),
    ...terminals,
  ],
  fuse: [
    choice('style', 'Style', ['blade', 'bolt']),
    quantity('rating', 'Rating', 'current', 'A'),
    ...terminals,
  ],
  relay: [
    quantity('contactRating', 'Contact rating', 'current', 'A'),
    quantity('contactResistance', 'Contact resistance', 'resistance', 'mΩ'),
    quantity('coilResistance', 'Coil resistance', 'resistance', 'Ω'),
    ...terminals,
  ],
  wire: [
    choice('system', 'Size system', ['metric', 'awg']),
    text('size', 'Size'),
    quantity('area', 'Conductor', 'area', 'mm²'),
    quantity('outsideDiameter', 'Outside diameter', 'length', 'mm'),
    quantity('resistancePerMetre', 'Resistance at 20 °C', 'resistancePerLength', 'mΩ/m'),
    quantity('insulationClass', 'Insulation class', 'temperature', '°C'),
    choice('insulation', 'Insulation', ['cross-linked', 'pvc']),
  ],
  ecu: [
    text('pumpPin', 'Pump pin'),
    choice('pumpPinSide', 'Pump pin switches', ['low-side', 'high-side']),
    quantity('pumpPinCurrent', 'Pump pin carries', 'current', 'A'),
    choice('injectorDriver', 'Injector drivers', drivers),
    whole('injectorOutputs', 'Injector outputs'),
    ...terminals,
  ],
};

/** Every field of a category, the common ones first. */
export const allItemFields = (category: CatalogueCategory): readonly ItemField[] => [
  ...commonFields,
  ...itemFields[category],
];

const dropTable: ItemTable = {
  key: 'points',
  label: 'Pressure drop over flow',
  columns: [
    column('flow', 'Flow', 'volumeFlow', 'L/h'),
    column('pressureDrop', 'Drop', 'pressure', 'kPa'),
  ],
};

/** Data-sheet table of the categories that have one. */
export const itemTables: Partial<Record<CatalogueCategory, ItemTable>> = {
  pump: {
    key: 'curves',
    label: 'Flow and current over pressure, at several voltages',
    columns: [
      column('voltage', 'Voltage', 'voltage', 'V'),
      column('pressure', 'Pressure', 'pressure', 'kPa'),
      column('flow', 'Flow', 'volumeFlow', 'L/h'),
      column('current', 'Current', 'current', 'A'),
    ],
  },
  injector: {
    key: 'deadTimes',
    label: 'Dead time over voltage and pressure',
    columns: [
      column('voltage', 'Voltage', 'voltage', 'V'),
      column('pressure', 'Pressure', 'pressure', 'kPa'),
      column('deadTime', 'Dead time', 'time', 'ms'),
    ],
  },
  filter: dropTable,
  'filter-regulator': dropTable,
  fuse: {
    key: 'band',
    label: 'Opening time over multiple of the rating',
    columns: [
      column('multiple', 'Multiple', 'count', ''),
      column('fastest', 'Fastest', 'time', 's'),
      column('slowest', 'Slowest', 'time', 's'),
    ],
  },
};

/** Name of each category as a person says it. */
export const categoryNames: Record<CatalogueCategory, string> = {
  pump: 'Pumps',
  injector: 'Injectors',
  hose: 'Hose and hardline',
  fitting: 'Ends and fittings',
  filter: 'Filters',
  regulator: 'Return regulators',
  'filter-regulator': 'Filter-regulators',
  'dead-head-regulator': 'Dead-head regulators',
  tank: 'Tanks',
  'small-part': 'Clamps and small parts',
  battery: 'Batteries',
  fuse: 'Fuses',
  relay: 'Relays',
  wire: 'Wire',
  ecu: 'ECUs',
};
