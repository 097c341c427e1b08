import type { BuildDocument } from './document.ts';

type Plain = Readonly<Record<string, unknown>>;

const list = (value: unknown): readonly Plain[] => (Array.isArray(value) ? (value as Plain[]) : []);

/** Usable volume m³ of a tank whose name tells it, else 60 L. */
function volumeFromName(name: unknown): number {
  const litres = /(\d+(?:[.,]\d+)?)\s*L\b/.exec(typeof name === 'string' ? name : '')?.[1];
  return litres ? Number(litres.replace(',', '.')) / 1e3 : 0.06;
}

const withPumpAndTank = (element: Plain): Plain => {
  if (element['kind'] === 'pump') return { ...element, control: null };
  if (element['kind'] !== 'tank') return element;
  return { ...element, usableVolume: { value: volumeFromName(element['name']), unit: 'L' } };
};

/** 3: tanks with a volume, pumps with a control, rows with staging, fuels with a season, a shelf. */
function fuelSystem(document: Plain): Plain {
  return {
    ...document,
    version: 3,
    brief: {
      ...(document['brief'] as Plain),
      cruisePower: null,
      cruiseRoadSpeed: { value: 90 / 3.6, unit: 'km/h' },
    },
    fuels: list(document['fuels']).map((fuel) =>
      fuel['kind'] === 'petrol-ethanol' ? { ...fuel, ethanolLowest: null } : fuel,
    ),
    fuelCircuits: list(document['fuelCircuits']).map((circuit) => ({
      ...circuit,
      elements: list(circuit['elements']).map(withPumpAndTank),
    })),
    injectorRows: list(document['injectorRows']).map((row) => ({
      ...row,
      staging: null,
      ballast: null,
      measuredFlows: [],
    })),
    shelf: [],
  };
}

/** Each step lifts a document by one version: entry 0 makes version 2 of version 1. */
const steps: readonly ((document: Plain) => Plain)[] = [
  // 2: accepted findings and the build's own display units.
  (document) => ({ ...document, version: 2, acceptances: [], displayUnits: null }),
  fuelSystem,
];

export const CURRENT_VERSION = 1 + steps.length;

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
