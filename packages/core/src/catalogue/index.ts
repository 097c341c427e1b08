export * from './alikeHoses.ts';
export * from './catalogue.ts';
export * from './catalogueItem.ts';
export * from './endsFor.ts';
export * from './itemFields.ts';
export * from './itemTableRows.ts';
export * from './migrateItem.ts';
export * from './pumpReadings.ts';
export * from './toldOfItem.ts';
export * from './makeOfHose.ts';
export { hasBody, sides } from './kinds/bodyFields.ts';
export type { ServicedFrom, Side } from './kinds/bodyFields.ts';
export { injectorPlugs } from './kinds/seatFields.ts';
export type { InjectorPlug } from './kinds/seatFields.ts';
export { coverForms } from './kinds/cover.ts';
export type { CoverForm } from './kinds/cover.ts';
export type { PlugPartForm } from './kinds/plugPart.ts';
export type { FastenerForm } from './kinds/fastener.ts';
export { mate, portCodes, portInWords, portTypes } from './kinds/ports.ts';
export type { PortCode, PortKind, PortType } from './kinds/ports.ts';
export type { SmallPartForm } from './kinds/tank.ts';
export { jointSchools } from './kinds/fitting.ts';
export type { EarClampRule, FittingForm, HoseMake, JointSchool } from './kinds/fitting.ts';
export type { HoseMaterial, HoseService, HoseWall } from './kinds/hose.ts';
export type { ItemTable, TableColumn, TableRow } from './kinds/catalogueKind.ts';
export type { FilterPoint } from './kinds/sharedFields.ts';
export type { FuseBandPoint } from './kinds/electrical.ts';
export type { PumpCurve, PumpCurvePoint } from './kinds/pump.ts';
export {
  deviceRoles,
  loadTimes,
  pinBehaviours,
  pinUses,
  plugFamilies,
  seatThreads,
} from './kinds/deviceWords.ts';
export type { DeviceRole, LoadTime, PinUse, SeatThread } from './kinds/deviceWords.ts';
export { capabilityWords, pinCapabilities } from './kinds/pinCapabilities.ts';
export type { PinCapability } from './kinds/pinCapabilities.ts';
