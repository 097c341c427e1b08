import type { Catalogue } from '../../catalogue/index.ts';
import { sampleBatteries, sampleFuses, sampleRelays, sampleWires } from './sampleElectrical.ts';
import { sampleCovers } from './sampleCovers.ts';
import { sampleEcus } from './sampleControllers.ts';
import { sampleActuators } from './sampleActuators.ts';
import { sampleSensors } from './sampleSensors.ts';
import { sampleBulkheads, sampleVehicleDevices } from './sampleVehicleDevices.ts';
import { sampleFasteners } from './sampleFasteners.ts';
import { sampleEnds } from './sampleEnds.ts';
import { sampleFittings } from './sampleFittings.ts';
import { sampleSmallParts } from './sampleSmallParts.ts';
import {
  sampleDeadHeadRegulators,
  sampleFilterRegulators,
  sampleFilters,
  sampleRegulators,
  sampleTanks,
} from './sampleFuelParts.ts';
import { sampleHoses } from './sampleHoses.ts';
import { sampleInjectors } from './sampleInjectors.ts';
import { samplePlugParts } from './samplePlugParts.ts';
import { samplePumps } from './samplePumps.ts';

/** The shipped catalogue: everything in it is invented. */
export const sampleCatalogue: Catalogue = {
  items: [
    ...samplePumps,
    ...sampleInjectors,
    ...sampleHoses,
    ...sampleEnds,
    ...sampleFittings,
    ...sampleFilters,
    ...sampleRegulators,
    ...sampleFilterRegulators,
    ...sampleDeadHeadRegulators,
    ...sampleTanks,
    ...sampleSmallParts,
    ...sampleFasteners,
    ...sampleBatteries,
    ...sampleFuses,
    ...sampleRelays,
    ...sampleWires,
    ...sampleCovers,
    ...samplePlugParts,
    ...sampleEcus,
    ...sampleSensors,
    ...sampleActuators,
    ...sampleVehicleDevices,
    ...sampleBulkheads,
  ],
};
