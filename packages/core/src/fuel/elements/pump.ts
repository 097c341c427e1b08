import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { PumpElement } from '../../model/index.ts';
import { bisect } from '../../numerics/index.ts';
import { controlledPumpBranch } from '../hydraulics/controlledPumpBranch.ts';
import { pumpBranch } from '../hydraulics/pumpBranch.ts';
import { heldPressure } from '../hydraulics/regulatorBranch.ts';
import { type PumpPoint, type PumpSupply, pumpModel } from '../pumps/pumpModel.ts';
import { type ElementKindEntry, riseBetween } from './elementKind.ts';

/** A pump that is not wired. */
const NO_SUPPLY: PumpSupply = { openCircuitV: 0, seriesResistanceOhm: 0 };

/** The pump curve of an element with its wear, on a supply. */
const onSupply = (element: PumpElement, catalogue: Catalogue, supply: PumpSupply) =>
  pumpModel({
    item: lookUp(catalogue, 'pump', element.item, element.id),
    supply,
    wear: element.wear.value,
  });

/** A supply through a controller that passes a share of the voltage on (linear estimate). */
export const sharedSupply = (supply: PumpSupply, share: number): PumpSupply => ({
  ...supply,
  openCircuitV: supply.openCircuitV * share,
});

/** Share of the voltage at which a pump makes a pressure rise Pa, by bisection between its ends. */
function drivenShare(input: {
  risesTo: (share: number) => PumpPoint;
  least: number;
  pressureRise: number;
}): number {
  const { risesTo, least, pressureRise } = input;
  if (risesTo(1).pressureRise <= pressureRise) return 1;
  if (risesTo(least).pressureRise >= pressureRise) return least;
  return bisect({
    low: least,
    high: 1,
    tolerance: 1e-9,
    test: (share) => risesTo(share).pressureRise >= pressureRise,
  });
}

/** A pump with its check valve, on full voltage, in steps, or driven to a pressure. */
export const pump: ElementKindEntry<PumpElement> = {
  category: 'pump',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  branches: (element, { catalogue, fluid, heights, conditions }) => {
    const { id, from, to, control } = element;
    const supply = conditions.supplies[id] ?? NO_SUPPLY;
    const full = onSupply(element, catalogue, supply);
    const rise = riseBetween(heights, from, to);
    const initialFlow = 0.5 * full.greatestFlow * fluid.density;
    if (control?.kind !== 'pressure' || conditions.regulators === 'holding') {
      const plain = { rise, fluid, pump: full, initialFlow };
      return [{ id, from, to, model: (smoothing) => pumpBranch({ ...plain, smoothing }) }];
    }
    const least = onSupply(element, catalogue, sharedSupply(supply, control.leastShare.value));
    const target = heldPressure(
      { setPressure: control.target.value, manifoldRatio: control.manifoldRatio.value },
      conditions.manifoldGauge,
    );
    const driven = { full, least, target, rise, fluid, initialFlow };
    return [
      {
        id,
        from,
        to,
        senses: control.sensorNode,
        model: (smoothing) => controlledPumpBranch({ ...driven, smoothing }),
      },
    ];
  },
  pumpState: (element, { catalogue, fluid, conditions }, state) => {
    const supply = conditions.supplies[element.id] ?? NO_SUPPLY;
    const flow = state.massFlow / fluid.density;
    const at = (share: number) =>
      onSupply(element, catalogue, sharedSupply(supply, share)).operate(flow);
    const share =
      element.control?.kind === 'pressure' && conditions.regulators === 'regulating'
        ? drivenShare({
            risesTo: at,
            least: element.control.leastShare.value,
            pressureRise: -state.pressureDrop,
          })
        : 1;
    const { pressureRise, voltage, current, outsideData } = at(share);
    return { elementId: element.id, flow, pressureRise, voltage, current, outsideData, share };
  },
};
