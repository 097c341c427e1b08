import type { Quantity } from '@brookrain/core';
import { Equals, IsString, Length } from 'class-validator';
import { QuantityOf } from '../quantityOf.ts';

export class PetrolEthanolModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @Equals('petrol-ethanol')
  kind: 'petrol-ethanol';

  @IsString()
  @Length(1, 80)
  name: string;

  @QuantityOf('ratio', { min: 0, max: 1, message: 'ethanol must be between 0 and 100 %' })
  ethanol: Quantity;

  @QuantityOf('pressure', {
    min: 20e3,
    max: 120e3,
    message: 'Reid vapour pressure must be from 20 to 120 kPa',
  })
  reidVapourPressure: Quantity;

  @QuantityOf('ratio', {
    min: 0,
    max: 1,
    optional: true,
    message: 'ethanol must be between 0 and 100 %',
  })
  ethanolLowest: Quantity | null;
}

export class MethanolModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @Equals('methanol')
  kind: 'methanol';

  @IsString()
  @Length(1, 80)
  name: string;
}
