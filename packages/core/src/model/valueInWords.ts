import { isRecord } from '../numerics/index.ts';
import { type NumberFormat, type Quantity, echoTyped } from '../quantities/index.ts';

const isQuantity = (value: Record<string, unknown>): boolean =>
  typeof value['value'] === 'number' && typeof value['unit'] === 'string';

/** A value of a document in few words: a quantity as typed, a part by its id, an entry as there. */
export function valueInWords(value: unknown, numbers: NumberFormat = 'space-point'): string {
  if (value === undefined) return 'not there';
  if (value === null) return 'usual';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return `${value.length} ${value.length === 1 ? 'entry' : 'entries'}`;
  if (!isRecord(value)) return String(value);
  if (isQuantity(value)) return echoTyped(value as unknown as Quantity, numbers);
  const { id, revision } = value;
  if (typeof id !== 'string') return 'there';
  return typeof revision === 'number' && revision > 1 ? `${id}, revision ${revision}` : id;
}
