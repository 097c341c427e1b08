import { bundleStage } from '../../harness/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { electrics } from './electricStages.ts';
import { led } from './ledStages.ts';
import { around } from './vehicleStages.ts';

/** Bundles of the harness, and what it comes to. */
export const harness = stage({
  name: 'harness',
  reads: {
    led,
    harness: slices.harness,
    electrics,
    electric: slices.electric,
    power: slices.power,
    around,
    brief: slices.hotDay,
    catalogue: slices.catalogue,
  },
  run: ({ brief, ...read }) => bundleStage({ ...read, ambientHot: brief.ambientHot.value }),
});
