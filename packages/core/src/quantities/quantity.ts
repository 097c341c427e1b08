/** A value a person entered: SI inside, with the unit it was typed in so that it is echoed in it. */
export interface Quantity {
  readonly value: number;
  readonly unit: string;
}
