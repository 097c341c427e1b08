import { type HoseService, hoseServices } from '@brookrain/core';
import { Equals, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { ListOf } from '../document/nested.ts';
import { Figure } from './figures.ts';
import { ItemModel } from './itemModel.ts';
import { RisingBy } from './risingBy.ts';

export class HoseItemModel extends ItemModel {
  @Equals('hose')
  category: 'hose';

  @Figure(1e-3, 0.1)
  bore: number;

  @Figure(1e-3, 0.2)
  outsideDiameter: number;

  @Figure(0, 1e-3)
  roughness: number;

  @Figure(1e3, 1e8)
  pressureRating: number;

  @Figure(0, 1)
  ethanolLimit: number;

  @IsInt()
  @Min(0)
  @Max(32)
  dash: number;

  @IsOptional()
  @IsIn(hoseServices)
  service?: HoseService;
}

export class FittingItemModel extends ItemModel {
  @Equals('fitting')
  category: 'fitting';

  @Figure(1e-3, 0.1)
  bore: number;

  @Figure(0, 100)
  lossCoefficient: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class FilterPointModel {
  @Figure(1e-8, 0.01)
  flow: number;

  @Figure(1, 1e6)
  pressureDrop: number;
}

/** What filters measure, alone or in one body with a regulator. */
abstract class FilteringModel extends ItemModel {
  @Figure(1e-7, 5e-3)
  fineness: number;

  @ListOf(() => FilterPointModel, { min: 1, max: 2 })
  @RisingBy('flow')
  points: FilterPointModel[];

  @Figure(500, 1200)
  testDensity: number;

  @Figure(1e-5, 0.1)
  testViscosity: number;

  @Figure(1, 20)
  loadedFactor: number;

  @Figure(0, 1)
  ethanolLimit: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class FilterItemModel extends FilteringModel {
  @Equals('filter')
  category: 'filter';
}

export class RegulatorItemModel extends ItemModel {
  @Equals('regulator')
  category: 'regulator';

  @Figure(1e3, 5e6)
  setMin: number;

  @Figure(1e3, 5e6)
  setMax: number;

  @Figure(0, 1e11)
  slope: number;

  @Figure(1e-8, 1e-2)
  openArea: number;

  @Figure(0, 0.01)
  bypassMin: number;

  @Figure(0, 0.01)
  bypassMax: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class FilterRegulatorItemModel extends FilteringModel {
  @Equals('filter-regulator')
  category: 'filter-regulator';

  @Figure(1e3, 5e6)
  setPressure: number;

  @Figure(0, 1e11)
  slope: number;

  @Figure(1e-8, 1e-2)
  openArea: number;

  @Figure(0, 0.01)
  bypassMin: number;

  @Figure(0, 0.01)
  bypassMax: number;
}

export class DeadHeadRegulatorItemModel extends ItemModel {
  @Equals('dead-head-regulator')
  category: 'dead-head-regulator';

  @Figure(1e3, 5e6)
  setMin: number;

  @Figure(1e3, 5e6)
  setMax: number;

  @Figure(0, 1e11)
  slope: number;

  @Figure(1e-8, 1e-2)
  openArea: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class TankItemModel extends ItemModel {
  @Equals('tank')
  category: 'tank';

  @Figure(1e-4, 2)
  volume: number;

  @IsIn(['steel', 'stainless', 'aluminium', 'plastic'])
  material: 'steel' | 'stainless' | 'aluminium' | 'plastic';

  @Figure(0, 1)
  ethanolLimit: number;
}

export class SmallPartItemModel extends ItemModel {
  @Equals('small-part')
  category: 'small-part';

  @Figure(0, 1)
  diameterMin: number;

  @Figure(0, 1)
  diameterMax: number;
}
