import {
  type CatalogueItem,
  type ItemField,
  type NumberFormat,
  type Reading,
  echoQuantity,
  formatMeasure,
  parseNumber,
  parseQuantity,
  shownKind,
} from '@brookrain/core';

const record = (item: CatalogueItem) => item as unknown as Readonly<Record<string, unknown>>;

/** A field of an item as a person reads it. */
export function readField(item: CatalogueItem, field: ItemField, reading: Reading): string {
  const value = record(item)[field.key];
  if (value === undefined) return '';
  if (field.type === 'yes-no') return value === true ? 'yes' : 'no';
  if (field.type !== 'figure') return String(value);
  return formatMeasure(
    { value: value as number, kind: shownKind(field.key, field.kind) },
    reading,
    4,
  );
}

/** A field of an item as it is typed into the form, in the unit of data sheets. */
export function typedField(item: CatalogueItem, field: ItemField, reading: Reading): string {
  const value = record(item)[field.key];
  if (value === undefined) return '';
  if (field.type === 'yes-no') return value === true ? 'yes' : 'no';
  if (field.type !== 'figure') return String(value);
  return echoQuantity({ value: value as number, unit: field.unit }, field.kind, reading.numbers);
}

/** What is wrong with a field that has to be filled. */
export const EMPTY = 'Needed.';

export type ReadText =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string };

/** What was typed for a field, in SI; or why it cannot be taken. */
export function textValue(field: ItemField, text: string, numbers?: NumberFormat): ReadText {
  const typed = text.trim();
  if (typed === '') {
    if ('whenEmpty' in field) return { ok: true, value: field.whenEmpty };
    return field.type === 'choice' && field.optional
      ? { ok: true, value: undefined }
      : { ok: false, message: EMPTY };
  }
  switch (field.type) {
    case 'figure': {
      const parsed = parseQuantity({
        text: typed,
        kind: field.kind,
        defaultUnit: field.unit,
        ...(numbers ? { numbers } : {}),
      });
      return parsed.ok ? { ok: true, value: parsed.quantity.value } : parsed;
    }
    case 'whole': {
      const value = parseNumber(typed);
      return value !== undefined && Number.isInteger(value)
        ? { ok: true, value }
        : { ok: false, message: 'Enter a whole number.' };
    }
    case 'yes-no':
      return { ok: true, value: typed === 'yes' };
    case 'text':
    case 'choice':
      return { ok: true, value: typed };
  }
}
