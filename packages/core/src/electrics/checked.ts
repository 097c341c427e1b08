import type { Catalogue, EcuItem } from '../catalogue/index.ts';
import type { EngineChecked } from '../engine/index.ts';
import type { Build, BuildRule } from '../model/index.ts';
import type { ElectricDesign } from './network/electricStage.ts';
import type { PanelDesign } from './panel/index.ts';
import type { SupplyBudget } from './supply/supplyStage.ts';
import type { Sneaks } from './sneak/index.ts';
import type { Switching } from './switching/index.ts';
import type { SizedPumpFeed } from './network/pumpSupply.ts';

/** What the checks of the wiring look at. */
export interface ElectricsChecked extends EngineChecked {
  readonly catalogue: Catalogue;
  readonly feeds: readonly SizedPumpFeed[];
  readonly electrics: ElectricDesign;
  readonly supply: SupplyBudget;
  readonly switching: Switching;
  /** when things are on, as it was entered */
  readonly switchingRows: Build['switching'];
  readonly sneaks: Sneaks;
  /** the plate of relays and fuses; undefined without any */
  readonly panel: PanelDesign | undefined;
  /** what of the build is wired */
  readonly wired: Pick<
    Build,
    'power' | 'devices' | 'controllers' | 'vehicleSignals' | 'grounds' | 'buses'
  >;
  readonly ecu: EcuItem;
}

/** A check on what the wiring knows. */
export type ElectricsRule = BuildRule<ElectricsChecked>;
