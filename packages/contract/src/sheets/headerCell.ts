import { type UnitKind, entryAt, findUnit, unitKinds } from '@brookrain/core';

/** A header cell split into its name and the unit in brackets, or after a comma. */
export interface HeaderCell {
  readonly name: string;
  readonly unit: string | undefined;
}

/** Reads "Flow [L/h]", "Flow (L/h)" or "Flow, L/h". */
export function readHeader(cell: string): HeaderCell {
  const match =
    /^(.*?)\s*(?:\[(.*?)\]|\((.*?)\))\s*$/.exec(cell) ?? /^(.*\S)\s*,\s*(\D[^,]*)$/.exec(cell);
  if (!match) return { name: cell.trim(), unit: undefined };
  return { name: entryAt(match, 1).trim(), unit: (match[2] ?? match[3] ?? '').trim() };
}

/** Names compared without regard to case, spaces and marks. */
export const sameName = (a: string, b: string): boolean => plain(a) === plain(b);
const plain = (name: string): string => name.toLowerCase().replace(/[^a-z0-9µλδ]/g, '');

/** The unit a header names, or why it is not one; without a unit the usual one applies. */
export function headerUnit(
  header: HeaderCell,
  kind: UnitKind,
  usual: string,
): { readonly ok: true; readonly unit: string } | { readonly ok: false; readonly message: string } {
  if (header.unit === undefined) return { ok: true, unit: usual };
  const unit = findUnit(kind, header.unit);
  if (unit) return { ok: true, unit: unit.symbol };
  const known = unitKinds[kind].map((u) => u.symbol).filter((symbol) => symbol !== '');
  return {
    ok: false,
    message: `"${header.unit}" is not a unit of ${header.name}; try ${known.join(', ') || 'none'}`,
  };
}
