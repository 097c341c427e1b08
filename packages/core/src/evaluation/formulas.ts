import {
  chassisFormulas,
  componentFormulas,
  fixingFormulas,
  routeFormulas,
  thingFormulas,
} from '../vehicle/index.ts';
import { demandFormulas } from '../engine/index.ts';
import { consumptionFormulas, fuelFormulas } from '../engine/index.ts';
import {
  hydraulicFormulas,
  seatingFormulas,
  storageFormulas,
  tankFormulas,
} from '../fuel/index.ts';
import { injectorFormulas } from '../fuel/index.ts';
import { harnessFormulas } from '../harness/index.ts';
import { plumbingFormulas } from '../plumbing/index.ts';
import {
  busFormulas,
  pinFormulas,
  powerFormulas,
  sensorFormulas,
  sneakFormulas,
  supplyFormulas,
  switchingFormulas,
  panelFormulas,
} from '../electrics/index.ts';
import { pumpFormulas } from '../fuel/index.ts';
import type { Formula } from '../results/index.ts';

/** Every formula by name: a working can be computed again from its listed inputs. */
export const formulas: ReadonlyMap<string, Formula> = new Map(
  (
    [
      ...fuelFormulas,
      ...consumptionFormulas,
      ...demandFormulas,
      ...injectorFormulas,
      ...pumpFormulas,
      ...hydraulicFormulas,
      ...storageFormulas,
      ...tankFormulas,
      ...seatingFormulas,
      ...chassisFormulas,
      ...routeFormulas,
      ...thingFormulas,
      ...componentFormulas,
      ...fixingFormulas,
      ...plumbingFormulas,
      ...powerFormulas,
      ...pinFormulas,
      ...sensorFormulas,
      ...supplyFormulas,
      ...switchingFormulas,
      ...sneakFormulas,
      ...panelFormulas,
      ...busFormulas,
      ...harnessFormulas,
    ] as unknown as Formula[]
  ).map((formula) => [formula.name, formula]),
);
