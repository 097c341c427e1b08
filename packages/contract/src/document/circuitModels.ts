import {
  type FittingUse,
  type LengthKnowledge,
  type LineRole,
  type Quantity,
  architectures,
  lineRoles,
} from '@brookrain/core';
import { Equals, IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { QuantityOf } from '../quantityOf.ts';
import { ItemRefModel } from './itemRefModel.ts';
import { ListOf, ListOfKinds, Nested } from './nested.ts';

const lengthRule = {
  min: 0,
  max: 50,
  above: true,
  optional: true,
  message: 'length must be above zero, up to 50 m',
};

export class LengthKnowledgeModel implements LengthKnowledge {
  @QuantityOf('length', lengthRule)
  typed: Quantity | null;

  @QuantityOf('length', lengthRule)
  measured: Quantity | null;
}

export class FittingUseModel implements FittingUse {
  @Nested(() => ItemRefModel)
  item: ItemRefModel;

  @IsInt()
  @Min(1)
  @Max(40)
  count: number;
}

abstract class ElementModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  name: string;
}

abstract class ThroughModel extends ElementModel {
  @IsString()
  @Length(1, 40)
  from: string;

  @IsString()
  @Length(1, 40)
  to: string;

  @Nested(() => ItemRefModel)
  item: ItemRefModel;
}

export class TankModel extends ElementModel {
  @Equals('tank')
  kind: 'tank';

  @IsString()
  outlet: string;

  @IsString()
  returnNode: string;

  @QuantityOf('pressure', {
    min: -20e3,
    max: 50e3,
    message: 'tank pressure must be from −20 to 50 kPa',
  })
  pressure: Quantity;

  @QuantityOf('length', {
    min: 0,
    max: 2,
    message: 'fuel level must be from 0 to 2 m above the outlet',
  })
  fuelLevel: Quantity;
}

export class OutletModel extends ThroughModel {
  @Equals('fitting')
  kind: 'fitting';
}

export class LineModel extends ThroughModel {
  @Equals('line')
  kind: 'line';

  @IsIn(lineRoles)
  role: LineRole;

  @Nested(() => LengthKnowledgeModel)
  length: LengthKnowledgeModel;

  @ListOf(() => FittingUseModel, { max: 20 })
  fittings: FittingUseModel[];
}

export class FilterModel extends ThroughModel {
  @Equals('filter')
  kind: 'filter';

  @IsIn(['clean', 'loaded'])
  state: 'clean' | 'loaded';
}

export class PumpModel extends ThroughModel {
  @Equals('pump')
  kind: 'pump';

  @IsIn(['in-tank', 'external'])
  mounting: 'in-tank' | 'external';

  @QuantityOf('ratio', { min: 0, max: 0.6, message: 'wear must be between 0 and 60 %' })
  wear: Quantity;
}

export class RegulatorModel extends ThroughModel {
  @Equals('regulator')
  kind: 'regulator';

  @QuantityOf('pressure', {
    min: 30e3,
    max: 1.5e6,
    message: 'set pressure must be from 30 to 1 500 kPa',
  })
  setPressure: Quantity;

  @QuantityOf('ratio', { min: 0, max: 3, message: 'manifold ratio must be from 0 to 3' })
  manifoldRatio: Quantity;
}

export class FilterRegulatorModel extends ThroughModel {
  @Equals('filter-regulator')
  kind: 'filter-regulator';

  @IsString()
  @Length(1, 40)
  returnNode: string;

  @IsIn(['clean', 'loaded'])
  state: 'clean' | 'loaded';
}

export class InjectorsModel extends ElementModel {
  @Equals('injectors')
  kind: 'injectors';

  @IsString()
  node: string;

  @IsString()
  rowId: string;
}

export class CircuitNodeModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  placementId: string;
}

export class FuelCircuitModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  name: string;

  @IsString()
  fuelId: string;

  @IsIn(architectures)
  architecture: (typeof architectures)[number];

  @ListOf(() => CircuitNodeModel, { min: 2, max: 200 })
  nodes: CircuitNodeModel[];

  @ListOfKinds(
    'kind',
    {
      tank: TankModel,
      fitting: OutletModel,
      line: LineModel,
      filter: FilterModel,
      pump: PumpModel,
      regulator: RegulatorModel,
      'filter-regulator': FilterRegulatorModel,
      injectors: InjectorsModel,
    },
    { min: 1, max: 200 },
  )
  elements: (
    | TankModel
    | OutletModel
    | LineModel
    | FilterModel
    | PumpModel
    | RegulatorModel
    | FilterRegulatorModel
    | InjectorsModel
  )[];
}
