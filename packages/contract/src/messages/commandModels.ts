import { type DemandChoiceName, demandChoices } from '@brookrain/core';
import {
  Allow,
  Equals,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Length,
  MaxLength,
  Min,
} from 'class-validator';
import {
  FuelCircuitModel,
  LengthKnowledgeModel,
  insertedModels,
} from '../document/circuitModels.ts';
import {
  AcceptanceModel,
  InjectorRowModel,
  PlacementModel,
  fuelModels,
} from '../document/documentModel.ts';
import { ItemRefModel } from '../document/itemRefModel.ts';
import { ListOf, ListOfKinds, Nested, NestedOrNull, OneOfKinds } from '../document/nested.ts';
import { PumpFeedModel } from '../document/powerModels.ts';

class PathModel {
  @IsString()
  @Length(1, 200)
  path: string;

  @Allow()
  value: unknown;
}

class SetModel extends PathModel {
  @Equals('set')
  name: 'set';
}

class SetSeveralModel {
  @Equals('set-several')
  name: 'set-several';

  @IsString()
  @Length(1, 120)
  label: string;

  @ListOf(() => PathModel, { min: 1, max: 200 })
  changes: PathModel[];
}

class PickDemandModel {
  @Equals('pick-demand')
  name: 'pick-demand';

  @IsIn(demandChoices)
  school: DemandChoiceName;

  @IsString()
  @MaxLength(500)
  reason: string;
}

class ChooseInjectorModel {
  @Equals('choose-injector')
  name: 'choose-injector';

  @IsString()
  rowId: string;

  @Nested(() => ItemRefModel)
  item: ItemRefModel;
}

class ChoosePartModel {
  @Equals('choose-part')
  name: 'choose-part';

  @IsString()
  circuitId: string;

  @IsString()
  elementId: string;

  @Nested(() => ItemRefModel)
  item: ItemRefModel;
}

class ChooseFuseModel {
  @Equals('choose-fuse')
  name: 'choose-fuse';

  @IsString()
  feedId: string;

  @NestedOrNull(() => ItemRefModel)
  item: ItemRefModel | null;
}

class ChooseWireModel {
  @Equals('choose-wire')
  name: 'choose-wire';

  @IsString()
  @Length(1, 120)
  wireId: string;

  @NestedOrNull(() => ItemRefModel)
  size: ItemRefModel | null;
}

class SetWireLengthModel {
  @Equals('set-wire-length')
  name: 'set-wire-length';

  @IsString()
  @Length(1, 120)
  wireId: string;

  @Nested(() => LengthKnowledgeModel)
  length: LengthKnowledgeModel;
}

class DecideModel {
  @Equals('decide')
  name: 'decide';

  @IsString()
  optionId: string;

  @IsString()
  alternativeId: string;
}

/** Id and joint of what is put into a run are given; its ends follow from where it comes. */
class InsertElementModel {
  @Equals('insert-element')
  name: 'insert-element';

  @IsString()
  circuitId: string;

  @IsString()
  afterId: string;

  @OneOfKinds('kind', insertedModels)
  element: object;

  @IsString()
  @Length(1, 40)
  nodeId: string;

  @NestedOrNull(() => PumpFeedModel)
  feed: PumpFeedModel | null;
}

class RemoveElementModel {
  @Equals('remove-element')
  name: 'remove-element';

  @IsString()
  circuitId: string;

  @IsString()
  elementId: string;
}

class MoveElementModel {
  @Equals('move-element')
  name: 'move-element';

  @IsString()
  circuitId: string;

  @IsString()
  elementId: string;

  @IsIn(['towards-tank', 'towards-engine'])
  direction: 'towards-tank' | 'towards-engine';
}

class LayOutCircuitModel {
  @Equals('lay-out-circuit')
  name: 'lay-out-circuit';

  @IsString()
  @Length(1, 120)
  label: string;

  @Nested(() => FuelCircuitModel)
  circuit: FuelCircuitModel;

  @ListOf(() => PlacementModel, { max: 60 })
  placements: PlacementModel[];

  @ListOf(() => PumpFeedModel, { max: 8 })
  pumpFeeds: PumpFeedModel[];

  @ListOfKinds('kind', fuelModels, { max: 4 })
  fuels: object[];

  @ListOf(() => InjectorRowModel, { max: 8 })
  injectorRows: InjectorRowModel[];
}

class RemoveCircuitModel {
  @Equals('remove-circuit')
  name: 'remove-circuit';

  @IsString()
  circuitId: string;
}

class AcceptFindingModel {
  @Equals('accept-finding')
  name: 'accept-finding';

  @Nested(() => AcceptanceModel)
  acceptance: AcceptanceModel;
}

class WithdrawAcceptanceModel {
  @Equals('withdraw-acceptance')
  name: 'withdraw-acceptance';

  @IsString()
  @Length(1, 160)
  findingId: string;
}

class UseRevisionModel {
  @Equals('use-revision')
  name: 'use-revision';

  @IsString()
  @Length(1, 40)
  itemId: string;

  @IsInt()
  @Min(1)
  revision: number;
}

class ReplaceDocumentModel {
  @Equals('replace-document')
  name: 'replace-document';

  @IsObject()
  document: object;
}

/** Model of each command. */
export const commandModels = {
  set: SetModel,
  'set-several': SetSeveralModel,
  'pick-demand': PickDemandModel,
  'choose-injector': ChooseInjectorModel,
  'choose-part': ChoosePartModel,
  'choose-fuse': ChooseFuseModel,
  'choose-wire': ChooseWireModel,
  'set-wire-length': SetWireLengthModel,
  decide: DecideModel,
  'insert-element': InsertElementModel,
  'remove-element': RemoveElementModel,
  'move-element': MoveElementModel,
  'lay-out-circuit': LayOutCircuitModel,
  'remove-circuit': RemoveCircuitModel,
  'accept-finding': AcceptFindingModel,
  'withdraw-acceptance': WithdrawAcceptanceModel,
  'use-revision': UseRevisionModel,
  'replace-document': ReplaceDocumentModel,
} satisfies Record<string, new () => object>;
