// JSON schemas of the API's messages, read from the contract's types and their descriptions.
import { createGenerator } from 'ts-json-schema-generator';
import { join } from 'node:path';
import { root } from './steps.mjs';

/** Messages that routes name; the types they are made of follow by themselves. */
const messages = [
  'ArchiveMessage',
  'BuildReply',
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
  'RevisionDocumentReply',
  'RevisionReply',
  'SnapshotReply',
  'SnapshotsReply',
  'StartMessage',
  'StartReply',
  'StepMessage',
  'WhereUsedReply',
  'BuildFile',
];

/** All schemas by name, keys in order, references as OpenAPI writes them. */
export function messageSchemas() {
  const generator = createGenerator({
    path: join(root, 'packages/contract/src/messages/*.ts'),
    tsconfig: join(root, 'packages/contract/tsconfig.json'),
    skipTypeCheck: true,
    encodeRefs: false,
    topRef: true,
    expose: 'export',
    jsDoc: 'extended',
    additionalProperties: false,
  });
  const definitions = {};
  for (const name of messages) {
    Object.assign(definitions, generator.createSchema(name).definitions);
  }
  definitions['Text'] = { type: 'string', description: 'The file itself' };
  const names = Object.keys(definitions).sort();
  const ordered = Object.fromEntries(names.map((name) => [name, definitions[name]]));
  const text = JSON.stringify(ordered, null, 2)
    .replaceAll('#/definitions/', '#/components/schemas/')
    .replace(/"const": (.+?)(,?)$/gm, '"enum": [$1]$2');
  return `${text}\n`;
}
