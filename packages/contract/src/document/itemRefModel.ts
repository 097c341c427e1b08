import type { ItemRef } from '@brookrain/core';
import { IsInt, IsString, Length, Max, Min } from 'class-validator';

export class ItemRefModel implements ItemRef {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsInt()
  @Min(1)
  @Max(100000)
  revision: number;
}
