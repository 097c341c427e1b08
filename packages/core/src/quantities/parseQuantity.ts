import { findUnit } from './convert.ts';
import { parseNumber } from './parseNumber.ts';
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
  rotation: '5400 rpm',
  length: '3.2 m or 126 in',
  ratio: '0.85 or 85 %',
  specificConsumption: '350 g/kWh',
  volumeFlow: '255 L/h',
  massFlow: '16 g/s',
};

/**
 * Reads "2.4 L", "0,85 bar", "12 psi" or a bare number (taken in `defaultUnit`).
 * Refuses everything else with a message that shows an example.
 */
export function parseQuantity(input: {
  text: string;
  kind: UnitKind;
  defaultUnit: string;
}): ParsedQuantity {
  const { text, kind, defaultUnit } = input;
  const example = examples[kind] ?? `12 ${defaultUnit}`;
  const match =
    /^\s*([+\-\u2212\u2013]?[\d.,'’\s\u00a0\u202f\u2009]*\d[.,]?(?:e[+-]?\d+)?)\s*(.*?)\s*$/i.exec(
      text,
    );
  const value = match ? parseNumber(match[1]!) : undefined;
  if (!match || value === undefined) {
    return { ok: false, message: `Enter a number with a unit, for example ${example}.` };
  }
  const symbol = match[2] === '' ? defaultUnit : match[2]!;
  const unit = findUnit(kind, symbol);
  if (!unit) {
    const known = unitKinds[kind].map((u) => u.symbol).filter((s) => s !== '');
    return {
      ok: false,
      message: `"${symbol}" is not a unit used here; try ${known.join(', ')}, for example ${example}.`,
    };
  }
  return {
    ok: true,
    quantity: { value: value * unit.factor + (unit.offset ?? 0), unit: unit.symbol },
  };
}
