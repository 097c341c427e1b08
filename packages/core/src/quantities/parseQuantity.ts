import { findUnit } from './convert.ts';
import type { NumberFormat } from './displayUnits.ts';
import { parseNumber, twoReadings } from './parseNumber.ts';
import type { Quantity } from './quantity.ts';
import { type UnitKind, unitKinds } from './unitKinds.ts';

export type ParsedQuantity =
  | { readonly ok: true; readonly quantity: Quantity }
  | { readonly ok: false; readonly message: string };

/** An example of what a field of this kind accepts, for messages. */
const examples: Partial<Record<UnitKind, string>> = {
  volume: '2.4 L or 146 ci',
  pressure: '0.85 bar or 12 psi',
  power: '168 kW or 225 hp',
  temperature: '38 °C or 100 °F',
  frequency: '300 Hz',
  rotation: '5400 rpm',
  length: '3.2 m or 126 in',
  specificConsumption: '350 g/kWh',
  volumeFlow: '255 L/h',
  massFlow: '16 g/s',
};

/** A bare number up to here in a field of percent is a share; from `SURELY_PERCENT` on, percent. */
const SURELY_SHARE = 1;
const SURELY_PERCENT = 2;

/** What a bare number of percent means: a share, percent, or it cannot be told. */
function bareShare(value: number): '' | '%' | undefined {
  const size = Math.abs(value);
  if (size < SURELY_SHARE) return '';
  return size > SURELY_PERCENT ? '%' : undefined;
}

function exampleOf(kind: UnitKind, defaultUnit: string): string {
  if (kind === 'ratio') return defaultUnit === '%' ? '85 % or 0.85' : '0.85';
  return examples[kind] ?? `12 ${defaultUnit}`;
}

/**
 * Reads "2.4 L", "0,85 bar", "12 psi" or a bare number (taken in `defaultUnit`; where that is
 * percent, below 1 as a share and above 2 as percent). Refuses everything else, and what can be
 * read in two ways, with a message that shows what to type. `numbers` is the reader's format.
 */
export function parseQuantity(input: {
  text: string;
  kind: UnitKind;
  defaultUnit: string;
  numbers?: NumberFormat;
  /** the unit stands beside the cell, as in the head of a table: bare numbers are in it */
  stated?: boolean;
}): ParsedQuantity {
  const { text, kind, defaultUnit, numbers = 'space-point', stated = false } = input;
  const example = exampleOf(kind, defaultUnit);
  const match =
    /^\s*([+\-\u2212\u2013]?[\d.,'’\s\u00a0\u202f\u2009]*\d[.,]?(?:e[+-]?\d+)?)\s*(.*?)\s*$/i.exec(
      text,
    );
  const value = match ? parseNumber(match[1]!) : undefined;
  if (!match || value === undefined) {
    return { ok: false, message: `Enter a number with a unit, for example ${example}.` };
  }
  const bare = match[2] === '';
  const two = stated ? undefined : twoReadings(match[1]!, numbers);
  if (two) {
    const unit = bare ? defaultUnit : match[2]!;
    return {
      ok: false,
      message: `"${match[1]!.trim()}" can be read in two ways: type ${two.thousands} ${unit} or ${two.decimal} ${unit}.`,
    };
  }
  let symbol = bare ? defaultUnit : match[2]!;
  if (bare && !stated && kind === 'ratio' && defaultUnit === '%') {
    const share = bareShare(value);
    if (share === undefined) {
      const percent = Number((100 * value).toPrecision(12));
      return {
        ok: false,
        message: `"${match[1]!.trim()}" can be read in two ways: type ${value} % or ${percent} %.`,
      };
    }
    symbol = share;
  }
  const unit = findUnit(kind, symbol);
  if (!unit) {
    const known = unitKinds[kind].map((u) => u.symbol).filter((s) => s !== '');
    return {
      ok: false,
      message: `"${symbol}" is not a unit used here; try ${known.join(', ')}, for example ${example}.`,
    };
  }
  const kept = bare && kind === 'ratio' ? defaultUnit : unit.symbol;
  return {
    ok: true,
    quantity: { value: value * unit.factor + (unit.offset ?? 0), unit: kept },
  };
}
