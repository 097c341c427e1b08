import { type Of, kinds } from '../model/spec.ts';
import { type CatalogueKind } from './kinds/catalogueKind.ts';
import { cover } from './kinds/cover.ts';
import { plugPart } from './kinds/plugPart.ts';
import { device } from './kinds/device.ts';
import { battery, ecu, fuse, relay, wire } from './kinds/electrical.ts';
import { fastener } from './kinds/fastener.ts';
import { filter, filterRegulator } from './kinds/filters.ts';
import { fitting } from './kinds/fitting.ts';
import { hose } from './kinds/hose.ts';
import { injector } from './kinds/injector.ts';
import { pump } from './kinds/pump.ts';
import { deadHeadRegulator, regulator } from './kinds/regulators.ts';
import { smallPart, tank } from './kinds/tank.ts';

/** One revision of a catalogue item, by its category; figures are SI. */
export const itemSpec = kinds('category', {
  pump: pump.spec,
  injector: injector.spec,
  hose: hose.spec,
  fitting: fitting.spec,
  filter: filter.spec,
  regulator: regulator.spec,
  'filter-regulator': filterRegulator.spec,
  'dead-head-regulator': deadHeadRegulator.spec,
  tank: tank.spec,
  'small-part': smallPart.spec,
  fastener: fastener.spec,
  battery: battery.spec,
  fuse: fuse.spec,
  relay: relay.spec,
  wire: wire.spec,
  cover: cover.spec,
  'plug-part': plugPart.spec,
  ecu: ecu.spec,
  device: device.spec,
});
export type CatalogueItem = Of<typeof itemSpec>;
export type CatalogueCategory = CatalogueItem['category'];
export type ItemOf<Category extends CatalogueCategory> = Extract<
  CatalogueItem,
  { category: Category }
>;

/** Every kind of catalogue item, in the order in which they are listed. */
export const catalogueKinds: Readonly<Record<CatalogueCategory, CatalogueKind>> = {
  pump,
  injector,
  hose,
  fitting,
  filter,
  regulator,
  'filter-regulator': filterRegulator,
  'dead-head-regulator': deadHeadRegulator,
  tank,
  'small-part': smallPart,
  fastener,
  battery,
  fuse,
  relay,
  wire,
  cover,
  'plug-part': plugPart,
  ecu,
  device,
};

export type PumpItem = ItemOf<'pump'>;
export type InjectorItem = ItemOf<'injector'>;
export type HoseItem = ItemOf<'hose'>;
export type FittingItem = ItemOf<'fitting'>;
export type FilterItem = ItemOf<'filter'>;
export type RegulatorItem = ItemOf<'regulator'>;
export type FilterRegulatorItem = ItemOf<'filter-regulator'>;
export type DeadHeadRegulatorItem = ItemOf<'dead-head-regulator'>;
export type TankItem = ItemOf<'tank'>;
export type SmallPartItem = ItemOf<'small-part'>;
export type FastenerItem = ItemOf<'fastener'>;
export type BatteryItem = ItemOf<'battery'>;
export type FuseItem = ItemOf<'fuse'>;
export type RelayItem = ItemOf<'relay'>;
export type WireItem = ItemOf<'wire'>;
export type CoverItem = ItemOf<'cover'>;
export type PlugPartItem = ItemOf<'plug-part'>;
export type EcuItem = ItemOf<'ecu'>;
export type DeviceItem = ItemOf<'device'>;
/** A pin of a device, as its catalogue item says it. */
export type DevicePin = DeviceItem['pins'][number];
/** A pin of a controller, as its catalogue item says it. */
export type ControllerPin = EcuItem['pins'][number];
