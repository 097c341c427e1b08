import { type BuildDocument, CURRENT_VERSION, documentSpec } from './document.ts';
import { completed } from './initial.ts';
import { assemblies } from './migrations/assemblies.ts';
import { pumpsAsDevices } from './migrations/pumpsAsDevices.ts';
import { devicesAndPins } from './migrations/devicesAndPins.ts';
import { factsAsMade } from './migrations/factsAsMade.ts';
import { fusePositions } from './migrations/fusePositions.ts';
import { fuelSystem } from './migrations/fuelSystem.ts';
import type { Plain } from './migrations/plain.ts';
import { recordsById } from './migrations/recordsById.ts';
import { harnessAdded } from './migrations/harnessAdded.ts';
import { harnessAsBuilt } from './migrations/harnessAsBuilt.ts';
import { heatAndRoutes } from './migrations/heatAndRoutes.ts';
import { partsAndCovers } from './migrations/partsAndCovers.ts';
import { splicedPieces } from './migrations/splicedPieces.ts';
import { supplyBudget } from './migrations/supplyBudget.ts';
import { switchingTable } from './migrations/switchingTable.ts';
import { vehicleSlices } from './migrations/vehicleSlices.ts';

type Step = (document: Plain) => Plain;

/** Steps that do more than add fields, each by one version: entry 0 makes version 2 of version 1. */
const written: readonly Step[] = [
  // 2: accepted findings and the build's own display units.
  (document) => ({ ...document, version: 2, acceptances: [], displayUnits: null }),
  fuelSystem,
  recordsById,
  heatAndRoutes,
  vehicleSlices,
  partsAndCovers,
  assemblies,
  factsAsMade,
  devicesAndPins,
  pumpsAsDevices,
  supplyBudget,
  switchingTable,
  fusePositions,
  harnessAdded,
  harnessAsBuilt,
  splicedPieces,
];

/** Adds the fields that came with a version, each as its declaration says it is at first. */
const addedFields =
  (version: number): Step =>
  (document) => ({
    ...completed(documentSpec, document, ({ since }) => since === version),
    version,
  });

/** Each step lifts a document by one version; where none is written, fields were added. */
const steps: readonly Step[] = Array.from(
  { length: CURRENT_VERSION - 1 },
  (_, i) => written[i] ?? addedFields(i + 2),
);

/**
 * Brings a document of an older version up to the current one, step by step. What is not a
 * document of a known version is returned as it is, for the checks to refuse.
 */
export function migrateDocument(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const { version } = value as Plain;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return value;
  return steps.slice(version - 1).reduce<Plain>((document, step) => step(document), value as Plain);
}

/** A document that this program stored itself, brought up to date. */
export const storedDocument = (value: unknown): BuildDocument =>
  migrateDocument(value) as BuildDocument;
