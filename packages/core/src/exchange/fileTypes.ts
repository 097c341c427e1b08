/**
 * How files are sent: as types that no page of another place may send unasked, as it may plain text.
 */
export const fileTypes = {
  /** a build file, or a list of catalogue items */
  json: 'application/vnd.brookrain+json',
  /** a table of catalogue items */
  csv: 'text/csv',
} as const;
