import { type Demand, airPoint } from '../../engine/index.ts';

/** What the engine and the supply do at one instant: the input of a fluid solve. SI. */
export interface RunningPoint {
  readonly name: string;
  readonly label: string;
  /** rev/s; 0 with the engine standing */
  readonly speed: number;
  readonly manifoldGauge: number;
  /** total fuel mass flow of the engine kg/s */
  readonly massFlow: number;
  readonly systemVoltage: number;
  /** λ that is aimed at; left out where no mixture is judged */
  readonly lambda?: number;
  /** fuel of the coldest day in the place of the hottest */
  readonly fuel?: 'cold';
  /** every filter counted as loaded, whatever its state */
  readonly filters?: 'loaded';
  /** id of a pump that stands still */
  readonly lostPump?: string;
  /** id of an injector row that does not open */
  readonly lostRow?: string;
  /** stepped pumps are counted as running on full voltage */
  readonly steppedUp?: boolean;
}

/** Fuel, λ and manifold pressure of the carried demand at a speed and load. */
export function demandPoint(demand: Demand, speed: number, load: number) {
  const point = airPoint(demand.engine, speed, load);
  return {
    manifoldGauge: point.manifoldGauge,
    massFlow: point.massFlow * demand.scale,
    lambda: point.lambda,
  };
}
