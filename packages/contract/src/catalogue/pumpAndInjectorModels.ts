import { Equals, IsBoolean, IsIn } from 'class-validator';
import { ListOf } from '../document/nested.ts';
import { Figure, Figures, TableOf } from './figures.ts';
import { ItemModel, WithTerminals } from './itemModel.ts';
import { RisingBy } from './risingBy.ts';

export class PumpCurvePointModel {
  @Figure(0, 0.01)
  flow: number;

  @Figure(0, 5e6)
  pressure: number;

  @Figure(0, 200)
  current: number;
}

export class PumpCurveModel {
  @Figure(1, 60)
  voltage: number;

  @ListOf(() => PumpCurvePointModel, { min: 2, max: 60 })
  @RisingBy('flow')
  points: PumpCurvePointModel[];
}

export class PumpItemModel extends WithTerminals {
  @Equals('pump')
  category: 'pump';

  @IsIn(['in-tank', 'external'])
  mounting: 'in-tank' | 'external';

  @IsIn(['main', 'lift'])
  duty: 'main' | 'lift';

  @ListOf(() => PumpCurveModel, { min: 1, max: 12 })
  curves: PumpCurveModel[];

  @IsBoolean()
  checkValve: boolean;

  @IsBoolean()
  positiveDisplacement: boolean;

  @Figure(0, 1e5)
  inletHeadNeeded: number;

  @Figure(1, 30)
  inrushFactor: number;

  @Figure(1e-4, 5)
  inrushTime: number;

  @Figure(1e3, 2e7)
  pressureRating: number;
}

export class InjectorItemModel extends ItemModel {
  @Equals('injector')
  category: 'injector';

  @Figure(1e-8, 1e-3)
  ratedFlow: number;

  @Figure(1e4, 5e6)
  ratedPressure: number;

  @Figure(500, 1200)
  ratedDensity: number;

  @Figure(0.1, 100)
  resistance: number;

  @IsIn(['saturated', 'peak-hold'])
  driver: 'saturated' | 'peak-hold';

  @Figure(0, 0.05)
  smallestPulse: number;

  @Figure(0, 0.05)
  smallestEffectivePulse: number;

  @Figures(1, 60)
  @RisingBy()
  deadTimeVoltages: number[];

  @Figures(0, 5e6)
  @RisingBy()
  deadTimePressures: number[];

  @TableOf('deadTimeVoltages', 'deadTimePressures')
  deadTimes: number[][];

  @Figure(1e3, 2e7)
  pressureRating: number;
}
