import { fromSI } from './convert.ts';
import type { Quantity } from './quantity.ts';
import type { NumberFormat } from './displayUnits.ts';
import { type UnitKind, unitKinds } from './unitKinds.ts';

const MINUS = '\u2212';
const THIN_SPACE = '\u202f';

/** A figure with so many significant digits (at most `most` decimals), thousands set apart. */
export function formatFigure(value: number, digits: number, most = 9): string {
  if (!Number.isFinite(value)) return '–';
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const decimals = Math.max(0, Math.min(most, digits - 1 - magnitude));
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole, fraction] = fixed.split('.') as [string, string | undefined];
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole;
  const trimmed = fraction?.replace(/0+$/, '');
  const figure = trimmed ? `${grouped}.${trimmed}` : grouped;
  return value < 0 && figure !== '0' ? MINUS + figure : figure;
}

const marks: Record<NumberFormat, { thousands: string; decimal: string }> = {
  'space-point': { thousands: THIN_SPACE, decimal: '.' },
  'space-comma': { thousands: THIN_SPACE, decimal: ',' },
  'comma-point': { thousands: ',', decimal: '.' },
  'point-comma': { thousands: '.', decimal: ',' },
};

/** A figure from `formatFigure` in a reader's number format. */
export function inNumberFormat(figure: string, format: NumberFormat): string {
  if (format === 'space-point') return figure;
  const { thousands, decimal } = marks[format];
  return figure.replace(/[.\u202f]/g, (mark) => (mark === '.' ? decimal : thousands));
}

export interface FormattedQuantity {
  readonly figure: string;
  readonly unit: string;
}

/** A computed SI value in a display unit, split into figure and unit; default 4 digits. */
export function formatQuantity(input: {
  value: number;
  kind: UnitKind;
  unit: string;
  digits?: number;
  decimals?: number;
}): FormattedQuantity {
  return {
    figure: formatFigure(
      fromSI(input.value, input.kind, input.unit),
      input.digits ?? 4,
      input.decimals,
    ),
    unit: input.unit,
  };
}

/** What the person typed, echoed in the unit typed (seven digits hide the SI round trip). */
export function echoQuantity(
  entered: Quantity,
  kind: UnitKind,
  format: NumberFormat = 'space-point',
): string {
  const figure = formatFigure(fromSI(entered.value, kind, entered.unit), 7)
    .replace(MINUS, '-')
    .replaceAll(THIN_SPACE, '')
    .replace('.', marks[format].decimal);
  return entered.unit === '' ? figure : `${figure} ${entered.unit}`;
}

/** A typed quantity echoed by its unit alone, where the kind is not at hand. */
export function echoTyped(entered: Quantity, format: NumberFormat = 'space-point'): string {
  const kinds = Object.keys(unitKinds) as UnitKind[];
  const kind = kinds.find((k) => unitKinds[k].some((unit) => unit.symbol === entered.unit));
  return echoQuantity(entered, kind ?? 'count', format);
}
