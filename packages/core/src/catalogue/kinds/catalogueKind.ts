import type { UnitKind } from '../../quantities/index.ts';
import {
  type Fields,
  type ObjectSpec,
  type OfFields,
  constant,
  figure,
  object,
  text,
  whole,
} from '../../model/spec.ts';

/** A column of a data-sheet table; `kind` and `unit` as it is usually printed. */
export interface TableColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: UnitKind;
  readonly unit: string;
}
/** One row of a data-sheet table, SI values by column key. */
export type TableRow = Readonly<Record<string, number>>;

/** A data-sheet table of a kind, as a list of rows whatever shape the item keeps it in. */
export interface ItemTable<Item = never> {
  /** field under which a person finds it */
  readonly key: string;
  /** every field that the rows fill */
  readonly fields: readonly string[];
  readonly label: string;
  readonly columns: readonly TableColumn[];
  /** the rows of an item, in reading order */
  readonly rowsOf: (item: Item) => TableRow[];
  /** the fields from rows in any order; undefined where a place of the table has no row */
  readonly fieldsOf: (rows: readonly TableRow[]) => Readonly<Record<string, unknown>> | undefined;
}

/** One kind of catalogue item: its fields, declared once. */
export interface CatalogueKind<Item = unknown> {
  readonly category: string;
  /** what a person calls a list of them */
  readonly title: string;
  readonly spec: ObjectSpec<Item>;
  readonly table?: ItemTable;
  /** field that holds a list of things with fields of their own, entered as a table: pins */
  readonly rows?: string;
}

/** What every item carries. Revisions are immutable: a change makes the next one. */
const common = {
  id: text({ min: 1, max: 40 }),
  revision: whole({ min: 1, max: 100000 }),
  designation: text({ label: 'Designation', min: 1, max: 80 }),
  family: text({
    label: 'Family',
    help: 'how the maker calls the range; free text that nothing is computed from',
    min: 1,
    max: 80,
  }),
  mass: figure('mass', 'kg', [0, 1000], 'Mass'),
  price: figure('count', '', [0, 1e6], 'Price'),
  interchange: text({ label: 'Interchange group', min: 1, max: 80 }),
} satisfies Fields;
export const commonKeys: readonly string[] = Object.keys(common);

/** Declares a kind of catalogue item by the fields that it has beside the common ones. */
export const catalogueKind = <const Category extends string, F extends Fields>(parts: {
  category: Category;
  title: string;
  fields: F;
  table?: ItemTable<OfFields<{ category: { type: 'constant'; value: Category } } & F>>;
  rows?: keyof F & string;
}) => {
  const spec = object({ category: constant(parts.category), ...common, ...parts.fields });
  return {
    category: parts.category,
    title: parts.title,
    spec,
    ...(parts.table ? { table: parts.table as unknown as ItemTable } : {}),
    ...(parts.rows ? { rows: parts.rows } : {}),
  };
};

export const column = (key: string, label: string, kind: UnitKind, unit: string): TableColumn => ({
  key,
  label,
  kind,
  unit,
});
