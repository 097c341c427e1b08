export type { TriggerSide } from './coilConnections.ts';
export { planCutOff, planFeed } from './planFeed.ts';
export { pumpDevices } from './pumpDevices.ts';
export { type PumpFeed, pumpFeedsOf } from './pumpFeed.ts';
