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
import { LengthKnowledgeModel } from '../document/circuitModels.ts';
import { AcceptanceModel } from '../document/documentModel.ts';
import { ItemRefModel } from '../document/itemRefModel.ts';
import { ListOf, Nested, NestedOrNull } from '../document/nested.ts';

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
  'accept-finding': AcceptFindingModel,
  'withdraw-acceptance': WithdrawAcceptanceModel,
  'use-revision': UseRevisionModel,
  'replace-document': ReplaceDocumentModel,
} satisfies Record<string, new () => object>;
