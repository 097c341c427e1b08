import type { Fields, Spec } from '@brookrain/core';

/** A JSON schema as plain data. */
export type JsonSchema = Readonly<Record<string, unknown>>;

const quantity: JsonSchema = { $ref: '#/definitions/Quantity' };
const orNull = (schema: JsonSchema): JsonSchema => ({ anyOf: [schema, { type: 'null' }] });

const words = (spec: Spec): JsonSchema => {
  const description = [spec.label, spec.help].filter(Boolean).join(': ');
  return description ? { description } : {};
};

/** Names of declarations that have a schema of their own, to be referred to. */
export type SchemaNames = ReadonlyMap<Spec, string>;

const objectSchema = (fields: Fields, names: SchemaNames): JsonSchema => ({
  type: 'object',
  properties: Object.fromEntries(
    Object.entries(fields).map(([key, spec]) => [key, fieldSchema(spec, names)]),
  ),
  required: Object.entries(fields)
    .filter(([, spec]) => !(spec.type === 'choice' && spec.optional))
    .map(([key]) => key),
  additionalProperties: false,
});

/** The JSON schema of what a spec declares; declarations with a name are referred to. */
export const schemaOf = (spec: Spec, names: SchemaNames = new Map()): JsonSchema => ({
  ...words(spec),
  ...shapeOf(spec, names),
});

const fieldSchema = (spec: Spec, names: SchemaNames): JsonSchema => {
  const name = names.get(spec);
  return name === undefined ? schemaOf(spec, names) : { $ref: `#/definitions/${name}` };
};

function shapeOf(spec: Spec, names: SchemaNames): JsonSchema {
  switch (spec.type) {
    case 'quantity':
      return spec.optional ? orNull(quantity) : quantity;
    case 'figure':
      return { type: 'number', minimum: spec.min, maximum: spec.max };
    case 'figures':
      return { type: 'array', items: { type: 'number', minimum: spec.min, maximum: spec.max } };
    case 'grid': {
      const row = { type: 'array', items: { type: 'number', minimum: 0, maximum: spec.max } };
      return { type: 'array', items: row };
    }
    case 'whole':
      return {
        type: 'integer',
        minimum: spec.min,
        maximum: spec.max,
      };
    case 'order':
      return { type: 'number' };
    case 'measured':
      return { type: 'number', nullable: true };
    case 'text':
      return {
        type: 'string',
        minLength: spec.min,
        maxLength: spec.max,
        ...(spec.min > 0 ? { pattern: '\\S' } : {}),
      };
    case 'moment':
      return { type: 'string', format: 'date-time' };
    case 'yes-no':
      return { type: 'boolean' };
    case 'choice': {
      const choices = { type: 'string', enum: [...spec.choices] };
      return spec.nullable ? orNull(choices) : choices;
    }
    case 'constant':
      return { type: typeof spec.value, enum: [spec.value] };
    case 'reference':
      return { type: 'string', description: `id of a ${spec.what}` };
    case 'path':
      return { type: 'array', items: { type: 'string' }, minItems: 1 };
    case 'anything':
      return {};
    case 'object':
      return objectSchema(spec.fields, names);
    case 'nullable':
      return orNull(fieldSchema(spec.of, names));
    case 'kinds':
      return { anyOf: Object.values(spec.kinds).map((kind) => fieldSchema(kind, names)) };
    case 'record':
      return { type: 'object', additionalProperties: fieldSchema(spec.of, names) };
    case 'list':
      return {
        type: 'array',
        items: fieldSchema(spec.of, names),
        minItems: spec.min,
        maxItems: spec.max,
      };
  }
}
