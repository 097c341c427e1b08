export { readRows, rowCell, rowHeader } from './itemRows.ts';
export * from './itemsSheet.ts';
export * from './readDataTable.ts';
export * from './sameItem.ts';
export * from './sheetGrid.ts';
