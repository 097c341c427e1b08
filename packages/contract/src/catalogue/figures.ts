import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsNumber,
  Max,
  Min,
  ValidateBy,
} from 'class-validator';

/** A finite number within bounds, SI. */
export function Figure(min: number, max: number): PropertyDecorator {
  return (target, key) => {
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'must be a number in SI' })(
      target,
      key,
    );
    Min(min)(target, key);
    Max(max)(target, key);
  };
}

/** A list of finite numbers within bounds, SI. */
export function Figures(min: number, max: number): PropertyDecorator {
  return (target, key) => {
    IsArray()(target, key);
    ArrayMinSize(1)(target, key);
    ArrayMaxSize(60)(target, key);
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })(target, key);
    Min(min, { each: true })(target, key);
    Max(max, { each: true })(target, key);
  };
}

/** A table with one row for each entry of `rows` and one column for each entry of `columns`. */
export function TableOf(rows: string, columns: string): PropertyDecorator {
  return ValidateBy({
    name: 'tableOf',
    validator: {
      validate: (value: unknown, args) => {
        const owner = args?.object as Record<string, unknown[] | undefined>;
        return (
          Array.isArray(value) &&
          value.length === owner[rows]?.length &&
          value.every(
            (row) =>
              Array.isArray(row) &&
              row.length === owner[columns]?.length &&
              row.every((cell) => typeof cell === 'number' && cell >= 0 && cell < 0.05),
          )
        );
      },
      defaultMessage: () =>
        `must have one row for each of ${rows}, one column for each of ${columns}, dead times in s`,
    },
  });
}
