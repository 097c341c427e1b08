import { chassisFormulas } from '../chassis/index.ts';
import { demandFormulas } from '../demand/index.ts';
import { consumptionFormulas, fuelFormulas } from '../fuels/index.ts';
import { hydraulicFormulas, storageFormulas } from '../hydraulics/index.ts';
import { injectorFormulas } from '../injectors/index.ts';
import { powerFormulas } from '../power/index.ts';
import { pumpFormulas } from '../pumps/index.ts';
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
      ...chassisFormulas,
      ...powerFormulas,
    ] as unknown as Formula[]
  ).map((formula) => [formula.name, formula]),
);
