import type {
  ChoiceSpec,
  FigureSpec,
  Fields,
  Spec,
  TextSpec,
  WholeSpec,
  YesNoSpec,
} from '../model/spec.ts';
import { type CatalogueCategory, catalogueKinds } from './catalogueItem.ts';
import { type ItemTable, commonKeys } from './kinds/catalogueKind.ts';

/** One field of a catalogue item that a person types: how it is named, measured and entered. */
export type ItemField = { readonly key: string; readonly label: string } & (
  FigureSpec | TextSpec | WholeSpec | YesNoSpec | ChoiceSpec
);

const isTyped = (spec: Spec): boolean =>
  ['figure', 'text', 'whole', 'yes-no', 'choice'].includes(spec.type) && spec.label !== undefined;

const fieldsOf = (fields: Fields): readonly ItemField[] =>
  Object.entries(fields)
    .filter(([, spec]) => isTyped(spec))
    .map(([key, spec]) => ({ key, ...spec }) as ItemField);

const known = new Map<CatalogueCategory, readonly ItemField[]>();

/** Every field of a category, the common ones first. */
export function allItemFields(category: CatalogueCategory): readonly ItemField[] {
  const fields = known.get(category) ?? fieldsOf(catalogueKinds[category].spec.fields);
  known.set(category, fields);
  return fields;
}

/** What every item carries. */
export const commonFields: readonly ItemField[] = allItemFields('pump').filter((field) =>
  commonKeys.includes(field.key),
);

/** Fields of a category after the common ones. */
export const itemFields = (category: CatalogueCategory): readonly ItemField[] =>
  allItemFields(category).filter((field) => !commonKeys.includes(field.key));

/** Data-sheet table of a category; undefined for those without one. */
export const itemTableOf = (category: CatalogueCategory): ItemTable | undefined =>
  catalogueKinds[category].table;

/** A column of a list of things: a field, or several choices in one cell. */
export type RowField =
  | ItemField
  | {
      readonly key: string;
      readonly label: string;
      readonly type: 'choices';
      readonly choices: readonly string[];
    };

/** The list of things that items of a category carry, with its columns. */
export interface ItemRows {
  readonly key: string;
  readonly fields: readonly RowField[];
}

const rowFieldOf = ([key, spec]: readonly [string, Spec]): RowField[] => {
  const label = spec.label ?? key;
  if (spec.type === 'list' && spec.of.type === 'choice') {
    return [{ key, label, type: 'choices', choices: spec.of.choices }];
  }
  return ['figure', 'text', 'whole', 'yes-no', 'choice'].includes(spec.type)
    ? [{ key, ...spec, label } as ItemField]
    : [];
};

/** The list of a category that is entered as a table of its own: pins. Undefined where there is none. */
export function itemRowsOf(category: CatalogueCategory): ItemRows | undefined {
  const { rows, spec } = catalogueKinds[category];
  const field = rows === undefined ? undefined : spec.fields[rows];
  if (rows === undefined || field?.type !== 'list' || field.of.type !== 'object') return undefined;
  return { key: rows, fields: Object.entries(field.of.fields).flatMap(rowFieldOf) };
}

/** Every category, in the order in which they are listed. */
export const categories = Object.keys(catalogueKinds) as CatalogueCategory[];

/** Name of each category as a person says it. */
export const categoryNames = Object.fromEntries(
  categories.map((category) => [category, catalogueKinds[category].title]),
) as Readonly<Record<CatalogueCategory, string>>;
