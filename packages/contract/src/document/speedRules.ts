import { ValidateBy } from 'class-validator';

const speedOf = (value: unknown): number => Number((value as { value?: unknown } | null)?.value);

/** A speed above another one of the same object. Says nothing while either is not a number. */
export function SpeedAbove(
  other: string,
  rule: { orEqual?: boolean; message: string },
): PropertyDecorator {
  return ValidateBy({
    name: 'speedAbove',
    validator: {
      validate: (value: unknown, args) => {
        const own = speedOf(value);
        const below = speedOf((args?.object as Record<string, unknown>)[other]);
        if (Number.isNaN(own) || Number.isNaN(below)) return true;
        return rule.orEqual ? own >= below : own > below;
      },
      defaultMessage: () => rule.message,
    },
  });
}

/** Curve points whose speeds rise strictly. */
export function RisingSpeeds(rule: { message: string }): PropertyDecorator {
  return ValidateBy({
    name: 'risingSpeeds',
    validator: {
      validate: (value: unknown) =>
        !Array.isArray(value) ||
        value.every(
          (point, i) =>
            i === 0 ||
            speedOf((point as { speed?: unknown } | null)?.speed) >
              speedOf((value[i - 1] as { speed?: unknown } | null)?.speed),
        ),
      defaultMessage: () => rule.message,
    },
  });
}
