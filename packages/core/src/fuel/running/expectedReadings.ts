import type { FuelCircuit } from '../../model/index.ts';
import { railsOf } from '../circuits/circuitRun.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import type { RunningPoint } from './runningPoint.ts';

/** What the gauge on a rail should read, and the injectors' Δp there. Pa. */
export interface RailReading {
  readonly railId: string;
  readonly name: string;
  readonly gauge: number;
  readonly difference: number;
}

/** What should be read on a circuit in one case. SI. */
export interface ExpectedReading {
  readonly name: string;
  readonly label: string;
  /** the case shows what a fault looks like: nobody should see it on a healthy vehicle */
  readonly fault: boolean;
  readonly systemVoltage: number;
  readonly manifoldGauge: number;
  readonly lambda: number | undefined;
  /** undefined where the case has no solution */
  readonly rails: readonly RailReading[] | undefined;
  readonly pumps: readonly PumpReading[] | undefined;
}

/** What a pump should show at its plug. V and A. */
export interface PumpReading {
  readonly pumpId: string;
  readonly name: string;
  readonly voltage: number;
  readonly current: number;
}

/** Whether a case is solved with something out of order. */
export const isFault = (point: RunningPoint): boolean =>
  point.lostPump !== undefined || point.lostRow !== undefined || point.filters === 'loaded';

/** A case with its solution, or without. */
interface ReadCase {
  readonly point: RunningPoint;
  readonly solution:
    Pick<SolvedCircuit, 'state' | 'elements' | 'pumps'> | { readonly state: 'failed' };
}

/** What gauge, meter and λ should show in one case of a circuit. */
export function expectedReading(
  circuit: FuelCircuit,
  { point, solution }: ReadCase,
): ExpectedReading {
  const { name, label, systemVoltage, manifoldGauge, lambda } = point;
  const solved = solution.state === 'converged' ? solution : undefined;
  return {
    name,
    label,
    fault: isFault(point),
    systemVoltage,
    manifoldGauge,
    lambda: point.massFlow > 0 ? lambda : undefined,
    rails:
      solved &&
      railsOf(circuit).map((rail) => {
        const gauge = stateOf(solved, rail.id).inletPressure;
        return {
          railId: rail.id,
          name: rail.name,
          gauge,
          difference: gauge - manifoldGauge,
        };
      }),
    pumps:
      solved &&
      circuit.elements.flatMap((pump) => {
        const state = pump.kind === 'pump' ? solved.pumps[pump.id] : undefined;
        return state
          ? [{ pumpId: pump.id, name: pump.name, voltage: state.voltage, current: state.current }]
          : [];
      }),
  };
}

/** What should be read on a circuit in each of its cases, faults last. */
export const expectedReadings = (fluid: {
  readonly design: { readonly circuit: FuelCircuit };
  readonly cases: Readonly<Record<string, ReadCase | undefined>>;
}): ExpectedReading[] =>
  Object.values(fluid.cases)
    .flatMap((at) => (at ? [expectedReading(fluid.design.circuit, at)] : []))
    .sort((a, b) => Number(a.fault) - Number(b.fault));
