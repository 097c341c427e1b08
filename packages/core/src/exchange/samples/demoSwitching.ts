import type { SwitchRow } from '../../model/index.ts';
import { above, button, inRun, turning, when } from './switchingShorthand.ts';

/** Sandpiper: pump and fan. */
export const sandpiperSwitching: readonly SwitchRow[] = [
  when('pump-relay', [[inRun, turning]], { prime: 2 }),
  when('fan-relay', [[inRun, above('coolant', 98, 92)]]),
];

/** Lantern: the engine’s relays and the fans; what it keeps follows the ignition lock. */
export const lanternSwitching: readonly SwitchRow[] = [
  when('main-relay', [[inRun]], { afterRun: 3 }),
  when('pump-relay', [[inRun, turning]], { prime: 2 }),
  when('fan-1-relay', [[inRun, above('coolant', 95, 90)]]),
  when('fan-2-relay', [[inRun, above('coolant', 101, 95)]]),
  when('cooler-fan-relay', [[inRun, above('gearbox-oil-temperature', 110, 98)]]),
];

/** Kittiwake: what the power module switches, and the main relay. */
export const kittiwakeSwitching: readonly SwitchRow[] = [
  when('main-relay', [[inRun]], { afterRun: 3 }),
  when('sluice/B01', [[inRun, turning]], { afterRun: 120 }),
  when('sluice/B02', [[inRun, turning]], { afterRun: 120 }),
  when('sluice/B03', [[inRun, turning, above('oil-temperature', 105, 98)]]),
  when('sluice/B09', [[inRun, button('keypad', 4)]]),
];
