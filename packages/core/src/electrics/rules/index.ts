import type { BuildRule } from '../../model/index.ts';
import type { ElectricsChecked } from '../checked.ts';
import { busRules } from './busRules.ts';
import { deviceRules } from './deviceRules.ts';
import { feedRules } from './feedRules.ts';
import { fuseRules } from './fuseRules.ts';
import { panelRules } from './panelRules.ts';
import { pinRules } from './pinRules.ts';
import { protectionRules } from './protectionRules.ts';
import { powerRules } from './powerRules.ts';
import { relayRules } from './relayRules.ts';
import { supplyRules } from './supplyRules.ts';
import { isolatorRules } from './isolatorRules.ts';
import { oneBox } from './oneBoxRule.ts';
import { sneakRules } from './sneakRules.ts';
import { starterRules } from './starterRules.ts';
import { switchingRules } from './switchingRules.ts';
import { temperatureRules } from './temperatureRules.ts';
import { sharedPin } from './sharedPin.ts';
import { wires } from './wireRules.ts';

/** Checks of devices, pins, wires and fuses. */
export const electricsRules: readonly BuildRule<ElectricsChecked>[] = [
  wires,
  ...powerRules,
  sharedPin,
  ...deviceRules,
  ...protectionRules,
  ...feedRules,
  ...fuseRules,
  ...relayRules,
  ...pinRules,
  ...busRules,
  ...supplyRules,
  ...panelRules,
  ...switchingRules,
  ...temperatureRules,
  ...sneakRules,
  ...isolatorRules,
  ...starterRules,
  oneBox,
];
