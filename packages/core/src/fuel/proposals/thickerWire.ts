import { firstOf } from '../../numerics/index.ts';
import type { WireItem } from '../../catalogue/index.ts';
import type { SizedPumpFeed } from '../../electrics/index.ts';
import type { FuelChecked } from '../checked.ts';
import { deliverable } from '../running/deliverable.ts';

/** What a wire size in a pump's feed would do to its flow. SI. */
export interface WireGain {
  readonly size: WireItem;
  /** what is there now */
  readonly present: boolean;
  readonly seriesResistance: number;
  readonly voltage: number;
  readonly available: number;
  /** m³/s more than now; negative when thinner */
  readonly gain: number;
}

/** Sizes looked at on either side of the present one. */
const THINNER = 1;
const THICKER = 3;

/** What the next wire sizes in a pump's feed would buy in flow at peak; empty when unsolved. */
export function thickerWire(checked: FuelChecked, feed: SizedPumpFeed): WireGain[] {
  const fluid = checked.fluids.find((f) => f.design.circuit.id === feed.feed.circuitId);
  const { candidates, wires } = feed.pumpGroup;
  const present = wires.reduce((a, b) => (b.size.area < a.size.area ? b : a)).size;
  const at = candidates.findIndex((c) => c.size.id === present.id);
  const base = fluid?.peak;
  if (!fluid || !base || at < 0) return [];
  const load = firstOf(wires).task.load;
  const own = wires.reduce((sum, w) => sum + w.resistance, 0);
  return candidates.slice(Math.max(0, at - THINNER), at + THICKER + 1).flatMap((candidate) => {
    const isPresent = candidate === candidates[at];
    const seriesResistance = isPresent
      ? feed.seriesResistance
      : feed.seriesResistance - own + candidate.drop / load;
    const design = {
      ...fluid.design,
      seriesResistances: {
        ...fluid.design.seriesResistances,
        [feed.feed.elementId]: seriesResistance,
      },
    };
    const flow = deliverable(checked.design, design, fluid.cases.peakPower.point);
    const pump = flow?.solution.pumps[feed.feed.elementId];
    if (!flow || !pump) return [];
    return [
      {
        size: candidate.size,
        present: isPresent,
        seriesResistance,
        voltage: pump.voltage,
        available: flow.available,
        gain: flow.available - base.available,
      },
    ];
  });
}
