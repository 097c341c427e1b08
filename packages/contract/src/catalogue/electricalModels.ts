import { Equals, IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { ListOf } from '../document/nested.ts';
import { Figure } from './figures.ts';
import { ItemModel, WithTerminals } from './itemModel.ts';
import { RisingBy } from './risingBy.ts';

export class BatteryItemModel extends WithTerminals {
  @Equals('battery')
  category: 'battery';

  @Figure(5, 60)
  openCircuitVoltage: number;

  @Figure(1e-5, 1)
  internalResistance: number;
}

export class FuseBandPointModel {
  @Figure(1, 100)
  multiple: number;

  @Figure(1e-6, 1e9)
  fastest: number;

  @Figure(1e-6, 1e9)
  slowest: number;
}

export class FuseItemModel extends WithTerminals {
  @Equals('fuse')
  category: 'fuse';

  @IsIn(['blade', 'bolt'])
  style: 'blade' | 'bolt';

  @Figure(0.1, 1000)
  rating: number;

  @ListOf(() => FuseBandPointModel, { max: 40 })
  @RisingBy('multiple')
  band: FuseBandPointModel[];
}

export class RelayItemModel extends WithTerminals {
  @Equals('relay')
  category: 'relay';

  @Figure(0.1, 1000)
  contactRating: number;

  @Figure(0, 1)
  contactResistance: number;

  @Figure(1, 10000)
  coilResistance: number;
}

export class WireItemModel extends ItemModel {
  @Equals('wire')
  category: 'wire';

  @IsIn(['metric', 'awg'])
  system: 'metric' | 'awg';

  @IsString()
  @Length(1, 20)
  size: string;

  @Figure(1e-8, 1e-3)
  area: number;

  @Figure(1e-4, 0.1)
  outsideDiameter: number;

  @Figure(1e-6, 10)
  resistancePerMetre: number;

  @Figure(320, 600)
  insulationClass: number;

  @IsIn(['cross-linked', 'pvc'])
  insulation: 'cross-linked' | 'pvc';
}

export class EcuItemModel extends WithTerminals {
  @Equals('ecu')
  category: 'ecu';

  @IsString()
  @Length(1, 20)
  pumpPin: string;

  @IsIn(['low-side', 'high-side'])
  pumpPinSide: 'low-side' | 'high-side';

  @Figure(0, 40)
  pumpPinCurrent: number;

  @IsIn(['saturated', 'peak-hold'])
  injectorDriver: 'saturated' | 'peak-hold';

  @IsInt()
  @Min(1)
  @Max(32)
  injectorOutputs: number;
}
