// JSON schemas of the API's messages: replies from the contract's types and their descriptions,
// documents, catalogue items and edits from the fields that the core declares.
import { createGenerator } from 'ts-json-schema-generator';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './steps.mjs';
import {
  acceptanceSpec,
  briefSpec,
  catalogueKinds,
  circuitSpec,
  commandKinds,
  constant,
  documentSpec,
  elementSpec,
  fuelSpec,
  injectorRowSpec,
  itemSpec,
  limitsSpec,
  object,
  optionSpec,
  placementSpec,
  powerSpec,
  startSpec,
} from '../packages/core/dist/index.js';
import { schemaOf } from '../packages/contract/dist/index.js';

/** Messages that routes name; the types they are made of follow by themselves. */
const messages = [
  'ArchiveMessage',
  'BuildReply',
  'BuildStateReply',
  'BuildSummary',
  'CatalogueReply',
  'ConflictReply',
  'CopyMessage',
  'EditMessage',
  'ErrorReply',
  'GoBackMessage',
  'HealthReply',
  'ImportItemsReply',
  'ImportPreview',
  'KeepItemMessage',
  'KeptItemReply',
  'LiveEvent',
  'PairMessage',
  'PairingMessage',
  'PairingReply',
  'RecordMessage',
  'RecordReply',
  'RevisionDocumentReply',
  'RevisionReply',
  'SnapshotReply',
  'SnapshotsReply',
  'StartMessage',
  'StartReply',
  'StepMessage',
  'WhereUsedReply',
  'ThisDeviceReply',
  'WorkshopReply',
];

/** What the messages take from the core, in so far as declared fields do not say it. */
const declaredElsewhere = `
/** An entered quantity: its value in SI and the unit it was typed in. */
export interface Quantity { readonly value: number; readonly unit: string }
/** A build document. */
export interface BuildDocument { readonly declared: true }
/** An edit. */
export interface BuildCommand { readonly declared: true }
/** A catalogue item. */
export interface CatalogueItem { readonly declared: true }
/** Items by id and revision. */
export interface Catalogue { readonly items: readonly CatalogueItem[] }
/** A value that differs between two documents; without one of the two where it had nothing. */
export interface DocumentDifference {
  /** keys that lead to it */
  readonly path: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}
/** What an entry of the record says: words, numbers, yes and no by name. */
export interface RecordSaid { readonly [name: string]: string | number | boolean | null }
/** What an entry of the record is. */
export type RecordKind = 'cut' | 'pinned' | 'buzzed' | 'read';
export const recordKinds: readonly RecordKind[];
export type Aspiration = string;
export type VehicleUse = string;
export type StartAnswers = object;
export const startSpec: object;
`;

/** Schemas of the replies and messages that the contract declares as types. */
function messageDefinitions() {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-schemas-'));
  try {
    writeFileSync(join(folder, 'core.d.ts'), declaredElsewhere);
    writeFileSync(
      join(folder, 'tsconfig.json'),
      JSON.stringify({
        extends: join(root, 'packages/contract/tsconfig.json'),
        compilerOptions: {
          composite: false,
          paths: { '@brookrain/core': [join(folder, 'core.d.ts')] },
        },
        references: [],
      }),
    );
    const generator = createGenerator({
      path: join(root, 'packages/contract/src/messages/*.ts'),
      tsconfig: join(folder, 'tsconfig.json'),
      skipTypeCheck: true,
      encodeRefs: false,
      topRef: true,
      expose: 'export',
      jsDoc: 'extended',
      additionalProperties: false,
    });
    return Object.assign({}, ...messages.map((name) => generator.createSchema(name).definitions));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const pascal = (name) => name.replace(/(^|-)(\w)/g, (_, _dash, letter) => letter.toUpperCase());
const anyOf = (names, description) => ({
  description,
  anyOf: names.map((name) => ({ $ref: `#/definitions/${name}` })),
});

/** Declarations that get a schema of their own, by name, with what they are. */
const declared = {
  BuildDocument: [documentSpec, 'A build as it is stored: what was decided, collections by id'],
  Brief: [briefSpec, 'The agreed facts and targets of a build'],
  Fuel: [fuelSpec, 'A fuel of a build'],
  Placement: [placementSpec, 'A place on the vehicle'],
  FuelCircuit: [circuitSpec, 'A fuel circuit: joints at places and the elements between them'],
  InjectorRow: [injectorRowSpec, 'A row of equal injectors'],
  Power: [powerSpec, 'Battery, main fuse, stud and ECU'],
  Limits: [limitsSpec, 'Margins and limits of a build'],
  Decision: [optionSpec, 'A decision with its alternatives'],
  Acceptance: [acceptanceSpec, 'A warning that a person accepted'],
  ...Object.fromEntries(
    Object.entries(elementSpec.kinds).map(([kind, spec]) => [
      `${pascal(kind)}Element`,
      [spec, `Element of a fuel circuit: ${kind.replaceAll('-', ' ')}`],
    ]),
  ),
  ...Object.fromEntries(
    Object.values(catalogueKinds).map((kind) => [
      `${pascal(kind.category)}Item`,
      [kind.spec, `Catalogue item: ${kind.title.toLowerCase()}`],
    ]),
  ),
  CatalogueItem: [itemSpec, 'One revision of a catalogue item; figures are SI'],
  ...Object.fromEntries(
    commandKinds.map((kind) => [
      `${pascal(kind.name)}Command`,
      [object({ name: constant(kind.name), ...kind.fields }), `The edit "${kind.name}"`],
    ]),
  ),
  StartMessage: [startSpec, 'Answers of the guided start of a new build.'],
};

/** Schemas of documents, items and edits, from their declared fields. */
function declaredDefinitions() {
  const names = new Map(Object.entries(declared).map(([name, [spec]]) => [spec, name]));
  const schemas = Object.fromEntries(
    Object.entries(declared).map(([name, [spec, description]]) => [
      name,
      { ...schemaOf(spec, names), description },
    ]),
  );
  const { BuildDocument: document, StartMessage: start } = schemas;
  return {
    ...schemas,
    BuildFile: {
      ...document,
      description: 'A build as a file: the document with the catalogue items it uses',
      properties: {
        ...document.properties,
        catalogue: { type: 'array', items: { $ref: '#/definitions/CatalogueItem' } },
      },
    },
    BuildCommand: anyOf(
      commandKinds.map((kind) => `${pascal(kind.name)}Command`),
      'A small named edit; every change of a build is one of these',
    ),
    StartMessage: {
      ...start,
      properties: { ...start.properties, author: { type: 'string', maxLength: 60 } },
    },
  };
}

/** All schemas by name, keys in order, references as OpenAPI writes them. */
export function messageSchemas() {
  const definitions = {
    ...messageDefinitions(),
    ...declaredDefinitions(),
    Text: { type: 'string', description: 'The file itself' },
  };
  const names = Object.keys(definitions)
    .filter((name) => !['Aspiration', 'VehicleUse'].includes(name))
    .sort();
  const ordered = Object.fromEntries(names.map((name) => [name, definitions[name]]));
  const text = JSON.stringify(ordered, null, 2)
    .replaceAll('#/definitions/', '#/components/schemas/')
    .replace(/"const": (.+?)(,?)$/gm, '"enum": [$1]$2');
  return `${text}\n`;
}
