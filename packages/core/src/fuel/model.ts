import { quantity as q } from '../quantities/index.ts';
import {
  type Fields,
  type Of,
  choice,
  constant,
  idOf,
  itemRef,
  kinds,
  nullable,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  rule,
  text,
  whole,
} from '../model/spec.ts';
import { injectorPlugs } from '../catalogue/kinds/seatFields.ts';
import { lengthSpec } from '../vehicle/model.ts';

export const lineRoles = ['suction', 'feed', 'return', 'vent', 'other'] as const;
export const architectures = [
  'return-after-rail',
  'return-before-rail',
  'return-at-tank',
  'returnless',
  'surge-tank',
  'twin-pumps',
  'throttle-body',
] as const;
export const mountings = ['in-tank', 'external'] as const;
/** How a fuel circuit is laid out. */
export type Architecture = (typeof architectures)[number];
/** What a line is for. */
export type LineRole = (typeof lineRoles)[number];

/** Heat that a metal tank in moving air loses, per kelvin above it: an estimate. */
export const USUAL_HEAT_LOSS = q(10, 'thermalConductance', 'W/K');

const node = idOf('nodes', 'node');
const order = orderField;
const name = text({ label: 'Name', min: 1, max: 80 });
const through = { order, name, from: node, to: node };
const filterState = choice(['clean', 'loaded'], { label: 'State', initial: 'clean' });
const voltageShare = { min: 0, max: 1, message: 'share of voltage must be from 0 to 100 %' };
const changeOver = { min: 0, max: 1, message: 'fuel flow must be from 0 to 3 600 000 L/h' };
const manifoldRatio = quantityField('ratio', '', {
  label: 'Manifold reference',
  min: 0,
  max: 3,
  message: 'manifold ratio must be from 0 to 3',
});

/**
 * How a pump is driven. `stepped` runs on a share of the voltage (0: off) until the engine's fuel
 * flow passes `above`, and goes back below `below`. `pressure` is driven so that a node of the
 * circuit keeps a pressure, on no less than a share of the voltage.
 */
export const pumpControlSpec = kinds('kind', {
  stepped: object(
    {
      kind: constant('stepped'),
      lowShare: quantityField('ratio', '%', { label: 'Low step, of voltage', ...voltageShare }),
      above: quantityField('volumeFlow', 'L/h', { label: 'Full above engine flow', ...changeOver }),
      below: quantityField('volumeFlow', 'L/h', { label: 'Back below', ...changeOver }),
    },
    {
      rules: [
        rule<{ above: { value: number }; below: { value: number } }>(
          'below',
          'must not be above the flow at which it switches up',
          (c) => c.below.value <= c.above.value,
        ),
      ],
    },
  ),
  pressure: object({
    kind: constant('pressure'),
    sensorNode: node,
    target: quantityField('pressure', 'kPa', {
      label: 'Target pressure',
      min: 30e3,
      max: 1.5e6,
      message: 'target pressure must be from 30 to 1 500 kPa',
    }),
    manifoldRatio,
    leastShare: quantityField('ratio', '%', { label: 'Least share of voltage', ...voltageShare }),
  }),
});
export type PumpControl = Of<typeof pumpControlSpec>;

/** How many of a fitting sit on a line. */
export const fittingUseSpec = object({
  item: itemRef('fitting'),
  count: whole({ min: 1, max: 40 }),
});
export type FittingUse = Of<typeof fittingUseSpec>;

/** The elements of a fuel circuit, by kind. */
export const elementSpec = kinds('kind', {
  tank: object({
    kind: constant('tank'),
    order,
    name,
    outlet: node,
    returnNode: node,
    pressure: quantityField('pressure', 'kPa', {
      label: 'Pressure in the tank',
      min: -20e3,
      max: 50e3,
      message: 'tank pressure must be from −20 to 50 kPa',
    }),
    fuelLevel: quantityField('length', 'mm', {
      label: 'Lowest fuel above outlet',
      help: 'lowest fuel surface in use above the outlet',
      min: 0,
      max: 2,
      message: 'fuel level must be from 0 to 2 m above the outlet',
    }),
    usableVolume: quantityField('volume', 'L', {
      label: 'Usable volume',
      help: 'what can be driven from full to empty',
      since: 3,
      min: 0,
      above: true,
      max: 1,
      message: 'usable volume must be above zero, up to 1 000 L',
    }),
    heatLoss: quantityField('thermalConductance', 'W/K', {
      label: 'Heat loss of the tank',
      help: 'per kelvin above the air around it; a metal tank in moving air about 10, an estimate; a covered or plastic one less',
      since: 5,
      min: 0,
      max: 500,
      message: 'heat loss must be from 0 to 500 W/K',
      initial: USUAL_HEAT_LOSS,
    }),
  }),
  fitting: object({ kind: constant('fitting'), ...through, item: itemRef('fitting') }),
  line: object({
    kind: constant('line'),
    ...through,
    item: itemRef('hose'),
    role: choice(lineRoles, { label: 'Role' }),
    length: lengthSpec,
    fittings: record(fittingUseSpec, { max: 20, initial: {} }),
  }),
  filter: object({
    kind: constant('filter'),
    ...through,
    item: itemRef('filter'),
    state: filterState,
  }),
  pump: object({
    kind: constant('pump'),
    ...through,
    item: itemRef('pump'),
    mounting: choice(mountings, { label: 'Mounting' }),
    wear: quantityField('ratio', '%', {
      label: 'Wear',
      min: 0,
      max: 0.6,
      message: 'wear must be between 0 and 60 %',
      initial: q(10, 'ratio', '%'),
    }),
    control: nullable(pumpControlSpec, {
      help: 'null: runs whenever the ECU asks for fuel, on full voltage',
      since: 3,
    }),
  }),
  regulator: object({
    kind: constant('regulator'),
    ...through,
    item: itemRef('regulator'),
    setPressure: quantityField('pressure', 'kPa', {
      label: 'Set pressure',
      min: 30e3,
      max: 1.5e6,
      message: 'set pressure must be from 30 to 1 500 kPa',
      initial: q(300, 'pressure', 'kPa'),
    }),
    manifoldRatio,
  }),
  'filter-regulator': object({
    kind: constant('filter-regulator'),
    ...through,
    item: itemRef('filter-regulator'),
    returnNode: node,
    state: filterState,
  }),
  'dead-head-regulator': object({
    kind: constant('dead-head-regulator'),
    ...through,
    item: itemRef('dead-head-regulator'),
    setPressure: quantityField('pressure', 'kPa', {
      label: 'Set pressure',
      min: 5e3,
      max: 1.5e6,
      message: 'set pressure must be from 5 to 1 500 kPa',
    }),
  }),
  orifice: object({
    kind: constant('orifice'),
    ...through,
    diameter: quantityField('length', 'mm', {
      label: 'Hole',
      min: 1e-4,
      max: 0.05,
      message: 'the hole must be from 0.1 to 50 mm',
    }),
  }),
  'surge-tank': object({
    kind: constant('surge-tank'),
    order,
    name,
    inlet: node,
    outlet: node,
    returnNode: node,
    overflow: node,
    volume: quantityField('volume', 'L', {
      label: 'Volume',
      min: 0,
      above: true,
      max: 0.05,
      message: 'surge volume must be above zero, up to 50 L',
    }),
  }),
  injectors: object({
    kind: constant('injectors'),
    order,
    name,
    node,
    rowId: idOf('injectorRows', 'injector row'),
  }),
});
export type StoredElement = Of<typeof elementSpec>;
export type ElementKind = StoredElement['kind'];

/** One fuel circuit: joints at places and the elements between them. */
export const circuitSpec = object({
  order,
  name,
  fuelId: idOf('fuels', 'fuel'),
  architecture: choice(architectures, { label: 'Layout' }),
  nodes: record(object({ placementId: idOf('placements', 'place') }), { min: 2, max: 400 }),
  elements: record(elementSpec, { min: 1, max: 400 }),
});
export const circuitsSpec = record(circuitSpec, { min: 1, max: 4 });
export type StoredCircuit = Of<typeof circuitSpec>;

/** When a row joins: above a duty of the first, blended in over a width of duty. */
export const stagingSpec = object({
  aboveDuty: quantityField('ratio', '%', {
    label: 'Joins above first-row duty',
    min: 0,
    max: 1,
    message: 'duty must be from 0 to 100 %',
  }),
  blend: quantityField('ratio', '%', {
    label: 'Blended in over',
    min: 0,
    above: true,
    max: 1,
    message: 'blend must be above 0, up to 100 % of duty',
  }),
});
export type Staging = Of<typeof stagingSpec>;

export const retentions = ['none', 'clips', 'bolted-rail', 'both'] as const;
/** What keeps injectors where they are: clips on the rail, the bolted rail itself, or both. */
export type Retention = (typeof retentions)[number];

const bore = (label: string) => ({
  label,
  min: 0,
  above: true,
  max: 0.1,
  message: `${label.toLowerCase()} must be above 0, up to 100 mm`,
});

/** How the injectors of a row sit between rail and port. */
export const seatingSpec = object({
  retention: choice(retentions, { label: 'Held by', initial: 'both' }),
  railBore: quantityField('length', 'mm', bore('Bore in the rail')),
  portBore: quantityField('length', 'mm', bore('Bore in the port')),
  seatDistance: quantityField('length', 'mm', {
    label: 'From seat to seat',
    help: 'between the seal in the rail and the seal in the port, rail bolted down',
    min: 0,
    above: true,
    max: 0.3,
    message: 'the distance of the seats must be above 0, up to 300 mm',
  }),
  bossSpacing: quantityOrNone('length', 'mm', {
    label: 'Between neighbours',
    help: 'middle to middle of two injector bosses; of a second row, to the nearest of the first',
    min: 0,
    above: true,
    max: 1,
    message: 'injectors stand above 0, up to 1 000 mm apart',
  }),
  plug: choice(injectorPlugs, { label: 'Plug of the harness' }),
});
export type Seating = Of<typeof seatingSpec>;

/** A row of equal injectors on one circuit. */
export const injectorRowSpec = object({
  order,
  name,
  circuitId: idOf('fuelCircuits', 'fuel circuit'),
  item: itemRef('injector'),
  count: whole({
    label: 'Injectors',
    min: 1,
    max: 32,
    message: 'the number of injectors must be a whole number from 1 to 32',
  }),
  shotsPerCycle: whole({ label: 'Shots per cycle', min: 1, max: 8, initial: 1 }),
  airShare: quantityField('ratio', '%', {
    label: 'Share of the air',
    help: 'share of the engine’s air that this row fuels once every row works',
    min: 0,
    above: true,
    max: 1,
    message: 'share of air must be above 0, up to 100 %',
    initial: q(100, 'ratio', '%'),
  }),
  staging: nullable(stagingSpec, {
    help: 'null: works always; else joins above a duty of the rows that do',
    since: 3,
  }),
  ballast: quantityOrNone('resistance', 'Ω', {
    label: 'Ballast in series',
    since: 3,
    min: 0,
    above: true,
    max: 50,
    message: 'ballast must be above 0, up to 50 Ω',
  }),
  seating: nullable(seatingSpec, { help: 'null: not measured yet', since: 7 }),
  measuredFlows: record(
    quantityField('volumeFlow', 'cc/min', {
      min: 0,
      above: true,
      max: 1e-3,
      message: 'a measured flow must be above 0, up to 60 000 cc/min',
    }),
    {
      max: 32,
      help: 'flows measured on the bench, by the number of the injector; empty: not measured',
      since: 3,
      initial: {},
    },
  ),
});
export const injectorRowsSpec = record(injectorRowSpec, { min: 1, max: 8 });
export type StoredInjectorRow = Of<typeof injectorRowSpec>;

/** Limits of duty and of what a pump has in hand. */
export const fuelLimits = {
  injectorDuty: quantityField('ratio', '%', {
    label: 'Duty limit',
    min: 0.5,
    max: 0.95,
    message: 'duty limit must be from 50 to 95 %',
    initial: q(80, 'ratio', '%'),
  }),
  pumpMargin: quantityField('ratio', '%', {
    label: 'Wished margin',
    min: 0,
    max: 1,
    message: 'pump margin must be from 0 to 100 %',
    initial: q(20, 'ratio', '%'),
  }),
} satisfies Fields;
