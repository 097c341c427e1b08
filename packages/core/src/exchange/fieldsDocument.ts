import { catalogueKinds } from '../catalogue/index.ts';
import {
  type FieldWords,
  type FigureSpec,
  type QuantitySpec,
  type Spec,
  documentSpec,
} from '../model/index.ts';
import { fromSI } from '../quantities/index.ts';

/** A range in the unit in which it is usually printed. */
function rangeOf({ kind, unit, min, max }: QuantitySpec | FigureSpec): string {
  const shown = (value: number): string => String(Number(fromSI(value, kind, unit).toPrecision(6)));
  return `${shown(min)} to ${shown(max)} ${unit}`.trim();
}

/** What a field holds, in few words. */
function heldBy(spec: Spec): string {
  switch (spec.type) {
    case 'quantity':
      return `quantity of ${spec.kind}, ${rangeOf(spec)}${spec.optional ? ', or null' : ''}`;
    case 'figure':
      return `number in SI, ${spec.kind}, ${rangeOf(spec)}`;
    case 'figures':
      return 'rising numbers in SI';
    case 'grid':
      return `numbers in SI, a row for each of ${spec.rows}, a column for each of ${spec.columns}`;
    case 'whole':
      return `whole number, ${spec.min} to ${spec.max}`;
    case 'order':
      return 'number by which the entries are put in order';
    case 'measured':
      return 'number in SI or null';
    case 'text':
      return `text of ${spec.min} to ${spec.max} letters`;
    case 'moment':
      return 'moment, ISO 8601';
    case 'yes-no':
      return 'true or false';
    case 'choice':
      return `one of ${spec.choices.join(', ')}${spec.nullable ? ', or null' : ''}${spec.optional ? '; may be left out' : ''}`;
    case 'constant':
      return `always \`${spec.value}\``;
    case 'reference':
      return `id of an entry of \`${spec.to}\``;
    case 'path':
      return 'list of keys that lead into the document';
    case 'anything':
      return 'whatever that place may hold';
    case 'object':
      return 'category' in spec
        ? 'exact revision of a catalogue item: `{ id, revision }`'
        : 'object';
    case 'nullable':
      return `${heldBy(spec.of)}, or null`;
    case 'kinds':
      return `object, told apart by \`${spec.by}\``;
    case 'record':
      return `${spec.min} to ${spec.max} entries by id`;
    case 'list':
      return `list of ${spec.min} to ${spec.max} entries${spec.rising ? `, rising by \`${spec.rising}\`` : ''}`;
  }
}

const wordsOf = ({ label, help, since }: FieldWords): string =>
  [label, help, since ? `since version ${since}` : undefined].filter(Boolean).join('; ');

function linesOf(path: string, spec: Spec): string[] {
  const words = wordsOf(spec);
  const line = `| \`${path}\` | ${heldBy(spec)} | ${words} |`;
  return [line, ...partsOf(path, spec)];
}

function partsOf(path: string, spec: Spec): string[] {
  if (spec.type === 'object' && !('category' in spec)) {
    return Object.entries(spec.fields).flatMap(([key, field]) => linesOf(`${path}.${key}`, field));
  }
  if (spec.type === 'nullable') return partsOf(path, spec.of);
  if (spec.type === 'record') return partsOf(`${path}.<id>`, spec.of);
  if (spec.type === 'list') return partsOf(`${path}[]`, spec.of);
  if (spec.type === 'kinds') {
    return Object.entries(spec.kinds).flatMap(([kind, of]) => partsOf(`${path} (${kind})`, of));
  }
  return [];
}

const table = (fields: readonly (readonly [string, Spec])[]): string =>
  [
    '| field | holds | what it is |',
    '|---|---|---|',
    ...fields.flatMap(([path, spec]) => linesOf(path, spec)),
  ].join('\n');

/** Every field of a build file and of a catalogue item, as they are declared: docs/fields.md. */
export function fieldsDocument(): string {
  const kinds = Object.values(catalogueKinds).map(
    (kind) =>
      `## ${kind.title}: \`${kind.category}\`\n\n${table(Object.entries(kind.spec.fields))}`,
  );
  return [
    '# Fields',
    'Generated from the declarations in the core (`npm run generate`). Quantities are `{ value in SI, unit as typed }`; ranges are told in the usual unit. `<id>` stands for the id of an entry.',
    `## The build document\n\n${table(Object.entries(documentSpec.fields))}`,
    '# Catalogue items',
    ...kinds,
  ]
    .join('\n\n')
    .concat('\n');
}
