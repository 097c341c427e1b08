import { FORMULA } from '@brookrain/contract';
import Papa from 'papaparse';

/**
 * Rows as CSV with a header; text that a spreadsheet would take for a formula is quoted with an
 * apostrophe.
 */
export function csvText(rows: readonly object[]): string {
  return `${Papa.unparse(rows as object[], { escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`;
}
