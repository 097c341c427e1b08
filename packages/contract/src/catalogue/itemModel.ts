import { IsInt, IsString, Length, Max, Min } from 'class-validator';
import { Figure } from './figures.ts';

/** What every catalogue item carries. */
export abstract class ItemModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsInt()
  @Min(1)
  @Max(100000)
  revision: number;

  @IsString()
  @Length(1, 80)
  designation: string;

  @IsString()
  @Length(1, 80)
  family: string;

  @Figure(0, 1000)
  mass: number;

  @Figure(0, 1e6)
  price: number;

  @IsString()
  @Length(1, 80)
  interchange: string;
}

/** An item with terminals that take wires of some sizes. */
export abstract class WithTerminals extends ItemModel {
  @Figure(0, 1e-3)
  wireAreaMin: number;

  @Figure(0, 1e-3)
  wireAreaMax: number;
}
