import type { CatalogueItem } from '@brookrain/core';
import {
  BatteryItemModel,
  EcuItemModel,
  FuseItemModel,
  RelayItemModel,
  WireItemModel,
} from './electricalModels.ts';
import {
  DeadHeadRegulatorItemModel,
  FilterItemModel,
  FilterRegulatorItemModel,
  FittingItemModel,
  HoseItemModel,
  RegulatorItemModel,
  SmallPartItemModel,
  TankItemModel,
} from './plumbingModels.ts';
import { InjectorItemModel, PumpItemModel } from './pumpAndInjectorModels.ts';

/** Model of each catalogue category. */
export const itemModels = {
  pump: PumpItemModel,
  injector: InjectorItemModel,
  hose: HoseItemModel,
  fitting: FittingItemModel,
  filter: FilterItemModel,
  regulator: RegulatorItemModel,
  'filter-regulator': FilterRegulatorItemModel,
  'dead-head-regulator': DeadHeadRegulatorItemModel,
  tank: TankItemModel,
  'small-part': SmallPartItemModel,
  battery: BatteryItemModel,
  fuse: FuseItemModel,
  relay: RelayItemModel,
  wire: WireItemModel,
  ecu: EcuItemModel,
} satisfies Record<CatalogueItem['category'], new () => object>;
