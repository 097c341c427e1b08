import { ValidateBy } from 'class-validator';

/** A list that rises strictly, by a field of its entries or by the numbers themselves. */
export function RisingBy(field?: string): PropertyDecorator {
  const read = (entry: unknown): number =>
    Number(field ? (entry as Record<string, unknown> | null)?.[field] : entry);
  return ValidateBy({
    name: 'risingBy',
    validator: {
      validate: (value: unknown) =>
        !Array.isArray(value) ||
        value.every((entry, i) => i === 0 || read(entry) > read(value[i - 1])),
      defaultMessage: () => (field ? `must rise by ${field}` : 'must rise'),
    },
  });
}
