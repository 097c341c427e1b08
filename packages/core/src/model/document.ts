import {
  controllersSpec,
  devicesSpec,
  electricsLimits,
  busesSpec,
  panelsSpec,
  switchingSpec,
  groundsSpec,
  powerSpec,
  vehicleSignalsSpec,
} from '../electrics/model.ts';
import { briefSpec, demandSpec, engineLimits, fuelsSpec } from '../engine/model.ts';
import { circuitsSpec, fuelLimits, injectorRowsSpec } from '../fuel/model.ts';
import { harnessSpec } from '../harness/model.ts';
import { assembliesSpec, offcutsSpec, shelfSpec } from '../plumbing/model.ts';
import { unitSystems } from '../quantities/index.ts';
import {
  edgesSpec,
  hardPointsSpec,
  hotRunsSpec,
  mountingLinesSpec,
  movingZonesSpec,
  otherLinesSpec,
  placementsSpec,
  routesSpec,
  sheetsSpec,
  solidsSpec,
  spacesSpec,
  tanksOnMapSpec,
  vehicleSpec,
} from '../vehicle/model.ts';
import { newestSince } from './initial.ts';
import {
  type Fields,
  type Of,
  anything,
  choiceOrNone,
  constant,
  idOf,
  measuredValue,
  moment,
  object,
  orderField,
  pathField,
  record,
  text,
} from './spec.ts';

const order = orderField;

/** One way to settle a decision: the values it puts in their places. */
export const alternativeSpec = object({
  order,
  name: text({ min: 1, max: 80 }),
  reason: text({ min: 0, max: 500, lines: true }),
  values: record(object({ path: pathField(), value: anything() }), { max: 40, key: 200 }),
});

/** A decision with its alternatives, of which one is chosen. */
export const optionSpec = object({
  order,
  title: text({ min: 1, max: 80 }),
  chosen: idOf('alternatives', 'alternative'),
  alternatives: record(alternativeSpec, { min: 1, max: 10 }),
});
export type StoredOption = Of<typeof optionSpec>;

/**
 * A warning that a person accepted, with the reason; the key is the finding's id. `measured` (SI)
 * is what was accepted: once the finding gets worse than that it is open again.
 */
export const acceptanceSpec = object({
  title: text({ min: 1, max: 200 }),
  reason: text({
    min: 3,
    max: 500,
    lines: true,
    message: 'say why it is accepted (at least 3 letters)',
  }),
  author: text({ min: 1, max: 60 }),
  time: moment(),
  measured: measuredValue(),
});
export type StoredAcceptance = Of<typeof acceptanceSpec>;

/** Margins and limits the technician may set; defaults come from the trade. */
export const limitsSpec = object({ ...engineLimits, ...fuelLimits, ...electricsLimits });
export type Limits = Of<typeof limitsSpec>;

/** Currency of prices where nothing else is said. */
export const USUAL_CURRENCY = 'EUR';

/** What was decided of a build. */
const documentFields = {
  name: text({
    label: 'Name of the build',
    min: 1,
    max: 80,
    message: 'a build needs a name of 1 to 80 letters',
  }),
  description: text({ label: 'In a few words', min: 0, max: 2000, lines: true }),
  brief: briefSpec,
  demand: demandSpec,
  fuels: fuelsSpec,
  fuelCircuits: circuitsSpec,
  injectorRows: injectorRowsSpec,
  vehicle: vehicleSpec,
  placements: placementsSpec,
  sheets: sheetsSpec,
  solids: solidsSpec,
  hotRuns: hotRunsSpec,
  movingZones: movingZonesSpec,
  edges: edgesSpec,
  mountingLines: mountingLinesSpec,
  spaces: spacesSpec,
  hardPoints: hardPointsSpec,
  otherLines: otherLinesSpec,
  tanks: tanksOnMapSpec,
  routes: routesSpec,
  assemblies: assembliesSpec,
  power: powerSpec,
  devices: devicesSpec,
  controllers: controllersSpec,
  vehicleSignals: vehicleSignalsSpec,
  grounds: groundsSpec,
  buses: busesSpec,
  panels: panelsSpec,
  switching: switchingSpec,
  harness: harnessSpec,
  limits: limitsSpec,
  options: record(optionSpec, { max: 40 }),
  acceptances: record(acceptanceSpec, { max: 400, key: 160 }),
  shelf: shelfSpec,
  offcuts: offcutsSpec,
  /** units in which this build is usually read; null: the reader's own */
  displayUnits: choiceOrNone(unitSystems),
  currency: text({
    label: 'Currency of prices',
    help: 'in which the catalogue of this workshop is priced',
    since: 4,
    min: 1,
    max: 8,
    message: 'a currency has 1 to 8 letters, such as EUR',
    initial: USUAL_CURRENCY,
  }),
} satisfies Fields;

/** The version of documents that this program writes: the newest that a field came with. */
export const CURRENT_VERSION = newestSince(object(documentFields));

/** A whole build as it is stored. */
export const documentSpec = object({
  format: constant('brookrain-build'),
  version: constant(CURRENT_VERSION),
  ...documentFields,
});

/** One build: plain data, versioned, every collection a record by id. */
export type BuildDocument = Of<typeof documentSpec>;
