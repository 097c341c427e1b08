import type { UnitKind, Quantity } from '../quantities/index.ts';

/** Carries the type of what a spec describes; never there at run time. */
interface Typed<out T> {
  readonly describes?: T;
}

declare const starting: unique symbol;
/** Marks the type of a field that says itself what it is at first; never there at run time. */
export interface Starts {
  readonly [starting]: true;
}
/** A spec made of parts, marked where they say what it is at first. */
type Marked<S, Parts> = Parts extends { readonly initial: unknown } ? S & Starts : S;

/** What every field may say of itself. */
export interface FieldWords {
  /** name of the field on screen */
  readonly label?: string;
  /** one sentence on what it means */
  readonly help?: string;
  /** document version it came with; older documents get its initial value */
  readonly since?: number;
}

/** An entered quantity, or nothing where the trade's default then applies. */
export interface QuantitySpec<out T = Quantity | null> extends FieldWords, Typed<T> {
  readonly type: 'quantity';
  readonly kind: UnitKind;
  /** unit taken for a bare number */
  readonly unit: string;
  /** least and greatest SI value; `above`: not the least itself */
  readonly min: number;
  readonly max: number;
  readonly above?: boolean;
  /** what a refused value is told */
  readonly message: string;
  readonly optional: boolean;
  readonly initial?: Quantity | null;
}
/** A bare number in SI, as data sheets give it. */
export interface FigureSpec extends FieldWords, Typed<number> {
  readonly type: 'figure';
  readonly kind: UnitKind;
  /** unit in which it is usually printed */
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  /** what it is where nobody says; without one it has to be said */
  readonly whenEmpty?: number;
}
/** A list of bare numbers in SI. */
export interface FiguresSpec extends FieldWords, Typed<readonly number[]> {
  readonly type: 'figures';
  readonly min: number;
  readonly max: number;
}
/** A table of bare numbers: one row for each entry of one field, one column for each of another. */
export interface GridSpec extends FieldWords, Typed<readonly (readonly number[])[]> {
  readonly type: 'grid';
  readonly rows: string;
  readonly columns: string;
  readonly max: number;
}
export interface WholeSpec extends FieldWords, Typed<number> {
  readonly type: 'whole';
  readonly min: number;
  readonly max: number;
  readonly message?: string;
  readonly initial?: number;
}
/** Where an entry stands among the others of its collection; rising, with room between. */
export interface OrderSpec extends FieldWords, Typed<number> {
  readonly type: 'order';
}
/** Any finite number, or nothing. */
export interface MeasuredSpec extends FieldWords, Typed<number | null> {
  readonly type: 'measured';
}
export interface TextSpec extends FieldWords, Typed<string> {
  readonly type: 'text';
  readonly min: number;
  readonly max: number;
  /** whether it may hold line breaks */
  readonly lines?: boolean;
  readonly message?: string;
  readonly initial?: string;
  /** collections of whose entries it may be the id, to be told by their names */
  readonly mayName?: readonly string[];
}
/** A moment, ISO 8601. */
export interface MomentSpec extends FieldWords, Typed<string> {
  readonly type: 'moment';
}
export interface YesNoSpec extends FieldWords, Typed<boolean> {
  readonly type: 'yes-no';
  readonly initial?: boolean;
  /** what it is where nobody says; without one it has to be said */
  readonly whenEmpty?: boolean;
}
export interface ChoiceSpec<out T = unknown> extends FieldWords, Typed<T> {
  readonly type: 'choice';
  readonly choices: readonly string[];
  /** may be left out; stands for `undefined` */
  readonly optional: boolean;
  /** may be null */
  readonly nullable: boolean;
  /** what it is where nobody says; without one it has to be said */
  readonly whenEmpty?: string;
  readonly initial?: string | null;
}
export interface ConstantSpec<out T = unknown> extends FieldWords, Typed<T> {
  readonly type: 'constant';
  readonly value: string | number;
}
/** The id of an entry of a collection that stands in the same object or around it. */
export interface ReferenceSpec extends FieldWords, Typed<string> {
  readonly type: 'reference';
  readonly to: string;
  /** what a person calls an entry of it */
  readonly what: string;
  /** field beside this one that names the entry in which the collection stands */
  readonly within?: string;
}
/** A list of keys that lead into the document. */
export interface PathSpec extends FieldWords, Typed<readonly string[]> {
  readonly type: 'path';
}
/** Any plain data. */
export interface AnythingSpec extends FieldWords, Typed<unknown> {
  readonly type: 'anything';
}
export interface ObjectSpec<out T = object> extends FieldWords, Typed<T> {
  readonly type: 'object';
  readonly fields: Fields;
  /** what must hold between its fields */
  readonly rules: readonly ObjectRule[];
}
/** An object or nothing. */
export interface NullableSpec<out T = unknown> extends FieldWords, Typed<T> {
  readonly type: 'nullable';
  readonly of: Spec;
  readonly initial?: null;
}
/** One of several objects, told apart by a property. */
export interface KindsSpec<out T = object> extends FieldWords, Typed<T> {
  readonly type: 'kinds';
  readonly by: string;
  readonly kinds: Readonly<Record<string, ObjectSpec>>;
}
/** Entries by their id. */
export interface RecordSpec<out T = object> extends FieldWords, Typed<T> {
  readonly type: 'record';
  readonly of: Spec;
  readonly min: number;
  readonly max: number;
  /** greatest length of a key */
  readonly key: number;
  readonly initial?: object;
}
/** Entries in a row, in catalogue items and messages. Nothing in a document is a list of things. */
export interface ListSpec<out T = object> extends FieldWords, Typed<T> {
  readonly type: 'list';
  readonly of: Spec;
  readonly min: number;
  readonly max: number;
  /** field by which entries must rise */
  readonly rising?: string;
  /** what it is where nobody says; without one it has to be said */
  readonly whenEmpty?: readonly never[];
}

/** The declaration of one field, as data. */
export type Spec =
  | QuantitySpec
  | FigureSpec
  | FiguresSpec
  | GridSpec
  | WholeSpec
  | OrderSpec
  | MeasuredSpec
  | TextSpec
  | MomentSpec
  | YesNoSpec
  | ChoiceSpec
  | ConstantSpec
  | ReferenceSpec
  | PathSpec
  | AnythingSpec
  | ObjectSpec
  | NullableSpec
  | KindsSpec
  | RecordSpec
  | ListSpec;
export type Fields = Readonly<Record<string, Spec>>;

/** The type of what a spec describes. */
export type Of<S> = S extends Typed<infer T> ? T : never;

type LeftOut<F extends Fields> = {
  [K in keyof F]: unknown extends Of<F[K]> ? never : undefined extends Of<F[K]> ? K : never;
}[keyof F];
/** The object type that fields describe. */
export type OfFields<F extends Fields> = {
  readonly [K in Exclude<keyof F, LeftOut<F>>]: Of<F[K]>;
} & {
  readonly [K in LeftOut<F>]?: Exclude<Of<F[K]>, undefined>;
};

/** The object that a person has to say: what says itself what it is at first may be left out. */
export type InputOf<F extends Fields> = {
  readonly [K in keyof F as F[K] extends Starts ? never : K]: Of<F[K]>;
} & {
  readonly [K in keyof F as F[K] extends Starts ? K : never]?: Of<F[K]>;
};

/** Something that must hold between the fields of an object; tells the field and the reason. */
export interface ObjectRule {
  readonly field: string;
  readonly message: string;
  /** `value` has the object's own shape, its fields each sound */
  readonly holds: (value: never) => boolean;
}

interface QuantityParts extends FieldWords {
  readonly min: number;
  readonly max: number;
  readonly above?: boolean;
  readonly message: string;
  readonly initial?: Quantity | null;
}

/** An entered quantity of a kind; `unit` is taken for a bare number. */
export const quantityField = <const P extends QuantityParts>(
  kind: UnitKind,
  unit: string,
  parts: P,
): Marked<QuantitySpec<Quantity>, P> =>
  ({ type: 'quantity', kind, unit, optional: false, ...parts }) as unknown as Marked<
    QuantitySpec<Quantity>,
    P
  >;

/** A quantity that may be left empty: the default of the trade applies then. */
export const quantityOrNone = (
  kind: UnitKind,
  unit: string,
  parts: QuantityParts,
): QuantitySpec<Quantity | null> & Starts =>
  ({
    type: 'quantity',
    kind,
    unit,
    optional: true,
    initial: null,
    ...parts,
  }) as unknown as QuantitySpec<Quantity | null> & Starts;

export const figure = (
  kind: UnitKind,
  unit: string,
  range: readonly [min: number, max: number],
  label: string,
): FigureSpec => ({ type: 'figure', kind, unit, min: range[0], max: range[1], label });
export const figures = (range: readonly [min: number, max: number]): FiguresSpec => ({
  type: 'figures',
  min: range[0],
  max: range[1],
});
export const grid = (rows: string, columns: string, max: number): GridSpec => ({
  type: 'grid',
  rows,
  columns,
  max,
});
export const whole = (parts: Omit<WholeSpec, 'type' | 'describes'>): WholeSpec => ({
  type: 'whole',
  ...parts,
});
export const orderField: OrderSpec = { type: 'order' };
export const measuredValue = (words: FieldWords = {}): MeasuredSpec => ({
  type: 'measured',
  ...words,
});
export const text = (parts: Omit<TextSpec, 'type' | 'describes'>): TextSpec => ({
  type: 'text',
  ...parts,
});
export const moment = (words: FieldWords = {}): MomentSpec => ({ type: 'moment', ...words });
export const yesNo = (words: FieldWords & { initial?: boolean } = {}): YesNoSpec => ({
  type: 'yes-no',
  ...words,
});
export const choice = <const C extends readonly string[]>(
  choices: C,
  words: FieldWords & { initial?: C[number] } = {},
): ChoiceSpec<C[number]> => ({
  type: 'choice',
  choices,
  optional: false,
  nullable: false,
  ...words,
});
export const choiceOrLeftOut = <const C extends readonly string[]>(
  choices: C,
  words: FieldWords = {},
): ChoiceSpec<C[number] | undefined> => ({
  type: 'choice',
  choices,
  optional: true,
  nullable: false,
  ...words,
});
export const choiceOrNone = <const C extends readonly string[]>(
  choices: C,
  words: FieldWords = {},
): ChoiceSpec<C[number] | null> => ({
  type: 'choice',
  choices,
  optional: false,
  nullable: true,
  initial: null,
  ...words,
});
export const constant = <const V extends string | number>(value: V): ConstantSpec<V> => ({
  type: 'constant',
  value,
});
/** The id of an entry of the nearest collection of that name. */
export const idOf = (
  to: string,
  what: string,
  words: FieldWords & { within?: string } = {},
): ReferenceSpec => ({
  type: 'reference',
  to,
  what,
  ...words,
});
export const pathField = (words: FieldWords = {}): PathSpec => ({ type: 'path', ...words });
export const anything = (words: FieldWords = {}): AnythingSpec => ({ type: 'anything', ...words });

/** An object with just these fields. */
export const object = <F extends Fields>(
  fields: F,
  words: FieldWords & { rules?: readonly ObjectRule[] } = {},
): Omit<ObjectSpec<OfFields<F>>, 'fields'> & { readonly fields: F } => ({
  type: 'object',
  rules: [],
  ...words,
  fields,
});
export const nullable = <S extends Spec>(
  of: S,
  words: FieldWords = {},
): NullableSpec<Of<S> | null> => ({ type: 'nullable', of, initial: null, ...words });
export const kinds = <K extends Readonly<Record<string, ObjectSpec>>>(
  by: string,
  of: K,
  words: FieldWords = {},
): Omit<KindsSpec<{ [N in keyof K]: Of<K[N]> }[keyof K]>, 'kinds'> & { readonly kinds: K } => ({
  type: 'kinds',
  by,
  kinds: of,
  ...words,
});
/** Entries by id; `max` of them. */
export const record = <S extends Spec>(
  of: S,
  parts: FieldWords & { min?: number; max: number; key?: number; initial?: object },
): Omit<RecordSpec<Readonly<Record<string, Of<S>>>>, 'of'> & { readonly of: S } => ({
  type: 'record',
  min: 0,
  key: 40,
  ...parts,
  of,
});
export const list = <S extends Spec>(
  of: S,
  parts: FieldWords & {
    min?: number;
    max: number;
    rising?: string;
    whenEmpty?: readonly never[];
  },
): Omit<ListSpec<readonly Of<S>[]>, 'of'> & { readonly of: S } => ({
  type: 'list',
  min: 0,
  ...parts,
  of,
});

/** A rule between the fields of an object, with their types. */
export const rule = <T>(
  field: keyof T & string,
  message: string,
  holds: (value: T) => boolean,
): ObjectRule => ({ field, message, holds: holds as (value: never) => boolean });

/** An exact revision of a catalogue item of a category (any category: `*`). */
export interface ItemRefSpec extends ObjectSpec<ItemRef> {
  readonly category: string;
}
/** Exact revision of a catalogue item. */
export interface ItemRef {
  readonly id: string;
  readonly revision: number;
}
/** A part from the catalogue. */
export const itemRef = (category: string, words: FieldWords = {}): ItemRefSpec => ({
  type: 'object',
  category,
  rules: [],
  fields: {
    id: text({ min: 1, max: 40 }),
    revision: whole({ min: 1, max: 100000 }),
  },
  ...words,
});
