import type { Catalogue } from '../../build/index.ts';
import {
  sampleBatteries,
  sampleEcus,
  sampleFuses,
  sampleRelays,
  sampleWires,
} from './sampleElectrical.ts';
import { sampleFilters, sampleFittings, sampleHoses, sampleRegulators } from './sampleFuelParts.ts';
import { sampleInjectors } from './sampleInjectors.ts';
import { samplePumps } from './samplePumps.ts';

/** The shipped catalogue: everything in it is invented. */
export const sampleCatalogue: Catalogue = {
  items: [
    ...samplePumps,
    ...sampleInjectors,
    ...sampleHoses,
    ...sampleFittings,
    ...sampleFilters,
    ...sampleRegulators,
    ...sampleBatteries,
    ...sampleFuses,
    ...sampleRelays,
    ...sampleWires,
    ...sampleEcus,
  ],
};
