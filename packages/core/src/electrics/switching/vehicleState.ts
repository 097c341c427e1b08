import type { ElectricCase } from '../network/electricCases.ts';

/** In what state a vehicle is, as far as it switches anything. */
export interface VehicleState {
  readonly key: 'off' | 'acc' | 'run' | 'crank';
  readonly engineTurns: boolean;
  /** K, of whatever a condition measures */
  readonly temperature: number;
  /** whether what a driver or a pressure switch may ask for is asked for */
  readonly asked: boolean;
}

const COLD = 293.15;
const WARM = 358.15;
/** As hot as an engine gets in service. */
const HOT = 388.15;

/** The state of the vehicle in each case in which its circuit is solved. */
export const stateIn: Readonly<Record<ElectricCase, VehicleState>> = {
  keyOn: { key: 'run', engineTurns: false, temperature: COLD, asked: false },
  cranking: { key: 'crank', engineTurns: true, temperature: COLD, asked: false },
  idle: { key: 'run', engineTurns: true, temperature: WARM, asked: false },
  cruiseHot: { key: 'run', engineTurns: true, temperature: HOT, asked: true },
  worst: { key: 'run', engineTurns: true, temperature: HOT, asked: true },
};

/** A vehicle that is left: everything off, cold. */
export const LEFT: VehicleState = {
  key: 'off',
  engineTurns: false,
  temperature: COLD,
  asked: false,
};
