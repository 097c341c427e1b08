// Writes what is generated from code: figures, fields, stages, the example builds, the schemas of the messages.
import { mkdirSync, writeFileSync } from 'node:fs';
import { messageSchemas } from './messageSchemas.mjs';
import { root } from './steps.mjs';
import {
  demoBuilds,
  fieldsDocument,
  figuresDocument,
  sampleCatalogue,
  stagesDocument,
  toBuildFile,
} from '../packages/core/dist/index.js';

mkdirSync(`${root}/docs`, { recursive: true });
mkdirSync(`${root}/examples`, { recursive: true });
mkdirSync(`${root}/apps/server/openapi`, { recursive: true });
writeFileSync(`${root}/docs/figures.md`, figuresDocument());
writeFileSync(`${root}/docs/fields.md`, fieldsDocument());
writeFileSync(`${root}/docs/stages.md`, stagesDocument());
for (const { id, document } of demoBuilds) {
  writeFileSync(
    `${root}/examples/${id}.build.json`,
    `${JSON.stringify(toBuildFile(document, sampleCatalogue), null, 2)}\n`,
  );
}
writeFileSync(`${root}/apps/server/openapi/schemas.json`, messageSchemas());
