import {
  type Architecture,
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
import { ListOf, ListOfKinds, Nested, OneOfKindsOrNull } from './nested.ts';

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

abstract class PartModel extends ElementModel {
  @Nested(() => ItemRefModel)
  item: ItemRefModel;
}

type Class<Instance> = abstract new () => Instance;

/** An element with its ends. */
function Joined<Instance extends object>(Base: Class<Instance>) {
  abstract class JoinedModel extends (Base as Class<object>) {
    @IsString()
    @Length(1, 40)
    from: string;

    @IsString()
    @Length(1, 40)
    to: string;
  }
  return JoinedModel as Class<Instance & { from: string; to: string }>;
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

  @QuantityOf('volume', {
    min: 0,
    max: 1,
    above: true,
    message: 'usable volume must be above zero, up to 1 000 L',
  })
  usableVolume: Quantity;
}

export class SurgeTankModel extends ElementModel {
  @Equals('surge-tank')
  kind: 'surge-tank';

  @IsString()
  inlet: string;

  @IsString()
  outlet: string;

  @IsString()
  returnNode: string;

  @IsString()
  overflow: string;

  @QuantityOf('volume', {
    min: 0,
    max: 0.05,
    above: true,
    message: 'surge volume must be above zero, up to 50 L',
  })
  volume: Quantity;
}

class LooseOutletModel extends PartModel {
  @Equals('fitting')
  kind: 'fitting';
}

class LooseLineModel extends PartModel {
  @Equals('line')
  kind: 'line';

  @IsIn(lineRoles)
  role: LineRole;

  @Nested(() => LengthKnowledgeModel)
  length: LengthKnowledgeModel;

  @ListOf(() => FittingUseModel, { max: 20 })
  fittings: FittingUseModel[];
}

class LooseFilterModel extends PartModel {
  @Equals('filter')
  kind: 'filter';

  @IsIn(['clean', 'loaded'])
  state: 'clean' | 'loaded';
}

const controlShare = { min: 0, max: 1, message: 'share of voltage must be from 0 to 100 %' };
const changeOver = { min: 0, max: 1, message: 'fuel flow must be from 0 to 3 600 000 L/h' };

export class SteppedControlModel {
  @Equals('stepped')
  kind: 'stepped';

  @QuantityOf('ratio', controlShare)
  lowShare: Quantity;

  @QuantityOf('volumeFlow', changeOver)
  above: Quantity;

  @QuantityOf('volumeFlow', changeOver)
  below: Quantity;
}

export class PressureControlModel {
  @Equals('pressure')
  kind: 'pressure';

  @IsString()
  @Length(1, 40)
  sensorNode: string;

  @QuantityOf('pressure', {
    min: 30e3,
    max: 1.5e6,
    message: 'target pressure must be from 30 to 1 500 kPa',
  })
  target: Quantity;

  @QuantityOf('ratio', { min: 0, max: 3, message: 'manifold ratio must be from 0 to 3' })
  manifoldRatio: Quantity;

  @QuantityOf('ratio', controlShare)
  leastShare: Quantity;
}

class LoosePumpModel extends PartModel {
  @Equals('pump')
  kind: 'pump';

  @IsIn(['in-tank', 'external'])
  mounting: 'in-tank' | 'external';

  @QuantityOf('ratio', { min: 0, max: 0.6, message: 'wear must be between 0 and 60 %' })
  wear: Quantity;

  @OneOfKindsOrNull('kind', { stepped: SteppedControlModel, pressure: PressureControlModel })
  control: SteppedControlModel | PressureControlModel | null;
}

class LooseRegulatorModel extends PartModel {
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

class LooseFilterRegulatorModel extends PartModel {
  @Equals('filter-regulator')
  kind: 'filter-regulator';

  @IsString()
  @Length(1, 40)
  returnNode: string;

  @IsIn(['clean', 'loaded'])
  state: 'clean' | 'loaded';
}

class LooseDeadHeadRegulatorModel extends PartModel {
  @Equals('dead-head-regulator')
  kind: 'dead-head-regulator';

  @QuantityOf('pressure', {
    min: 5e3,
    max: 1.5e6,
    message: 'set pressure must be from 5 to 1 500 kPa',
  })
  setPressure: Quantity;
}

class LooseOrificeModel extends ElementModel {
  @Equals('orifice')
  kind: 'orifice';

  @QuantityOf('length', {
    min: 1e-4,
    max: 0.05,
    message: 'the hole must be from 0.1 to 50 mm',
  })
  diameter: Quantity;
}

export class OutletModel extends Joined(LooseOutletModel) {}
export class LineModel extends Joined(LooseLineModel) {}
export class FilterModel extends Joined(LooseFilterModel) {}
export class PumpModel extends Joined(LoosePumpModel) {}
export class RegulatorModel extends Joined(LooseRegulatorModel) {}
export class DeadHeadRegulatorModel extends Joined(LooseDeadHeadRegulatorModel) {}
export class OrificeModel extends Joined(LooseOrificeModel) {}
export class FilterRegulatorModel extends Joined(LooseFilterRegulatorModel) {}

/** What can be put into a run: elements whose ends are still open. */
export const insertedModels = {
  fitting: LooseOutletModel,
  line: LooseLineModel,
  filter: LooseFilterModel,
  pump: LoosePumpModel,
  regulator: LooseRegulatorModel,
  'dead-head-regulator': LooseDeadHeadRegulatorModel,
  orifice: LooseOrificeModel,
};

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
  architecture: Architecture;

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
      'dead-head-regulator': DeadHeadRegulatorModel,
      orifice: OrificeModel,
      'surge-tank': SurgeTankModel,
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
    | DeadHeadRegulatorModel
    | OrificeModel
    | SurgeTankModel
    | InjectorsModel
  )[];
}
