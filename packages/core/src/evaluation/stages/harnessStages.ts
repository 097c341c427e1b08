import { bundleStage } from '../../harness/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { electrics } from './electricStages.ts';
import { routedHarness } from './routedHarnessStages.ts';
import { around } from './vehicleStages.ts';

export const harness = stage({
  name: 'harness',
  gives: 'bundles and ends of the harness, and its figures',
  reads: {
    led: routedHarness,
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
