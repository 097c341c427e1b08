import type { Quantity } from '@brookrain/core';
import { IsBoolean, IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { LengthKnowledgeModel } from './circuitModels.ts';
import { ItemRefModel } from './itemRefModel.ts';
import { ListOf, Nested, NestedOrNull } from './nested.ts';
import { QuantityOf } from '../quantityOf.ts';

export class PumpFeedModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  circuitId: string;

  @IsString()
  elementId: string;

  @IsString()
  pumpPlacementId: string;

  @NestedOrNull(() => ItemRefModel)
  fuse: ItemRefModel | null;

  @IsString()
  fusePlacementId: string;

  @Nested(() => ItemRefModel)
  relay: ItemRefModel;

  @IsString()
  relayPlacementId: string;

  @IsString()
  groundPlacementId: string;

  @IsBoolean()
  inertiaSwitch: boolean;

  @IsString()
  inertiaPlacementId: string;

  @IsIn(['low-side', 'high-side'])
  trigger: 'low-side' | 'high-side';

  @IsInt()
  @Min(1)
  @Max(40)
  loadedTogether: number;
}

export class WireDecisionModel {
  @IsString()
  @Length(1, 120)
  wireId: string;

  @NestedOrNull(() => ItemRefModel)
  size: ItemRefModel | null;

  @Nested(() => LengthKnowledgeModel)
  length: LengthKnowledgeModel;
}

export class PowerModel {
  @IsIn(['metric', 'awg'])
  wireSystem: 'metric' | 'awg';

  @Nested(() => ItemRefModel)
  battery: ItemRefModel;

  @IsString()
  batteryPlacementId: string;

  @Nested(() => ItemRefModel)
  mainFuse: ItemRefModel;

  @IsString()
  mainFusePlacementId: string;

  @IsString()
  studPlacementId: string;

  @Nested(() => ItemRefModel)
  ecu: ItemRefModel;

  @IsString()
  ecuPlacementId: string;

  @IsString()
  keyedFeedPlacementId: string;

  @ListOf(() => PumpFeedModel, { max: 12 })
  pumpFeeds: PumpFeedModel[];

  @ListOf(() => WireDecisionModel, { max: 600 })
  wireDecisions: WireDecisionModel[];
}

const volts = { min: 5, max: 20, message: 'voltage must be from 5 to 20 V' };

export class LimitsModel {
  @QuantityOf('ratio', { min: 1, max: 2, message: 'design factor must be from 100 to 200 %' })
  designFactor: Quantity;

  @QuantityOf('ratio', { min: 0.5, max: 0.95, message: 'duty limit must be from 50 to 95 %' })
  injectorDuty: Quantity;

  @QuantityOf('ratio', { min: 0, max: 1, message: 'pump margin must be from 0 to 100 %' })
  pumpMargin: Quantity;

  @QuantityOf('voltage', volts)
  voltageRunning: Quantity;

  @QuantityOf('voltage', volts)
  voltageLow: Quantity;

  @QuantityOf('voltage', volts)
  voltageCranking: Quantity;

  @QuantityOf('voltage', { min: 0.02, max: 2, message: 'voltage drop must be from 0.02 to 2 V' })
  pumpFeedDrop: Quantity;
}
