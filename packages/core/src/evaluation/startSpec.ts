import { briefSpec, fuelSpec, startFields } from '../engine/model.ts';
import { mountings } from '../fuel/model.ts';
import { type Fuel, type Of, choice, object, quantityField, rule, text } from '../model/index.ts';

/** What is asked before a new build can be judged. */
export const startSpec = object(
  {
    name: text({
      label: 'Name',
      min: 1,
      max: 80,
      message: 'a build needs a name of 1 to 80 letters',
    }),
    vehicle: briefSpec.fields.vehicle,
    engine: briefSpec.fields.engine,
    use: briefSpec.fields.use,
    ...startFields,
    cylinders: briefSpec.fields.cylinders,
    aspiration: briefSpec.fields.aspiration,
    fuelKind: choice(Object.keys(fuelSpec.kinds) as Fuel['kind'][], { label: 'Fuel' }),
    ethanol: fuelSpec.kinds['petrol-ethanol'].fields.ethanol,
    pumpMounting: choice(mountings, { label: 'Pump' }),
    runLength: quantityField('length', 'm', {
      label: 'Run from tank to engine',
      min: 0.2,
      max: 20,
      message: 'the run from tank to engine must be from 0.2 to 20 m',
    }),
  },
  {
    rules: [
      rule<{ powerSpeed: { value: number }; limiterSpeed: { value: number } }>(
        'limiterSpeed',
        'the limiter must not be below the power speed',
        (a) => a.limiterSpeed.value >= a.powerSpeed.value,
      ),
    ],
  },
);
export type StartAnswers = Of<typeof startSpec>;
