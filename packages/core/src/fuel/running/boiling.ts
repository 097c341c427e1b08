import { fuelScope, specificHeat, vapourPressureAt } from '../../engine/index.ts';
import {
  type Result,
  byDefault,
  derive,
  entered,
  following,
  solvedIn,
} from '../../results/index.ts';
import { elementPath, leadsTo, tankOf } from '../circuits/circuitRun.ts';
import { type CircuitScope, fuelFigure } from '../figureNames.ts';
import type { CircuitSolution } from '../hydraulics/solveCircuit.ts';
import { afterAnHour, hourlyRise } from '../hydraulics/storage.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';

/** Heat picked up at the engine where fuel comes back from there, W. */
const RAIL_HEAT = 150;
/** Share of the usable volume that is left in the tank when heating is judged. */
const QUARTER = 0.25;

/** The fuel that boiling of a circuit is judged with. */
export interface Boiling {
  /** K */
  readonly temperature: number;
  /** Pa */
  readonly vapourPressureAbsolute: number;
  /** true when an hour of cruising makes the tank hotter than the hottest fuel of the brief */
  readonly warmed: boolean;
  readonly vapour: Result;
  /** figures of the tank: rise, temperature and, where it is hotter, vapour pressure */
  readonly results: readonly Result[];
}

/** Boiling judged with the hottest fuel of the brief. */
const asBriefed = (circuit: CircuitDesign, results: readonly Result[]): Boiling => ({
  temperature: circuit.fuel.hot.temperature,
  vapourPressureAbsolute: circuit.fuel.hot.vapourPressureAbsolute,
  warmed: false,
  vapour: circuit.fuel.hot.figures.vapour,
  results,
});

/** Rise of the fuel in a quarter tank over an hour of cruising, K; undefined where not solved. */
function riseOf(
  circuit: CircuitDesign,
  cruise: CircuitSolution,
  scope: CircuitScope,
): Result | undefined {
  const tank = tankOf(circuit.circuit);
  if (!tank || cruise.state === 'failed') return undefined;
  const electrical = Object.values(cruise.pumps).reduce((sum, p) => sum + p.voltage * p.current, 0);
  const rail = circuit.circuit.elements.find((e) => e.kind === 'injectors');
  const comesBack =
    rail?.kind === 'injectors' && leadsTo(circuit.circuit, rail.node, tank.returnNode);
  return derive({
    figure: fuelFigure('tank.heatingPerHour', scope),
    label: 'Tank fuel warms in an hour of cruising, quarter tank',
    formula: hourlyRise,
    inputs: {
      electricalPower: solvedIn(electrical, 'cruise'),
      railHeat: byDefault(
        comesBack ? RAIL_HEAT : 0,
        comesBack ? 'an estimate' : 'nothing comes back from the rail',
      ),
      volume: following(
        QUARTER * tank.usableVolume.value,
        elementPath(circuit.circuit, tank, 'usableVolume'),
      ),
      density: circuit.fuel.hot.figures.density,
      specificHeat: byDefault(specificHeat(circuit.fuel.fuel), 'pure-fuel table'),
      heatLoss: entered(tank.heatLoss, elementPath(circuit.circuit, tank, 'heatLoss')),
    },
  });
}

/**
 * The fuel that boiling is judged with: that of the tank after an hour of cruising on a quarter of
 * its volume on the hot day, or the hottest of the brief where that is hotter. Where the cruise
 * has no solution, the hottest of the brief.
 */
export function boilingOf(
  design: Pick<FluidDesign, 'document'>,
  circuit: CircuitDesign,
  cruise: CircuitSolution,
  scope: CircuitScope,
): Boiling {
  const rise = riseOf(circuit, cruise, scope);
  if (!rise) return asBriefed(circuit, []);
  const after = derive({
    figure: fuelFigure('tank.afterHour', scope),
    label: 'Tank fuel after an hour of cruising on a hot day, quarter tank',
    formula: afterAnHour,
    inputs: { ambient: entered(design.document.brief.ambientHot, ['brief', 'ambientHot']), rise },
  });
  if (after.value <= circuit.fuel.hot.temperature) return asBriefed(circuit, [rise, after]);
  const { fuel } = circuit.fuel;
  const vapour = vapourPressureAt({
    fuel,
    scope: fuelScope(
      design.document.fuels.findIndex((f) => f.id === fuel.id),
      fuel.id,
    ),
    figure: fuelFigure('tank.vapourPressureAbsolute', scope),
    label: 'Vapour pressure of the warmed tank',
    temperature: after,
  });
  return {
    temperature: after.value,
    vapourPressureAbsolute: vapour.value,
    warmed: true,
    vapour,
    results: [rise, after, vapour],
  };
}

/** Vapour pressure that a running point is judged with: of the boiling fuel, or of the coldest day. */
export const vapourAt = (
  boiling: Boiling,
  circuit: Pick<CircuitDesign, 'fuel'>,
  point: Pick<RunningPoint, 'fuel'>,
): Result => (point.fuel === 'cold' ? circuit.fuel.cold.figures.vapour : boiling.vapour);
