// Writes what is generated from code: docs/figures.md and the example builds.
import { mkdirSync, writeFileSync } from 'node:fs';
import { root } from './steps.mjs';
import {
  figuresDocument,
  lantern,
  sampleCatalogue,
  toBuildFile,
} from '../packages/core/dist/index.js';

mkdirSync(`${root}/docs`, { recursive: true });
mkdirSync(`${root}/examples`, { recursive: true });
writeFileSync(`${root}/docs/figures.md`, figuresDocument());
writeFileSync(
  `${root}/examples/lantern.build.json`,
  `${JSON.stringify(toBuildFile(lantern, sampleCatalogue), null, 2)}\n`,
);
